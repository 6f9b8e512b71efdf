package dev.tavik.study;

import dev.tavik.answer.Question;

/**
 * A question with a significance level and a confidence level. It is immutable: every method
 * returns a changed copy.
 *
 * @param <Q> this question
 * @param <S> its settings
 */
public interface LeveledQuestion<Q, S extends InferenceSettings<S, ?, ?>> extends Question {
  /** {@return what was chosen} */
  S settings();

  /**
   * {@return the same question with other settings}
   *
   * @param changed the settings in their place
   */
  Q settings(S changed);

  /**
   * Changes the significance level; 0.05 unless changed.
   *
   * @param alpha strictly between 0 and 1
   * @return the changed one
   * @throws IllegalArgumentException if not 0 &lt; alpha &lt; 1
   */
  default Q alpha(double alpha) {
    return settings(settings().alpha(alpha));
  }

  /**
   * Chooses a confidence level, where it isn't to be the one that matches alpha.
   *
   * @param level strictly between 0 and 1
   * @return the changed one
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  default Q level(double level) {
    return settings(settings().level(level));
  }
}
