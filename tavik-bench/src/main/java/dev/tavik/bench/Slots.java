package dev.tavik.bench;

import java.util.Arrays;

/** Gives every text a place of its own by its hash, the least that telling levels apart takes. */
final class Slots {
  private final char[][] known;

  /** Begins with so many places, a power of two, more than there will be texts. */
  Slots(int places) {
    this.known = new char[places][];
  }

  int of(char[] buffer, int offset, int length) {
    int hash = 0;
    for (int i = offset; i < offset + length; i++) {
      hash = 31 * hash + buffer[i];
    }
    int last = known.length - 1;
    int slot = (hash ^ hash >>> 16) & last;
    while (known[slot] != null
        && !Arrays.equals(known[slot], 0, known[slot].length, buffer, offset, offset + length)) {
      slot = slot + 1 & last;
    }
    if (known[slot] == null) {
      known[slot] = Arrays.copyOfRange(buffer, offset, offset + length);
    }
    return slot;
  }
}
