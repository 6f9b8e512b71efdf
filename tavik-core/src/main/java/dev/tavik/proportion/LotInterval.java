package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Estimand;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Proportion;
import dev.tavik.result.Side;
import java.util.Arrays;

/**
 * Names the confidence intervals for the rate in a finite lot, from a sample drawn without
 * replacement. Their ids are those of {@link ProportionInterval}.
 */
public enum LotInterval implements Method {
  /**
   * The values that {@link FinitePopulationTest#SCORE} doesn't reject: Wilson's limits for n(N -
   * 1)/(N - n) trials with the same proportion. Closed form.
   */
  WILSON(
      ProportionInterval.WILSON,
      "the values that the score test of a lot keeps, in closed form",
      "Cochran 1977, Sampling Techniques, 3rd edition, section 3.2",
      WilsonInterval::inLot),
  /**
   * The numbers of successes in the lot that neither one-sided hypergeometric test rejects at half
   * of 1 - level, over the size of the lot. Whole numbers of units, found by bisection; the true
   * coverage is never below the level.
   */
  CLOPPER_PEARSON(
      ProportionInterval.CLOPPER_PEARSON,
      "the numbers in the lot that neither one-sided hypergeometric test rejects",
      "Wright 1991, Exact Confidence Bounds when Sampling from Small Finite Universes",
      HypergeometricInterval::of);

  private final ProportionInterval endless;
  private final MethodInfo info;
  private final Algorithm algorithm;

  LotInterval(
      ProportionInterval endless, String description, String reference, Algorithm algorithm) {
    this.endless = endless;
    this.info =
        new MethodInfo(endless.id(), endless.title(), description, reference, endless.exactness());
    this.algorithm = algorithm;
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /** Both limits with the given probability beyond each. */
  @FunctionalInterface
  interface Algorithm {
    Limits limits(Tally sample, long lot, double tail);
  }

  /**
   * The form that one of the endless process's intervals takes for a lot.
   *
   * @param interval a interval with such a form
   * @return the form
   * @throws NotApplicableException if it has none
   */
  public static LotInterval inLot(ProportionInterval interval) {
    return Arrays.stream(values())
        .filter(each -> each.endless == interval)
        .findFirst()
        .orElseThrow(
            () -> new NotApplicableException(NotApplicableReason.NO_LOT_INTERVAL, interval.id()));
  }

  /**
   * A two-sided interval or a one-sided bound for the rate in a lot.
   *
   * @param sample the successes and trials of the sample
   * @param lot how many units the lot has, more than the sample, at most 10¹²
   * @param level the confidence level, strictly between 0 and 1
   * @param side which ends are limits; the other end is 0 or 1
   * @return the interval
   * @throws IllegalArgumentException if the lot isn't larger than the sample, or not 0 &lt; level
   *     &lt; 1
   */
  public Interval of(Tally sample, long lot, double level, Side side) {
    FinitePopulationTest.requireLot(sample.trials(), lot);
    Proportion.require("level", level);
    double tail = side.tail(DecimalFraction.complement(level));
    return algorithm.limits(sample, lot, tail).interval(Estimand.PROPORTION, endless, level, side);
  }
}
