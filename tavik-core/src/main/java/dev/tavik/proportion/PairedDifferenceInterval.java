package dev.tavik.proportion;

import dev.tavik.count.PairedTally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Estimand;
import dev.tavik.result.Exactness;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.MethodInfo;
import dev.tavik.result.Proportion;
import dev.tavik.result.Side;

/** Names the confidence intervals for the difference of two proportions of the same units. */
public enum PairedDifferenceInterval implements Method {
  /** d ± z·SE, clipped. Covers too seldom for few discordant pairs; here for comparison. */
  WALD(
      "wald",
      "Wald",
      "d ± z SE of the paired difference",
      Exactness.APPROXIMATE,
      "Wald 1943, Transactions of the American Mathematical Society 54, 426-482",
      PairedLimits::wald),
  /** Wald's interval after one pair is added to each discordant cell, clipped. */
  BONETT_PRICE(
      "bonett-price",
      "Bonett-Price",
      "wald after adding one discordant pair each way",
      Exactness.APPROXIMATE,
      "Bonett and Price 2012, Journal of Educational and Behavioral Statistics 37, 479-488",
      PairedLimits::bonettPrice),
  /** The distances to both Wilson limits, squared and added with their correlation. */
  NEWCOMBE(
      "newcombe",
      "Newcombe",
      "Wilson limits squared and added, with the correlation of the pairs",
      Exactness.APPROXIMATE,
      "Newcombe 1998, Statistics in Medicine 17, 2635-2650, method 10",
      PairedLimits::newcombe),
  /**
   * The differences that the score test doesn't reject; contains 0 exactly where McNemar's test
   * doesn't reject. Limits by search, right to 10⁻¹² absolutely.
   */
  TANGO(
      "tango",
      "Tango",
      "the differences that the score test of pairs keeps",
      Exactness.APPROXIMATE,
      "Tango 1998, Statistics in Medicine 17, 891-908",
      PairedLimits::tango);

  private final MethodInfo info;
  private final Algorithm algorithm;

  PairedDifferenceInterval(
      String id,
      String title,
      String description,
      Exactness exactness,
      String reference,
      Algorithm algorithm) {
    this.info = new MethodInfo(id, title, description, reference, exactness);
    this.algorithm = algorithm;
  }

  @Override
  public MethodInfo info() {
    return info;
  }

  /** Both limits with the given probability beyond each. */
  @FunctionalInterface
  interface Algorithm {
    Limits limits(PairedTally tally, double tail);
  }

  /**
   * A two-sided interval.
   *
   * @param tally the paired counts
   * @param level the confidence level, strictly between 0 and 1
   * @return the interval
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public Interval of(PairedTally tally, double level) {
    return of(tally, level, Side.TWO_SIDED);
  }

  /**
   * A two-sided interval or a one-sided bound.
   *
   * @param tally the paired counts
   * @param level the confidence level, strictly between 0 and 1
   * @param side which ends are limits; the other end is -1 or 1
   * @return the interval
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public Interval of(PairedTally tally, double level, Side side) {
    Proportion.require("level", level);
    double tail = side.tail(DecimalFraction.complement(level));
    return algorithm.limits(tally, tail).interval(Estimand.DIFFERENCE, this, level, side);
  }

  /**
   * The estimated standard error of the difference, √(b + c - (b - c)²/n)/n.
   *
   * @param tally the paired counts
   * @return the standard error
   */
  public static double standardError(PairedTally tally) {
    return PairedLimits.standardError(tally);
  }
}
