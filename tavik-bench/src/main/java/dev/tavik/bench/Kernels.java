package dev.tavik.bench;

import org.apache.commons.numbers.gamma.Erfc;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.numbers.gamma.RegularizedBeta;
import org.apache.commons.numbers.gamma.RegularizedGamma;

/**
 * The plain arithmetic that a method can't do without, for numbers known to be good: nothing is
 * checked, named or kept. They are right to some ten digits, which is enough to be timed against.
 */
final class Kernels {
  private static final double Z = 1.959963984540054;
  private static final double LAST_PLACE = 0x1p-54;

  private Kernels() {}

  /** The pooled z test's p, two Wilson intervals and Newcombe's, all limits added up. */
  static double comparison(double x, double n, double y, double m) {
    double p = x / n;
    double q = y / m;
    double pooled = (x + y) / (n + m);
    double z = (p - q) / Math.sqrt(pooled * (1 - pooled) * (1 / n + 1 / m));
    double tail = Erfc.value(Math.abs(z) / Math.sqrt(2));
    double square = Z * Z;
    double half1 = Z * Math.sqrt(x * (n - x) / n + square / 4) / (n + square);
    double centre1 = (x + square / 2) / (n + square);
    double half2 = Z * Math.sqrt(y * (m - y) / m + square / 4) / (m + square);
    double centre2 = (y + square / 2) / (m + square);
    double below = Math.hypot(p - (centre1 - half1), centre2 + half2 - q);
    double above = Math.hypot(centre1 + half1 - p, q - (centre2 - half2));
    return tail + centre1 + half1 + centre2 + half2 + below + above;
  }

  private static double stirling(double k) {
    if (k < 16) {
      return k == 0 ? 0 : LogGamma.value(k + 1) - ((k + 0.5) * Math.log(k) - k + HALF_LN_2_PI);
    }
    double s = k * k;
    return (1 / 12.0 - (1 / 360.0 - (1 / 1260.0 - 1 / 1680.0 / s) / s) / s) / k;
  }

  private static final double HALF_LN_2_PI = 0.5 * Math.log(2 * Math.PI);

  /** ln n!, by Stirling. */
  private static double factorial(double n) {
    return n == 0 ? 0 : (n + 0.5) * Math.log(n) - n + HALF_LN_2_PI + stirling(n);
  }

  /** Fisher's two-sided p of x of n and y of m: both tails by ratios from the observed table. */
  static double fisher(double x, double n, double y, double m) {
    double s = x + y;
    double mass =
        Math.exp(
            factorial(n)
                - factorial(x)
                - factorial(n - x)
                + factorial(m)
                - factorial(y)
                - factorial(m - y)
                - factorial(n + m)
                + factorial(s)
                + factorial(n + m - s));
    boolean above = x * m > y * n;
    // The observed tail outwards, then inwards until the mass is the observed one again.
    double a = above ? x : y;
    double size = above ? n : m;
    double other = above ? m : n;
    double term = 1;
    double sum = 1;
    for (double k = a; term > LAST_PLACE * sum && k < Math.min(size, s); k++) {
      term *= (size - k) * (s - k) / ((k + 1) * (other - s + k + 1));
      sum += term;
    }
    term = 1;
    double k = a;
    double least = Math.max(0, s - other);
    while (k > least) {
      term *= k * (other - s + k) / ((size - k + 1) * (s - k + 1));
      k--;
      if (term <= 1 + 1e-7) {
        break;
      }
    }
    if (term <= 1 + 1e-7) {
      double tail = term;
      while (k > least && term > LAST_PLACE * sum) {
        term *= k * (other - s + k) / ((size - k + 1) * (s - k + 1));
        k--;
        tail += term;
      }
      sum += tail;
    }
    return Math.min(1, mass * sum);
  }

  /** Both limits of Clopper and Pearson by Newton's method on the incomplete beta function. */
  static double clopperPearson(double x, double n) {
    double square = Z * Z;
    double half = Z * Math.sqrt(x * (n - x) / n + square / 4) / (n + square);
    double centre = (x + square / 2) / (n + square);
    return betaRoot(0.025, x, n - x + 1, centre - half)
        + betaRoot(0.975, x + 1, n - x, centre + half);
  }

  private static double betaRoot(double area, double a, double b, double guess) {
    double constant = factorial(a + b - 1) - factorial(a - 1) - factorial(b - 1);
    double p = guess;
    for (int i = 0; i < 40; i++) {
      double density = Math.exp(constant + (a - 1) * Math.log(p) + (b - 1) * Math.log1p(-p));
      double step = (RegularizedBeta.value(p, a, b) - area) / density;
      // Halley's correction.
      double bend = (a - 1) / p - (b - 1) / (1 - p);
      step /= 1 - Math.min(1, Math.max(-1, step * bend)) / 2;
      p = Math.min(1 - 1e-300, Math.max(1e-300, p - step));
      if (Math.abs(step) <= 1e-13 * p) {
        return p;
      }
    }
    return p;
  }

  /** The upper tail of the noncentral chi-square distribution: the mixture from below upwards. */
  static double noncentral(double x, double df, double lambda) {
    double mean = lambda / 2;
    double half = x / 2;
    double k = Math.max(0, Math.floor(mean - 8 * Math.sqrt(mean) - 20));
    double a = df / 2 + k;
    double density = Math.exp((a - 1) * Math.log(half) - half - LogGamma.value(a));
    double weight = Math.exp(k * Math.log(mean) - mean - LogGamma.value(k + 1));
    double tail = RegularizedGamma.Q.value(a, half);
    double sum = weight * tail;
    double weights = weight;
    double to = mean + 8 * Math.sqrt(mean) + 20;
    while (k < to) {
      density *= half / a;
      tail += density;
      a++;
      k++;
      weight *= mean / k;
      sum += weight * tail;
      weights += weight;
    }
    return sum / weights;
  }
}
