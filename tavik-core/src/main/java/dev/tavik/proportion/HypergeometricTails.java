package dev.tavik.proportion;

import dev.tavik.numeric.CountDistribution;
import dev.tavik.numeric.Hypergeometric;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;

/**
 * Fisher's exact test (1935, "The logic of inductive inference", Journal of the Royal Statistical
 * Society 98, 39-54): if both proportions are equal and both margins are held, the successes of the
 * first group are hypergeometric. Two-sided it sums all tables no more probable than the observed
 * one (Freeman and Halton 1951, Biometrika 38, 141-149), or doubles the smaller tail, or, for mid-p
 * (Lancaster 1961), doubles the smaller tail with the observed table counted half.
 */
final class HypergeometricTails {
  private HypergeometricTails() {}

  /** What the first group's successes are like under the null. */
  static CountDistribution underNull(TwoTallies data) {
    return new Hypergeometric(data.total(), data.successes(), data.first().trials());
  }

  static TestResult byProbability(Method method, TwoTallies data, Hypothesis hypothesis) {
    long x = data.first().successes();
    return result(method, x, BinomialTest.logPValue(underNull(data), x, hypothesis.alternative()));
  }

  static TestResult doubled(Method method, TwoTallies data, Hypothesis hypothesis) {
    CountDistribution underNull = underNull(data);
    long x = data.first().successes();
    return result(
        method,
        x,
        BinomialTest.logDoubled(
            underNull.logLower(x), underNull.logUpper(x), hypothesis.alternative()));
  }

  static TestResult midP(Method method, TwoTallies data, Hypothesis hypothesis) {
    CountDistribution underNull = underNull(data);
    long x = data.first().successes();
    return result(
        method,
        x,
        BinomialTest.logDoubled(
            BinomialTest.logMidLower(underNull, x),
            BinomialTest.logMidUpper(underNull, x),
            hypothesis.alternative()));
  }

  static double logPValue(TwoTallies data, Alternative alternative) {
    return BinomialTest.logPValue(underNull(data), data.first().successes(), alternative);
  }

  private static TestResult result(Method method, long x, double logPValue) {
    return TestResult.of(
        method, new TestResult.Statistic(TestResult.Statistic.Kind.SUCCESSES, x), logPValue);
  }
}
