package dev.tavik.proportion;

import dev.tavik.numeric.Bisection;
import dev.tavik.numeric.CountDistribution;
import dev.tavik.numeric.LogSpace;
import dev.tavik.result.Alternative;
import dev.tavik.result.Method;
import java.util.function.LongPredicate;

/**
 * Finds the counts that a test rejects. On each side of the null's expectation the p-value falls
 * with the distance, so the rejected counts are two tails (one, with a direction), whose ends are
 * found by bisection, asking the test itself.
 *
 * @param underNull the counts that the null expects
 * @param least the smallest count that the test can reject
 * @param greatest the largest count that the test can reject; counts beyond both, which only Wald's
 *     test leaves out, are no part of the size
 * @param alternative the direction
 */
record RejectionRegion(
    CountDistribution underNull, long least, long greatest, Alternative alternative) {

  CriticalCounts find(Method method, long trials, LongPredicate rejects) {
    boolean twoSided = alternative == Alternative.TWO_SIDED;
    long middle = middle();
    long low = least - 1;
    long high = greatest + 1;
    if (alternative != Alternative.GREATER) {
      low = Bisection.last(low, twoSided ? middle : greatest, rejects);
    }
    if (alternative != Alternative.LESS) {
      high = Bisection.first(twoSided ? Math.max(middle, low + 1) : least, high, rejects);
    }
    return found(method, trials, low, high);
  }

  /** Finds the counts starting from those of slightly fewer trials, which is faster. */
  CriticalCounts findNear(CriticalCounts near, Method method, long trials, LongPredicate rejects) {
    boolean twoSided = alternative == Alternative.TWO_SIDED;
    long middle = middle();
    long low = least - 1;
    long high = greatest + 1;
    if (alternative != Alternative.GREATER) {
      Long guess = near.atMost();
      low =
          Bisection.lastNear(
              low, twoSided ? middle : greatest, guess == null ? low : guess, rejects);
    }
    if (alternative != Alternative.LESS) {
      Long guess = near.atLeast();
      high =
          Bisection.firstNear(
              twoSided ? Math.max(middle, low + 1) : least,
              high,
              guess == null ? high : guess,
              rejects);
    }
    return found(method, trials, low, high);
  }

  private long middle() {
    return Math.max(least, Math.min(greatest, underNull.mode()));
  }

  private CriticalCounts found(Method method, long trials, long low, long high) {
    return new CriticalCounts(
        method,
        trials,
        low < least ? null : low,
        high > greatest ? null : high,
        size(low, high, trials));
  }

  private double size(long low, long high, long trials) {
    double lower = low < least ? Double.NEGATIVE_INFINITY : underNull.logLower(low);
    double upper = high > greatest ? Double.NEGATIVE_INFINITY : underNull.logUpper(high);
    double size = Math.exp(LogSpace.add(lower, upper));
    if (least > 0 && low >= least) {
      size -= Math.exp(underNull.logMass(0));
    }
    if (greatest < trials && high <= greatest) {
      size -= Math.exp(underNull.logMass(trials));
    }
    return Math.max(0, Math.min(1, size));
  }
}
