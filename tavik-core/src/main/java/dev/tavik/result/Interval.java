package dev.tavik.result;

import static dev.tavik.result.Figures.say;

/**
 * Holds a confidence interval or a one-sided bound.
 *
 * @param quantity what it is for
 * @param method the public id of the method, such as {@code wilson}
 * @param level the confidence level, strictly between 0 and 1
 * @param side which ends are limits
 * @param lower the lower end; negative infinity where unbounded
 * @param upper the upper end; positive infinity where unbounded
 */
public record Interval(
    Estimand quantity, Method method, double level, Side side, double lower, double upper) {

  /**
   * Checks the ends.
   *
   * @throws IllegalArgumentException if not lower ≤ upper
   */
  public Interval {
    if (!(lower <= upper)) {
      throw new IllegalArgumentException(
          say("lower must not be above upper, got %s to %s", lower, upper));
    }
  }

  /**
   * Whether a value lies inside, its ends included.
   *
   * @param value a value of the quantity
   * @return whether {@code lower ≤ value ≤ upper}
   */
  public boolean contains(double value) {
    return lower <= value && value <= upper;
  }
}
