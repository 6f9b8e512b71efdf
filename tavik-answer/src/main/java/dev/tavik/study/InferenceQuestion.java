package dev.tavik.study;

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
    extends LeveledQuestion<Q, S> {
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
