package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;

/**
 * The likelihood-ratio test of a proportion (Wilks 1938, "The large-sample distribution of the
 * likelihood ratio for testing composite hypotheses", Annals of Mathematical Statistics 9, 60-62).
 *
 * <p>G² = 2(x ln(x/np₀) + (n - x) ln((n - x)/n(1 - p₀))), chi-square with one degree of freedom;
 * with a direction its signed root, standard normal.
 */
final class LikelihoodRatioTest {
  private LikelihoodRatioTest() {}

  static TestResult of(Method method, Tally tally, Hypothesis hypothesis) {
    double root = signedRoot(tally, DecimalFraction.of(hypothesis.against()));
    double logPValue = NormalTail.logPValue(root, hypothesis.alternative());
    return hypothesis.alternative() == Alternative.TWO_SIDED
        ? TestResult.of(
                method,
                new TestResult.Statistic(TestResult.Statistic.Kind.G2, root * root),
                logPValue)
            .withDf(1)
        : TestResult.of(
            method,
            new TestResult.Statistic(TestResult.Statistic.Kind.SIGNED_ROOT, root),
            logPValue);
  }

  /** √G² with the sign of the estimate's distance from the null value. */
  static double signedRoot(Tally tally, DecimalFraction against) {
    Binomial underNull = new Binomial(tally.trials(), against);
    return Math.copySign(
        Math.sqrt(2 * underNull.halfDeviance(tally.successes())),
        underNull.deviation(tally.successes()));
  }
}
