package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.proportion.ProportionInterval.Limits;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.numbers.rootfinder.BrentSolver;

/**
 * The interval of Clopper and Pearson (1934, "The use of confidence or fiducial limits illustrated
 * in the case of the binomial", Biometrika 26, 404-413).
 *
 * <p>The lower limit solves P(X ≥ x) = tail, the upper P(X ≤ x) = tail. At x = 0 and x = n the
 * solution is a root of the tail itself. Elsewhere the search runs over the log odds, where the
 * logarithm of a tail is nearly straight. It starts at Wilson's limit; steps from half a standard
 * deviation on, each twice the last, bracket the root, and Brent's method finds it to 10⁻¹² in the
 * log odds, which is a relative 10⁻¹² in the limit or better.
 */
final class ClopperPearsonInterval {
  private static final double TOLERANCE = 1e-12;

  /** The log odds of the smallest proportion and of the last double below 1. */
  private static final double LOWEST = -700;

  private static final double HIGHEST = 36;

  private ClopperPearsonInterval() {}

  static Limits of(Tally tally, double tail) {
    long x = tally.successes();
    long n = tally.trials();
    double lnTail = Math.log(tail);
    Limits start = WilsonInterval.of(tally, tail);
    double step = 0.5 / Math.sqrt(Math.max(0.5, tally.proportion() * tally.failures()));
    double lower =
        x == 0
            ? 0
            : x == n
                ? Math.exp(lnTail / n)
                : root(p -> at(n, p).logUpper(x) - lnTail, start.lower(), step);
    double upper =
        x == n
            ? 1
            : x == 0
                ? -Math.expm1(lnTail / n)
                : root(p -> lnTail - at(n, p).logLower(x), start.upper(), step);
    return new Limits(lower, upper);
  }

  private static Binomial at(long n, double p) {
    return new Binomial(n, DecimalFraction.exactly(p));
  }

  /**
   * The root of a function that rises with the proportion, or the end of the range where it lies
   * beyond: a limit nearer to 1 than the last double below it.
   */
  private static double root(DoubleUnaryOperator rising, double start, double firstStep) {
    DoubleUnaryOperator byLogOdds = u -> rising.applyAsDouble(proportion(u));
    double near = within(Math.log(start) - Math.log1p(-start));
    double direction = byLogOdds.applyAsDouble(near) > 0 ? -1 : 1;
    double far = within(near + direction * firstStep);
    for (double step = 2 * firstStep; direction * byLogOdds.applyAsDouble(far) < 0; step *= 2) {
      if (far == within(far + direction)) {
        return proportion(far);
      }
      near = far;
      far = within(far + direction * step);
    }
    BrentSolver solver = new BrentSolver(0, TOLERANCE, 0);
    return proportion(solver.findRoot(byLogOdds, Math.min(near, far), Math.max(near, far)));
  }

  private static double within(double logOdds) {
    return Math.max(LOWEST, Math.min(HIGHEST, logOdds));
  }

  private static double proportion(double logOdds) {
    return 1 / (1 + Math.exp(-logOdds));
  }
}
