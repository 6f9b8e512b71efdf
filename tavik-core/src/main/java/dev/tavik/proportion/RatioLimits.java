package dev.tavik.proportion;

import dev.tavik.count.Tally;
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

  /**
   * (p₁ - φp₂) / √V at the likeliest two proportions with ratio φ = eᵘ; falls in u. Above φ = 1 the
   * groups change places, so that nothing is multiplied by a ratio too large to be squared.
   */
  private static double statistic(TwoTallies data, double u) {
    return u > 0
        ? -upToOne(data.second(), data.first(), -u)
        : upToOne(data.first(), data.second(), u);
  }

  /**
   * For φ ≤ 1. Everything that is small where proportions or φ are near 1 is a sum of numbers of
   * one sign: the discriminant is (φ(n₁ + x₂) - (x₁ + n₂))² + 4φf₁f₂, with f the failures.
   */
  private static double upToOne(Tally first, Tally second, double u) {
    double ratio = Math.exp(u);
    double less = Math.expm1(u);
    double n1 = first.trials();
    double n2 = second.trials();
    double x1 = first.successes();
    double x2 = second.successes();
    double f1 = first.failures();
    double f2 = second.failures();
    double both = x1 + x2;
    double apart = less * (n1 + x2) + f1 - f2;
    double root = Math.sqrt(apart * apart + 4 * ratio * f1 * f2);
    double whole = ratio * (n1 + x2) + x1 + n2 + root;
    double p2 = Math.min(1, 2 * both / whole);
    double q1 = Math.min(1, (ratio * f1 + f2 - less * both + root) / whole);
    double sum = less * (n1 + x2) + f1 + f2;
    double q2 = (sum < 0 ? -4 * less * f2 * both / (root - sum) : sum + root) / whole;
    double variance = ratio * p2 * q1 / n1 + ratio * ratio * p2 * Math.min(1, q2) / n2;
    double distance = 2 * x1 > n1 ? ratio * f2 / n2 - f1 / n1 - less : x1 / n1 - ratio * (x2 / n2);
    return distance == 0 ? 0 : distance / Math.sqrt(variance);
  }
}
