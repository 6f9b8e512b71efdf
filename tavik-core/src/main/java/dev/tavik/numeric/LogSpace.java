package dev.tavik.numeric;

/** Sums and complements of probabilities that are held as natural logarithms. */
public final class LogSpace {
  private static final double LN_2 = Math.log(2);

  private LogSpace() {}

  /**
   * The logarithm of a sum: ln(e<sup>a</sup> + e<sup>b</sup>).
   *
   * @param a a logarithm, or negative infinity for zero
   * @param b a logarithm, or negative infinity for zero
   * @return the logarithm of the sum
   */
  public static double add(double a, double b) {
    double larger = Math.max(a, b);
    if (larger == Double.NEGATIVE_INFINITY) {
      return larger;
    }
    return larger + Math.log1p(Math.exp(Math.min(a, b) - larger));
  }

  /**
   * The logarithm of a complement: ln(1 - e<sup>a</sup>). The two forms meet at -ln 2, where both
   * lose less than one bit (Mächler 2012, "Accurately computing log(1 - exp(-|a|))").
   *
   * @param a the logarithm of a probability, at most 0
   * @return the logarithm of one minus that probability; negative infinity at 0
   */
  public static double complement(double a) {
    return a > -LN_2 ? Math.log(-Math.expm1(a)) : Math.log1p(-Math.exp(a));
  }
}
