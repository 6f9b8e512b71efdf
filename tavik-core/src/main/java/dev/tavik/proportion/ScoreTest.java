package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;

/**
 * The score test of a proportion (Wilson 1927, "Probable inference, the law of succession, and
 * statistical inference", Journal of the American Statistical Association 22, 209-212).
 *
 * <p>z = (x - np₀) / √(np₀(1 - p₀)). The difference x - np₀ is taken with the rounding error of np₀
 * added back, so that z keeps its digits where both agree to many places, and is exactly 0 where
 * they are equal.
 */
final class ScoreTest {
  private static final double LN_2 = Math.log(2);

  private ScoreTest() {}

  static TestResult of(String method, Tally tally, Hypothesis hypothesis) {
    double z = statistic(tally, hypothesis.against());
    double lnPValue =
        switch (hypothesis.alternative()) {
          case TWO_SIDED -> LN_2 + Normal.logUpper(Math.abs(z));
          case LESS -> Normal.logUpper(-z);
          case GREATER -> Normal.logUpper(z);
        };
    return TestResult.of(method, new TestResult.Statistic("z", z), lnPValue);
  }

  private static double statistic(Tally tally, double against) {
    Binomial underNull = new Binomial(tally.trials(), DecimalFraction.of(against));
    return underNull.deviation(tally.successes()) / Math.sqrt(underNull.variance());
  }
}
