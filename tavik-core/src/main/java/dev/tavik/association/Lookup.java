package dev.tavik.association;

import dev.tavik.numeric.LogFactorials;
import java.util.stream.IntStream;

/** Lookup tables of exact tests, indexed by count: lengths, and codes of states. */
final class Lookup {
  private final long[] lengths;
  private final long[] codes;
  private final long[] none;

  /** Creates the tables for counts up to a maximum. */
  Lookup(LogFactorials factorials, int most) {
    this.lengths = IntStream.rangeClosed(0, most).mapToLong(factorials::exact).toArray();
    this.codes = IntStream.rangeClosed(0, most).mapToLong(Lookup::mixed).toArray();
    this.none = new long[most + 1];
  }

  /**
   * The finishing step of SplitMix64 (Steele, Lea and Flood 2014, OOPSLA, 453-472), which spreads
   * numbers over 64 bits, so that sums of different numbers differ.
   */
  private static long mixed(long number) {
    long z = number * 0x9E3779B97F4A7C15L;
    z = (z ^ (z >>> 30)) * 0xBF58476D1CE4E5B9L;
    z = (z ^ (z >>> 27)) * 0x94D049BB133111EBL;
    return z ^ (z >>> 31);
  }

  /** A table of zeros. */
  long[] none() {
    return none;
  }

  /** ln x! as a whole number. */
  long length(int count) {
    return lengths[count];
  }

  /** What a row's remainder adds to the code of a state. */
  long code(int count) {
    return codes[count];
  }

  /** The same for equal rows in any order. */
  long code(int[] rows) {
    long code = 0;
    for (int row : rows) {
      code += codes[row];
    }
    return code;
  }
}
