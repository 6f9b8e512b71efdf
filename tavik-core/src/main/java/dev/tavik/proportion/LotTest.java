package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.Bisection;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Hypergeometric;
import dev.tavik.numeric.LogSpace;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Proportion;
import dev.tavik.result.TestResult;

/**
 * The tests of the rate in a finite lot, from a sample drawn without replacement. Their ids are
 * those of {@link ProportionTest}, whose forms for a finite lot they are; for a large lot they
 * agree.
 */
public enum LotTest {
  /**
   * z = (x - np₀) / √(np₀(1 - p₀)(N - n)/(N - 1)): the score test with the finite-population
   * correction.
   */
  SCORE(
      "score",
      "z test with the null's standard error and the finite-population correction",
      "Cochran 1977, Sampling Techniques, 3rd edition, section 3.2") {
    @Override
    TestResult test(Tally sample, long lot, Hypothesis hypothesis) {
      Binomial underNull = new Binomial(sample.trials(), DecimalFraction.of(hypothesis.against()));
      double correction = (double) (lot - sample.trials()) / (lot - 1);
      double z =
          underNull.deviation(sample.successes()) / Math.sqrt(underNull.variance() * correction);
      return TestResult.of(
          id(),
          new TestResult.Statistic("z", z),
          NormalTail.logPValue(z, hypothesis.alternative()));
    }
  },
  /**
   * The hypergeometric test of the number of successes in the lot; two-sided, all outcomes no more
   * probable than the observed one, with a relative tolerance of 10⁻⁷ on ties. The null value must
   * be a whole number of units of the lot.
   */
  EXACT(
      "exact",
      "hypergeometric test, ordered by probability",
      "Wright 1991, Exact Confidence Bounds when Sampling from Small Finite Universes") {
    @Override
    TestResult test(Tally sample, long lot, Hypothesis hypothesis) {
      Hypergeometric underNull =
          new Hypergeometric(lot, inLot(lot, hypothesis.against()), sample.trials());
      long x = sample.successes();
      double logPValue =
          switch (hypothesis.alternative()) {
            case LESS -> underNull.logLower(x);
            case GREATER -> underNull.logUpper(x);
            case TWO_SIDED -> logNoMoreProbable(underNull, x);
          };
      return TestResult.of(id(), new TestResult.Statistic("successes", x), logPValue);
    }
  };

  private static final double LN_TIE = Math.log1p(1e-7);

  private final String id;
  private final String description;
  private final String reference;

  LotTest(String id, String description, String reference) {
    this.id = id;
    this.description = description;
    this.reference = reference;
  }

  abstract TestResult test(Tally sample, long lot, Hypothesis hypothesis);

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
    inLot(lot, hypothesis.against());
    return test(sample, lot, hypothesis);
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
    Hypergeometric underNull = new Hypergeometric(lot, inLot(lot, hypothesis.against()), trials);
    boolean twoSided = hypothesis.alternative() == Alternative.TWO_SIDED;
    long low = -1;
    long high = trials + 1;
    if (hypothesis.alternative() != Alternative.GREATER) {
      low =
          Bisection.last(
              low,
              twoSided ? underNull.mode() : trials,
              x -> of(Tally.of(x, trials), lot, hypothesis).rejects(alpha));
    }
    if (hypothesis.alternative() != Alternative.LESS) {
      high =
          Bisection.first(
              twoSided ? Math.max(underNull.mode(), low + 1) : 0,
              high,
              x -> of(Tally.of(x, trials), lot, hypothesis).rejects(alpha));
    }
    double size = Math.exp(LogSpace.add(underNull.logLower(low), underNull.logUpper(high)));
    return new CriticalCounts(
        id, trials, low < 0 ? null : low, high > trials ? null : high, Math.min(1, size));
  }

  /**
   * The public id.
   *
   * @return such as {@code exact}
   */
  public String id() {
    return id;
  }

  /**
   * What the test is, in a few words.
   *
   * @return the description
   */
  public String description() {
    return description;
  }

  /**
   * Where the test was published.
   *
   * @return author, year, title
   */
  public String reference() {
    return reference;
  }

  static void requireLot(long trials, long lot) {
    if (!(lot > trials && lot <= Tally.MAX_TRIALS)) {
      throw new IllegalArgumentException(
          String.format(
              "lot must be larger than the sample (%d) and at most 10^12, got %d", trials, lot));
    }
  }

  /** How many units of the lot the null value is. */
  static long inLot(long lot, double against) {
    double units = lot * against;
    long whole = Math.round(units);
    if (!(Math.abs(units - whole) <= 1e-9 * lot && whole > 0 && whole < lot)) {
      long below = Math.max(1, (long) Math.floor(units));
      throw new IllegalArgumentException(
          String.format(
              "against must be a whole number of the lot's %d units, got %s of them; did you mean"
                  + " %d/%d or %d/%d?",
              lot, units, below, lot, Math.min(lot - 1, below + 1), lot));
    }
    return whole;
  }

  private static double logNoMoreProbable(Hypergeometric underNull, long x) {
    double limit = underNull.logMass(x) + LN_TIE;
    return underNull.logMass(underNull.mode()) <= limit
        ? 0
        : LogSpace.add(
            underNull.logLower(underNull.lastBelowModeAtMost(limit)),
            underNull.logUpper(underNull.firstAboveModeAtMost(limit)));
  }
}
