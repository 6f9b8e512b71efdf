package dev.tavik.result;

/**
 * A method that gives no result, standing where its result would.
 *
 * @param method the public id of the method
 * @param reason why, and what to do instead
 */
public record NotApplicable(Method method, String reason) {
  /** Reason given for a computation that doesn't converge. */
  public static final String UNSETTLED =
      "can't be computed to its full accuracy for these figures; choose another method";

  /**
   * {@return the refusal of a method that declined, or whose computation didn't settle}
   *
   * @param method the method
   * @param why what it threw
   */
  public static NotApplicable of(Method method, RuntimeException why) {
    return new NotApplicable(method, reason(why));
  }

  /**
   * {@return why a method declined, in words for a reader}
   *
   * @param why what it threw
   */
  public static String reason(RuntimeException why) {
    return why instanceof NotApplicableException declined ? declined.reason() : UNSETTLED;
  }
}
