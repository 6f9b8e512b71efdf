package dev.tavik.association;

import java.util.Arrays;

/** Probabilities by the whole-number logarithm of their paths; equal paths are added up. */
final class PathValues {
  private static final long EMPTY = -1;

  private long[] keys = new long[8];
  private double[] values = new double[8];
  private int size;

  PathValues() {
    Arrays.fill(keys, EMPTY);
  }

  int size() {
    return size;
  }

  /** Adds to the probability of a path, whose logarithm is at least 0. */
  void add(long key, double value) {
    int at = place(keys, key);
    if (keys[at] == EMPTY) {
      keys[at] = key;
      size++;
    }
    values[at] += value;
    if (2 * size > keys.length) {
      grow();
    }
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

  /** What becomes of one path. */
  @FunctionalInterface
  interface Visitor {
    void visit(long key, double value);
  }

  void forEach(Visitor visitor) {
    for (int i = 0; i < keys.length; i++) {
      if (keys[i] != EMPTY) {
        visitor.visit(keys[i], values[i]);
      }
    }
  }
}
