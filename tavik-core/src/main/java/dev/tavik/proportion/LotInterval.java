package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.DeclinedException;
import dev.tavik.result.Interval;
import dev.tavik.result.Proportion;
import dev.tavik.result.Quantity;
import dev.tavik.result.Side;

/**
 * The confidence intervals for the rate in a finite lot, from a sample drawn without replacement.
 * Their ids are those of {@link ProportionInterval}.
 */
public enum LotInterval {
  /**
   * The values that {@link LotTest#SCORE} doesn't reject: Wilson's limits for n(N - 1)/(N - n)
   * trials with the same proportion. Closed form.
   */
  WILSON("wilson", "Wilson", WilsonInterval::inLot),
  /**
   * The numbers of successes in the lot that neither one-sided hypergeometric test rejects at half
   * of 1 - level, over the size of the lot. Whole numbers of units, found by bisection; the true
   * coverage is never below the level.
   */
  CLOPPER_PEARSON("clopper-pearson", "Clopper-Pearson", HypergeometricInterval::of);

  private final String id;
  private final String title;
  private final Algorithm algorithm;

  LotInterval(String id, String title, Algorithm algorithm) {
    this.id = id;
    this.title = title;
    this.algorithm = algorithm;
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
   * @throws DeclinedException if it has none
   */
  public static LotInterval inLot(ProportionInterval interval) {
    return switch (interval) {
      case WILSON -> WILSON;
      case CLOPPER_PEARSON -> CLOPPER_PEARSON;
      default -> throw new DeclinedException(interval.id() + " has no form for a finite lot");
    };
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
    LotTest.requireLot(sample.trials(), lot);
    Proportion.require("level", level);
    double tail = side.tail(DecimalFraction.complement(level));
    return algorithm.limits(sample, lot, tail).interval(Quantity.PROPORTION, id, level, side);
  }

  /**
   * The public id.
   *
   * @return such as {@code wilson}
   */
  public String id() {
    return id;
  }

  /**
   * The name for a sentence.
   *
   * @return such as {@code Wilson}
   */
  public String title() {
    return title;
  }
}
