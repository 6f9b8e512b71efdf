package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.BinomialTail;
import dev.tavik.numeric.Bisection;
import dev.tavik.numeric.LogSpace;
import dev.tavik.numeric.Newton;

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
 * <p>The upper limit is the lower one of the failures. A one-sided bound is that of Clopper and
 * Pearson. All is searched over the log odds by Newton's method, since a tail has its slope with
 * it, within a bracket.
 */
final class BlakerInterval {
  private final long x;
  private final long n;
  private final BinomialTail upper;

  private BlakerInterval(long x, long n) {
    this.x = x;
    this.n = n;
    this.upper = new BinomialTail(x, n);
  }

  /** Two-sided limits for alpha = 2·tail. */
  static Limits of(Tally tally, double tail) {
    long n = tally.trials();
    return new Limits(lower(tally.successes(), n, tail, 1), upper(tally, n, tail));
  }

  private static double upper(Tally tally, long n, double tail) {
    return tally.failures() == 0 ? 1 : lower(tally.failures(), n, tail, -1);
  }

  /** The lower limit of a count, or one minus it where the sign is negative. */
  private static double lower(long x, long n, double tail, int sign) {
    if (x == 0) {
      return 0;
    }
    return LimitSearch.proportion(sign * new BlakerInterval(x, n).logOdds(tail));
  }

  private double logOdds(double tail) {
    double from = ClopperPearsonInterval.logOdds(x, n, tail);
    double reached = upper.at(from).log();
    long k = last(from, reached);
    double step = step(from, k);
    // Without a tail on the other side the p-value is the observed one alone.
    return k < 0
        ? Math.min(step, ClopperPearsonInterval.logOdds(x, n, 2 * tail))
        : crossing(from, step, k, Math.log(2 * tail));
  }

  /** P(X ≤ k) as the tail of the failures. */
  private BinomialTail lowerTail(long k) {
    return new BinomialTail(n - k, n);
  }

  /** The largest count whose lower tail has this logarithm or less; -1 for none. */
  private long last(double u, double log) {
    double p = LimitSearch.proportion(u);
    long mirrored = Math.max(0, Math.min(x - 1, Math.round(2 * n * p - x)));
    BinomialTail there = lowerTail(mirrored).at(-u);
    double better = mirrored + (log - there.log()) * there.sum();
    long guess = better >= 0 ? Math.min(x - 1, (long) better) : -1;
    return Bisection.lastNear(-1, x - 1, guess, k -> lowerTail(k).at(-u).log() <= log);
  }

  /** Where the lower tail up to the next count comes down to the upper one. */
  private double step(double from, long k) {
    BinomialTail next = lowerTail(k + 1);
    return Newton.root(
        u -> {
          upper.at(u);
          next.at(-u);
          return new Newton.Point(upper.log() - next.log(), upper.slope() + next.slope());
        },
        from,
        LimitSearch.FARTHEST,
        from);
  }

  /** Where the p-value passes alpha on the way to the step, or the step. */
  private double crossing(double from, double step, long k, double lnAlpha) {
    BinomialTail lower = lowerTail(k);
    Newton.Sloped pValue =
        u -> {
          upper.at(u);
          lower.at(-u);
          double log = LogSpace.add(upper.log(), lower.log());
          double rising = Math.exp(upper.log() - log) * upper.slope();
          double falling = Math.exp(lower.log() - log) * lower.slope();
          return new Newton.Point(log - lnAlpha, rising - falling);
        };
    if (pValue.at(step).value() <= 0) {
      return step;
    }
    return pValue.at(from).value() >= 0 ? from : Newton.root(pValue, from, step, step);
  }
}
