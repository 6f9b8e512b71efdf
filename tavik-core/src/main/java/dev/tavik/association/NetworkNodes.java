package dev.tavik.association;

import java.util.Arrays;

/**
 * The remainders of the rows that are possible at one column of a half, without regard to their
 * order, with bounds of the path lengths.
 */
final class NetworkNodes {
  private static final int ABSENT = -1;

  private long[] keys = new long[64];
  private int[] slots = new int[64];
  private int[][] rows = new int[32][];
  private long[] least = new long[32];
  private long[] greatest = new long[32];

  /**
   * Lengths below this bound are too short in every state that leads here; lengths from {@code
   * beyond} on are long enough.
   */
  private long[] from = new long[32];

  private long[] beyond = new long[32];
  private int size;

  NetworkNodes() {
    Arrays.fill(slots, ABSENT);
  }

  int size() {
    return size;
  }

  /** The number of a state by its code; -1 if it is new. */
  int find(long code) {
    return slots[place(code)];
  }

  private int place(long code) {
    int mask = keys.length - 1;
    int at = (int) (code >>> 32) & mask;
    while (slots[at] != ABSENT && keys[at] != code) {
      at = (at + 1) & mask;
    }
    return at;
  }

  /** Adds a state; its rows are copied. */
  int add(long code, int[] left, long shortest, long longest) {
    if (size == rows.length) {
      int larger = 2 * size;
      rows = Arrays.copyOf(rows, larger);
      least = Arrays.copyOf(least, larger);
      greatest = Arrays.copyOf(greatest, larger);
      from = Arrays.copyOf(from, larger);
      beyond = Arrays.copyOf(beyond, larger);
    }
    rows[size] = arranged(left);
    least[size] = shortest;
    greatest[size] = longest;
    from[size] = Long.MAX_VALUE;
    beyond[size] = Long.MIN_VALUE;
    int at = place(code);
    keys[at] = code;
    slots[at] = size;
    size++;
    if (2 * size > keys.length) {
      rehash();
    }
    return size - 1;
  }

  /** Groups equal rows, the most frequent first, so that single ones can be skipped. */
  static int[] arranged(int[] left) {
    int[] sorted = left.clone();
    Arrays.sort(sorted);
    int[] arranged = new int[sorted.length];
    int filled = 0;
    for (int wanted = sorted.length; wanted > 0; wanted--) {
      for (int from = 0, to; from < sorted.length; from = to) {
        to = from + 1;
        while (to < sorted.length && sorted[to] == sorted[from]) {
          to++;
        }
        if (to - from == wanted) {
          Arrays.fill(arranged, filled, filled + wanted, sorted[from]);
          filled += wanted;
        }
      }
    }
    return arranged;
  }

  private void rehash() {
    long[] oldKeys = keys;
    int[] oldSlots = slots;
    keys = new long[2 * oldKeys.length];
    slots = new int[keys.length];
    Arrays.fill(slots, ABSENT);
    for (int i = 0; i < oldKeys.length; i++) {
      if (oldSlots[i] != ABSENT) {
        int at = place(oldKeys[i]);
        keys[at] = oldKeys[i];
        slots[at] = oldSlots[i];
      }
    }
  }

  int[] rows(int state) {
    return rows[state];
  }

  long least(int state) {
    return least[state];
  }

  long greatest(int state) {
    return greatest[state];
  }

  long from(int state) {
    return from[state];
  }

  long beyond(int state) {
    return beyond[state];
  }

  /** Whether some length of the state is undecided. */
  boolean undecided(int state) {
    return beyond[state] > least[state] && from[state] <= greatest[state];
  }

  void widen(int state, long low, long high) {
    from[state] = Math.min(from[state], low);
    beyond[state] = Math.max(beyond[state], high);
  }
}
