package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;

/**
 * The values that the likelihood-ratio test doesn't reject (Wilks 1938, Annals of Mathematical
 * Statistics 9, 60-62): where the signed root of G² passes ±z. At x = 0 and x = n one end is that
 * of the scale and the other is closed, G² = -2n ln(1 - p).
 */
final class LikelihoodInterval {
  private LikelihoodInterval() {}

  static Limits of(Tally tally, double tail) {
    double z = Normal.upperQuantile(tail);
    double closed = -z * z / (2.0 * tally.trials());
    Limits guess = WilsonInterval.of(tally, tail);
    double lower =
        tally.successes() == 0
            ? 0
            : tally.failures() == 0
                ? Math.exp(closed)
                : LimitSearch.root(p -> z - signedRoot(tally, p), guess.lower(), tally);
    double upper =
        tally.failures() == 0
            ? 1
            : tally.successes() == 0
                ? -Math.expm1(closed)
                : LimitSearch.root(p -> -z - signedRoot(tally, p), guess.upper(), tally);
    return new Limits(lower, upper);
  }

  private static double signedRoot(Tally tally, double p) {
    return LikelihoodRatioTest.signedRoot(tally, DecimalFraction.exactly(p));
  }
}
