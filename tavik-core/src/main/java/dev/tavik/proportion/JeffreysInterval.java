package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Beta;

/**
 * The equal-tailed interval of the posterior under Jeffreys's prior, Beta(x + ½, n - x + ½) (Brown,
 * Cai and DasGupta 2001, "Interval estimation for a binomial proportion", Statistical Science 16,
 * 101-133). As they advise, its lower limit is 0 at x = 0 and its upper limit 1 at x = n.
 */
final class JeffreysInterval {
  private static final double HALF = 0.5;

  private JeffreysInterval() {}

  static Limits of(Tally tally, double tail) {
    double a = tally.successes() + HALF;
    double b = tally.failures() + HALF;
    Beta posterior = new Beta(a, b);
    double lnTail = Math.log(tail);
    double lnRest = Math.log1p(-tail);
    return new Limits(
        tally.successes() == 0 ? 0 : posterior.quantile(lnTail, lnRest),
        tally.failures() == 0 ? 1 : posterior.quantile(lnRest, lnTail));
  }
}
