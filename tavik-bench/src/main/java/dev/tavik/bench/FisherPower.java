package dev.tavik.bench;

import org.apache.commons.numbers.gamma.LogGamma;

/** The exact power of Fisher's two-sided test, for two groups of one size. */
final class FisherPower {
  private static final double NEGLIGIBLE = 1e-18;

  private FisherPower() {}

  private static double[] masses(int n, double p) {
    double[] masses = new double[n + 1];
    int mode = (int) ((n + 1) * p);
    masses[mode] =
        Math.exp(
            LogGamma.value(n + 1.0)
                - LogGamma.value(mode + 1.0)
                - LogGamma.value(n - mode + 1.0)
                + mode * Math.log(p)
                + (n - mode) * Math.log1p(-p));
    double odds = p / (1 - p);
    for (int x = mode; x < n && masses[x] > NEGLIGIBLE; x++) {
      masses[x + 1] = masses[x] * odds * (n - x) / (x + 1.0);
    }
    for (int x = mode; x > 0 && masses[x] > NEGLIGIBLE; x--) {
      masses[x - 1] = masses[x] * x / (odds * (n - x + 1.0));
    }
    return masses;
  }

  /** For each total that can occur the least probable tables up to alpha, and their chance. */
  static double of(int n, double p, double q, double alpha) {
    double[] ones = masses(n, p);
    double[] twos = masses(n, q);
    double[] weights = new double[n + 1];
    int from = 0;
    int to = 2 * n;
    int middle = (int) (n * (p + q));
    double power = 0;
    for (int direction = -1; direction <= 1; direction += 2) {
      for (int s = direction < 0 ? middle : middle + 1; s >= from && s <= to; s += direction) {
        double chance = of(n, s, ones, twos, weights, alpha);
        power += chance < 0 ? -chance - 2 : chance;
        if (chance < 0) {
          break;
        }
      }
    }
    return power;
  }

  /**
   * The chance of rejecting with one total; two less than minus it where the total hardly occurs.
   */
  private static double of(
      int n, int s, double[] ones, double[] twos, double[] weights, double alpha) {
    int least = Math.max(0, s - n);
    int most = Math.min(n, s);
    int mode = Math.max(least, Math.min(most, (s + 1) / 2));
    double total = 1;
    weights[mode] = 1;
    int low = mode;
    double weight = 1;
    while (low > least && weight > NEGLIGIBLE) {
      double x = low;
      weight *= x * (n - s + x) / ((n - x + 1) * (s - x + 1));
      weights[--low] = weight;
      total += weight;
    }
    int high = mode;
    weight = 1;
    while (high < most && weight > NEGLIGIBLE) {
      double x = high;
      weight *= (n - x) * (s - x) / ((x + 1) * (n - s + x + 1));
      weights[++high] = weight;
      total += weight;
    }
    double limit = alpha * total;
    double sum = 0;
    double chance = 0;
    double occurs = 0;
    for (int x = low; x <= high; x++) {
      occurs += ones[x] * twos[s - x];
    }
    while (low < high) {
      double smaller = Math.min(weights[low], weights[high]) * (1 + 1e-7);
      double next = sum;
      double more = 0;
      while (low <= high && weights[low] <= smaller) {
        next += weights[low];
        more += ones[low] * twos[s - low];
        low++;
      }
      while (low <= high && weights[high] <= smaller) {
        next += weights[high];
        more += ones[high] * twos[s - high];
        high--;
      }
      if (next > limit) {
        break;
      }
      sum = next;
      chance += more;
    }
    return occurs < NEGLIGIBLE ? -2 - chance : chance;
  }

  /**
   * The smallest size from which the power stays: a tenth beyond the last that lacks it is looked
   * at.
   */
  static int smallest(double base, double expected, double alpha, double power) {
    double z = 1.96 + 1.2816;
    double difference = base - expected;
    double guess =
        z * z * (base * (1 - base) + expected * (1 - expected)) / (difference * difference);
    int lacking = (int) (0.95 * guess);
    for (int n = lacking; n < 1.1 * lacking; n++) {
      if (of(n, expected, base, alpha) < power) {
        lacking = n;
      }
    }
    return lacking + 1;
  }
}
