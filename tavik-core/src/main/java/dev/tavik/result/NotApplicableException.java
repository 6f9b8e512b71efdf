package dev.tavik.result;

import java.util.List;
import java.util.stream.Collectors;

/** A method declines: its work would pass its budget, or the question is outside its domain. */
public final class NotApplicableException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final NotApplicableReason reason;
  private final List<Object> values;

  /**
   * A method that declines.
   *
   * @param reason why
   * @param values the values that the reason names, in their order
   */
  public NotApplicableException(NotApplicableReason reason, Object... values) {
    super(
        values.length == 0
            ? reason.id()
            : List.of(values).stream()
                .map(String::valueOf)
                .collect(Collectors.joining(", ", reason.id() + " (", ")")));
    this.reason = reason;
    this.values = List.of(values);
  }

  /** {@return why} */
  public NotApplicableReason reason() {
    return reason;
  }

  /** {@return the values that the reason names, in their order} */
  public List<Object> values() {
    return values;
  }
}
