package dev.tavik.data;

import java.util.Arrays;

/**
 * The frequency of each key; keys are numbered in the order of their first appearance. The hash
 * table uses open addressing with linear probing, is at most half full and creates no object per
 * key, which would dominate the cost of counting millions of rows.
 */
final class CombinationCounts {
  private static final int ABSENT = -1;

  private long[] keys = new long[32];
  private long[] counts = new long[32];
  private int[] slots = filled(64);
  private int size;

  /** Returns the number of a key and assigns a new one if it was not seen before. */
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

  /** The slot of a key, or the slot where it would be inserted. */
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
