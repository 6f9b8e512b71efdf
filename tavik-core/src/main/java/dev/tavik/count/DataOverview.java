package dev.tavik.count;

import java.util.List;
import java.util.Map;

/**
 * What a source of data holds.
 *
 * @param source the source's name, such as a file name
 * @param layout how it is written, in words, such as {@code comma-separated, UTF-8}
 * @param rows how many rows of data it has
 * @param columns its columns, in order
 * @param remarks how it was read, where that isn't plain; each the end of a sentence
 */
public record DataOverview(
    String source, String layout, long rows, List<Column> columns, List<String> remarks) {

  /** What the values of a column look like. */
  public enum Kind {
    /** Two levels. */
    TWO_LEVELS("two levels"),
    /** A few levels. */
    CATEGORY("category"),
    /** Whole numbers, such as a frequency. */
    WHOLE_NUMBERS("whole numbers"),
    /** Numbers. */
    NUMBERS("numbers"),
    /** Dates written as year-month-day. */
    DATES("dates"),
    /** Too many different values to classify rows. */
    MANY_VALUES("many values"),
    /** The same value in every row. */
    CONSTANT("one value"),
    /** No value at all. */
    EMPTY("empty");

    private final String id;

    Kind(String id) {
      this.id = id;
    }

    /**
     * The public name.
     *
     * @return the name
     */
    public String id() {
      return id;
    }

    /**
     * Whether the column sorts rows into classes.
     *
     * @return whether its levels are a classification
     */
    public boolean classifies() {
      return this == TWO_LEVELS || this == CATEGORY;
    }
  }

  /**
   * One column.
   *
   * @param name its name
   * @param kind what its values look like
   * @param levels its levels and in how many rows each occurs, the most frequent first; empty where
   *     there are too many to keep
   * @param distinct how many different values it has, or the cap at which counting ended
   * @param missing how many rows lack a value
   * @param range the smallest and the largest value, of numbers and dates; empty otherwise
   * @param sum the sum of whole numbers; 0 otherwise
   */
  public record Column(
      String name,
      Kind kind,
      Map<String, Long> levels,
      long distinct,
      long missing,
      List<String> range,
      long sum) {}
}
