package dev.tavik.data;

import static dev.tavik.result.Figures.say;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/**
 * The treatment of a row that lacks a value in a requested column. Missing is an empty or blank
 * field, and the unquoted words NA, N/A, NaN and null; a quoted "NA" is a value.
 */
public enum Missing {
  /** The row is left out, counted and reported. */
  DROP("drop"),
  /** Missing is a level like any other, called {@value #LEVEL_NAME}. */
  LEVEL("level"),
  /** The first missing value ends the reading. */
  FAIL("fail");

  /** The name of the level that stands for missing values. */
  public static final String LEVEL_NAME = "(missing)";

  /** The unquoted words that stand for a missing value. */
  public static final List<String> WORDS =
      List.of("NA", "na", "N/A", "n/a", "NaN", "nan", "null", "NULL");

  private final String id;

  Missing(String id) {
    this.id = id;
  }

  /**
   * The policy of this name.
   *
   * @param id {@code drop}, {@code level} or {@code fail}
   * @return the policy
   * @throws IllegalArgumentException for any other name
   */
  public static Missing of(String id) {
    return Arrays.stream(values())
        .filter(policy -> policy.id.equals(id))
        .findFirst()
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    say(
                        "missing must be one of %s, got '%s'",
                        Arrays.stream(values())
                            .map(policy -> policy.id)
                            .collect(Collectors.joining(", ")),
                        id)));
  }

  /** Whether an unquoted field stands for a missing value. */
  static boolean isMissing(char[] buffer, int offset, int length) {
    return switch (length) {
      case 0 -> true;
      case 2 -> is("NA", buffer, offset) || is("na", buffer, offset);
      case 3 ->
          is("N/A", buffer, offset)
              || is("n/a", buffer, offset)
              || is("NaN", buffer, offset)
              || is("nan", buffer, offset);
      case 4 -> is("null", buffer, offset) || is("NULL", buffer, offset);
      default -> false;
    };
  }

  private static boolean is(String word, char[] buffer, int offset) {
    for (int i = 0; i < word.length(); i++) {
      if (word.charAt(i) != buffer[offset + i]) {
        return false;
      }
    }
    return true;
  }
}
