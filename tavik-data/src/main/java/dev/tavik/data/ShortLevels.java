package dev.tavik.data;

import java.util.Arrays;

/**
 * The first few levels of many columns, and their counts, side by side in memory: for a file of a
 * thousand columns the way to a column's own objects is what costs most. A value of at most seven
 * Latin letters is one number, its key; a column has sixteen slots, and a value one of them, so
 * that there is no search whose end no processor can foresee.
 */
final class ShortLevels {
  static final int UNKNOWN = -2;

  private static final int SLOTS = 16;
  static final int FEW = 8;
  private static final int LONGEST = 7;
  private static final int LAST_OF_ONE_BYTE = 0xFF;
  private static final int QUOTED = 8;

  /**
   * Number of bits for letters, the first letter lowest; the bits above hold length, quotes and
   * mark.
   */
  private static final int LETTERS = 56;

  /** Mark bit, so that the key of no value is 0. */
  private static final long MARK = 16;

  /** A slot holds a key, of 61 bits, and above it the number of its level. */
  private static final int LEVEL_BITS = 61;

  private static final long KEY = (1L << LEVEL_BITS) - 1;

  private final long[] slots;
  private final long[] counts;

  ShortLevels(int columns) {
    slots = new long[columns * SLOTS];
    counts = new long[columns * FEW * FEW];
  }

  /** A value as one number; 0 where it is too long, or has letters beyond Latin ones. */
  static long key(char[] buffer, int offset, int length, boolean quoted) {
    if (length > LONGEST) {
      return 0;
    }
    long key = (MARK + (quoted ? length + QUOTED : length)) << LETTERS;
    for (int i = 0; i < length; i++) {
      char each = buffer[offset + i];
      if (each > LAST_OF_ONE_BYTE) {
        return 0;
      }
      key |= (long) each << (8 * i);
    }
    return key;
  }

  /** The same of a value of ASCII letters without quotes, the first of eight bytes. */
  static long key(long bytes, int length) {
    return length > LONGEST
        ? 0
        : ((MARK + length) << LETTERS) | (bytes & ((1L << (8 * length)) - 1));
  }

  /** The characters of a value, by its key. */
  static char[] characters(long key) {
    char[] characters = new char[(int) (key >>> LETTERS) & LONGEST];
    for (int i = 0; i < characters.length; i++) {
      characters[i] = (char) ((key >>> (8 * i)) & LAST_OF_ONE_BYTE);
    }
    return characters;
  }

  /** Whether a value stood in quotes, by its key. */
  static boolean quoted(long key) {
    return ((key >>> LETTERS) & QUOTED) != 0;
  }

  /** The level of a value, by its key; {@link #UNKNOWN} where it isn't among the first. */
  int level(int column, long key) {
    long slot = slots[slot(column, key)];
    return (slot & KEY) == key ? (int) (slot >>> LEVEL_BITS) : UNKNOWN;
  }

  private static int slot(int column, long key) {
    return column * SLOTS + (int) ((key * 0x9E3779B97F4A7C15L) >>> 60);
  }

  /** Keeps the level of a value, if there is room and it is one of the first. */
  void keep(int column, long key, int level) {
    int slot = slot(column, key);
    if (key != 0 && level >= 0 && level < FEW && slots[slot] == 0) {
      slots[slot] = ((long) level << LEVEL_BITS) | key;
    }
  }

  /** Whether a level of a group is counted here. */
  static boolean counts(int group, int level) {
    return (group | level) >>> 3 == 0;
  }

  void add(int column, int group, int level, long units) {
    counts[((column * FEW) + group) * FEW + level] += units;
  }

  long count(int column, int group, int level) {
    return counts(group, level) ? counts[((column * FEW) + group) * FEW + level] : 0;
  }

  /** Clears the cache of a column. */
  void forget(int column) {
    Arrays.fill(slots, column * SLOTS, (column + 1) * SLOTS, 0);
  }
}
