package dev.tavik.data;

/** Options or keys that make no question. The message says which, and what would do. */
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
}
