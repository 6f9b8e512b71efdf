package dev.tavik.result;

/**
 * When a p-value rejects, decided once for tests, critical counts, plans and assessments.
 *
 * <p>An exact p-value can equal alpha: all of three against none of three has p = 1/10. Computed,
 * it comes out a little above or below, by the rounding of a double, and so does the alpha that a
 * person wrote as 0.1. So p-values count as equal to alpha up to the relative tolerance that exact
 * tests have for ties, and what equals alpha rejects.
 */
public final class Significance {
  /** Relative difference below which two probabilities count as equal. */
  public static final double TIE = 1e-7;

  private Significance() {}

  /**
   * Whether a p-value is small enough to reject.
   *
   * @param pValue the p-value, 0 to 1
   * @param alpha the significance level, strictly between 0 and 1
   * @return whether {@code pValue ≤ alpha (1 + 10⁻⁷)}
   */
  public static boolean reached(double pValue, double alpha) {
    return pValue <= largest(alpha);
  }

  /**
   * The largest p-value that rejects.
   *
   * @param alpha the significance level, strictly between 0 and 1
   * @return {@code alpha (1 + 10⁻⁷)}
   */
  public static double largest(double alpha) {
    return alpha * (1 + TIE);
  }
}
