package dev.tavik.proportion;

import dev.tavik.count.PairedTally;
import dev.tavik.numeric.Normal;
import dev.tavik.result.Estimand;

/**
 * The limits of the difference of two proportions of the same units, with b and c the discordant
 * counts of n pairs. Wald: d ± z√(b + c - (b - c)²/n)/n. Bonett and Price (2012, "Adjusted Wald
 * confidence interval for a difference of binomial proportions based on paired data", Journal of
 * Educational and Behavioral Statistics 37, 479-488): Wald's, after one pair is added to each
 * discordant cell, over n + 2. Newcombe (1998, "Improved confidence intervals for the difference
 * between binomial proportions based on paired data", Statistics in Medicine 17, 2635-2650, method
 * 10): the distances to both Wilson limits, squared and added with their correlation, corrected for
 * continuity. Tango (1998, "Equivalence test and confidence interval for the difference in
 * proportions for the paired-sample design", Statistics in Medicine 17, 891-908): the values that
 * the score test doesn't reject.
 */
final class PairedLimits {
  private PairedLimits() {}

  static Limits wald(PairedTally tally, double tail) {
    double d = tally.difference();
    return around(d, Normal.upperQuantile(tail) * standardError(tally));
  }

  static double standardError(PairedTally tally) {
    double n = tally.pairs();
    double away = tally.firstOnly() - tally.secondOnly();
    return Math.sqrt(tally.discordant() - away * (away / n)) / n;
  }

  static Limits bonettPrice(PairedTally tally, double tail) {
    double n = tally.pairs() + 2.0;
    double b = (tally.firstOnly() + 1) / n;
    double c = (tally.secondOnly() + 1) / n;
    double d = (tally.firstOnly() - tally.secondOnly()) / n;
    return around(d, Normal.upperQuantile(tail) * Math.sqrt((b + c - d * d) / n));
  }

  private static Limits around(double centre, double half) {
    return new Limits(centre - half, centre + half).clipped(Estimand.DIFFERENCE);
  }

  static Limits newcombe(PairedTally tally, double tail) {
    Limits first = WilsonInterval.of(tally.first(), tail);
    Limits second = WilsonInterval.of(tally.second(), tail);
    double p1 = tally.first().proportion();
    double p2 = tally.second().proportion();
    double phi = correctedPhi(tally);
    double d = tally.difference();
    return new Limits(
            d - joint(p1 - first.lower(), second.upper() - p2, phi),
            d + joint(first.upper() - p1, p2 - second.lower(), phi))
        .clipped(Estimand.DIFFERENCE);
  }

  private static double joint(double one, double two, double phi) {
    return Math.sqrt(Math.max(0, one * one - 2 * phi * one * two + two * two));
  }

  /**
   * The correlation, its numerator moved towards 0 by n/2 where it is positive; 0 with an empty
   * margin.
   */
  static double correctedPhi(PairedTally tally) {
    double margins =
        (double) tally.first().successes()
            * tally.first().failures()
            * ((double) tally.second().successes() * tally.second().failures());
    if (margins == 0) {
      return 0;
    }
    double cross =
        (double) tally.both() * tally.neither() - (double) tally.firstOnly() * tally.secondOnly();
    double corrected = cross > 0 ? Math.max(0, cross - tally.pairs() / 2.0) : cross;
    return corrected / Math.sqrt(margins);
  }

  static Limits tango(PairedTally tally, double tail) {
    return ScoreLimits.of(
        tally.difference(),
        Normal.upperQuantile(tail),
        tally.pairs(),
        delta -> restrictedError(tally, delta));
  }

  /** The standard error at the likeliest cells whose proportions differ by δ. */
  private static double restrictedError(PairedTally tally, double delta) {
    double n = tally.pairs();
    double b = tally.firstOnly();
    double c = tally.secondOnly();
    double linear = -b - c + (2 * n - b + c) * delta;
    double constant = -c * delta * (1 - delta);
    double root = Math.sqrt(Math.max(0, linear * linear - 8 * n * constant));
    // Of both forms of the root the one without cancellation.
    double q = linear > 0 ? -2 * constant / (linear + root) : (root - linear) / (4 * n);
    return Math.sqrt(Math.max(0, 2 * q + delta * (1 - delta)) / n);
  }
}
