package dev.tavik.proportion;

import dev.tavik.count.Tally;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.numbers.rootfinder.BrentSolver;

/**
 * Finds a limit by search over the log odds, where the logarithm of a tail is nearly straight. From
 * a first guess, steps from half a standard deviation on, each twice the last, bracket the root;
 * Brent's method finds it to 10⁻¹² in the log odds, which is a relative 10⁻¹² in the limit or
 * better.
 */
final class LimitSearch {
  /** Log odds no limit lies beyond. */
  static final double FARTHEST = 700;

  private static final double TOLERANCE = 1e-12;

  /** The log odds of the smallest proportion and of the last double below 1. */
  private static final double LOWEST = -700;

  private static final double HIGHEST = 36;

  private LimitSearch() {}

  /**
   * The root of a function that rises with the proportion, or the end of the range where it lies
   * beyond: a limit nearer to 1 than the last double below it.
   */
  static double root(DoubleUnaryOperator rising, double guess, Tally tally) {
    double first = 0.5 / Math.sqrt(Math.max(0.5, tally.proportion() * tally.failures()));
    return proportion(
        search(u -> rising.applyAsDouble(proportion(u)), logOdds(guess), first, LOWEST, HIGHEST));
  }

  /**
   * The root of a rising function of a logarithm: steps from a first guess, each twice the last,
   * bracket it, and Brent's method finds it to 10⁻¹². The end of the range where it lies beyond.
   */
  static double search(
      DoubleUnaryOperator rising, double guess, double first, double least, double most) {
    double near = Math.max(least, Math.min(most, guess));
    double direction = rising.applyAsDouble(near) > 0 ? -1 : 1;
    double far = Math.max(least, Math.min(most, near + direction * first));
    for (double step = 2 * first; direction * rising.applyAsDouble(far) < 0; step *= 2) {
      if (far == least || far == most) {
        return far;
      }
      near = far;
      far = Math.max(least, Math.min(most, far + direction * step));
    }
    return new BrentSolver(0, TOLERANCE, 0)
        .findRoot(rising, Math.min(near, far), Math.max(near, far));
  }

  private static double logOdds(double p) {
    return within(Math.log(p) - Math.log1p(-p));
  }

  private static double within(double logOdds) {
    return Math.max(LOWEST, Math.min(HIGHEST, logOdds));
  }

  /** The proportion with these log odds; 0 and 1 for infinite ones. */
  static double proportion(double logOdds) {
    return 1 / (1 + Math.exp(-logOdds));
  }
}
