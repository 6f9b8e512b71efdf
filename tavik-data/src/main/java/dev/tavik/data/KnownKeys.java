package dev.tavik.data;

/**
 * A map from non-zero keys to numbers with a fixed capacity. It uses open addressing with linear
 * probing and is at most half full.
 */
final class KnownKeys {
  static final int UNKNOWN = -2;

  private final int most;
  private long[] keys;
  private int[] numbers;
  private int size;

  /** Creates a map with an initial capacity of half a power of two and a maximum number of keys. */
  KnownKeys(int slots, int most) {
    this.most = most;
    this.keys = new long[slots];
    this.numbers = new int[slots];
  }

  /** Takes a key and its number. */
  interface Taker {
    void take(long key, int number);
  }

  /** The number of a key; {@link #UNKNOWN} where it isn't among those that are kept. */
  int of(long key) {
    int slot = slot(key);
    return keys[slot] == key ? numbers[slot] : UNKNOWN;
  }

  /** How many keys are kept. */
  int size() {
    return size;
  }

  void each(Taker taker) {
    for (int slot = 0; slot < keys.length; slot++) {
      if (keys[slot] != 0) {
        taker.take(keys[slot], numbers[slot]);
      }
    }
  }

  /** Keeps a key's number, if there is room. */
  void keep(long key, int number) {
    if (size == most) {
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
