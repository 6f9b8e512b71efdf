package dev.tavik.proportion;

import dev.tavik.count.Tally;
import java.math.BigDecimal;
import java.math.BigInteger;

/**
 * What the methods for two proportions share. Differences are taken of whole numbers before
 * anything is divided, so that they keep their digits where both proportions agree to many places.
 */
record TwoTallies(Tally first, Tally second) {

  /** x₁n₂ - x₂n₁, exact and then rounded once. */
  double cross() {
    boolean fits = first.trials() <= Integer.MAX_VALUE && second.trials() <= Integer.MAX_VALUE;
    return fits
        ? first.successes() * second.trials() - second.successes() * first.trials()
        : exactCross().doubleValue();
  }

  private BigInteger exactCross() {
    return product(first.successes(), second.trials())
        .subtract(product(second.successes(), first.trials()));
  }

  private static BigInteger product(long a, long b) {
    return BigInteger.valueOf(a).multiply(BigInteger.valueOf(b));
  }

  /** n₁n₂. */
  double trialsProduct() {
    return (double) first.trials() * second.trials();
  }

  double difference() {
    return cross() / trialsProduct();
  }

  /** The difference minus a null value, which is the decimal that was written. */
  double differenceFrom(double against) {
    if (against == 0) {
      return difference();
    }
    BigDecimal expected =
        BigDecimal.valueOf(against)
            .multiply(new BigDecimal(product(first.trials(), second.trials())));
    return new BigDecimal(exactCross()).subtract(expected).doubleValue() / trialsProduct();
  }

  long successes() {
    return first.successes() + second.successes();
  }

  long failures() {
    return first.failures() + second.failures();
  }

  long total() {
    return first.trials() + second.trials();
  }

  /** The standard error of the difference if both proportions are equal. */
  double pooledError() {
    double n = total();
    return Math.sqrt(successes() / n * (failures() / n) * (n / trialsProduct()));
  }

  /** The standard error of the difference from each proportion's own variance. */
  double separateError() {
    return Math.sqrt(variance(first) + variance(second));
  }

  private static double variance(Tally tally) {
    double n = tally.trials();
    return tally.successes() / n * (tally.failures() / n) / n;
  }

  /** 1/2n₁ + 1/2n₂. */
  double correction() {
    return 0.5 * total() / trialsProduct();
  }
}
