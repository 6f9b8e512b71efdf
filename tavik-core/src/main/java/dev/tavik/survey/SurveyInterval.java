package dev.tavik.survey;

import dev.tavik.numeric.DecimalFraction;
import dev.tavik.proportion.CentreHalfWidth;
import dev.tavik.proportion.ProportionInterval;
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
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Names the confidence intervals for a proportion of a designed sample. */
public enum SurveyInterval implements Method {
  /** logit p ± t SE(logit p), turned back. Declines where all are successes, or none. */
  LOGIT(
      "logit",
      "logit",
      "t times the standard error of the logit, turned back to a proportion",
      SurveyTest.T_LOGIT,
      "Korn and Graubard 1999, Analysis of Health Surveys, section 3.2"),
  /** p ± t SE(p), clipped to 0 and 1. */
  WALD(
      "wald",
      "Wald",
      "p ± t times its standard error, clipped to 0 and 1",
      SurveyTest.T,
      "Cochran 1977, Sampling Techniques, 3rd edition, chapter 9"),
  /**
   * Clopper and Pearson's limits at as many trials as stand for the sample, see {@link
   * DesignedProportion#binomialTrials}. Limits right to 10⁻⁹ relative.
   */
  KORN_GRAUBARD(
      "korn-graubard",
      "Korn-Graubard",
      "Clopper-Pearson's limits at the effective sample size",
      SurveyTest.KORN_GRAUBARD,
      "Korn and Graubard 1998, Survey Methodology 24, 193-201"),
  /** Wilson's limits at as many trials as stand for the sample. */
  WILSON(
      "wilson",
      "Wilson",
      "Wilson's limits at the effective sample size",
      null,
      "Wilson 1927, Journal of the American Statistical Association 22, 209-212; Dean and Pagano"
          + " 2015, Journal of Survey Statistics and Methodology 3, 484-503");

  private final MethodInfo info;
  private final @Nullable SurveyTest inverts;

  SurveyInterval(
      String id, String title, String description, @Nullable SurveyTest inverts, String reference) {
    this.info = new MethodInfo(id, title, description, reference, Exactness.APPROXIMATE);
    this.inverts = inverts;
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /** {@return the test that keeps what lies within this interval; empty where there is none} */
  public Optional<SurveyTest> inverts() {
    return Optional.ofNullable(inverts);
  }

  /**
   * A two-sided interval or a one-sided bound.
   *
   * @param proportion the estimate
   * @param level the confidence level, strictly between 0 and 1
   * @param side which ends are limits; the other end is 0 or 1
   * @return the interval
   * @throws NotApplicableException if it has no limits here
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public Interval of(DesignedProportion proportion, double level, Side side) {
    Proportion.require("level", level);
    double tail = side.tail(DecimalFraction.complement(level));
    Ends limits =
        switch (this) {
          case LOGIT -> logit(proportion, tail);
          case WALD -> wald(proportion, tail);
          case KORN_GRAUBARD -> EffectiveBinomial.of(proportion, tail).limits(tail);
          case WILSON -> wilson(proportion, tail);
        };
    return new Interval(
        Estimand.PROPORTION,
        this,
        level,
        side,
        side == Side.UPPER ? 0 : limits.lower(),
        side == Side.LOWER ? 1 : limits.upper());
  }

  private static void requireVariance(double error) {
    if (!(error > 0)) {
      throw new NotApplicableException(NotApplicableReason.NO_VARIANCE_FOR_LIMITS);
    }
  }

  private static Ends logit(DesignedProportion proportion, double tail) {
    if (!Double.isFinite(proportion.logitError())) {
      throw new NotApplicableException(
          proportion.allOrNone()
              ? NotApplicableReason.ALL_OR_NONE_FOR_LIMITS
              : NotApplicableReason.REPLICATE_WITHOUT_LIMITS);
    }
    requireVariance(proportion.logitError());
    return Ends.ofLogit(
        proportion.value() / proportion.complement(),
        Tail.t(proportion.df()).valueAbove(tail) * proportion.logitError());
  }

  private static Ends wald(DesignedProportion proportion, double tail) {
    double error = Double.isFinite(proportion.standardError()) ? proportion.standardError() : 0;
    requireVariance(error);
    double half = Tail.t(proportion.df()).valueAbove(tail) * error;
    return Ends.around(proportion.value(), half, 0, 1);
  }

  private static Ends wilson(DesignedProportion proportion, double tail) {
    double trials = proportion.binomialTrials(tail);
    CentreHalfWidth centred =
        ProportionInterval.WILSON
            .centred(trials * proportion.value(), trials, DecimalFraction.complement(2 * tail))
            .orElseThrow();
    Ends ends = Ends.around(centred.centre(), centred.halfWidth(), 0, 1);
    return new Ends(
        proportion.value() == 0 ? 0 : ends.lower(),
        proportion.complement() == 0 ? 1 : ends.upper());
  }
}
