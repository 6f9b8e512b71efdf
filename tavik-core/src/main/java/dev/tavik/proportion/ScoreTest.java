package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;

/**
 * The score test of a proportion (Wilson 1927, "Probable inference, the law of succession, and
 * statistical inference", Journal of the American Statistical Association 22, 209-212), plain and
 * with Yates's correction for continuity.
 *
 * <p>z = (x - np₀) / √(np₀(1 - p₀)). The difference x - np₀ is taken with the rounding error of np₀
 * added back, so that z keeps its digits where both agree to many places, and is exactly 0 where
 * they are equal.
 *
 * <p>The correction moves x by ½. Two-sided it moves towards the null and never past it; one-sided
 * it always moves against the alternative, so that z approximates the exact tail, which includes
 * the observed count, and may change its sign.
 */
final class ScoreTest {
  private static final double HALF = 0.5;

  private ScoreTest() {}

  static TestResult of(Method method, Tally tally, Hypothesis hypothesis) {
    Binomial underNull = new Binomial(tally.trials(), DecimalFraction.of(hypothesis.against()));
    return result(
        method,
        underNull.deviation(tally.successes()),
        Math.sqrt(underNull.variance()),
        hypothesis);
  }

  /** With the finite-population correction (N - n) / (N - 1) of the variance. */
  static TestResult inLot(Method method, Tally sample, long lot, Hypothesis hypothesis) {
    Binomial underNull = new Binomial(sample.trials(), DecimalFraction.of(hypothesis.against()));
    double correction = (double) (lot - sample.trials()) / (lot - 1);
    return result(
        method,
        underNull.deviation(sample.successes()),
        Math.sqrt(underNull.variance() * correction),
        hypothesis);
  }

  static TestResult corrected(Method method, Tally tally, Hypothesis hypothesis) {
    Binomial underNull = new Binomial(tally.trials(), DecimalFraction.of(hypothesis.against()));
    double deviation = underNull.deviation(tally.successes());
    double moved =
        switch (hypothesis.alternative()) {
          case TWO_SIDED -> Math.copySign(Math.max(0, Math.abs(deviation) - HALF), deviation);
          case LESS -> deviation + HALF;
          case GREATER -> deviation - HALF;
        };
    return result(method, moved, Math.sqrt(underNull.variance()), hypothesis);
  }

  private static TestResult result(
      Method method, double deviation, double standardDeviation, Hypothesis hypothesis) {
    double z = deviation / standardDeviation;
    Alternative alternative = hypothesis.alternative();
    return TestResult.of(
        method,
        new TestResult.Statistic(TestResult.Statistic.Kind.Z, z),
        NormalTail.logPValue(z, alternative));
  }
}
