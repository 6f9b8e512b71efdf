package dev.tavik.numeric;

import java.math.BigDecimal;

/**
 * A number strictly between 0 and 1, read as the decimal that a person wrote.
 *
 * <p>An analyst who writes 5 % means 1/20, and redoes the sum with 1/20. The nearest double is
 * larger by 2.8·10⁻¹⁸, which matters where observed and expected counts nearly cancel: at n = 10⁹
 * the tenth digit of z. So the decimal meant, the shortest one that reads back as the same double,
 * is kept as {@code value + remainder}, and its complement is taken in decimal too: 1 - 0.999 is
 * 0.001 here, where doubles give 0.0010000000000000009.
 *
 * @param value the nearest double
 * @param remainder what the decimal has beyond {@code value}, below half a unit in its last place
 * @param complement one minus the decimal, rounded once
 */
public record DecimalFraction(double value, double remainder, double complement) {
  /**
   * Number of parts up to which a decimal, such as five per cent or 0.0125, is found without
   * decimal arithmetic: its double is that of a whole number of parts, and everything derived from
   * it is rounded once.
   */
  private static final double PARTS = 1e6;

  /**
   * Reads a double as the shortest decimal that stands for it.
   *
   * @param value the number, 0 &lt; value &lt; 1
   * @return its parts
   */
  public static DecimalFraction of(double value) {
    double parts = Math.rint(value * PARTS);
    if (parts / PARTS == value) {
      double remainder = -Math.fma(PARTS, value, -parts) / PARTS;
      return new DecimalFraction(value, remainder, (PARTS - parts) / PARTS);
    }
    BigDecimal decimal = BigDecimal.valueOf(value);
    return new DecimalFraction(
        value,
        decimal.subtract(new BigDecimal(value)).doubleValue(),
        BigDecimal.ONE.subtract(decimal).doubleValue());
  }

  /**
   * Takes a double for exactly itself, as a search does that moves through all of them.
   *
   * @param value the number, 0 &lt; value &lt; 1
   * @return its parts, with no remainder
   */
  public static DecimalFraction exactly(double value) {
    return new DecimalFraction(value, 0, 1 - value);
  }

  /**
   * One minus a decimal, as a person would write it: 0.05 for 0.95.
   *
   * @param value the number, 0 ≤ value ≤ 1
   * @return the double nearest to one minus the decimal that {@code value} stands for; below 1
   *     where that isn't 0
   */
  public static double complement(double value) {
    double parts = Math.rint(value * PARTS);
    if (parts / PARTS == value) {
      return (PARTS - parts) / PARTS;
    }
    double complement = BigDecimal.ONE.subtract(BigDecimal.valueOf(value)).doubleValue();
    return complement == 1 && value > 0 ? Math.nextDown(1.0) : complement;
  }
}
