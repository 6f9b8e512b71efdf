package dev.tavik.simulation;

import dev.tavik.numeric.LogFactorials;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;

/** Draws of one count from a distribution that changes from draw to draw. */
final class CountDraws {
  private static final double FEW = 10;

  private CountDraws() {}

  /**
   * A hypergeometric count, by chopping one random number down from the mode outwards
   * (Kachitvichyanukul and Schmeiser 1985, Journal of Statistical Computation and Simulation 22,
   * 127-145).
   */
  static int hypergeometric(
      XoShiRo256PlusPlus random, LogFactorials logs, int population, int marked, int drawn) {
    int least = Math.max(0, drawn - (population - marked));
    int greatest = Math.min(marked, drawn);
    if (least == greatest) {
      return least;
    }
    int unmarked = population - marked;
    int mode =
        (int) Math.max(least, Math.min(greatest, (marked + 1L) * (drawn + 1L) / (population + 2L)));
    double peak =
        Math.exp(
            logs.log(marked)
                - logs.log(mode)
                - logs.log(marked - mode)
                + logs.log(unmarked)
                - logs.log(drawn - mode)
                - logs.log(unmarked - drawn + mode)
                - logs.log(population)
                + logs.log(drawn)
                + logs.log(population - drawn));
    double left = random.nextDouble() - peak;
    int down = mode;
    int up = mode;
    double lower = peak;
    double upper = peak;
    while (left >= 0) {
      boolean moved = false;
      if (up < greatest) {
        upper *=
            (double) (marked - up) * (drawn - up) / ((up + 1.0) * (unmarked - drawn + up + 1.0));
        up++;
        left -= upper;
        if (left < 0) {
          return up;
        }
        moved = true;
      }
      if (down > least) {
        lower *=
            (double) down
                * (unmarked - drawn + down)
                / ((marked - down + 1.0) * (drawn - down + 1.0));
        down--;
        left -= lower;
        if (left < 0) {
          return down;
        }
        moved = true;
      }
      if (!moved) {
        // Rounding may leave the last 10⁻¹⁵.
        return mode;
      }
    }
    return mode;
  }

  /** A binomial count: by chopping down from 0 where few are expected, else by rejection. */
  static long binomial(XoShiRo256PlusPlus random, long n, double p) {
    if (n == 0 || p <= 0) {
      return 0;
    }
    if (p > 0.5) {
      return p >= 1 ? n : n - binomial(random, n, 1 - p);
    }
    return n * p < FEW ? chopped(random, n, p) : rejected(random, n, p);
  }

  private static long chopped(XoShiRo256PlusPlus random, long n, double p) {
    double odds = p / (1 - p);
    double mass = Math.exp(n * Math.log1p(-p));
    double left = random.nextDouble();
    long x = 0;
    while (left >= mass && x < n) {
      left -= mass;
      x++;
      mass *= odds * ((n - x + 1.0) / x);
      if (mass < 1e-300) {
        break;
      }
    }
    return x;
  }

  /** Transformed rejection (Hörmann 1993, Journal of Statistical Computation and Simulation 46). */
  private static long rejected(XoShiRo256PlusPlus random, long n, double p) {
    double q = 1 - p;
    double deviation = Math.sqrt(n * p * q);
    double b = 1.15 + 2.53 * deviation;
    double a = -0.0873 + 0.0248 * b + 0.01 * p;
    double c = n * p + 0.5;
    double quick = 0.92 - 4.2 / b;
    double alpha = (2.83 + 5.1 / b) * deviation;
    double logOdds = Math.log(p / q);
    double mode = Math.floor((n + 1) * p);
    double height = Double.NaN;
    while (true) {
      double v = random.nextDouble();
      double u = random.nextDouble() - 0.5;
      double us = 0.5 - Math.abs(u);
      double k = Math.floor((2 * a / us + b) * u + c);
      if (k < 0 || k > n) {
        continue;
      }
      if (us >= 0.07 && v <= quick) {
        return (long) k;
      }
      if (Double.isNaN(height)) {
        height = LogGamma.value(mode + 1) + LogGamma.value(n - mode + 1);
      }
      double bound = Math.log(v * alpha / (a / (us * us) + b));
      if (bound
          <= height - LogGamma.value(k + 1) - LogGamma.value(n - k + 1) + (k - mode) * logOdds) {
        return (long) k;
      }
    }
  }
}
