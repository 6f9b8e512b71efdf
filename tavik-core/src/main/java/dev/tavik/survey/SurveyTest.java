package dev.tavik.survey;

import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Exactness;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Proportion;
import dev.tavik.result.TestResult;

/** Names the tests of one proportion of a designed sample. */
public enum SurveyTest implements Method {
  /** t = (logit p - logit p₀)/SE(logit p). Declines where all are successes, or none. */
  T_LOGIT(
      "t-logit",
      "t test on the logit, with the degrees of freedom of the design",
      "Korn and Graubard 1999, Analysis of Health Surveys, section 3.2"),
  /** t = (p - p₀)/SE(p). A standard error of 0 gives no statistic and p = 1. */
  T(
      "t",
      "t test of the proportion itself, with the degrees of freedom of the design",
      "Cochran 1977, Sampling Techniques, 3rd edition, chapter 9"),
  /**
   * The binomial tail of as many successes and trials as stand for the sample, see {@link
   * DesignedProportion#binomialTrials}; two-sided twice the smaller tail. It rejects what {@link
   * SurveyInterval#KORN_GRAUBARD} leaves out at the level that matches alpha.
   */
  KORN_GRAUBARD(
      "korn-graubard",
      "binomial tail at the effective sample size",
      "Korn and Graubard 1998, Survey Methodology 24, 193-201");

  private final MethodInfo info;

  SurveyTest(String id, String description, String reference) {
    this.info = MethodInfo.of(id, description, reference, Exactness.APPROXIMATE);
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /**
   * Tests a proportion.
   *
   * @param proportion the estimate
   * @param hypothesis the null value, strictly between 0 and 1, and the direction
   * @param alpha the significance level, strictly between 0 and 1; the effective sample size
   *     depends on it a little
   * @return the result
   * @throws NotApplicableException if the test has no value here
   * @throws IllegalArgumentException if the null value or alpha is not strictly between 0 and 1
   */
  public TestResult of(DesignedProportion proportion, Hypothesis hypothesis, double alpha) {
    double against = Proportion.require("against", hypothesis.against());
    Proportion.require("alpha", alpha);
    return switch (this) {
      case T_LOGIT -> {
        if (!Double.isFinite(proportion.logitError())) {
          throw new NotApplicableException(
              proportion.allOrNone()
                  ? NotApplicableReason.ALL_OR_NONE
                  : NotApplicableReason.REPLICATE_WITHOUT_ODDS);
        }
        double logit = Math.log(proportion.value() / proportion.complement());
        double claimed = Math.log(against / DecimalFraction.complement(against));
        yield TailOfT.of(
            this,
            logit - claimed,
            proportion.logitError(),
            proportion.df(),
            hypothesis.alternative());
      }
      case T ->
          TailOfT.of(
              this,
              proportion.value() - against,
              proportion.standardError(),
              proportion.df(),
              hypothesis.alternative());
      case KORN_GRAUBARD ->
          EffectiveBinomial.of(proportion, hypothesis.alternative().matchingSide().tail(alpha))
              .test(this, hypothesis);
    };
  }
}
