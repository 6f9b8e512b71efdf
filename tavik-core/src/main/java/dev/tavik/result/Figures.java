package dev.tavik.result;

import com.google.errorprone.annotations.FormatMethod;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * How numbers are written for a reader: rounded, never to a bare zero, never with more digits than
 * help. Programs get full doubles instead.
 */
public final class Figures {
  private static final int MOST_DECIMALS = 8;
  private static final int LONGEST_RATE = 10;
  private static final int MOST_WITHIN = 12;

  /** Beyond this logarithm a double has no digits left for a mantissa. */
  private static final double MANTISSA_TO = -1e9;

  /** Beyond this logarithm not even the exponent has all its digits. */
  private static final double SMALLEST_TOLD = -1e15 + 1;

  /** Powers of ten between which all digits are written out. */
  private static final int LEAST_PLAIN = -12;

  private static final int MOST_PLAIN = 15;

  /** Smaller percentages have an exponent. */
  private static final double LEAST_PERCENT = 1e-14;

  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
  private static final MathContext EXACT = new MathContext(12);

  /** Fractions are written with denominators below this. */
  private static final int MOST_BELOW = 1_000;

  private static final int LONGEST_NAME = 28;

  private Figures() {}

  /**
   * Words with figures in their places, the same in every locale.
   *
   * @param words the text, with the places of {@link java.util.Formatter}
   * @param figures what goes there
   * @return the text
   */
  @FormatMethod
  public static String say(String words, @Nullable Object... figures) {
    String plain = filled(words, figures);
    return plain == null ? String.format(Locale.ROOT, words, figures) : plain;
  }

  /** The text where its places are no more than %s, %d and %%, which is many times quicker. */
  private static @Nullable String filled(String words, @Nullable Object... figures) {
    StringBuilder text = new StringBuilder(words.length() + 16 * figures.length);
    int next = 0;
    int from = 0;
    for (int at = words.indexOf('%'); at >= 0; at = words.indexOf('%', from)) {
      char kind = at + 1 < words.length() ? words.charAt(at + 1) : ' ';
      text.append(words, from, at);
      from = at + 2;
      if (kind == '%') {
        text.append('%');
      } else if (next < figures.length && (kind == 's' || (kind == 'd' && whole(figures[next])))) {
        text.append(figures[next++]);
      } else {
        return null;
      }
    }
    return text.append(words, from, words.length()).toString();
  }

  private static boolean whole(@Nullable Object figure) {
    return figure instanceof Long || figure instanceof Integer;
  }

  /**
   * Refuses an argument. What must hold is written as it must hold, so that NaN fails it.
   *
   * @param holds whether it does
   * @param words what must hold and what was got, with the places of {@link java.util.Formatter}
   * @param figures what goes there
   * @throws IllegalArgumentException if it doesn't hold
   */
  @FormatMethod
  public static void require(boolean holds, String words, @Nullable Object... figures) {
    if (!holds) {
      throw new IllegalArgumentException(say(words, figures));
    }
  }

  /**
   * A name with an end where it is longer than a column has room for.
   *
   * @param name a label from data
   * @return at most 28 characters, the last an ellipsis where some are missing
   */
  public static String shortened(String name) {
    return name.length() <= LONGEST_NAME ? name : name.substring(0, LONGEST_NAME - 1) + "…";
  }

  /**
   * A whole number with thousands separated: {@code 1,200}.
   *
   * @param count the number
   * @return its text
   */
  public static String count(long count) {
    String digits = Long.toString(count);
    int sign = count < 0 ? 1 : 0;
    StringBuilder grouped = new StringBuilder(digits);
    for (int at = digits.length() - 3; at > sign; at -= 3) {
      grouped.insert(at, ',');
    }
    return grouped.toString();
  }

  /**
   * The first of some names, and how many more there are.
   *
   * @param names the names
   * @param most how many are named
   * @return such as {@code North, South and 3 more}
   */
  public static String some(List<String> names, int most) {
    return names.size() <= most
        ? String.join(", ", names)
        : say(
            "%s and %s more",
            String.join(", ", names.subList(0, most)), count((long) names.size() - most));
  }

  /**
   * A part of a count: {@code 14 of 1,400}.
   *
   * @param part the part
   * @param whole the whole
   * @return its text
   */
  public static String outOf(long part, long whole) {
    return count(part) + " of " + count(whole);
  }

  /**
   * A count with the noun that it takes.
   *
   * @param count the count
   * @param one the noun beside 1
   * @param many the noun beside any other
   * @return such as {@code 1 success} or {@code 1,200 successes}
   */
  public static String counted(long count, String one, String many) {
    return counted(count(count), one, many);
  }

