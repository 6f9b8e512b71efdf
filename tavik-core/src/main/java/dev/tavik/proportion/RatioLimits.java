package dev.tavik.proportion;

import dev.tavik.numeric.Normal;

/**
 * The limits of a ratio of two proportions. Log (Katz, Baptista, Azen and Pike 1978, "Obtaining
 * confidence intervals for the risk ratio in cohort studies", Biometrics 34, 469-474): ln ratio ±
 * z√(1/x₁ - 1/n₁ + 1/x₂ - 1/n₂). Koopman (1984, "Confidence intervals for the ratio of two binomial
 * proportions", Biometrics 40, 513-517): the values that the score test doesn't reject, its
 * variance from the likeliest two proportions with that ratio; Miettinen and Nurminen (1985,
 * Statistics in Medicine 4, 213-226): the same with the variance larger by N/(N - 1).
 */
final class RatioLimits {
  private static final double FARTHEST = 700;

  private RatioLimits() {}

  static Limits log(TwoTallies data, double tail) {
    if (data.first().successes() == 0 || data.second().successes() == 0) {
      return new Limits(0, Double.POSITIVE_INFINITY);
    }
    double half = Normal.upperQuantile(tail) * logError(data);
    return new Limits(ratio(data) * Math.exp(-half), ratio(data) * Math.exp(half));
  }

  static double ratio(TwoTallies data) {
    return data.first().proportion() / data.second().proportion();
  }

  /** The standard error of the logarithm of the ratio; infinite without successes in a group. */
  static double logError(TwoTallies data) {
    double x1 = data.first().successes();
    double x2 = data.second().successes();
    return Math.sqrt(
        data.first().failures() / (x1 * data.first().trials())
            + data.second().failures() / (x2 * data.second().trials()));
  }

  static Limits koopman(TwoTallies data, double tail) {
    return score(data, Normal.upperQuantile(tail));
  }

  static Limits miettinenNurminen(TwoTallies data, double tail) {
    double n = data.total();
    return score(data, Normal.upperQuantile(tail) * Math.sqrt(n / (n - 1)));
  }

  private static Limits score(TwoTallies data, double z) {
    double x1 = data.first().successes();
    double x2 = data.second().successes();
    double guess =
        Math.log((x1 + 0.5) / (data.first().trials() + 0.5))
            - Math.log((x2 + 0.5) / (data.second().trials() + 0.5));
    double step = 0.5 * Math.sqrt(1 / (x1 + 0.5) + 1 / (x2 + 0.5));
    double lower =
        x1 == 0
            ? 0
            : Math.exp(
                LimitSearch.search(u -> z - statistic(data, u), guess, step, -FARTHEST, FARTHEST));
    double upper =
        x2 == 0
            ? Double.POSITIVE_INFINITY
            : Math.exp(
                LimitSearch.search(u -> -z - statistic(data, u), guess, step, -FARTHEST, FARTHEST));
    return new Limits(lower, upper);
  }

  /** (p₁ - φp₂) / √V at the likeliest two proportions with ratio φ = eᵘ; falls in u. */
  private static double statistic(TwoTallies data, double u) {
    // All divided by a ratio above 1, which may be too large to be squared.
    double ratio = u > 0 ? 1 : Math.exp(u);
    double unit = u > 0 ? Math.exp(-u) : 1;
    double n1 = data.first().trials();
    double n2 = data.second().trials();
    double b = ratio * (n1 + data.second().successes()) + unit * (data.first().successes() + n2);
    double c = data.successes();
    double root = Math.sqrt(Math.max(0, b * b - 4 * data.total() * ratio * unit * c));
    double p2 = Math.min(1, 2 * c * unit / (b + root));
    double p1 = Math.min(1, 2 * c * ratio / (b + root));
    double variance = unit * unit * (p1 * (1 - p1)) / n1 + ratio * ratio * (p2 * (1 - p2)) / n2;
    double distance = unit * data.first().proportion() - ratio * data.second().proportion();
    return distance == 0 ? 0 : distance / Math.sqrt(variance);
  }
}
