package dev.tavik.result;

import static dev.tavik.result.Figures.say;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads a proportion as people write it: {@code 0.05}, {@code 5%} or {@code 1/20}. */
public final class Proportion {
  private static final String NUMBER = "[+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][+-]?\\d{1,4})?";
  private static final Pattern PLAIN = Pattern.compile(NUMBER);
  private static final Pattern PERCENT = Pattern.compile("(" + NUMBER + ")\\s*%");
  private static final Pattern FRACTION = Pattern.compile("(\\d{1,18})\\s*/\\s*(\\d{1,18})");
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  private Proportion() {}

  /**
   * Reads a proportion strictly between 0 and 1.
   *
   * @param name what it is, for the message
   * @param text a decimal, a percentage or a fraction of whole numbers
   * @return the proportion
   * @throws IllegalArgumentException if it is none of these or not strictly between 0 and 1; a
   *     number from 1 to 100 is asked back as a percentage
   */
  public static double parse(String name, String text) {
    return within(name, decimal(name, text.strip()), text.strip());
  }

  /**
   * Reads the end of a range of proportions, which may also be 0 or 1.
   *
   * @param name what it is, for the message
   * @param text a decimal, a percentage or a fraction of whole numbers
   * @return the proportion
   * @throws IllegalArgumentException if it is none of these or outside 0 to 1
   */
  public static double parseEnd(String name, String text) {
    BigDecimal value = decimal(name, text.strip());
    boolean end = value.signum() == 0 || value.compareTo(BigDecimal.ONE) == 0;
    return end ? value.doubleValue() : within(name, value, text.strip());
  }

  /**
   * Reads the end of a range of differences, which may also be -1 or 1.
   *
   * @param name what it is, for the message
   * @param text a decimal, a percentage or a fraction of whole numbers, a sign before it allowed
   * @return the difference
   * @throws IllegalArgumentException if it is none of these or outside -1 to 1
   */
  public static double parseDifferenceEnd(String name, String text) {
    BigDecimal value = decimal(name, text.strip());
    boolean end = value.abs().compareTo(BigDecimal.ONE) == 0;
    return end ? value.doubleValue() : parseDifference(name, text);
  }

  /**
   * Reads a difference of two proportions, strictly between -1 and 1.
   *
   * @param name what it is, for the message
   * @param text a decimal, a percentage or a fraction of whole numbers, a sign before it allowed
   * @return the difference
   * @throws IllegalArgumentException if it is none of these or not strictly between -1 and 1
   */
  public static double parseDifference(String name, String text) {
    String written = text.strip();
    double value = decimal(name, written).doubleValue();
    if (value > -1 && value < 1) {
      return value;
    }
    boolean mayBePercent = Math.abs(value) < 100 && !written.contains("%");
    throw new IllegalArgumentException(
        say(
            "%s must be a difference strictly between -1 and 1 (-100 %% and 100 %%), got %s%s",
            name, written, mayBePercent ? "; did you mean " + written + "%?" : ""));
  }

  /**
   * Checks a number that is meant as a proportion strictly between 0 and 1.
   *
   * @param name what it is, for the message
   * @param value the number
   * @return the number
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1
   */
  public static double require(String name, double value) {
    if (value > 0 && value < 1) {
      return value;
    }
    if (!Double.isFinite(value)) {
      throw outside(name, String.valueOf(value), "");
    }
    return within(name, BigDecimal.valueOf(value), Figures.plain(value));
  }

  private static double within(String name, BigDecimal value, String text) {
    double rounded = value.doubleValue();
    if (rounded > 0 && rounded < 1) {
      return rounded;
    }
    boolean mayBePercent =
        value.compareTo(BigDecimal.ONE) >= 0 && value.compareTo(HUNDRED) < 0 && !text.contains("%");
    String plain = value.stripTrailingZeros().toPlainString();
    String hint = "";
    if (mayBePercent) {
      hint = plain.length() < 9 ? "; did you mean " + plain + "%?" : "";
    } else if (rounded == 0 || rounded == 1) {
      hint = "; name a value close to it instead, such as " + (rounded == 0 ? "0.1%" : "99.9%");
    }
    throw outside(name, text, hint);
  }

  private static IllegalArgumentException outside(String name, String text, String hint) {
    return new IllegalArgumentException(
        name + " must lie strictly between 0 and 1 (0 % and 100 %), got " + text + hint);
  }

  private static BigDecimal decimal(String name, String text) {
    Matcher percent = PERCENT.matcher(text);
    if (percent.matches()) {
      return new BigDecimal(percent.group(1)).movePointLeft(2);
    }
    if (PLAIN.matcher(text).matches()) {
      return new BigDecimal(text);
    }
    Matcher fraction = FRACTION.matcher(text);
    if (fraction.matches() && new BigDecimal(fraction.group(2)).signum() != 0) {
      return new BigDecimal(fraction.group(1))
          .divide(new BigDecimal(fraction.group(2)), MathContext.DECIMAL64);
    }
    String point = text.replace(',', '.');
    boolean commaForPoint =
        !point.equals(text) && (PLAIN.matcher(point).matches() || PERCENT.matcher(point).matches());
    throw new IllegalArgumentException(
        say(
            "%s must be a proportion such as 0.05, 5%% or 1/20, got '%s'%s",
            name, text, commaForPoint ? "; did you mean " + point + "?" : ""));
  }
}