  /**
   * A number with the noun that it takes.
   *
   * @param number the number as it is written
   * @param one the noun beside 1
   * @param many the noun beside any other
   * @return such as {@code 1 success} or {@code 2.5 successes}
   */
  public static String counted(String number, String one, String many) {
    return number + " " + (number.equals("1") ? one : many);
  }

  /**
   * A number with all its digits, in plain notation from 10⁻¹² to 10¹⁶: {@code 0.05}, {@code
   * 1e-140}.
   *
   * @param value a finite number
   * @return its text
   */
  public static String plain(double value) {
    BigDecimal decimal = BigDecimal.valueOf(value).stripTrailingZeros();
    int exponent = decimal.precision() - decimal.scale() - 1;
    if (value != 0 && (exponent < LEAST_PLAIN || exponent > MOST_PLAIN)) {
      return decimal.movePointLeft(exponent).stripTrailingZeros().toPlainString() + "e" + exponent;
    }
    return decimal.toPlainString();
  }

  /**
   * Rounds a sum so that it is the same from every source: adding its parts in another order
   * changes the last digits.
   *
   * @param sum a finite number
   * @return the sum, rounded to twelve digits
   */
  public static double rounded(double sum) {
    return BigDecimal.valueOf(sum).round(EXACT).doubleValue();
  }

  /**
   * A number to some significant digits, in plain notation from 10⁻⁵ to 10⁹, else as {@code
   * 3.1e-12}. Trailing zeros stay: they say how far the number was rounded.
   *
   * @param value a finite number
   * @param digits the number of digits, at least 1
   * @return its text
   */
  public static String significant(double value, int digits) {
    if (value == 0) {
      return "0";
    }
    if (!Double.isFinite(value)) {
      return Double.isNaN(value) ? "none" : value > 0 ? "infinite" : "minus infinite";
    }
    // As a decimal reads, and half up, as people round.
    BigDecimal rounded = BigDecimal.valueOf(value).round(new MathContext(digits));
    int exponent = rounded.precision() - rounded.scale() - 1;
    if (exponent < -5 || exponent > 9) {
      return scientific(rounded.movePointLeft(exponent), exponent, digits);
    }
    return rounded
        .setScale(Math.max(0, digits - 1 - exponent), RoundingMode.HALF_UP)
        .toPlainString();
  }

  /**
   * A number between -1 and 1 to some significant digits, with more where it would look like the
   * end of the scale that it doesn't reach: {@code 0.998}, {@code 0.9991}.
   *
   * @param value the number, -1 to 1
   * @param digits the number of digits, at least 1
   * @return its text
   */
  public static String within(double value, int digits) {
    int more = digits;
    while (more < MOST_WITHIN
        && Math.abs(value) < 1
        && Math.abs(Double.parseDouble(significant(value, more))) >= 1) {
      more++;
    }
    return significant(value, more);
  }

  /**
   * A number to at most some significant digits, without trailing zeros.
   *
   * @param value a finite number
   * @param digits the largest number of digits, at least 1
   * @return its text
   */
  public static String upTo(double value, int digits) {
    String text = significant(value, digits);
    return text.contains(".") && !text.contains("e") ? text.replaceAll("\\.?0+$", "") : text;
  }

  /**
   * A p-value to three significant digits; below 10⁻⁴ as {@code 3.12e-12}, also where a double has
   * long underflowed. Never {@code 0.000}, and 1 only if it is 1.
   *
   * @param log10PValue the decimal logarithm of the p-value, at most 0
   * @return its text
   */
  public static String pValue(double log10PValue) {
    return pValue(log10PValue, Double.NaN);
  }

  /**
   * The same with as many digits as tell it from a significance level that it isn't: 0.05000003.
   * From 0.1, 0.05, 0.01 and 0.001 it is always told.
   *
   * @param log10PValue the decimal logarithm of the p-value, at most 0
   * @param alpha the significance level; NaN for none
   * @return its text
   */
  public static String pValue(double log10PValue, double alpha) {
    if (log10PValue == 0) {
      return "1";
    }
    if (log10PValue > -4) {
      double p = Math.pow(10, log10PValue);
      return p > 0.9995 ? "above 0.9995" : told(p, alpha);
    }
    if (log10PValue == Double.NEGATIVE_INFINITY) {
      return "0";
    }
    if (log10PValue < SMALLEST_TOLD) {
      return "below 1e-999999999999999";
    }
    if (log10PValue < MANTISSA_TO) {
      return "1e" + Math.round(log10PValue);
    }
    int exponent = (int) Math.floor(log10PValue);
    BigDecimal mantissa = new BigDecimal(Math.pow(10, log10PValue - exponent));
    BigDecimal rounded = mantissa.round(new MathContext(3));
    return rounded.compareTo(BigDecimal.TEN) >= 0
        ? scientific(BigDecimal.ONE, exponent + 1, 3)
        : scientific(rounded, exponent, 3);
  }

