package dev.tavik.association;

import java.util.Arrays;

/**
 * The undecided lengths of the fillings of a part of a table in ascending order, each with its
 * probability, and how likely a longer one is.
 */
final class PathLengths {
  private final long[] lengths;
  private final double[] chances;

  /** Σ of the chances from each length on, those beyond all included. */
  private final double[] sums;

  PathLengths(long[] lengths, double[] chances, double beyond) {
    this.lengths = lengths;
    this.chances = chances;
    this.sums = new double[lengths.length + 1];
    sums[lengths.length] = beyond;
    for (int i = lengths.length - 1; i >= 0; i--) {
      sums[i] = sums[i + 1] + chances[i];
    }
  }

  int size() {
    return lengths.length;
  }

  long length(int index) {
    return lengths[index];
  }

  double chance(int index) {
    return chances[index];
  }

  /** How likely it is to be at least as long as the one of an index, or beyond the last. */
  double from(int index) {
    return sums[index];
  }

  /** Adds all to what is gathered, longer by some length; tells how many were looked at. */
  int addTo(Gathering gathering, long longer, double chance, long from, long beyond) {
    int start = first(from - longer);
    int end = first(beyond - longer);
    gathering.beyond += chance * sums[end];
    for (int i = start; i < end; i++) {
      gathering.put(lengths[i] + longer, chance * chances[i]);
    }
    return end - start;
  }

  /** The index of the first length of at least a number. */
  private int first(long least) {
    int found = Arrays.binarySearch(lengths, least);
    return found >= 0 ? found : -found - 1;
  }

  /** Collects lengths in any order and adds up equal ones. */
  static final class Gathering {
    private static final long EMPTY = -1;

    private long[] keys = new long[16];
    private double[] values = new double[16];
    private int size;
    private double beyond;

    Gathering() {
      Arrays.fill(keys, EMPTY);
    }

    /** A length from one bound to below the other; shorter ones are left out. */
    void add(long length, double chance, long from, long end) {
      if (length >= end) {
        beyond += chance;
      } else if (length >= from) {
        put(length, chance);
      }
    }

    private void put(long length, double chance) {
      int at = place(keys, length);
      if (keys[at] == EMPTY) {
        keys[at] = length;
        size++;
      }
      values[at] += chance;
      if (2 * size > keys.length) {
        grow();
      }
    }

    int size() {
      return size;
    }

    void addBeyond(double chance) {
      beyond += chance;
    }

    private static int place(long[] keys, long key) {
      int mask = keys.length - 1;
      int at = (int) ((key * 0x9E3779B97F4A7C15L) >>> 33) & mask;
      while (keys[at] != EMPTY && keys[at] != key) {
        at = (at + 1) & mask;
      }
      return at;
    }

    private void grow() {
      long[] oldKeys = keys;
      double[] oldValues = values;
      keys = new long[2 * oldKeys.length];
      values = new double[keys.length];
      Arrays.fill(keys, EMPTY);
      for (int i = 0; i < oldKeys.length; i++) {
        if (oldKeys[i] != EMPTY) {
          int at = place(keys, oldKeys[i]);
          keys[at] = oldKeys[i];
          values[at] = oldValues[i];
        }
      }
    }

    /** Returns everything that was gathered, in order, and clears this list. */
    PathLengths sorted() {
      long[] lengths = new long[size];
      int filled = 0;
      for (long key : keys) {
        if (key != EMPTY) {
          lengths[filled++] = key;
        }
      }
      Arrays.sort(lengths);
      double[] chances = new double[size];
      for (int i = 0; i < size; i++) {
        chances[i] = values[place(keys, lengths[i])];
      }
      PathLengths sorted = new PathLengths(lengths, chances, beyond);
      // To clear the room of one long list after each of many short ones would take most of the
      // time.
      int room = Math.max(16, Integer.highestOneBit(4 * size));
      if (room < keys.length) {
        keys = new long[room];
        values = new double[room];
      } else {
        Arrays.fill(values, 0);
      }
      Arrays.fill(keys, EMPTY);
      size = 0;
      beyond = 0;
      return sorted;
    }
  }
}
