package dev.tavik.proportion;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Hypergeometric;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;

/**
 * The binomial test's form for a sample without replacement (Wright 1991, Exact Confidence Bounds
 * when Sampling from Small Finite Universes): the number of successes is hypergeometric; two-sided,
 * all outcomes no more probable than the observed one, with the binomial test's tolerance on ties.
 */
final class HypergeometricTest {
  private HypergeometricTest() {}

  static TestResult of(Method method, Tally sample, long lot, Hypothesis hypothesis) {
    long x = sample.successes();
    Hypergeometric underNull = underNull(sample.trials(), lot, hypothesis.against());
    return TestResult.of(
        method,
        new TestResult.Statistic(TestResult.Statistic.Kind.SUCCESSES, x),
        BinomialTest.logPValue(underNull, x, hypothesis.alternative()));
  }

  static Hypergeometric underNull(long trials, long lot, double against) {
    return new Hypergeometric(lot, unitsOf(lot, against), trials);
  }

  /**
   * How many units of the lot the null value is.
   *
   * @throws IllegalArgumentException if it is no whole number of them, or none or all
   */
  static long unitsOf(long lot, double against) {
    double units = lot * against;
    long whole = Math.round(units);
    if (!(Math.abs(units - whole) <= 1e-9 * lot && whole > 0 && whole < lot)) {
      long below = Math.max(1, (long) Math.floor(units));
      throw new IllegalArgumentException(
          say(
              "against must be a whole number of the lot's %d units, got %s of them; did you mean"
                  + " %d/%d or %d/%d?",
              lot, units, below, lot, Math.min(lot - 1, below + 1), lot));
    }
    return whole;
  }
}
