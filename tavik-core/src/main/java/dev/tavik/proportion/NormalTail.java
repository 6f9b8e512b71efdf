package dev.tavik.proportion;

import dev.tavik.numeric.Normal;
import dev.tavik.result.Alternative;

/** The p-value of a statistic that is standard normal under the null. */
final class NormalTail {
  private static final double LN_2 = Math.log(2);

  private NormalTail() {}

  /** The natural logarithm of the p-value; two-sided, both tails are alike. */
  static double logPValue(double z, Alternative alternative) {
    return switch (alternative) {
      case TWO_SIDED -> LN_2 + Normal.logUpper(Math.abs(z));
      case LESS -> Normal.logUpper(-z);
      case GREATER -> Normal.logUpper(z);
    };
  }
}
