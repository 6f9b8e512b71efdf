package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.BinomialLimit;

/**
 * The interval of Clopper and Pearson (1934, "The use of confidence or fiducial limits illustrated
 * in the case of the binomial", Biometrika 26, 404-413).
 *
 * <p>The lower limit solves P(X ≥ x) = tail, the upper P(X ≤ x) = tail. At x = 0 and x = n the
 * solution is a root of the tail itself.
 */
final class ClopperPearsonInterval {
  private ClopperPearsonInterval() {}

  static Limits of(Tally tally, double tail) {
    return new Limits(lower(tally, tail), upper(tally, tail));
  }

  static double lower(Tally tally, double tail) {
    return tally.successes() == 0
        ? 0
        : LimitSearch.proportion(logOdds(tally.successes(), tally.trials(), tail));
  }

  static double upper(Tally tally, double tail) {
    return tally.failures() == 0
        ? 1
        : LimitSearch.proportion(-logOdds(tally.failures(), tally.trials(), tail));
  }

  /** The log odds of the lower limit of a count above 0. */
  static double logOdds(long x, long n, double tail) {
    if (x == n) {
      double lnLimit = Math.log(tail) / n;
      return lnLimit - Math.log(-Math.expm1(lnLimit));
    }
    double guess = WilsonInterval.corrected(Tally.of(x, n), tail).lower();
    return BinomialLimit.logOdds(x, n, 1, tail, guess);
  }
}
