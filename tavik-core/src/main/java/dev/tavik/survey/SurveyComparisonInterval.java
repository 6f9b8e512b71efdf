package dev.tavik.survey;

import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Proportion;
import dev.tavik.result.Side;
import dev.tavik.tail.Tail;

/** Names the intervals of two proportions of a designed sample. */
public enum SurveyComparisonInterval implements Method {
  /** p₁ - p₂ ± t SE, clipped to -1 and 1. */
  WALD(
      "wald",
      "Wald",
      "the difference, t times its standard error on both sides, clipped",
      Estimand.DIFFERENCE,
      SurveyComparisonTest.T_DIFFERENCE),
  /** ln(p₁/p₂) ± t SE, turned back. Declines where a proportion is 0. */
  LOG_RATIO(
      "log-ratio",
      "log ratio",
      "the ratio, by its logarithm",
      Estimand.RATIO,
      SurveyComparisonTest.T_LOG_RATIO),
  /** ln(odds ratio) ± t SE, turned back. Declines where a group has all or none. */
  LOG_ODDS(
      "log-odds",
      "log odds ratio",
      "the odds ratio, by its logarithm",
      Estimand.ODDS_RATIO,
      SurveyComparisonTest.T_LOG_ODDS);

  private final MethodInfo info;
  private final Estimand quantity;
  private final SurveyComparisonTest inverts;

  SurveyComparisonInterval(
      String id,
      String title,
      String description,
      Estimand quantity,
      SurveyComparisonTest inverts) {
    this.info =
        new MethodInfo(
            id,
            title,
            description,
            "Woodruff 1971, Journal of the American Statistical Association 66, 411-414",
            Exactness.APPROXIMATE);
    this.quantity = quantity;
    this.inverts = inverts;
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /** {@return what it is of} */
  public Estimand quantity() {
    return quantity;
  }

  /** {@return the test that keeps what lies within this interval} */
  public SurveyComparisonTest inverts() {
    return inverts;
  }

  /**
   * {@return the estimate in its middle, on its own scale; not finite where there is none}
   *
   * @param compared the two proportions
   */
  public double estimate(DesignedComparison compared) {
    return switch (this) {
      case WALD -> compared.first().value() - compared.second().value();
      case LOG_RATIO -> compared.first().value() / compared.second().value();
      case LOG_ODDS -> Math.exp(logOddsRatio(compared));
    };
  }

  static double logOddsRatio(DesignedComparison compared) {
    DesignedProportion first = compared.first();
    DesignedProportion second = compared.second();
    return Math.log(first.value() / first.complement())
        - Math.log(second.value() / second.complement());
  }

  static double finite(double error) {
    if (!Double.isFinite(error)) {
      throw new NotApplicableException(NotApplicableReason.GROUP_ALL_OR_NONE);
    }
    return error;
  }

  /**
   * A group without variance, as where all are successes, would leave its part out of that of the
   * difference.
   */
  static void requireVariance(DesignedComparison compared) {
    if (!(varies(compared.first().standardError()) && varies(compared.second().standardError()))) {
      throw new NotApplicableException(NotApplicableReason.GROUP_WITHOUT_VARIANCE);
    }
    if (!varies(compared.difference())) {
      throw new NotApplicableException(NotApplicableReason.DIFFERENCE_WITHOUT_VARIANCE);
    }
  }

  /** A replicate that gives a group no weight leaves the error infinite. */
  private static boolean varies(double error) {
    return error > 0 && Double.isFinite(error);
  }

  /**
   * A two-sided interval or a one-sided bound.
   *
   * @param compared the two proportions
   * @param level the confidence level, strictly between 0 and 1
   * @param side which ends are limits
   * @return the interval
   * @throws NotApplicableException if it has no limits here
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public Interval of(DesignedComparison compared, double level, Side side) {
    Proportion.require("level", level);
    requireVariance(compared);
    double t = Tail.t(compared.df()).valueAbove(side.tail(DecimalFraction.complement(level)));
    Ends ends;
    if (this == WALD) {
      double half = t * compared.difference();
      ends = Ends.around(estimate(compared), half, -1, 1);
    } else {
      double half = t * finite(this == LOG_RATIO ? compared.logRatio() : compared.logOddsRatio());
      ends = new Ends(estimate(compared) * Math.exp(-half), estimate(compared) * Math.exp(half));
    }
    return new Interval(
        quantity,
        this,
        level,
        side,
        side == Side.UPPER ? quantity.least() : ends.lower(),
        side == Side.LOWER ? quantity.greatest() : ends.upper());
  }

  /** Cramér's V by its replicates. */
  static Interval replicated(double value, double error, double df, double level) {
    Proportion.require("level", level);
    double half = Tail.t(df).valueAbove(DecimalFraction.complement(level) / 2) * error;
    Ends ends = Ends.around(value, half, 0, 1);
    return new Interval(
        Estimand.CRAMERS_V, WALD, level, Side.TWO_SIDED, ends.lower(), ends.upper());
  }
}
