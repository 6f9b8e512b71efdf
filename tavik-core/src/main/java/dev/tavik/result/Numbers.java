package dev.tavik.result;

import static dev.tavik.result.Figures.require;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads a number as people and programs write it: 1.96, -3, 1e+30, 45%, 1/3. */
public final class Numbers {
  private static final String NUMBER = "[-+]?(?:\\d{1,400}(?:\\.\\d{0,400})?|\\.\\d{1,400})";
  private static final Pattern DECIMAL = Pattern.compile(NUMBER + "(?:[eE][-+]?\\d{1,3})?");
  private static final Pattern PERCENT = Pattern.compile("(" + NUMBER + ")\\s*%");
  private static final Pattern FRACTION = Pattern.compile("([-+]?\\d{1,18})\\s*/\\s*(\\d{1,18})");

  private Numbers() {}

  /**
   * Reads a number.
   *
   * @param name what it is, for the message
   * @param written the text
   * @return the number, finite
   * @throws IllegalArgumentException if it is none, or larger than a double holds
   */
  public static double parse(String name, String written) {
    String text = written.strip();
    double value = value(text);
    require(Double.isFinite(value), "%s must be a number such as 1.96, got '%s'", name, text);
    return value;
  }

  /**
   * Reads a number above 0.
   *
   * @param name what it is, for the message
   * @param accepted what would be accepted, for the message
   * @param written the text
   * @return the number
   * @throws IllegalArgumentException if it is none, or not above 0
   */
  public static double positive(String name, String accepted, String written) {
    double value = value(written.strip());
    require(
        value > 0 && value < Double.POSITIVE_INFINITY,
        "%s must be %s, got '%s'",
        name,
        accepted,
        written);
    return value;
  }

  /** Returns NaN for text that is no number. */
  private static double value(String text) {
    if (DECIMAL.matcher(text).matches()) {
      return Double.parseDouble(text);
    }
    Matcher percent = PERCENT.matcher(text);
    if (percent.matches()) {
      return new BigDecimal(percent.group(1)).movePointLeft(2).doubleValue();
    }
    Matcher fraction = FRACTION.matcher(text);
    if (fraction.matches() && !fraction.group(2).matches("0+")) {
      return new BigDecimal(fraction.group(1))
          .divide(new BigDecimal(fraction.group(2)), MathContext.DECIMAL64)
          .doubleValue();
    }
    return Double.NaN;
  }
}
