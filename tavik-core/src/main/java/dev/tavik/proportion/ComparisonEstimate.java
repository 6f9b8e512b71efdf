package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;

/**
 * The estimates that compare two independent proportions, always the first against the second.
 * Standard errors of ratios are those of their logarithms times the ratio.
 */
public enum ComparisonEstimate {
  /** p₁ - p₂. */
  DIFFERENCE(Estimand.DIFFERENCE),
  /** p₁ / p₂; infinite without successes in the second group, NaN without any successes. */
  RATIO(Estimand.RATIO),
  /** The cross product a·d / b·c; infinite or NaN where it divides by 0. */
  ODDS_RATIO(Estimand.ODDS_RATIO),
  /**
   * The odds ratio at which the observed table is likeliest, given its margins (conditional maximum
   * likelihood). A little nearer to 1 than the cross product, and the one that belongs to the
   * conditional intervals. NaN where the margins allow but one table.
   */
  CONDITIONAL_ODDS_RATIO(Estimand.CONDITIONAL_ODDS_RATIO),
  /**
   * 2·asin√p₁ - 2·asin√p₂ (Cohen 1988, Statistical Power Analysis for the Behavioral Sciences,
   * chapter 6).
   */
  COHENS_H(Estimand.COHENS_H);

  private final Estimand quantity;

  ComparisonEstimate(Estimand quantity) {
    this.quantity = quantity;
  }

  /**
   * The estimate.
   *
   * @param first the first group's successes and trials
   * @param second the second group's
   * @return its value and standard error, labelled with nothing; NaN or infinite where it doesn't
   *     exist
   */
  public Estimate of(Tally first, Tally second) {
    TwoTallies data = new TwoTallies(first, second);
    return switch (this) {
      case DIFFERENCE -> estimate(data.difference(), data.separateError());
      case RATIO -> onLogScale(RatioLimits.ratio(data), RatioLimits.logError(data));
      case ODDS_RATIO ->
          onLogScale(OddsRatioLimits.crossProduct(data), OddsRatioLimits.logError(data, 0));
      case CONDITIONAL_ODDS_RATIO -> conditional(data);
      case COHENS_H ->
          estimate(
              angle(first) - angle(second),
              Math.sqrt(1.0 / first.trials() + 1.0 / second.trials()));
    };
  }

  private Estimate conditional(TwoTallies data) {
    double value = OddsRatioLimits.conditionalEstimate(data);
    return value > 0 && value < Double.POSITIVE_INFINITY
        ? onLogScale(value, OddsRatioLimits.conditionalLogError(data, value))
        : estimate(value, Double.NaN);
  }

  /** 2·asin√p, by the form that keeps its digits near 1. */
  private static double angle(Tally tally) {
    return 2
        * Math.atan2(Math.sqrt((double) tally.successes()), Math.sqrt((double) tally.failures()));
  }

  private Estimate onLogScale(double value, double logError) {
    return estimate(value, value * logError);
  }

  private Estimate estimate(double value, double standardError) {
    return new Estimate(quantity, "", value, standardError);
  }

  /**
   * What is estimated.
   *
   * @return the quantity
   */
  public Estimand quantity() {
    return quantity;
  }
}
