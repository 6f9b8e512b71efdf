package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Normal;
import dev.tavik.result.Estimand;

/**
 * The limits of a difference of two proportions. Wald: d ± z·SE with each proportion's own
 * variance. Agresti and Caffo (2000, "Simple and effective confidence intervals for proportions and
 * differences of proportions result from adding two successes and two failures", The American
 * Statistician 54, 280-288): Wald's, after one success and one failure are added to each group.
 * Newcombe (1998, "Interval estimation for the difference between independent proportions:
 * comparison of eleven methods", Statistics in Medicine 17, 873-890): the distances of both
 * proportions from their Wilson limits, squared and added; method 10, and with corrected Wilson
 * limits method 11. Mee (1984, "Confidence bounds for the difference between two probabilities",
 * Biometrics 40, 1175-1176): the values that the score test doesn't reject; Miettinen and Nurminen
 * (1985, Statistics in Medicine 4, 213-226): the same with the variance larger by N/(N - 1).
 */
final class DifferenceLimits {
  private DifferenceLimits() {}

  static Limits wald(TwoTallies data, double tail) {
    return around(data.difference(), Normal.upperQuantile(tail) * data.separateError());
  }

  static Limits waldCorrected(TwoTallies data, double tail) {
    double half = Normal.upperQuantile(tail) * data.separateError() + data.correction();
    return around(data.difference(), half);
  }

  static Limits agrestiCaffo(TwoTallies data, double tail) {
    double p1 = added(data.first());
    double p2 = added(data.second());
    double error =
        Math.sqrt(
            p1 * (1 - p1) / (data.first().trials() + 2.0)
                + p2 * (1 - p2) / (data.second().trials() + 2.0));
    return around(addedDifference(data), Normal.upperQuantile(tail) * error);
  }

  private static double added(Tally tally) {
    return (tally.successes() + 1.0) / (tally.trials() + 2.0);
  }

  /** (x₁ + 1)/(n₁ + 2) - (x₂ + 1)/(n₂ + 2), its numerator from whole numbers. */
  private static double addedDifference(TwoTallies data) {
    double n1 = data.first().trials();
    double n2 = data.second().trials();
    double further = 2.0 * (data.first().successes() - data.second().successes()) + n2 - n1;
    return (data.cross() + further) / ((n1 + 2) * (n2 + 2));
  }

  private static Limits around(double centre, double half) {
    return new Limits(centre - half, centre + half).clipped(Estimand.DIFFERENCE);
  }

  static Limits newcombe(TwoTallies data, double tail) {
    return squaredAndAdded(
        data, WilsonInterval.of(data.first(), tail), WilsonInterval.of(data.second(), tail));
  }

  static Limits newcombeCorrected(TwoTallies data, double tail) {
    return squaredAndAdded(
        data,
        WilsonInterval.corrected(data.first(), tail),
        WilsonInterval.corrected(data.second(), tail));
  }

  private static Limits squaredAndAdded(TwoTallies data, Limits first, Limits second) {
    double d = data.difference();
    double p1 = data.first().proportion();
    double p2 = data.second().proportion();
    return new Limits(
            d - together(p1 - first.lower(), second.upper() - p2),
            d + together(first.upper() - p1, p2 - second.lower()))
        .clipped(Estimand.DIFFERENCE);
  }

  /** Two distances within 0 to 1, squared and added. */
  private static double together(double one, double other) {
    return Math.sqrt(one * one + other * other);
  }

  static Limits mee(TwoTallies data, double tail) {
    return score(data, Normal.upperQuantile(tail));
  }

  static Limits miettinenNurminen(TwoTallies data, double tail) {
    double n = data.total();
    return score(data, Normal.upperQuantile(tail) * Math.sqrt(n / (n - 1)));
  }

  private static Limits score(TwoTallies data, double z) {
    return ScoreLimits.of(data.difference(), z, data.total(), delta -> error(data, delta));
  }

  private static double error(TwoTallies data, double delta) {
    return RestrictedDifference.of(data.first(), data.second(), delta)
        .error(data.first(), data.second());
  }
}
