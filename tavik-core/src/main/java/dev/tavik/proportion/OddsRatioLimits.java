package dev.tavik.proportion;

import dev.tavik.numeric.ConditionalTail;
import dev.tavik.numeric.Hypergeometric;
import dev.tavik.numeric.Newton;
import dev.tavik.numeric.Normal;

/**
 * Odds ratios and their limits, with a, b the successes and failures of the first group and c, d
 * those of the second. Woolf (1955, "On estimating the relation between blood group and disease",
 * Annals of Human Genetics 19, 251-253): ln(ad/bc) ± z√(1/a + 1/b + 1/c + 1/d); Gart (1966,
 * "Alternative analyses of contingency tables", Journal of the Royal Statistical Society B 28,
 * 164-179): the same with ½ added to each. Score (Cornfield 1956, Proceedings of the Third Berkeley
 * Symposium 4, 135-148): the values at which the observed table is z standard errors from the one
 * with the same margins. Conditional (Cornfield 1956; Mehta, Patel and Gray 1985, Journal of the
 * American Statistical Association 80, 969-973): the values at which the noncentral hypergeometric
 * tail, with or without half of the observed table, is as large as wanted.
 */
final class OddsRatioLimits {
  private static final double FARTHEST = 700;

  private OddsRatioLimits() {}

  static double crossProduct(TwoTallies data) {
    return (double) data.first().successes()
        / data.first().failures()
        * ((double) data.second().failures() / data.second().successes());
  }

  /** The standard error of the logarithm of the cross product; infinite with a zero cell. */
  static double logError(TwoTallies data, double added) {
    return Math.sqrt(
        1 / (data.first().successes() + added)
            + 1 / (data.first().failures() + added)
            + 1 / (data.second().successes() + added)
            + 1 / (data.second().failures() + added));
  }

  static Limits woolf(TwoTallies data, double tail) {
    double error = logError(data, 0);
    if (Double.isInfinite(error)) {
      return new Limits(0, Double.POSITIVE_INFINITY);
    }
    return around(crossProduct(data), Normal.upperQuantile(tail) * error);
  }

  static Limits gart(TwoTallies data, double tail) {
    return around(gartEstimate(data), Normal.upperQuantile(tail) * logError(data, 0.5));
  }

  static double gartEstimate(TwoTallies data) {
    return (data.first().successes() + 0.5)
        / (data.first().failures() + 0.5)
        * ((data.second().failures() + 0.5) / (data.second().successes() + 0.5));
  }

  private static Limits around(double estimate, double half) {
    return new Limits(estimate * Math.exp(-half), estimate * Math.exp(half));
  }

  static Limits score(TwoTallies data, double tail) {
    double z = Normal.upperQuantile(tail);
    return limits(data, u -> z - scoreStatistic(data, u), u -> -z - scoreStatistic(data, u));
  }

  static Limits conditionalExact(TwoTallies data, double tail) {
    return conditional(data, tail, 1);
  }

  static Limits conditionalMidP(TwoTallies data, double tail) {
    return conditional(data, tail, 0.5);
  }

  private static Limits conditional(TwoTallies data, double tail, double weight) {
    Hypergeometric range = margins(data);
    long x = data.first().successes();
    double wanted = Math.log(tail);
    double half = Normal.upperQuantile(tail) * logError(data, 0.5);
    ConditionalTail tails = tails(data);
    return new Limits(
        x == range.least() ? 0 : root(data, -half, u -> from(tails.at(u).upper(weight), wanted, 1)),
        x == range.greatest()
            ? Double.POSITIVE_INFINITY
            : root(data, half, u -> from(tails.at(u).lower(weight), wanted, -1)));
  }

  /** How far a tail is from the one wanted, of either sign. */
  private static Newton.Point from(Newton.Point tail, double wanted, int sign) {
    return new Newton.Point(sign * (tail.value() - wanted), sign * tail.slope());
  }

  private static double root(TwoTallies data, double away, Newton.Sloped rising) {
    double guess = Math.log(gartEstimate(data)) + away;
    double start = Math.max(-FARTHEST, Math.min(FARTHEST, guess));
    return Math.exp(Newton.root(rising, -FARTHEST, FARTHEST, start));
  }

