package dev.tavik.data;

import static dev.tavik.result.Figures.require;

/** How often a row counts, as a frequency column says. */
final class Frequency {
  private Frequency() {}

  /**
   * A frequency.
   *
   * @throws IllegalArgumentException if it is no whole number from 0; the message goes on after the
   *     name of the column
   */
  static long parse(String written) {
    String text = written.strip();
    require(!text.isEmpty(), "is blank");
    require(
        !text.matches("[+-]?\\d{1,3}([.,]\\d{3})+"),
        "has '%s'; write it without separators of thousands",
        text);
    require(text.matches("[+-]?\\d{1,15}(\\.\\d*|,0{1,2})?"), "has '%s'", text);
    int point = Math.max(text.indexOf('.'), text.indexOf(','));
    require(
        point < 0 || text.substring(point + 1).matches("0*"),
        "has '%s', a fraction; weights are not counts, and belong to a design: weight=COLUMN",
        text);
    long value = Long.parseLong(point < 0 ? text : text.substring(0, point));
    require(value >= 0, "has %s, below 0", value);
    return value;
  }
}