  private static String told(double p, double alpha) {
    String text = significant(p, 3);
    for (double level : new double[] {alpha, 0.1, 0.05, 0.01, 0.001}) {
      boolean other = Math.abs(p - level) > 1e-13 * level;
      for (int digits = 4; other && Double.parseDouble(text) == level && digits < 16; digits++) {
        text = significant(p, digits);
      }
    }
    return text;
  }

  /**
   * A p-value with its sign of equality, told from a significance level.
   *
   * @param log10PValue the decimal logarithm of the p-value, at most 0
   * @param alpha the significance level
   * @return such as {@code p = 0.0844}
   */
  public static String pEquals(double log10PValue, double alpha) {
    return "p " + relation(pValue(log10PValue, alpha));
  }

  /**
   * A p-value with its sign of equality, for a sentence: {@code p = 0.0844}.
   *
   * @param log10PValue the decimal logarithm of the p-value, at most 0
   * @return its text
   */
  public static String pEquals(double log10PValue) {
    return "p " + relation(log10PValue);
  }

  /**
   * A probability with the sign before it, for a sentence.
   *
   * @param log10Probability its decimal logarithm, at most 0
   * @return such as {@code = 0.0844} or {@code > 0.9995}
   */
  public static String relation(double log10Probability) {
    return relation(pValue(log10Probability));
  }

  private static String relation(String text) {
    if (text.startsWith("below ")) {
      return "< " + text.substring(6);
    }
    return text.startsWith("above ") ? "> " + text.substring(6) : "= " + text;
  }

  /**
   * A proportion as the analyst gave it, in percent with all its digits (at most twelve): {@code
   * 5%}, {@code 0.25%}.
   *
   * @param proportion the proportion
   * @return its text
   */
  public static String exactPercent(double proportion) {
    String fraction = fraction(proportion);
    if (!fraction.isEmpty()) {
      return fraction;
    }
    return inPercent(proportion);
  }

  private static String inPercent(double proportion) {
    if (proportion > 0 && proportion < LEAST_PERCENT) {
      return plain(BigDecimal.valueOf(proportion).movePointRight(2).doubleValue()) + "%";
    }
    BigDecimal percent = BigDecimal.valueOf(proportion).movePointRight(2);
    BigDecimal rounded = percent.round(EXACT);
    boolean roundedAway = rounded.compareTo(HUNDRED) == 0 && proportion != 1;
    return (roundedAway ? percent : rounded).stripTrailingZeros().toPlainString() + "%";
  }

  /** A proportion such as 1/6, which no decimal of twelve digits writes; empty for others. */
  private static String fraction(double proportion) {
    if (!(proportion > 0 && proportion < 1) || BigDecimal.valueOf(proportion).precision() < 14) {
      return "";
    }
    for (int below = 3; below < MOST_BELOW; below++) {
      long above = Math.round(proportion * below);
      if (above > 0 && Math.abs((double) above / below - proportion) <= 1e-15 * proportion) {
        return above + "/" + below;
      }
    }
    return "";
  }

  /**
   * A difference as the analyst gave it, in percentage points with all its digits and its sign:
   * {@code 3}, {@code -0.5}.
   *
   * @param difference the difference
   * @return its text
   */
  public static String exactPoints(double difference) {
    String percent = inPercent(Math.abs(difference));
    return (difference < 0 ? "-" : "") + percent.substring(0, percent.length() - 1);
  }

  /**
   * A difference as the analyst gave it, with its unit: {@code 3 percentage points}, {@code 1
   * percentage point}.
   *
   * @param difference the difference
   * @return its text
   */
  public static String percentagePoints(double difference) {
    String points = exactPoints(difference);
    return points + (points.equals("1") ? " percentage point" : " percentage points");
  }

  /**
   * The same, shorter: {@code 3 points}, {@code 1 point}.
   *
   * @param difference the difference
   * @return its text
   */
  public static String shortPoints(double difference) {
    return percentagePoints(difference).replace("percentage ", "");
  }

  /**
   * A proportion in percent, with at least one decimal and two significant digits of it or its
   * complement: {@code 3.5%}, {@code 0.082%}, {@code 99.970%}, {@code 0%}.
   *
   * @param proportion the proportion, 0 to 1
   * @return its text
   */
  public static String percent(double proportion) {
    return percent(proportion, decimals(proportion));
  }

  /**
   * A proportion in percent to four significant digits, for a table: {@code 2.096%}.
   *
   * @param proportion the proportion, 0 to 1
   * @return its text
   */
  public static String finePercent(double proportion) {
    if (proportion == 0 || proportion == 1) {
      return proportion == 0 ? "0%" : "100%";
    }
    double complement = complement(proportion);
    return complement < 0.01
        ? percentDigits(proportion, decimalsOf(complement) + 2) + "%"
        : significant(100 * proportion, 4) + "%";
  }

