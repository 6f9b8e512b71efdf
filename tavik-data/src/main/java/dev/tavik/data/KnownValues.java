package dev.tavik.data;

/**
 * A cache of the short values of a column: a value that was seen before is found by its key,
 * without its characters. A few hundred values are cached; others are looked up in the usual way.
 */
final class KnownValues {
  static final int UNKNOWN = -2;

  private static final int SLOTS = 1 << 9;
  private static final int MOST = SLOTS / 2;

  private final long[] keys = new long[SLOTS];
  private final int[] numbers = new int[SLOTS];
  private int size;

  /** The number of a value; {@link #UNKNOWN} where it isn't among those that are kept. */
  int of(long key) {
    for (int slot = slot(key); ; slot = (slot + 1) & (SLOTS - 1)) {
      if (keys[slot] == key) {
        return numbers[slot];
      }
      if (keys[slot] == 0) {
        return UNKNOWN;
      }
    }
  }

  /** Keeps a value's number, if there is room. */
  void keep(long key, int number) {
    if (size == MOST) {
      return;
    }
    int slot = slot(key);
    while (keys[slot] != 0 && keys[slot] != key) {
      slot = (slot + 1) & (SLOTS - 1);
    }
    size += keys[slot] == 0 ? 1 : 0;
    keys[slot] = key;
    numbers[slot] = number;
  }

  private static int slot(long key) {
    return (int) ((key * 0x9E3779B97F4A7C15L) >>> 55);
  }
}
