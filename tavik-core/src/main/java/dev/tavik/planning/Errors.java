package dev.tavik.planning;

import java.util.function.DoubleUnaryOperator;

/**
 * What a test sees if the null is true and if the alternative is, and from where on it rejects: for
 * a picture of both errors.
 *
 * @param quantity what is seen, such as the observed rate
 * @param none the world in which the null is true
 * @param expected the world in which what is expected is true
 * @param kept the values that are not rejected; an end is infinite where none beyond it are
 * @param drawn the values that are worth drawing
 */
public record Errors(String quantity, World none, World expected, Range kept, Range drawn) {
  /**
   * A world.
   *
   * @param value what is true in it; NaN where that is no value of the quantity
   * @param density the density of what is seen
   */
  public record World(double value, DoubleUnaryOperator density) {}

  /**
   * Values between two ends.
   *
   * @param from the lower end
   * @param to the upper end
   */
  public record Range(double from, double to) {}
}
