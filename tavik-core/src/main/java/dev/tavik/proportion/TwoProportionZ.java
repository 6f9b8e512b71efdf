package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Deviance;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;

/**
 * The tests of two proportions that refer a distance to the normal distribution. Without a standard
 * error there is no statistic, and p = 1.
 *
 * <p>Yates's correction (1934) moves the difference by 1/2n₁ + 1/2n₂: two-sided towards the null
 * and never past it, one-sided always against the alternative.
 */
final class TwoProportionZ {
  private TwoProportionZ() {}

  static TestResult pooled(Method method, TwoTallies data, Hypothesis hypothesis) {
    return result(method, data.difference(), data.pooledError(), hypothesis.alternative());
  }

  static TestResult corrected(Method method, TwoTallies data, Hypothesis hypothesis) {
    double difference = data.difference();
    double correction = data.correction();
    double moved =
        switch (hypothesis.alternative()) {
          case TWO_SIDED ->
              Math.copySign(Math.max(0, Math.abs(difference) - correction), difference);
          case LESS -> difference + correction;
          case GREATER -> difference - correction;
        };
    return result(method, moved, data.pooledError(), hypothesis.alternative());
  }

  static TestResult separate(Method method, TwoTallies data, Hypothesis hypothesis) {
    return result(
        method,
        data.differenceFrom(hypothesis.against()),
        data.separateError(),
        hypothesis.alternative());
  }

  static TestResult score(Method method, TwoTallies data, Hypothesis hypothesis) {
    double against = hypothesis.against();
    if (against == 0) {
      return pooled(method, data, hypothesis);
    }
    double error =
        RestrictedDifference.of(data.first(), data.second(), against)
            .error(data.first(), data.second());
    return result(method, data.differenceFrom(against), error, hypothesis.alternative());
  }

  static TestResult likelihoodRatio(Method method, TwoTallies data, Hypothesis hypothesis) {
    double total = data.total();
    // Observed minus expected is the same in all four cells, but for its sign.
    double away = data.cross() / total;
    Tally first = data.first();
    Tally second = data.second();
    double half =
        cell(first.successes(), first.trials() * (data.successes() / total), away)
            + cell(first.failures(), first.trials() * (data.failures() / total), -away)
            + cell(second.successes(), second.trials() * (data.successes() / total), -away)
            + cell(second.failures(), second.trials() * (data.failures() / total), away);
    double root = Math.copySign(Math.sqrt(2 * half), away);
    double logPValue = NormalTail.logPValue(root, hypothesis.alternative());
    return hypothesis.alternative() == Alternative.TWO_SIDED
        ? TestResult.of(
                method, new TestResult.Statistic(TestResult.Statistic.Kind.G2, 2 * half), logPValue)
            .withDf(1)
        : TestResult.of(
            method,
            new TestResult.Statistic(TestResult.Statistic.Kind.SIGNED_ROOT, root),
            logPValue);
  }

  private static double cell(long observed, double expected, double away) {
    return observed == 0 ? expected : Deviance.half((double) observed, expected, away);
  }

  static TestResult result(Method method, double distance, double error, Alternative alternative) {
    if (error == 0) {
      return TestResult.of(method, null, 0);
    }
    double z = distance / error;
    return TestResult.of(
        method,
        new TestResult.Statistic(TestResult.Statistic.Kind.Z, z),
        NormalTail.logPValue(z, alternative));
  }
}
