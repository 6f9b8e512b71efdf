package dev.tavik.proportion;

import static dev.tavik.proportion.LimitSearch.at;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.LogSpace;
import java.util.function.DoubleUnaryOperator;

/**
 * The interval of Blaker (2000, "Confidence curves and improved exact confidence intervals for
 * discrete distributions", Canadian Journal of Statistics 28, 783-798): the values that his test
 * doesn't reject. They may have gaps; the limits are the outermost values.
 *
 * <p>For the lower limit let k be the largest count with P(X ≤ k) ≤ P(X ≥ x), so that the test's
 * p-value is P(X ≥ x) + P(X ≤ k). While k stays, that is one minus the probability of the counts
 * between, which first rises and then falls with p. So the p-value falls and then rises, and where
 * k steps up it jumps to twice P(X ≥ x). At the lower limit of Clopper and Pearson, where P(X ≥ x)
 * = α/2, the p-value is at most α, and at the next step of k it is above α. The limit is therefore
 * where the p-value rises through α before that step, or else the step itself.
 *
 * <p>The upper limit is the same with the tails exchanged. A one-sided bound is that of Clopper and
 * Pearson.
 */
final class BlakerInterval {
  private BlakerInterval() {}

  /** Two-sided limits for alpha = 2·tail. */
  static Limits of(Tally tally, double tail) {
    double lnAlpha = Math.log(2 * tail);
    return new Limits(lower(tally, tail, lnAlpha), upper(tally, tail, lnAlpha));
  }

  private static double lower(Tally tally, double tail, double lnAlpha) {
    long x = tally.successes();
    if (x == 0) {
      return 0;
    }
    double from = ClopperPearsonInterval.lower(tally, tail);
    Binomial start = at(tally, from);
    long k = start.lastLowerAtMost(start.logUpper(x));
    double step =
        LimitSearch.root(p -> at(tally, p).logUpper(x) - at(tally, p).logLower(k + 1), from, tally);
    DoubleUnaryOperator pValue =
        p -> LogSpace.add(at(tally, p).logUpper(x), at(tally, p).logLower(k)) - lnAlpha;
    return crossing(pValue, from, step);
  }

  private static double upper(Tally tally, double tail, double lnAlpha) {
    long x = tally.successes();
    if (tally.failures() == 0) {
      return 1;
    }
    double from = ClopperPearsonInterval.upper(tally, tail);
    Binomial start = at(tally, from);
    long k = start.firstUpperAtMost(start.logLower(x));
    double step =
        LimitSearch.root(p -> at(tally, p).logUpper(k - 1) - at(tally, p).logLower(x), from, tally);
    DoubleUnaryOperator pValue =
        p -> LogSpace.add(at(tally, p).logLower(x), at(tally, p).logUpper(k)) - lnAlpha;
    return crossing(pValue, from, step);
  }

  /** Where the p-value passes alpha on the way to the step, or the step. */
  private static double crossing(DoubleUnaryOperator pValue, double from, double step) {
    if (pValue.applyAsDouble(step) <= 0) {
      return step;
    }
    return pValue.applyAsDouble(from) >= 0
        ? from
        : LimitSearch.between(pValue, Math.min(from, step), Math.max(from, step));
  }
}
