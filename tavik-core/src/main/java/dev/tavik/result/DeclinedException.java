package dev.tavik.result;

/** A method declines: its work would pass its budget, or the question is outside its domain. */
public final class DeclinedException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /**
   * A method that declines.
   *
   * @param reason why, and what to do instead
   */
  public DeclinedException(String reason) {
    super(reason);
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
