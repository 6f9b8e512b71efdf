package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Bisection;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Hypergeometric;
import dev.tavik.numeric.Normal;
import dev.tavik.proportion.ProportionInterval.Limits;
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
  WILSON("wilson", "Wilson") {
    @Override
    Limits limits(Tally sample, long lot, double tail) {
      double n = (double) sample.trials() * (lot - 1) / (lot - sample.trials());
      return WilsonInterval.of(sample.proportion() * n, n, Normal.upperQuantile(tail));
    }
  },
  /**
   * The numbers of successes in the lot that neither one-sided hypergeometric test rejects at half
   * of 1 - level, over the size of the lot. Whole numbers of units, found by bisection; the true
   * coverage is never below the level.
   */
  CLOPPER_PEARSON("clopper-pearson", "Clopper-Pearson") {
    @Override
    Limits limits(Tally sample, long lot, double tail) {
      double logTail = Math.log(tail);
      long x = sample.successes();
      long n = sample.trials();
      long fewest = x;
      long most = lot - sample.failures();
      long lower =
          Bisection.first(fewest, most, k -> new Hypergeometric(lot, k, n).logUpper(x) > logTail);
      long upper =
          Bisection.last(fewest, most, k -> new Hypergeometric(lot, k, n).logLower(x) > logTail);
      return new Limits((double) lower / lot, (double) upper / lot);
    }
  };

  private final String id;
  private final String title;

  LotInterval(String id, String title) {
    this.id = id;
    this.title = title;
  }

  abstract Limits limits(Tally sample, long lot, double tail);

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
    Limits limits = limits(sample, lot, side.tail(DecimalFraction.complement(level)));
    return new Interval(
        Quantity.PROPORTION,
        id,
        level,
        side,
        side == Side.UPPER ? 0 : limits.lower(),
        side == Side.LOWER ? 1 : limits.upper());
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
