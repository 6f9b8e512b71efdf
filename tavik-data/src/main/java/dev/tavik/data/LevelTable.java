package dev.tavik.data;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The levels of one column, numbered by first appearance. A level is looked up by the characters in
 * the reader's buffer, so that a row of known levels creates no objects. The hash table uses open
 * addressing with linear probing and is at most half full.
 */
final class LevelTable {
  private static final int ABSENT = -1;

  private final List<String> levels = new ArrayList<>();
  private int[] slots = filled(64);
  private int[] hashes = new int[32];
  private char[][] characters = new char[32][];

  /** The number of a level, a new one if it was not seen before. */
  int number(char[] buffer, int offset, int length) {
    int hash = hash(buffer, offset, length);
    int mask = slots.length - 1;
    int slot = hash & mask;
    while (slots[slot] != ABSENT) {
      int number = slots[slot];
      if (hashes[number] == hash && matches(characters[number], buffer, offset, length)) {
        return number;
      }
      slot = (slot + 1) & mask;
    }
    return add(new String(buffer, offset, length), hash, slot);
  }

  /** The number of a level that was seen before, else -1. */
  int find(char[] buffer, int offset, int length) {
    int hash = hash(buffer, offset, length);
    int mask = slots.length - 1;
    for (int slot = hash & mask; slots[slot] != ABSENT; slot = (slot + 1) & mask) {
      int number = slots[slot];
      if (hashes[number] == hash && matches(characters[number], buffer, offset, length)) {
        return number;
      }
    }
    return ABSENT;
  }

  int number(String level) {
    char[] text = level.toCharArray();
    return number(text, 0, text.length);
  }

  int size() {
    return levels.size();
  }

  List<String> levels() {
    return levels;
  }

  private int add(String level, int hash, int slot) {
    int number = levels.size();
    levels.add(level);
    if (number >= hashes.length) {
      hashes = Arrays.copyOf(hashes, 2 * hashes.length);
      characters = Arrays.copyOf(characters, hashes.length);
    }
    hashes[number] = hash;
    characters[number] = level.toCharArray();
    slots[slot] = number;
    if (2 * levels.size() > slots.length) {
      grow();
    }
    return number;
  }

  private void grow() {
    int[] larger = filled(2 * slots.length);
    for (int number = 0; number < levels.size(); number++) {
      int slot = hashes[number] & (larger.length - 1);
      while (larger[slot] != ABSENT) {
        slot = (slot + 1) & (larger.length - 1);
      }
      larger[slot] = number;
    }
    slots = larger;
  }

  private static int[] filled(int length) {
    int[] slots = new int[length];
    Arrays.fill(slots, ABSENT);
    return slots;
  }

  private static int hash(char[] buffer, int offset, int length) {
    int hash = length;
    for (int i = offset; i < offset + length; i++) {
      hash = 31 * hash + buffer[i];
    }
    return hash ^ (hash >>> 15);
  }

  private static boolean matches(char[] level, char[] buffer, int offset, int length) {
    if (level.length != length) {
      return false;
    }
    for (int i = 0; i < length; i++) {
      if (level[i] != buffer[offset + i]) {
        return false;
      }
    }
    return true;
  }
}
