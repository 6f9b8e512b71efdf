package dev.tavik.survey;

import dev.tavik.tail.Tail;

/**
 * Holds an estimated proportion of a designed sample, or of a part of it, with how far it varies.
 *
 * @param value the weighted share of successes
 * @param complement that of failures, as such
 * @param successes how many rows are successes, weights left aside
 * @param rows how many rows there are
 * @param standardError the standard error of the share
 * @param logitError the standard error of the logarithm of its odds; infinite where it has none
 * @param byWeights the effective number of rows as far as unequal weights lower it, (Σw)²/Σw² (Kish
 *     1965, Survey Sampling, section 11.7)
 * @param df the degrees of freedom of the standard errors
 */
public record DesignedProportion(
    double value,
    double complement,
    long successes,
    long rows,
    double standardError,
    double logitError,
    double byWeights,
    double df) {

  /** {@return whether the sample shows how much the share varies} */
  public boolean variance() {
    return !allOrNone() && standardError > 0 && Double.isFinite(standardError);
  }

  /** {@return whether all of the part are successes, or none} */
  public boolean allOrNone() {
    return value == 0 || complement == 0;
  }

  /**
   * {@return the variance in units of that of a simple random sample of as many rows, p(1 - p)/(n -
   * 1); NaN where all are successes, or none}
   */
  public double designEffect() {
    return standardError * standardError / (value * complement / (rows - 1.0));
  }

  /** {@return the size of a simple random sample that would vary as much; NaN as above} */
  public double effectiveRows() {
    return rows / designEffect();
  }

  /**
   * {@return the number of trials of a binomial that stands for the sample at a level: p(1 - p)
   * over the variance, times (t/t')², t with one degree of freedom less than there are rows, t'
   * with those of the design, and never more than there are rows (Korn and Graubard 1998)} Where
   * all are successes, or none, the variance can't be seen, and unequal weights alone lower it.
   *
   * @param tail the probability beyond a limit, strictly between 0 and ½
   */
  public double binomialTrials(double tail) {
    double effective =
        !variance() ? byWeights : value * complement / (standardError * standardError);
    if (rows < 2) {
      return effective;
    }
    double ratio = Tail.t(rows - 1.0).valueAbove(tail) / Tail.t(df).valueAbove(tail);
    return Math.min((double) rows, effective * ratio * ratio);
  }
}
