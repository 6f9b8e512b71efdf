package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Interval;
import dev.tavik.result.Proportion;
import dev.tavik.result.Quantity;
import dev.tavik.result.Side;

/**
 * The confidence intervals for one proportion. All stay within 0 and 1. One-sided bounds put all of
 * 1 - level beyond their one limit.
 */
public enum ProportionInterval {
  /**
   * The values that the score test doesn't reject. Closed form, right to 10⁻¹² relative. Its true
   * coverage is near the level on average, a little below for some proportions. At x = 0 its lower
   * limit is exactly 0, at x = n its upper limit exactly 1.
   */
  WILSON(
      "wilson",
      "Wilson",
      "inverts the score test",
      "Wilson 1927, Journal of the American Statistical Association 22, 209-212",
      WilsonInterval::of),
  /**
   * The values that neither one-sided binomial test rejects at half of 1 - level. Central; its true
   * coverage is never below the level, and usually above. Limits found by search, right to 10⁻⁹
   * relative. At x = 0 its lower limit is exactly 0, at x = n its upper limit exactly 1.
   */
  CLOPPER_PEARSON(
      "clopper-pearson",
      "Clopper-Pearson",
      "inverts both one-sided binomial tests",
      "Clopper and Pearson 1934, Biometrika 26, 404-413",
      ClopperPearsonInterval::of);

  private final String id;
  private final String title;
  private final String description;
  private final String reference;
  private final Algorithm algorithm;

  ProportionInterval(
      String id, String title, String description, String reference, Algorithm algorithm) {
    this.id = id;
    this.title = title;
    this.description = description;
    this.reference = reference;
    this.algorithm = algorithm;
  }

  /** Both limits with the given probability beyond each. */
  @FunctionalInterface
  interface Algorithm {
    Limits limits(Tally tally, double tail);
  }

  /** A lower and an upper limit. */
  record Limits(double lower, double upper) {}

  /**
   * A two-sided interval.
   *
   * @param tally the successes and trials
   * @param level the confidence level, strictly between 0 and 1
   * @return the interval
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public Interval of(Tally tally, double level) {
    return of(tally, level, Side.TWO_SIDED);
  }

  /**
   * A two-sided interval or a one-sided bound.
   *
   * @param tally the successes and trials
   * @param level the confidence level, strictly between 0 and 1
   * @param side which ends are limits; the other end is 0 or 1
   * @return the interval
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public Interval of(Tally tally, double level, Side side) {
    Proportion.require("level", level);
    Limits limits = algorithm.limits(tally, side.tail(DecimalFraction.complement(level)));
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

  /**
   * What the interval is, in a few words.
   *
   * @return the description
   */
  public String description() {
    return description;
  }

  /**
   * Where the interval was published.
   *
   * @return author, year, journal, volume, pages
   */
  public String reference() {
    return reference;
  }
}
