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
    return centred((double) tally.successes(), (double) tally.trials(), z(tail)).clipped(0);
  }

  static Limits corrected(Tally tally, double tail) {
    double n = tally.trials();
    return centred((double) tally.successes(), n, z(tail)).clipped(0.5 / n);
  }

  static Limits agrestiCoull(Tally tally, double tail) {
    return agrestiCoull((double) tally.successes(), (double) tally.trials(), z(tail)).clipped(0);
  }

  private static double z(double tail) {
    return Normal.upperQuantile(tail);
  }

  /** Wald's interval as centre and half-width, of x not necessarily whole. */
  static CentreHalfWidth centred(double x, double n, double z) {
    double p = x / n;
    return new CentreHalfWidth(p, z * Math.sqrt(p * ((n - x) / n) / n));
  }

  /** The same after z²/2 successes and failures are added. */
  static CentreHalfWidth agrestiCoull(double x, double n, double z) {
    return centred(x + z * z / 2, n + z * z, z);
  }
}
