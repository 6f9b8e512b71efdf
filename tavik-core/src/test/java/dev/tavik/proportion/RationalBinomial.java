package dev.tavik.proportion;

import dev.tavik.result.Alternative;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.util.List;
import java.util.function.IntPredicate;

/**
 * A binomial distribution whose probabilities are whole numbers over a common denominator, and the
 * exact tests after their definitions, by going through every outcome.
 */
final class RationalBinomial {
  static final List<ProportionTest> EXACT_TESTS =
      List.of(
          ProportionTest.EXACT,
          ProportionTest.EXACT_DOUBLED,
          ProportionTest.EXACT_BLAKER,
          ProportionTest.MID_P);

  private static final BigInteger TIE = BigInteger.valueOf(10_000_000);
  private static final BigInteger TIE_AND_MORE = TIE.add(BigInteger.ONE);

  private final BigInteger[] masses;
  private final BigInteger[] lower;
  private final BigInteger[] upper;
  private final BigInteger all;

  /** For a chance of at most three decimals. */
  RationalBinomial(int n, String p) {
    BigInteger denominator = BigInteger.valueOf(1000);
    BigInteger success = new BigDecimal(p).movePointRight(3).toBigIntegerExact();
    BigInteger failure = denominator.subtract(success);
    all = denominator.pow(n);
    masses = new BigInteger[n + 1];
    lower = new BigInteger[n + 1];
    upper = new BigInteger[n + 1];
    BigInteger choose = BigInteger.ONE;
    BigInteger sum = BigInteger.ZERO;
    for (int x = 0; x <= n; x++) {
      masses[x] = choose.multiply(success.pow(x)).multiply(failure.pow(n - x));
      choose = choose.multiply(BigInteger.valueOf(n - x)).divide(BigInteger.valueOf(x + 1));
      upper[x] = all.subtract(sum);
      sum = sum.add(masses[x]);
      lower[x] = sum;
    }
  }

  double mass(int x) {
    return over(masses[x], all);
  }

  double pValue(ProportionTest test, int x, Alternative alternative) {
    if (test == ProportionTest.MID_P) {
      BigInteger less = lower[x].shiftLeft(1).subtract(masses[x]);
      BigInteger greater = upper[x].shiftLeft(1).subtract(masses[x]);
      BigInteger part =
          switch (alternative) {
            case LESS -> less;
            case GREATER -> greater;
            case TWO_SIDED -> less.min(greater).shiftLeft(1);
          };
      return over(part, all.shiftLeft(1));
    }
    if (alternative != Alternative.TWO_SIDED) {
      return over(alternative == Alternative.LESS ? lower[x] : upper[x], all);
    }
    BigInteger twoSided =
        switch (test) {
          case EXACT -> sum(k -> atMost(masses[k], masses[x]));
          case EXACT_DOUBLED -> lower[x].min(upper[x]).shiftLeft(1);
          case EXACT_BLAKER -> sum(k -> atMost(lower[k].min(upper[k]), lower[x].min(upper[x])));
          default -> throw new IllegalArgumentException(test.id());
        };
    return over(twoSided, all);
  }

  private static boolean atMost(BigInteger value, BigInteger limit) {
    return value.multiply(TIE).compareTo(limit.multiply(TIE_AND_MORE)) <= 0;
  }

  private BigInteger sum(IntPredicate counts) {
    BigInteger sum = BigInteger.ZERO;
    for (int k = 0; k < masses.length; k++) {
      sum = counts.test(k) ? sum.add(masses[k]) : sum;
    }
    return sum;
  }

  private static double over(BigInteger part, BigInteger whole) {
    return new BigDecimal(part.min(whole))
        .divide(new BigDecimal(whole), MathContext.DECIMAL128)
        .doubleValue();
  }
}
