package dev.tavik.result;

import java.util.List;

/**
 * One method as it is done by hand.
 *
 * @param method the public id of the method
 * @param title what is worked out, in words
 * @param symbols what the symbols stand for
 * @param steps the calculation, line by line
 */
public record Derivation(Method method, String title, String symbols, List<WorkingStep> steps) {

  /** Copies the steps. */
  public Derivation {
    steps = List.copyOf(steps);
  }
}
