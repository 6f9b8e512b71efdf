package dev.tavik.data.study;

import static dev.tavik.result.Figures.say;

import com.google.errorprone.annotations.FormatMethod;
import org.jspecify.annotations.Nullable;

/** Options or keys that make no question. The message says which, and what would be accepted. */
public final class SpecException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  /**
   * Options or keys that make no question.
   *
   * @param message what was found, and what would do
   */
  public SpecException(String message) {
    super(message);
  }

  /**
   * The same, with figures in their places.
   *
   * @param words the message, with the places of {@link java.util.Formatter}
   * @param figures what goes there
   */
  @FormatMethod
  public SpecException(String words, @Nullable Object... figures) {
    this(say(words, figures));
  }
}
