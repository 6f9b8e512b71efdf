package dev.tavik.spark;

import java.util.Arrays;

/**
 * Pairs of numbers, numbered by first appearance; nested pairs represent combinations of columns.
 */
final class Pairs {
  /** Fibonacci-hashing multiplier: 2⁶⁴ divided by the golden ratio. */
  private static final long SPREAD = 0x9E3779B97F4A7C15L;

  /** Small numbers, which are frequent, use a direct table. */
  private static final int SMALL = 16;

  private final int[] small = new int[SMALL * SMALL];
  private long[] keys = new long[16];
  private int[] places = new int[32];
  private int size;

  /** The number of a pair; one from 0 that is new is the size before. */
  int number(int first, int second) {
    if ((first | second) < SMALL) {
      int at = first * SMALL + second;
      if (small[at] == 0) {
        small[at] = 1 + further(first, second);
      }
      return small[at] - 1;
    }
    return further(first, second);
  }

  private int further(int first, int second) {
    long key = ((long) first << 32) | second;
    int place = place(key);
    while (places[place] != 0) {
      if (keys[places[place] - 1] == key) {
        return places[place] - 1;
      }
      place = (place + 1) & (places.length - 1);
    }
    if (size == keys.length) {
      grow();
      place = place(key);
      while (places[place] != 0) {
        place = (place + 1) & (places.length - 1);
      }
    }
    keys[size] = key;
    size++;
    places[place] = size;
    return size - 1;
  }

  private int place(long key) {
    return (int) ((key * SPREAD) >>> (64 - Integer.numberOfTrailingZeros(places.length)));
  }

  private void grow() {
    keys = Arrays.copyOf(keys, 2 * size);
    places = new int[4 * size];
    for (int number = 0; number < size; number++) {
      int place = place(keys[number]);
      while (places[place] != 0) {
        place = (place + 1) & (places.length - 1);
      }
      places[place] = number + 1;
    }
  }

  int size() {
    return size;
  }

  int first(int number) {
    return (int) (keys[number] >>> 32);
  }

  int second(int number) {
    return (int) keys[number];
  }
}