  /** The conditional maximum-likelihood estimate: the odds ratio at which x is expected. */
  static double conditionalEstimate(TwoTallies data) {
    long x = data.first().successes();
    Hypergeometric range = margins(data);
    if (range.least() == range.greatest()) {
      return Double.NaN;
    }
    if (x == range.least()) {
      return 0;
    }
    if (x == range.greatest()) {
      return Double.POSITIVE_INFINITY;
    }
    ConditionalTail tails = tails(data);
    return root(data, 0, u -> new Newton.Point(tails.at(u).away(), tails.variance()));
  }

  /** The standard error of the logarithm of the conditional estimate. */
  static double conditionalLogError(TwoTallies data, double estimate) {
    return 1 / Math.sqrt(tails(data).at(Math.log(estimate)).variance());
  }

  private static ConditionalTail tails(TwoTallies data) {
    return new ConditionalTail(
        data.first().successes(), data.first().trials(), data.second().trials(), data.successes());
  }

  private static Hypergeometric margins(TwoTallies data) {
    return new Hypergeometric(data.total(), data.successes(), data.first().trials());
  }

  /** Limits that end the scale where the observed count ends the range that the margins allow. */
  private static Limits limits(TwoTallies data, Rising lower, Rising upper) {
    Hypergeometric range = margins(data);
    long x = data.first().successes();
    return new Limits(
        x == range.least() ? 0 : Math.exp(search(data, lower)),
        x == range.greatest() ? Double.POSITIVE_INFINITY : Math.exp(search(data, upper)));
  }

  /** A function of the logarithm of the odds ratio that rises. */
  @FunctionalInterface
  private interface Rising extends java.util.function.DoubleUnaryOperator {}

  private static double search(TwoTallies data, Rising rising) {
    return LimitSearch.search(
        rising, Math.log(gartEstimate(data)), logError(data, 0.5), -FARTHEST, FARTHEST);
  }

  /**
   * (a - ã)√(1/ã + 1/b̃ + 1/c̃ + 1/d̃), with ã, b̃, c̃, d̃ the counts that fit the margins and the
   * odds ratio. Each is found by itself, since near an end one minus another has no digits; the
   * distance is that of the smallest, and the same for all but for its sign.
   */
  private static double scoreStatistic(TwoTallies data, double u) {
    double n1 = data.first().trials();
    double n2 = data.second().trials();
    double s = data.successes();
    double t = data.failures();
    double[] observed = {
      data.first().successes(),
      data.first().failures(),
      data.second().successes(),
      data.second().failures()
    };
    double[] fitted = {
      fitted(u, n1, s, n2), fitted(-u, n1, t, n2), fitted(-u, n2, s, n1), fitted(u, n2, t, n1)
    };
    int smallest = 0;
    double information = 0;
    for (int i = 0; i < fitted.length; i++) {
      smallest = fitted[i] < fitted[smallest] ? i : smallest;
      information += 1 / fitted[i];
    }
    double distance = observed[smallest] - fitted[smallest];
    int sign = smallest == 1 || smallest == 2 ? -1 : 1;
    return distance == 0 ? 0 : sign * distance * Math.sqrt(information);
  }

  /**
   * The count of a row of n and a column of s, beside a row of m, with odds ratio eᵘ: the root of
   * (ψ - 1)a² - (ψ(n + s) + m - s)a + ψns, of both its forms the one without cancellation, its
   * discriminant as a sum of positive parts; all divided by ψ where that is above 1.
   */
  private static double fitted(double u, double n, double s, double m) {
    double own = u > 0 ? 1 : Math.exp(u);
    double other = u > 0 ? Math.exp(-u) : 1;
    double sum = own * (n + s) + other * (m - s);
    double ends = own * (n - s) * (own * (n - s)) + other * (m - s) * (other * (m - s));
    double root = Math.sqrt(ends + 2 * own * other * (n * m + s * (n + m - s)));
    return sum >= 0 ? 2 * own * n * s / (sum + root) : (sum - root) / (2 * (own - other));
  }
}
