package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;

/**
 * The Wald test of a proportion (Wald 1943, "Tests of statistical hypotheses concerning several
 * parameters when the number of observations is large", Transactions of the American Mathematical
 * Society 54, 426-482): z with the standard error of the estimate, z = (x - np₀) / √(np(1 - p)).
 *
 * <p>At x = 0 and x = n that standard error is 0: there is no statistic, and p = 1.
 */
final class WaldTest {
  private WaldTest() {}

  static TestResult of(Method method, Tally tally, Hypothesis hypothesis) {
    if (tally.successes() == 0 || tally.failures() == 0) {
      return TestResult.of(method, null, 0);
    }
    Binomial underNull = new Binomial(tally.trials(), DecimalFraction.of(hypothesis.against()));
    double z =
        underNull.deviation(tally.successes()) / Math.sqrt(tally.proportion() * tally.failures());
    return TestResult.of(
        method,
        new TestResult.Statistic(TestResult.Statistic.Kind.Z, z),
        NormalTail.logPValue(z, hypothesis.alternative()));
  }
}
