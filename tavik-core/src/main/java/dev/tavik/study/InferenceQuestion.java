package dev.tavik.study;

import dev.tavik.answer.Question;
import dev.tavik.result.Method;
import java.util.List;

/**
 * A question with inference options. It is immutable: every method returns a changed copy.
 *
 * @param <Q> this question
 * @param <S> its settings
 * @param <T> its tests
 * @param <I> its intervals
 */
public interface InferenceQuestion<
        Q, S extends InferenceSettings<S, T, I>, T extends Method, I extends Method>
    extends Question {
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

  /**
   * Chooses the tests, in the order in which they are to be shown.
   *
   * @param methods one or more
   * @return the changed one
   * @throws IllegalArgumentException if there is none
   */
  @SuppressWarnings("unchecked")
  default Q tests(T... methods) {
    return settings(settings().tests(List.of(methods)));
  }

  /**
   * Chooses the intervals, in the order in which they are to be shown.
   *
   * @param methods one or more
   * @return the changed one
   * @throws IllegalArgumentException if there is none
   */
  @SuppressWarnings("unchecked")
  default Q intervals(I... methods) {
    return settings(settings().intervals(List.of(methods)));
  }
}
