package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Normal;
import dev.tavik.proportion.ProportionInterval.Limits;

/**
 * Wilson's interval (1927, "Probable inference, the law of succession, and statistical inference",
 * Journal of the American Statistical Association 22, 209-212).
 *
 * <p>Its limits are the roots of (n + z²)p² - (2x + z²)p + x²/n = 0. The larger root is a sum of
 * positive terms; the smaller follows from the product of both, x²/(n(n + z²)), so that neither
 * suffers cancellation. A one-sided bound below level ½ has z &lt; 0 and comes out on the near side
 * of the estimate, as it should.
 */
final class WilsonInterval {
  private WilsonInterval() {}

  static Limits of(Tally tally, double tail) {
    double x = tally.successes();
    double n = tally.trials();
    double z = Normal.upperQuantile(tail);
    double square = z * z;
    double root = z * Math.sqrt(square + 4 * x * (tally.failures() / n));
    double twiceLarger = 2 * x + square + root;
    double lower = x == 0 ? 0 : 2 * x * (x / n) / twiceLarger;
    double upper = x == n ? 1 : twiceLarger / (2 * (n + square));
    return new Limits(lower, upper);
  }
}