  /**
   * A rate of a plan in percent: all its digits where these are few, as people write rates, else
   * four, as for one that was solved for.
   *
   * @param rate the rate, 0 to 1
   * @return its text: {@code 4.5%}, {@code 3.826%}
   */
  public static String rate(double rate) {
    String exact = exactPercent(rate);
    return exact.length() <= LONGEST_RATE ? exact : finePercent(rate);
  }

  /**
   * A chance in percent to one decimal and more, a small one to four digits.
   *
   * @param chance the chance, 0 to 1
   * @return its text: {@code 80.0%}, {@code 0.04036%}
   */
  public static String chance(double chance) {
    return chance < 0.001 ? finePercent(chance) : percent(chance);
  }

  /**
   * A proportion in percent, with enough decimals to be told from others that it isn't equal to:
   * 4.98 % beside 5 %, where one decimal would say 5.0 %.
   *
   * @param proportion the proportion, 0 to 1
   * @param others those it stands beside
   * @return its text
   */
  public static String percentBeside(double proportion, double... others) {
    int decimals = decimals(proportion);
    while (decimals < MOST_DECIMALS && looksLikeAny(proportion, decimals, others)) {
      decimals++;
    }
    return percent(proportion, decimals);
  }

  private static boolean looksLikeAny(double proportion, int decimals, double... others) {
    String digits = percentDigits(proportion, decimals);
    return Arrays.stream(others)
        .anyMatch(other -> other != proportion && percentDigits(other, decimals).equals(digits));
  }

  /**
   * A difference of proportions in percentage points, without the word and without its sign.
   *
   * @param difference the difference, -1 to 1
   * @return its text: {@code 0.82}
   */
  public static String points(double difference) {
    double size = Math.abs(difference);
    return percentDigits(size, size == 0 ? 1 : decimalsOf(size));
  }

  /**
   * The ends of a range of differences in percentage points, without the word and their signs, with
   * as many decimals as tell them from one another, and from 100 where they are less.
   *
   * @param from one end, -1 to 1
   * @param to the other end
   * @return both texts: {@code 9.97} and {@code 10.02}
   */
  public static List<String> pointsBetween(double from, double to) {
    double one = Math.abs(from);
    double other = Math.abs(to);
    if (one == other) {
      return List.of(points(from), points(to));
    }
    String first = points(from);
    String second = points(to);
    for (int decimals = 1;
        decimals <= MOST_DECIMALS
            && (first.equals(second) || atEnd(first, one) || atEnd(second, other));
        decimals++) {
      first = one == 1 ? first : longer(first, percentDigits(one, decimals));
      second = other == 1 ? second : longer(second, percentDigits(other, decimals));
    }
    return List.of(first, second);
  }

  private static boolean atEnd(String text, double size) {
    return size < 1 && new BigDecimal(text).compareTo(HUNDRED) == 0;
  }

  private static String longer(String one, String other) {
    return new BigDecimal(other).scale() > new BigDecimal(one).scale() ? other : one;
  }

  private static String percent(double proportion, int decimals) {
    if (proportion == 0 || proportion == 1) {
      return proportion == 0 ? "0%" : "100%";
    }
    BigDecimal digits = new BigDecimal(percentDigits(proportion, decimals));
    if (digits.compareTo(HUNDRED) == 0) {
      // Never 100% for what is less: as many nines as it has.
      return BigDecimal.valueOf(proportion)
              .movePointRight(2)
              .setScale(decimals, RoundingMode.DOWN)
              .toPlainString()
          + "%";
    }
    return digits.signum() == 0
        ? significant(100 * proportion, 2) + "%"
        : digits.toPlainString() + "%";
  }

  private static String percentDigits(double proportion, int decimals) {
    return BigDecimal.valueOf(proportion)
        .movePointRight(2)
        .setScale(decimals, RoundingMode.HALF_UP)
        .toPlainString();
  }

  private static int decimals(double proportion) {
    double smaller = Math.min(proportion, complement(proportion));
    return smaller <= 0 ? 1 : decimalsOf(smaller);
  }

  /** One minus a decimal as a person writes it: 0.0003 for 0.9997. */
  private static double complement(double proportion) {
    return BigDecimal.ONE.subtract(BigDecimal.valueOf(proportion)).doubleValue();
  }

  private static int decimalsOf(double size) {
    int exponent = (int) Math.floor(Math.log10(100 * size));
    return Math.max(1, Math.min(MOST_DECIMALS, 1 - exponent));
  }

  private static String scientific(BigDecimal mantissa, int exponent, int digits) {
    return mantissa.setScale(digits - 1, RoundingMode.HALF_UP).toPlainString() + "e" + exponent;
  }
}
