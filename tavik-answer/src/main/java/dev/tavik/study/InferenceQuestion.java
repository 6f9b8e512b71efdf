package dev.tavik.study;

import dev.tavik.answer.Question;
import dev.tavik.result.Method;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A question with inference options. It is immutable: every method returns a changed copy. Two
 * questions are equal that ask the same of the same data.
 *
 * @param <Q> this question
 * @param <S> its settings
 * @param <T> its tests
 * @param <I> its intervals
 */
public abstract class InferenceQuestion<
        Q, S extends InferenceSettings<S, T, I>, T extends Method, I extends Method>
    implements Question {
  private final Frame<S> frame;
  private final Object data;

  /**
   * What a question has beside its data.
   *
   * @param label the analyst's name for it, empty for none
   * @param settings what is to be shown, how strictly, by which methods
   * @param from where the counts came from; null when they were given as counts
   * @param <S> the settings
   */
  protected record Frame<S>(String label, S settings, @Nullable Provenance from) {
    /**
     * {@return a frame without a name, for counts that were given}
     *
     * @param settings what is to be shown, how strictly, by which methods
     * @param <S> the settings
     */
    public static <S> Frame<S> of(S settings) {
      return new Frame<>("", settings, null);
    }

    /**
     * {@return the same frame with other settings}
     *
     * @param changed the settings in their place
     */
    public Frame<S> with(S changed) {
      return new Frame<>(label, changed, from);
    }
  }

  /**
   * Creates a question.
   *
   * @param frame what it has beside its data
   * @param data the data; immutable and compared by value
   */
  protected InferenceQuestion(Frame<S> frame, Object data) {
    Objects.requireNonNull(frame.label(), "label");
    Objects.requireNonNull(frame.settings(), "settings");
    this.frame = frame;
    this.data = data;
  }

  /**
   * {@return a copy in another frame}
   *
   * @param changed what it has beside the same data
   */
  protected abstract Q with(Frame<S> changed);

  /** {@return what it has beside its data} */
  protected final Frame<S> frame() {
    return frame;
  }

  /** {@return the analyst's name for what is asked about, empty for none} */
  public final String label() {
    return frame.label();
  }

  /** {@return what is to be shown, how strictly, by which methods} */
  public final S settings() {
    return frame.settings();
  }

  /** {@return where the counts came from; null when they were given as counts} */
  public final @Nullable Provenance from() {
    return frame.from();
  }

  /**
   * {@return the same question with a name, which the answer uses}
   *
   * @param name the analyst's name for what is asked about, such as {@code North kiln cracks}
   */
  public final Q named(String name) {
    return with(new Frame<>(name, settings(), from()));
  }

  /**
   * {@return the same question with the provenance of its counts}
   *
   * @param source where they came from; null for none
   */
  public final Q countedFrom(@Nullable Provenance source) {
    return with(new Frame<>(label(), settings(), source));
  }

  /**
   * {@return the same question with other settings}
   *
   * @param changed the settings in their place
   * @throws IllegalArgumentException if they don't fit the data
   */
  public final Q settings(S changed) {
    return with(new Frame<>(label(), changed, from()));
  }

  /**
   * Changes the significance level; 0.05 unless changed.
   *
   * @param alpha strictly between 0 and 1
   * @return the changed one
   * @throws IllegalArgumentException if not 0 &lt; alpha &lt; 1
   */
  public final Q alpha(double alpha) {
    return settings(settings().alpha(alpha));
  }

  /**
   * Chooses a confidence level, where it isn't to be the one that matches alpha.
   *
   * @param level strictly between 0 and 1
   * @return the changed one
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public final Q level(double level) {
    return settings(settings().level(level));
  }

  /**
   * Chooses the tests, in the order in which they are to be shown.
   *
   * @param methods the methods; none for those that are usual for the data
   * @return the changed one
   * @throws IllegalArgumentException if one isn't for such data
   */
  @SafeVarargs
  @SuppressWarnings("varargs")
  public final Q tests(T... methods) {
    return settings(settings().tests(List.of(methods)));
  }

  /**
   * Chooses the intervals, in the order in which they are to be shown.
   *
   * @param methods the methods; none for those that are usual for the data
   * @return the changed one
   * @throws IllegalArgumentException if one isn't for such data
   */
  @SafeVarargs
  @SuppressWarnings("varargs")
  public final Q intervals(I... methods) {
    return settings(settings().intervals(List.of(methods)));
  }

  @Override
  public final boolean equals(@Nullable Object other) {
    return other instanceof InferenceQuestion<?, ?, ?, ?> question
        && question.getClass() == getClass()
        && question.frame.equals(frame)
        && question.data.equals(data);
  }

  @Override
  public final int hashCode() {
    return Objects.hash(frame, data);
  }

  @Override
  public final String toString() {
    return getClass().getSimpleName()
        + frame.toString().substring("Frame".length())
        + " of "
        + data;
  }
}
