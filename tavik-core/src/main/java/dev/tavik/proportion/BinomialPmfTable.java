package dev.tavik.proportion;

import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import java.util.Arrays;

/**
 * All probabilities of a binomial distribution and their sums from both ends. Ratios of neighbours
 * run outwards from the mode, until they no longer matter; right to about 10⁻¹³.
 */
final class BinomialPmfTable {
  private static final double NEGLIGIBLE = 1e-25;
  private static final int LEAST_ROOM = 64;

  /** From {@code from} on, and the sums up to and from each of them. */
  private final double[] masses;

  private final double[] lower;
  private final double[] upper;
  private final int from;
  private final int to;

  BinomialPmfTable(long trials, double p) {
    DecimalFraction chance = DecimalFraction.of(p);
    Binomial binomial = new Binomial(trials, chance);
    int mode = (int) binomial.mode();
    double n = (double) trials;
    double odds = chance.value() / chance.complement();
    double peak = Math.exp(binomial.logMass(mode));
    double[] down = new double[LEAST_ROOM];
    int below = 0;
    double mass = peak;
    for (double x = mode; x > 0 && mass > NEGLIGIBLE; x--) {
      mass *= x / ((n - x + 1) * odds);
      down = below == down.length ? Arrays.copyOf(down, 2 * below) : down;
      down[below++] = mass;
    }
    double[] up = new double[LEAST_ROOM];
    int above = 0;
    mass = peak;
    for (double x = mode; x < n && mass > NEGLIGIBLE; x++) {
      mass *= odds * (n - x) / (x + 1);
      up = above == up.length ? Arrays.copyOf(up, 2 * above) : up;
      up[above++] = mass;
    }
    from = mode - below;
    to = mode + above;
    masses = new double[below + 1 + above];
    for (int i = 0; i < below; i++) {
      masses[below - 1 - i] = down[i];
    }
    masses[below] = peak;
    System.arraycopy(up, 0, masses, below + 1, above);
    lower = masses.clone();
    upper = masses.clone();
    for (int i = 1; i < masses.length; i++) {
      lower[i] += lower[i - 1];
      upper[masses.length - 1 - i] += upper[masses.length - i];
    }
  }

  int from() {
    return from;
  }

  int to() {
    return to;
  }

  double of(int x) {
    return x < from || x > to ? 0 : masses[x - from];
  }

  /** P(X ≤ x). */
  double atMost(int x) {
    return x < from ? 0 : Math.min(1, lower[Math.min(x, to) - from]);
  }

  /** P(X ≥ x). */
  double atLeast(int x) {
    return x > to ? 0 : Math.min(1, upper[Math.max(x, from) - from]);
  }

  /** The chance of a total with a count of these from least to greatest, all of them in range. */
  double sumWith(BinomialPmfTable other, int total, int least, int greatest) {
    double sum = 0;
    int mirrored = total - other.from;
    for (int x = least; x <= greatest; x++) {
      sum += masses[x - from] * other.masses[mirrored - x];
    }
    return sum;
  }

  /** P(low ≤ X ≤ high), 0 if the ends are the wrong way round. */
  double between(int low, int high) {
    if (low > high) {
      return 0;
    }
    return Math.max(0, 1 - atMost(low - 1) - atLeast(high + 1));
  }
}
