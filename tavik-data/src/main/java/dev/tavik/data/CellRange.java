package dev.tavik.data;

import static dev.tavik.result.Figures.require;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A part of a sheet.
 *
 * @param left its first column, from 0
 * @param top its first row, from 1
 * @param right its last column
 * @param bottom its last row
 */
record CellRange(int left, long top, int right, long bottom) {
  /** A whole sheet. */
  static final CellRange ALL = new CellRange(0, 1, Integer.MAX_VALUE, Long.MAX_VALUE);

  private static final Pattern CORNERS =
      Pattern.compile("\\$?([A-Z]{1,3})\\$?(\\d{1,7}):\\$?([A-Z]{1,3})\\$?(\\d{0,7})");

  static CellRange parse(String corners) {
    Matcher found = CORNERS.matcher(corners.strip().toUpperCase(Locale.ROOT));
    require(found.matches(), "range must be written like B4:F200 or B4:F, got '%s'", corners);
    CellRange range =
        new CellRange(
            column(found.group(1)),
            Long.parseLong(found.group(2)),
            column(found.group(3)),
            found.group(4).isEmpty() ? Long.MAX_VALUE : Long.parseLong(found.group(4)));
    require(
        range.top >= 1 && range.left <= range.right && range.top <= range.bottom,
        "range must go from the upper left to the lower right cell, got '%s'",
        corners);
    return range;
  }

  /** The number of a column from its letters: A is 0, Z is 25, AA is 26. */
  static int column(String letters) {
    int number = 0;
    for (int i = 0; i < letters.length(); i++) {
      number = 26 * number + letters.charAt(i) - 'A' + 1;
    }
    return number - 1;
  }

  /** The letters of a column. */
  static String letters(int column) {
    String last = String.valueOf((char) ('A' + column % 26));
    return column < 26 ? last : letters(column / 26 - 1) + last;
  }
}
