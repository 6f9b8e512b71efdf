package dev.tavik.data;

import java.util.Arrays;

/**
 * How often each key occurs, keys numbered in the order of their first appearance. Open addressing
 * with linear steps, at most half full; no object is made for a key, which on a file of millions of
 * rows is what counting costs.
 */
final class CombinationCounts {
  private static final int ABSENT = -1;

  private long[] keys = new long[32];
  private long[] counts = new long[32];
  private int[] slots = filled(64);
  private int size;

  /** The number of a key, a new one if it was not seen before. */
  int number(long key) {
    int slot = slot(key);
    if (slots[slot] == ABSENT) {
      slot = insert(key, slot);
    }
    return slots[slot];
  }

  /** Adds to the count of the key with a number, and returns its new count. */
  long add(int number, long count) {
    return counts[number] += count;
  }

  int size() {
    return size;
  }

  long key(int number) {
    return keys[number];
  }

  long count(int number) {
    return counts[number];
  }

  /** Where a key stands, or would stand. */
  private int slot(long key) {
    int mask = slots.length - 1;
    int slot = (int) ((key * 0x9E3779B97F4A7C15L) >>> 40) & mask;
    while (slots[slot] != ABSENT && keys[slots[slot]] != key) {
      slot = (slot + 1) & mask;
    }
    return slot;
  }

  private int insert(long key, int free) {
    if (size == keys.length) {
      keys = Arrays.copyOf(keys, 2 * size);
      counts = Arrays.copyOf(counts, 2 * size);
    }
    keys[size] = key;
    slots[free] = size;
    size++;
    if (2 * size <= slots.length) {
      return free;
    }
    slots = filled(2 * slots.length);
    for (int number = 0; number < size; number++) {
      slots[slot(keys[number])] = number;
    }
    return slot(key);
  }

  private static int[] filled(int length) {
    int[] slots = new int[length];
    Arrays.fill(slots, ABSENT);
    return slots;
  }
}
