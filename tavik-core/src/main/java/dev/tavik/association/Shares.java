package dev.tavik.association;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Holds the claimed shares of several categories as whole parts of a common whole, so that 40 %, 30
 * %, 30 % are exactly 4, 3 and 3 tenths.
 */
public final class Shares {
  private static final Pattern FRACTION = Pattern.compile("(\\d{1,18})\\s*/\\s*(\\d{1,18})");
  private static final Pattern DECIMAL =
      Pattern.compile("(\\d+\\.?\\d*|\\.\\d+)(?:[eE]-?\\d{1,3})?\\s*(%?)");
  private static final Pattern RATIO = Pattern.compile("\\d{1,18}(?:\\s*:\\s*\\d{1,18})+");
  private static final int MOST_DIGITS = 6;

  private final List<BigInteger> parts;
  private final BigInteger whole;
  private final double[] shares;

  /**
   * Copies the parts, in lowest terms: the same shares are equal however they were written.
   *
   * @param parts one part a category, all above 0
   * @throws IllegalArgumentException if there are fewer than two, or one isn't above 0
   */
  public Shares(List<BigInteger> parts) {
    require(
        parts.size() >= 2 && !parts.stream().anyMatch(part -> part.signum() <= 0),
        "shares must be at least two, each above 0, got %s",
        parts);
    BigInteger common = parts.stream().reduce(BigInteger.ZERO, BigInteger::gcd);
    this.parts = parts.stream().map(part -> part.divide(common)).toList();
    this.whole = this.parts.stream().reduce(BigInteger.ZERO, BigInteger::add);
    this.shares = this.parts.stream().mapToDouble(part -> ratio(part, this.whole)).toArray();
  }

  /**
   * The shares in lowest terms.
   *
   * @return one part a category, all above 0
   */
  public List<BigInteger> parts() {
    return parts;
  }

  /**
   * The same share for every category.
   *
   * @param categories how many there are, at least two
   * @return the shares
   */
  public static Shares equal(int categories) {
    return new Shares(Collections.nCopies(categories, BigInteger.ONE));
  }

  /**
   * Reads shares as people write them: proportions, percentages or fractions that add up to 1, such
   * as {@code 1/8, 7/8} or {@code 40%, 30%, 30%}, or one ratio such as {@code 4:3:3}.
   *
   * @param written the shares, one an entry, or a ratio as the only entry
   * @return the shares
   * @throws IllegalArgumentException if they are none of these, one isn't above 0, or they don't
   *     add up to 1
   */
  public static Shares parse(List<String> written) {
    if (written.size() == 1 && RATIO.matcher(written.get(0).strip()).matches()) {
      List<BigInteger> parts = new ArrayList<>();
      for (String part : written.get(0).split(":", -1)) {
        parts.add(new BigInteger(part.strip()));
      }
      return new Shares(parts);
    }
    List<BigInteger> numerators = new ArrayList<>();
    List<BigInteger> denominators = new ArrayList<>();
    BigInteger common = BigInteger.ONE;
    for (String each : written) {
      BigInteger[] share = fraction(each.strip());
      numerators.add(share[0]);
      denominators.add(share[1]);
      common = common.multiply(share[1]).divide(common.gcd(share[1]));
    }
    List<BigInteger> parts = new ArrayList<>();
    BigInteger sum = BigInteger.ZERO;
    for (int i = 0; i < numerators.size(); i++) {
      BigInteger part = numerators.get(i).multiply(common).divide(denominators.get(i));
      parts.add(part);
      sum = sum.add(part);
    }
    if (!sum.equals(common)) {
      BigDecimal total =
          new BigDecimal(sum)
              .multiply(BigDecimal.valueOf(100))
              .divide(new BigDecimal(common), MOST_DIGITS, RoundingMode.HALF_EVEN)
              .stripTrailingZeros();
      throw new IllegalArgumentException(
          say(
              "shares must add up to 100%%, got %s, which add up to %s%%; a ratio such as 4:3:3"
                  + " needs no sum",
              String.join(", ", written), total.toPlainString()));
    }
    return new Shares(parts);
  }

  /**
   * Shares as numbers, each the decimal that is written.
   *
   * @param shares at least two, which add up to 1, such as 0.4, 0.3, 0.3
   * @return the shares
   * @throws IllegalArgumentException if they don't, or one is not above 0
   */
  public static Shares of(double... shares) {
    return parse(
        Arrays.stream(shares)
            .mapToObj(share -> BigDecimal.valueOf(share).toPlainString())
            .toList());
  }

  /**
   * Shares as a ratio, such as 4 : 3 : 3.
   *
   * @param parts at least two numbers above 0
   * @return the shares
   * @throws IllegalArgumentException if one is not above 0
   */
  public static Shares ratio(long... parts) {
    return new Shares(Arrays.stream(parts).mapToObj(BigInteger::valueOf).toList());
  }

  private static BigInteger[] fraction(String text) {
    Matcher fraction = FRACTION.matcher(text);
    if (fraction.matches() && new BigInteger(fraction.group(2)).signum() > 0) {
      return new BigInteger[] {
        new BigInteger(fraction.group(1)), new BigInteger(fraction.group(2))
      };
    }
    Matcher decimal = DECIMAL.matcher(text);
    require(
        decimal.matches(),
        "a share must be written as 0.4, 40%% or 2/5, or all as a ratio 4:3:3, got '%s'",
        text);
    boolean percent = !decimal.group(2).isEmpty();
    BigDecimal value = new BigDecimal(text.replace("%", "").strip()).movePointLeft(percent ? 2 : 0);
    int scale = Math.max(0, value.scale());
    return new BigInteger[] {
      value.movePointRight(scale).toBigIntegerExact(), BigInteger.TEN.pow(scale)
    };
  }

  /**
   * How many categories there are.
   *
   * @return at least two
   */
  public int size() {
    return parts.size();
  }

  /**
   * A share as a number.
   *
   * @param category its position, from 0
   * @return the nearest double, strictly between 0 and 1
   */
  public double share(int category) {
    return shares[category];
  }

  BigInteger whole() {
    return whole;
  }

  /** The count that a category is expected to have out of a total. */
  double expected(int category, long total) {
    return ratio(BigInteger.valueOf(total).multiply(parts.get(category)), whole);
  }

  /** What a count has beyond its expectation, a whole number divided once. */
  double excess(int category, long count, long total) {
    BigInteger beyond =
        BigInteger.valueOf(count)
            .multiply(whole)
            .subtract(BigInteger.valueOf(total).multiply(parts.get(category)));
    return ratio(beyond, whole);
  }

  private static double ratio(BigInteger part, BigInteger whole) {
    return new BigDecimal(part).divide(new BigDecimal(whole), MathContext.DECIMAL64).doubleValue();
  }

  /** The same shares, however they were written. */
  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof Shares those && parts.equals(those.parts);
  }

  @Override
  public int hashCode() {
    return parts.hashCode();
  }

  /** The parts. */
  @Override
  public String toString() {
    return "Shares[parts=" + parts + "]";
  }
}
