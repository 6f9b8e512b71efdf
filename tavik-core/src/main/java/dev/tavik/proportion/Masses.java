package dev.tavik.proportion;

import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;

/**
 * All probabilities of a binomial distribution and their sums from both ends. Ratios of neighbours
 * run outwards from the mode, until they no longer matter; right to about 10⁻¹³.
 */
final class Masses {
  private static final double NEGLIGIBLE = 1e-40;

  private final double[] masses;
  private final double[] lower;
  private final double[] upper;
  private final int from;
  private final int to;

  Masses(long trials, double p) {
    int n = (int) trials;
    DecimalFraction chance = DecimalFraction.of(p);
    Binomial binomial = new Binomial(trials, chance);
    int mode = (int) binomial.mode();
    double odds = chance.value() / chance.complement();
    masses = new double[n + 1];
    masses[mode] = Math.exp(binomial.logMass(mode));
    int low = mode;
    while (low > 0 && masses[low] > NEGLIGIBLE) {
      masses[low - 1] = masses[low] * low / ((n - low + 1) * odds);
      low--;
    }
    int high = mode;
    while (high < n && masses[high] > NEGLIGIBLE) {
      masses[high + 1] = masses[high] * odds * (n - high) / (high + 1);
      high++;
    }
    from = low;
    to = high;
    lower = new double[n + 1];
    upper = new double[n + 2];
    double sum = 0;
    for (int x = 0; x <= n; x++) {
      sum += masses[x];
      lower[x] = sum;
    }
    for (int x = n; x >= 0; x--) {
      upper[x] = upper[x + 1] + masses[x];
    }
  }

  int from() {
    return from;
  }

  int to() {
    return to;
  }

  double of(int x) {
    return masses[x];
  }

  /** P(X ≤ x), for x from -1. */
  double atMost(int x) {
    return x < 0 ? 0 : Math.min(1, lower[x]);
  }

  /** P(X ≥ x), for x up to one more than the trials. */
  double atLeast(int x) {
    return Math.min(1, upper[x]);
  }

  /** P(low ≤ X ≤ high), 0 if the ends are the wrong way round. */
  double between(int low, int high) {
    if (low > high) {
      return 0;
    }
    return Math.max(0, 1 - atMost(low - 1) - atLeast(high + 1));
  }
}
