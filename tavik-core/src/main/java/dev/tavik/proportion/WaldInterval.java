package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Normal;

/**
 * p ± z√(p(1 - p)/n), plain, with 1/2n added for continuity, and with z²/2 added to successes and
 * failures (Agresti and Coull 1998, "Approximate is better than 'exact' for interval estimation of
 * binomial proportions", The American Statistician 52, 119-126). Limits beyond 0 and 1 are clipped.
 */
final class WaldInterval {
  private WaldInterval() {}

  static Limits of(Tally tally, double tail) {
    double z = Normal.upperQuantile(tail);
    return around((double) tally.successes(), (double) tally.trials(), z, 0);
  }

  static Limits corrected(Tally tally, double tail) {
    double z = Normal.upperQuantile(tail);
    double n = tally.trials();
    return around((double) tally.successes(), n, z, 0.5 / n);
  }

  static Limits agrestiCoull(Tally tally, double tail) {
    double z = Normal.upperQuantile(tail);
    double square = z * z;
    return around(tally.successes() + square / 2, tally.trials() + square, z, 0);
  }

  private static Limits around(double x, double n, double z, double correction) {
    double p = x / n;
    double half = z * Math.sqrt(p * ((n - x) / n) / n) + correction;
    return new Limits(Math.max(0, Math.min(1, p - half)), Math.max(0, Math.min(1, p + half)));
  }
}
