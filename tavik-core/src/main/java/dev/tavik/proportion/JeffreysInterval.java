package dev.tavik.proportion;

import dev.tavik.count.Tally;
import org.apache.commons.numbers.gamma.RegularizedBeta;

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
    double lnTail = Math.log(tail);
    Limits guess = WilsonInterval.of(tally, tail);
    double lower =
        tally.successes() == 0
            ? 0
            : LimitSearch.root(
                p -> Math.log(RegularizedBeta.value(p, a, b)) - lnTail, guess.lower(), tally);
    double upper =
        tally.failures() == 0
            ? 1
            : LimitSearch.root(
                p -> lnTail - Math.log(RegularizedBeta.complement(p, a, b)), guess.upper(), tally);
    return new Limits(lower, upper);
  }
}
