package dev.tavik.answer;

import java.util.Locale;
import java.util.regex.Pattern;

/**
 * Describes a column of a table.
 *
 * @param key the key of its figures; empty where they are for readers only
 * @param heading the heading that readers see, which may be blank; empty and hidden are not the
 *     same
 * @param align how its cells stand
 * @param show whether readers see it
 */
public record Column(String key, String heading, Align align, Show show) {
  /** Whether readers see a column. */
  public enum Show {
    /** They do. */
    YES,
    /** Where the table is narrow enough for it. */
    IF_IT_FITS,
    /** Its figures are for machines only. */
    NO
  }

  /**
   * Makes a column of words without a heading, for readers.
   *
   * @return the column
   */
  public static Column words() {
    return words("");
  }

  /**
   * Makes a column of words for readers.
   *
   * @param heading what stands above it
   * @return the column
   */
  public static Column words(String heading) {
    return new Column(key(heading), heading, Align.LEFT, Show.YES);
  }

  /**
   * Makes a column of counts for readers.
   *
   * @param heading what stands above it
   * @return the column
   */
  public static Column counts(String heading) {
    return new Column(key(heading), heading, Align.RIGHT, Show.YES);
  }

  /**
   * Makes a column of numbers for readers.
   *
   * @param heading what stands above it
   * @return the column
   */
  public static Column numbers(String heading) {
    return new Column(key(heading), heading, Align.POINT, Show.YES);
  }

  /**
   * Makes a column for machines only.
   *
   * @param key the key that machines see
   * @return the column
   */
  public static Column hidden(String key) {
    return new Column(key, "", Align.LEFT, Show.NO);
  }

  /**
   * {@return this column with a key for machines}
   *
   * @param name the name
   */
  public Column keyed(String name) {
    return new Column(name, heading, align, show);
  }

  /** {@return this column, left out where the table would be too wide} */
  public Column ifItFits() {
    return new Column(key, heading, align, Show.IF_IT_FITS);
  }

  /** A heading as programs have it: {@code true size} is {@code trueSize}. */
  private static String key(String heading) {
    return Pattern.compile(" +(.)")
        .matcher(heading)
        .replaceAll(next -> next.group(1).toUpperCase(Locale.ROOT));
  }
}
