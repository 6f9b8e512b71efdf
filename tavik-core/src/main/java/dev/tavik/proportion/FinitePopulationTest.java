package dev.tavik.proportion;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Hypergeometric;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Proportion;
import dev.tavik.result.TestResult;
import java.util.Arrays;

/**
 * Names the tests of the rate in a finite lot, from a sample drawn without replacement. Their ids
 * are those of {@link ProportionTest}, whose forms for a finite lot they are; for a large lot they
 * agree.
 */
public enum FinitePopulationTest implements Method {
  /**
   * z = (x - np₀) / √(np₀(1 - p₀)(N - n)/(N - 1)): the score test with the finite-population
   * correction.
   */
  SCORE(
      ProportionTest.SCORE,
      "z test with the null's standard error and the finite-population correction",
      "Cochran 1977, Sampling Techniques, 3rd edition, section 3.2",
      ScoreTest::inLot),
  /**
   * The hypergeometric test of the number of successes in the lot; two-sided, all outcomes no more
   * probable than the observed one, with a relative tolerance of 10⁻⁷ on ties. P-values are right
   * to 10⁻¹⁰ relative for lots to 10⁹.
   */
  EXACT(
      ProportionTest.EXACT,
      "hypergeometric test, ordered by probability",
      "Wright 1991, Exact Confidence Bounds when Sampling from Small Finite Universes",
      HypergeometricTest::of);

  private final ProportionTest endless;
  private final MethodInfo info;
  private final Algorithm algorithm;

  FinitePopulationTest(
      ProportionTest endless, String description, String reference, Algorithm algorithm) {
    this.endless = endless;
    this.info = MethodInfo.of(endless.id(), description, reference, endless.exactness());
    this.algorithm = algorithm;
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /** Carries out the test; its arguments have been checked. */
  @FunctionalInterface
  interface Algorithm {
    TestResult test(Method method, Tally sample, long lot, Hypothesis hypothesis);
  }

  /**
   * The form that one of the endless process's tests takes for a lot.
   *
   * @param test a test with such a form
   * @return the form
   * @throws NotApplicableException if it has none
   */
  public static FinitePopulationTest inLot(ProportionTest test) {
    return Arrays.stream(values())
        .filter(each -> each.endless == test)
        .findFirst()
        .orElseThrow(() -> new NotApplicableException(NotApplicableReason.NO_LOT_TEST, test.id()));
  }

  /**
   * Tests the rate in a lot.
   *
   * @param sample the successes and trials of the sample
   * @param lot how many units the lot has, more than the sample, at most 10¹²
   * @param hypothesis the null value, strictly between 0 and 1 and a whole number of units of the
   *     lot, and the direction
   * @return the result
   * @throws IllegalArgumentException if the lot isn't larger than the sample, or the null value is
   *     not strictly between 0 and 1 or no whole number of units
   */
  public TestResult of(Tally sample, long lot, Hypothesis hypothesis) {
    requireLot(sample.trials(), lot);
    Proportion.require("against", hypothesis.against());
    HypergeometricTest.unitsOf(lot, hypothesis.against());
    return algorithm.test(endless, sample, lot, hypothesis);
  }

  /**
   * The counts in a sample that this test would reject, and how often they occur under the null.
   *
   * @param trials the size of the sample
   * @param lot how many units the lot has, more than the sample
   * @param hypothesis the null value and the direction
   * @param alpha the significance level, strictly between 0 and 1
   * @return the rejection region
   * @throws IllegalArgumentException as {@link #of} does, or if not 0 &lt; alpha &lt; 1
   */
  public CriticalCounts criticalCounts(long trials, long lot, Hypothesis hypothesis, double alpha) {
    requireLot(trials, lot);
    Proportion.require("alpha", alpha);
    Hypergeometric underNull = HypergeometricTest.underNull(trials, lot, hypothesis.against());
    return new RejectionRegion(underNull, 0, trials, hypothesis.alternative())
        .find(endless, trials, x -> of(Tally.of(x, trials), lot, hypothesis).rejects(alpha));
  }

  static void requireLot(long trials, long lot) {
    require(
        lot > trials && lot <= Tally.MAX_TRIALS,
        "lot must be larger than the sample (%d) and at most 10^12, got %d",
        trials,
        lot);
  }
}
