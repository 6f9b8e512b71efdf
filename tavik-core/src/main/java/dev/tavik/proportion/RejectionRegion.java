package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.Bisection;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.LogSpace;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;

/**
 * Finds the counts that a test rejects. On each side of the null's expectation the p-value falls
 * with the distance, so the rejected counts are two tails (one, with a direction), whose ends are
 * found by bisection. The exception is Wald's test, which never rejects x = 0 and x = n; these are
 * left out of the search and of the size.
 */
final class RejectionRegion {
  private final ProportionTest test;
  private final long trials;
  private final Hypothesis hypothesis;
  private final double alpha;
  private final Binomial underNull;

  private RejectionRegion(ProportionTest test, long trials, Hypothesis hypothesis, double alpha) {
    this.test = test;
    this.trials = trials;
    this.hypothesis = hypothesis;
    this.alpha = alpha;
    this.underNull = new Binomial(trials, DecimalFraction.of(hypothesis.against()));
  }

  static CriticalCounts of(ProportionTest test, long trials, Hypothesis hypothesis, double alpha) {
    return new RejectionRegion(test, trials, hypothesis, alpha).find();
  }

  private CriticalCounts find() {
    boolean degenerate = test == ProportionTest.WALD;
    long least = degenerate ? 1 : 0;
    long greatest = degenerate ? trials - 1 : trials;
    boolean twoSided = hypothesis.alternative() == Alternative.TWO_SIDED;
    long middle = Math.max(least, Math.min(greatest, underNull.mode()));
    long low = least - 1;
    long high = greatest + 1;
    if (hypothesis.alternative() != Alternative.GREATER) {
      low = Bisection.last(low, twoSided ? middle : greatest, this::rejects);
    }
    if (hypothesis.alternative() != Alternative.LESS) {
      high = Bisection.first(twoSided ? Math.max(middle, low + 1) : least, high, this::rejects);
    }
    double lower = low < least ? Double.NEGATIVE_INFINITY : underNull.logLower(low);
    double upper = high > greatest ? Double.NEGATIVE_INFINITY : underNull.logUpper(high);
    double size = Math.exp(LogSpace.add(lower, upper));
    if (degenerate && low >= least) {
      size -= Math.exp(underNull.logMass(0));
    }
    if (degenerate && high <= greatest) {
      size -= Math.exp(underNull.logMass(trials));
    }
    return new CriticalCounts(
        test.id(),
        trials,
        low < least ? null : low,
        high > greatest ? null : high,
        Math.max(0, Math.min(1, size)));
  }

  private boolean rejects(long x) {
    return test.of(Tally.of(x, trials), hypothesis).rejects(alpha);
  }
}
