package dev.tavik.spark;

/** The numbers of short texts, which are looked up as one long each. */
final class ShortTexts {
  /** Maximum length of such a text in bytes; the eighth byte holds the length. */
  static final int LONGEST = 7;

  static final int UNKNOWN = -1;

  /** Fibonacci-hashing multiplier: 2⁶⁴ divided by the golden ratio. */
  private static final long SPREAD = 0x9E3779B97F4A7C15L;

  private long[] keys = new long[32];
  private int[] numbers = new int[32];
  private int size;

  private static long key(byte[] text) {
    // Never 0, which is an empty place.
    long key = text.length + 1L;
    for (byte each : text) {
      key = (key << 8) | (each & 0xFF);
    }
    return key;
  }

  int number(byte[] text) {
    int place = place(key(text));
    return keys[place] == 0 ? UNKNOWN : numbers[place];
  }

  /** Where a key is, or belongs. */
  private int place(long key) {
    int mask = keys.length - 1;
    int place = (int) ((key * SPREAD) >>> 40) & mask;
    while (keys[place] != key && keys[place] != 0) {
      place = (place + 1) & mask;
    }
    return place;
  }

  void keep(byte[] text, int number) {
    if (2 * size >= keys.length) {
      grow();
    }
    long key = key(text);
    int place = place(key);
    keys[place] = key;
    numbers[place] = number;
    size++;
  }

  private void grow() {
    long[] oldKeys = keys;
    int[] oldNumbers = numbers;
    keys = new long[2 * oldKeys.length];
    numbers = new int[keys.length];
    for (int i = 0; i < oldKeys.length; i++) {
      if (oldKeys[i] != 0) {
        int place = place(oldKeys[i]);
        keys[place] = oldKeys[i];
        numbers[place] = oldNumbers[i];
      }
    }
  }

  int size() {
    return size;
  }
}
