package dev.tavik.spark;

/**
 * A sum to twice the precision of a double, as two: what it is, and what that lacks. The order of
 * the terms changes it by some 10⁻³⁰ of itself at most, so that rounded it is the same in any order
 * but for a tie.
 *
 * <p>T. J. Dekker, A floating-point technique for extending the available precision, Numerische
 * Mathematik 18 (1971), 224-242; the exact sum of two is D. E. Knuth's.
 */
final class PreciseSum {
  private PreciseSum() {}

  /** Adds a number to the sum at a place of two arrays. */
  static void add(double[] high, double[] low, int at, double more, double moreLow) {
    double sum = high[at] + more;
    double part = sum - high[at];
    double lost = (high[at] - (sum - part)) + (more - part);
    double rest = lost + low[at] + moreLow;
    high[at] = sum + rest;
    low[at] = Double.isFinite(high[at]) ? rest - (high[at] - sum) : 0;
  }
}
