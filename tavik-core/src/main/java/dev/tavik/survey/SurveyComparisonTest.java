package dev.tavik.survey;

import dev.tavik.result.Exactness;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.TestResult;

/** Names the tests of two proportions of a designed sample. */
public enum SurveyComparisonTest implements Method {
  /** t = (p₁ - p₂ - δ)/SE. A standard error of 0 gives no statistic and p = 1. */
  T_DIFFERENCE(
      "t-difference", "t test of the difference, with the degrees of freedom of the design"),
  /**
   * t = ln(p₁/p₂)/SE. Declines where one proportion is 0, and of another null than no difference.
   */
  T_LOG_RATIO("t-log-ratio", "t test of the logarithm of the ratio"),
  /** t = ln(odds ratio)/SE. Declines where one group has all or none, and of another null. */
  T_LOG_ODDS("t-log-odds", "t test of the logarithm of the odds ratio");

  private final MethodInfo info;

  SurveyComparisonTest(String id, String description) {
    this.info =
        MethodInfo.of(
            id,
            description,
            "Woodruff 1971, Journal of the American Statistical Association 66, 411-414",
            Exactness.APPROXIMATE);
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /**
   * Tests two proportions.
   *
   * @param compared their estimates
   * @param hypothesis the null difference, strictly between -1 and 1, and the direction
   * @return the result
   * @throws NotApplicableException if the test has no value here
   */
  public TestResult of(DesignedComparison compared, Hypothesis hypothesis) {
    if (this != T_DIFFERENCE && hypothesis.against() != 0) {
      throw new NotApplicableException(NotApplicableReason.ONLY_EQUAL_RATES);
    }
    SurveyComparisonInterval.requireVariance(compared);
    DesignedProportion first = compared.first();
    DesignedProportion second = compared.second();
    return switch (this) {
      case T_DIFFERENCE ->
          TailOfT.of(
              this,
              first.value() - second.value() - hypothesis.against(),
              compared.difference(),
              compared.df(),
              hypothesis.alternative());
      case T_LOG_RATIO ->
          TailOfT.of(
              this,
              Math.log(first.value() / second.value()),
              SurveyComparisonInterval.finite(compared.logRatio()),
              compared.df(),
              hypothesis.alternative());
      case T_LOG_ODDS ->
          TailOfT.of(
              this,
              SurveyComparisonInterval.logOddsRatio(compared),
              SurveyComparisonInterval.finite(compared.logOddsRatio()),
              compared.df(),
              hypothesis.alternative());
    };
  }
}
