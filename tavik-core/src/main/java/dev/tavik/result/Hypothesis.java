package dev.tavik.result;

import static dev.tavik.result.Figures.say;

/**
 * Holds a null value and the direction in which it is doubted.
 *
 * @param against the null value of the quantity in question
 * @param alternative the direction
 */
public record Hypothesis(double against, Alternative alternative) {

  /**
   * Checks the null value.
   *
   * @throws IllegalArgumentException if {@code against} is not finite
   */
  public Hypothesis {
    if (!Double.isFinite(against)) {
      throw new IllegalArgumentException(say("against must be a finite number, got %s", against));
    }
  }

  /**
   * Two proportions are equal, doubted to either side.
   *
   * @return the hypothesis
   */
  public static Hypothesis noDifference() {
    return twoSided(0);
  }

  /**
   * The quantity differs from a value.
   *
   * @param against the null value
   * @return the hypothesis
   */
  public static Hypothesis twoSided(double against) {
    return new Hypothesis(against, Alternative.TWO_SIDED);
  }

  /**
   * The quantity is below a value.
   *
   * @param against the null value
   * @return the hypothesis
   */
  public static Hypothesis less(double against) {
    return new Hypothesis(against, Alternative.LESS);
  }

  /**
   * The quantity is above a value.
   *
   * @param against the null value
   * @return the hypothesis
   */
  public static Hypothesis greater(double against) {
    return new Hypothesis(against, Alternative.GREATER);
  }
}
