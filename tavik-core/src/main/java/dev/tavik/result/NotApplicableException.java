package dev.tavik.result;

import static dev.tavik.result.Figures.say;

import com.google.errorprone.annotations.FormatMethod;
import org.jspecify.annotations.Nullable;

/** A method declines: its work would pass its budget, or the question is outside its domain. */
public final class NotApplicableException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /**
   * A method that declines.
   *
   * @param reason why, and what to do instead
   */
  public NotApplicableException(String reason) {
    super(reason);
  }

  /**
   * The same, with figures in their places.
   *
   * @param words the message, with the places of {@link java.util.Formatter}
   * @param figures what goes there
   */
  @FormatMethod
  public NotApplicableException(String words, @Nullable Object... figures) {
    this(say(words, figures));
  }

  /**
   * Why, and what to do instead.
   *
   * @return the reason
   */
  public String reason() {
    return String.valueOf(getMessage());
  }
}
