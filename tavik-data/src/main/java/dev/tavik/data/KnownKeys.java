package dev.tavik.data;

/**
 * The numbers of short values by their keys, as many as there are room for: for columns of many
 * thousand levels, such as clusters. Open addressing with linear steps, at most half full.
 */
final class KnownKeys {
  static final int UNKNOWN = -2;

  private static final int MOST = 1 << 20;

  private long[] keys = new long[1 << 10];
  private int[] numbers = new int[1 << 10];
  private int size;

  /** The number of a value; {@link #UNKNOWN} where it isn't among those that are kept. */
  int of(long key) {
    int slot = slot(key);
    return keys[slot] == key ? numbers[slot] : UNKNOWN;
  }

  /** Keeps a value's number, if there is room. */
  void keep(long key, int number) {
    if (size == MOST) {
      return;
    }
    int slot = slot(key);
    size += keys[slot] == 0 ? 1 : 0;
    keys[slot] = key;
    numbers[slot] = number;
    if (2 * size > keys.length) {
      grow();
    }
  }

  private void grow() {
    long[] oldKeys = keys;
    int[] oldNumbers = numbers;
    keys = new long[2 * oldKeys.length];
    numbers = new int[keys.length];
    for (int i = 0; i < oldKeys.length; i++) {
      if (oldKeys[i] != 0) {
        int slot = slot(oldKeys[i]);
        keys[slot] = oldKeys[i];
        numbers[slot] = oldNumbers[i];
      }
    }
  }

  private int slot(long key) {
    int mask = keys.length - 1;
    int slot = (int) ((key * 0x9E3779B97F4A7C15L) >>> 32) & mask;
    while (keys[slot] != key && keys[slot] != 0) {
      slot = (slot + 1) & mask;
    }
    return slot;
  }
}
