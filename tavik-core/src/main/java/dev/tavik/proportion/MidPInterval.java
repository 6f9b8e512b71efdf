package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.BinomialLimit;

/**
 * The interval that inverts the one-sided mid-p tests (Berry and Armitage 1995, "Mid-P confidence
 * intervals: a brief review", The Statistician 44, 417-423): P(X &gt; x) + ½P(X = x) = tail below,
 * P(X &lt; x) + ½P(X = x) = tail above.
 *
 * <p>With x = 0 the first is at least ½, with x = n the second, so for tails up to ½ these limits
 * are 0 and 1.
 */
final class MidPInterval {
  private static final double HALF = 0.5;

  private MidPInterval() {}

  static Limits of(Tally tally, double tail) {
    double lower = logOdds(tally.successes(), tally.trials(), tail);
    double upper = -logOdds(tally.failures(), tally.trials(), tail);
    return new Limits(LimitSearch.proportion(lower), LimitSearch.proportion(upper));
  }

  /** The log odds of a lower limit; infinite where it is 0 or 1. */
  private static double logOdds(long x, long n, double tail) {
    if (x == 0) {
      // 1 - ½qⁿ = tail
      double lnComplement = Math.min(0, Math.log(2 * (1 - tail))) / n;
      return Math.log(-Math.expm1(lnComplement)) - lnComplement;
    }
    if (x == n) {
      // ½pⁿ = tail
      double lnLimit = Math.min(0, Math.log(2 * tail)) / n;
      return lnLimit - Math.log(-Math.expm1(lnLimit));
    }
    double guess = WilsonInterval.of(Tally.of(x, n), Math.min(tail, HALF / 2)).lower();
    return BinomialLimit.logOdds(x, n, HALF, tail, guess);
  }
}
