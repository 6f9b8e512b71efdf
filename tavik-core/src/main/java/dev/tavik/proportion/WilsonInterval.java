package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Normal;

/**
 * Wilson's interval (1927, "Probable inference, the law of succession, and statistical inference",
 * Journal of the American Statistical Association 22, 209-212), plain and corrected for continuity
 * (Newcombe 1998, "Two-sided confidence intervals for the single proportion: comparison of seven
 * methods", Statistics in Medicine 17, 857-872, method 4).
 *
 * <p>Its limits are the roots of (n + z²)p² - (2x + z²)p + x²/n = 0. The larger root is a sum of
 * positive terms; the smaller follows from the product of both, x²/(n(n + z²)), so that neither
 * suffers cancellation. A one-sided bound below level ½ has z &lt; 0 and comes out on the near side
 * of the estimate, as it should.
 *
 * <p>The corrected test moves x by ½, so the corrected limits are the plain ones of x - ½ and x +
 * ½.
 */
final class WilsonInterval {
  private WilsonInterval() {}

  static Limits of(Tally tally, double tail) {
    double z = Normal.upperQuantile(tail);
    return of((double) tally.successes(), (double) tally.trials(), z);
  }

  /** With the finite-population correction: as if of n(N - 1)/(N - n) trials. */
  static Limits inLot(Tally sample, long lot, double tail) {
    double n = (double) sample.trials() * (lot - 1) / (lot - sample.trials());
    return of(sample.proportion() * n, n, Normal.upperQuantile(tail));
  }

  private static Limits of(double x, double n, double z) {
    double twiceLarger = twiceLarger(x, n, z);
    return new Limits(
        x == 0 ? 0 : 2 * x * (x / n) / twiceLarger, x == n ? 1 : twiceLarger / (2 * (n + z * z)));
  }

  static Limits corrected(Tally tally, double tail) {
    double z = Normal.upperQuantile(tail);
    double x = tally.successes();
    double n = tally.trials();
    return new Limits(x == 0 ? 0 : lower(x - 0.5, n, z), x == n ? 1 : upper(x + 0.5, n, z));
  }

  /** The closed form as centre and half-width, of x not necessarily whole. */
  static CentreHalfWidth centred(double x, double n, double z) {
    double square = z * z;
    return new CentreHalfWidth(
        (x + square / 2) / (n + square),
        z * Math.sqrt(x * (n - x) / n + square / 4) / (n + square));
  }

  private static double lower(double x, double n, double z) {
    return 2 * x * (x / n) / twiceLarger(x, n, z);
  }

  private static double upper(double x, double n, double z) {
    return twiceLarger(x, n, z) / (2 * (n + z * z));
  }

  private static double twiceLarger(double x, double n, double z) {
    double square = z * z;
    return 2 * x + square + z * Math.sqrt(square + 4 * x * ((n - x) / n));
  }
}
