package dev.tavik.simulation;

import dev.tavik.count.Tally;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;

/**
 * How often a simulated sample was at least as extreme as the data.
 *
 * @param method the test whose p-value this estimates
 * @param rule what counts as as extreme, in words
 * @param lowerHits the draws that are as extreme below
 * @param upperHits the draws that are as extreme above
 * @param draws all draws
 * @param interval the interval of the p-value at {@value #LEVEL}
 */
public record SimulatedTail(
    Method method, String rule, long lowerHits, long upperHits, long draws, Interval interval) {
  /** The level of the interval of a simulated p-value. */
  public static final double LEVEL = 0.99;

  static SimulatedTail of(Method method, String rule, long lower, long upper, long draws) {
    return new SimulatedTail(
        method,
        rule,
        lower,
        upper,
        draws,
        ProportionInterval.CLOPPER_PEARSON.of(Tally.of(lower + upper, draws), LEVEL));
  }

  /**
   * All hits.
   *
   * @return those below and above
   */
  public long hits() {
    return lowerHits + upperHits;
  }

  /**
   * The p-value: the data count as one more draw, so that it is never 0 and a test by it keeps its
   * level (Davison and Hinkley 1997, Bootstrap Methods and their Application, 4.2).
   *
   * @return (hits + 1)/(draws + 1)
   */
  public double pValue() {
    return (hits() + 1.0) / (draws + 1.0);
  }

  /**
   * Its Monte Carlo standard error.
   *
   * @return √(p(1 - p)/draws)
   */
  public double standardError() {
    return Math.sqrt(pValue() * (1 - pValue()) / draws);
  }

  /**
   * Whether a p-value lies within what the draws leave open.
   *
   * @param pValue a p-value by formula
   * @return whether it lies in the interval
   */
  public boolean agreesWith(double pValue) {
    return interval.lower() <= pValue && pValue <= interval.upper();
  }
}
