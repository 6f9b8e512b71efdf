package dev.tavik.study.cross;

import static dev.tavik.result.Figures.say;

import java.util.Arrays;
import java.util.stream.Collectors;

/** Which classifications of a table have ordered levels. */
public enum Ordered {
  /** Neither; the levels are names. */
  NONE("none"),
  /** The rows. */
  ROWS("rows"),
  /** The columns. */
  COLUMNS("columns"),
  /** Both. */
  BOTH("both");

  private final String id;

  Ordered(String id) {
    this.id = id;
  }

  /**
   * Returns the constant with an id.
   *
   * @param word rows, columns, both or none
   * @return the constant
   * @throws IllegalArgumentException for any other word
   */
  public static Ordered of(String word) {
    return Arrays.stream(values())
        .filter(each -> each.id.equals(word))
        .findFirst()
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    say(
                        "ordered must be %s, got '%s'",
                        Arrays.stream(values()).map(Ordered::id).collect(Collectors.joining(", ")),
                        word)));
  }

  /**
   * The id.
   *
   * @return such as {@code rows}
   */
  public String id() {
    return id;
  }

  /**
   * Whether the rows are ordered.
   *
   * @return whether it is the rows or both
   */
  public boolean rows() {
    return this == ROWS || this == BOTH;
  }

  /**
   * Whether the columns are ordered.
   *
   * @return whether it is the columns or both
   */
  public boolean columns() {
    return this == COLUMNS || this == BOTH;
  }
}
