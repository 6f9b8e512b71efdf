package dev.tavik.study;

import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Method;
import java.util.List;

/**
 * Settings that hold {@link InferenceOptions}. They are immutable: a word with a value returns
 * changed ones.
 *
 * @param <S> these settings
 * @param <T> their tests
 * @param <I> their intervals
 */
public interface InferenceSettings<S, T extends Method, I extends Method> {
  /** {@return what was chosen} */
  InferenceOptions<T, I> choices();

  /**
   * {@return the same settings with other choices}
   *
   * @param changed the settings in their place
   */
  S choices(InferenceOptions<T, I> changed);

  /** {@return the significance level, strictly between 0 and 1} */
  default double alpha() {
    return choices().alpha();
  }

  /** {@return the confidence level: the one chosen, else the one that matches alpha} */
  default double level() {
    Double chosen = choices().chosenLevel();
    return chosen == null ? matchingLevel() : chosen;
  }

  /** {@return the level of the intervals that agree with tests at alpha, as a decimal exactly} */
  default double matchingLevel() {
    return DecimalFraction.complement(alpha());
  }

  /** {@return whether tests and intervals can be expected to agree} */
  default boolean levelMatchesAlpha() {
    return level() == matchingLevel();
  }

  /** {@return the tests in the order shown} */
  default List<T> tests() {
    return choices().tests();
  }

  /** {@return the intervals in the order shown} */
  default List<I> intervals() {
    return choices().intervals();
  }

  /**
   * Changes the significance level.
   *
   * @param value strictly between 0 and 1
   * @return the changed one
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1
   */
  default S alpha(double value) {
    return choices(choices().alpha(value));
  }

  /**
   * Chooses a confidence level, where it isn't to be the one that matches alpha.
   *
   * @param value strictly between 0 and 1
   * @return the changed one
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1
   */
  default S level(double value) {
    return choices(choices().level(value));
  }

  /**
   * Fills in the usual methods where none was chosen.
   *
   * @param usualTests the tests in place of none
   * @param usualIntervals the intervals in place of none
   * @return the changed one
   */
  default S orUsual(List<? extends T> usualTests, List<? extends I> usualIntervals) {
    return choices(choices().orUsual(usualTests, usualIntervals));
  }

  /**
   * Chooses the tests; the first is the one that decides where none is better founded.
   *
   * @param methods the methods, in the order in which they are shown; none for those that are usual
   *     for the data
   * @return the changed one
   */
  default S tests(List<? extends T> methods) {
    return choices(choices().tests(methods));
  }

  /**
   * Chooses the intervals.
   *
   * @param methods the methods, in the order in which they are shown; none for those that are usual
   *     for the data
   * @return the changed one
   */
  default S intervals(List<? extends I> methods) {
    return choices(choices().intervals(methods));
  }
}
