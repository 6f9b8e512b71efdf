package dev.tavik.data;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.SampleDesign;
import java.util.List;
import java.util.regex.Pattern;

/** A number of a column of weights or of sizes of populations. */
final class Weight {
  private static final Pattern NUMBER =
      Pattern.compile("[+-]?(?:\\d{1,15}(?:[.,]\\d*)?|[.,]\\d+)(?:[eE][+-]?\\d{1,2})?");

  /** May be a thousand as well as a fraction. */
  private static final Pattern UNCLEAR = Pattern.compile("[+-]?\\d{1,3}(?:,\\d{3})+");

  /** Number of digits up to which whole numbers and powers of ten are exact doubles. */
  private static final int EXACT_DIGITS = 15;

  private static final double[] POWERS = {
    1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15
  };

  private static final double LEAST = 1e-99;
  private static final double GREATEST = 1e15;

  private Weight() {}

  /** The first column that is called like a weight, and is not among those that are used. */
  static String unused(Header header, List<String> used) {
    return header.names().stream()
        .filter(SampleDesign::isCalledWeight)
        .filter(name -> used.stream().noneMatch(name::equalsIgnoreCase))
        .findFirst()
        .orElse("");
  }

  /**
   * A number. Digits with a point among them are a whole number over a power of ten, both exact
   * doubles, so that one division rounds as it should.
   *
   * @throws IllegalArgumentException if it is none; the message goes on after the name of the
   *     column
   */
  static double parse(char[] buffer, int offset, int length) {
    double plain = plain(buffer, offset, length);
    return plain >= 0 ? plain : parse(new String(buffer, offset, length));
  }

  private static double plain(char[] buffer, int offset, int length) {
    long digits = 0;
    int point = -1;
    for (int i = 0; i < length; i++) {
      char each = buffer[offset + i];
      if (each == '.' && point < 0) {
        point = i;
      } else if (each >= '0' && each <= '9') {
        digits = 10 * digits + (each - '0');
      } else {
        return -1;
      }
    }
    int count = point < 0 ? length : length - 1;
    return count == 0 || count > EXACT_DIGITS
        ? -1
        : point < 0 ? digits : digits / POWERS[length - 1 - point];
  }

  /** The same of a short value by its key; below 0 where it isn't plain. */
  static double ofKey(long key) {
    char[] characters = ShortLevels.characters(key);
    return plain(characters, 0, characters.length);
  }

  static double parse(String text) {
    require(NUMBER.matcher(text).matches(), "has '%s', which is no number", text);
    require(
        !UNCLEAR.matcher(text).matches(),
        "has '%s', which may be a thousand or a fraction; write it without a comma",
        text);
    return requireSize(Double.parseDouble(text.replace(',', '.')), text);
  }

  /**
   * A weight whose square is a number, too.
   *
   * @throws IllegalArgumentException if it is none; the message goes on after the name of the
   *     column
   */
  static double requireSize(double number, String written) {
    require(number >= 0, "has %s, below 0", written);
    require(number < GREATEST, "has %s, which is too large", written);
    require(number == 0 || number >= LEAST, "has %s, which is too small", written);
    return number;
  }
}
