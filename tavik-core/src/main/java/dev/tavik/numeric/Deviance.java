package dev.tavik.numeric;

/** How far a count is from its mean, in units of likelihood. */
public final class Deviance {
  /** Beyond this relative distance of count and mean the plain logarithm has all its digits. */
  private static final double SERIES_WITHIN = 0.1;

  private Deviance() {}

  /**
   * Half the deviance of a count from its mean, x ln(x/m) + m - x (Loader's bd0). With v = (x - m)
   * / (x + m) it is (x - m)v + 2x(v³/3 + v⁵/5 + …), which keeps its digits where x is near m.
   *
   * @param x a count, above 0
   * @param mean its mean, above 0
   * @param deviation x - m, with all its digits
   * @return the half deviance, at least 0
   */
  public static double half(double x, double mean, double deviation) {
    double v = deviation / (x + mean);
    if (Math.abs(v) > SERIES_WITHIN) {
      return x * Math.log(x / mean) - deviation;
    }
    double sum = deviation * v;
    double power = 2 * x * v;
    for (int j = 3; j < 100; j += 2) {
      power *= v * v;
      double next = sum + power / j;
      if (next == sum) {
        return sum;
      }
      sum = next;
    }
    throw new ArithmeticException("deviance series did not end within 49 terms");
  }
}
