package dev.tavik.proportion;

import static dev.tavik.proportion.LimitSearch.at;

import dev.tavik.count.Tally;

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
    long x = tally.successes();
    double lnTail = Math.log(tail);
    Limits guess = WilsonInterval.of(tally, Math.min(tail, HALF / 2));
    double lower =
        x == 0 && tail <= HALF
            ? 0
            : LimitSearch.root(
                p -> BinomialTest.logMidUpper(at(tally, p), x) - lnTail, guess.lower(), tally);
    double upper =
        tally.failures() == 0 && tail <= HALF
            ? 1
            : LimitSearch.root(
                p -> lnTail - BinomialTest.logMidLower(at(tally, p), x), guess.upper(), tally);
    return new Limits(lower, upper);
  }
}
