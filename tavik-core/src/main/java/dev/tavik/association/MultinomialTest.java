package dev.tavik.association;

import dev.tavik.count.CategoryCounts;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.LogSpace;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The exact multinomial test, ordered by probability. All categories but the last two are gone
 * through; what is then left for these two is binomial, and of its counts those no more probable
 * than the observed outcome are two tails, whose ends are found by bisection and which are summed
 * as tails. So the work is one line for each way to fill all categories but two, not one for each
 * outcome. The two categories with the largest shares come last, where they save most.
 */
final class MultinomialTest {
  /** Number of lines with which the test takes some seconds. */
  static final long MOST_LINES = 1_000_000;

  private static final double LN_TIE = Math.log1p(1e-7);

  private final long total;
  private final int categories;
  private final DecimalFraction[] chances;
  private final double limit;
  private double logSum = Double.NEGATIVE_INFINITY;

  MultinomialTest(CategoryCounts counts, Shares shares) {
    this.total = counts.total();
    this.categories = counts.size();
    double lines = ways(categories - 2);
    if (lines > MOST_LINES) {
      throw new NotApplicableException(
          NotApplicableReason.TOO_MANY_OUTCOMES, ways(categories - 1), total, categories);
    }
    List<Integer> order =
        IntStream.range(0, categories)
            .boxed()
            .sorted(Comparator.comparing(i -> shares.parts().get(i)))
            .toList();
    this.chances = chances(shares, order);
    double observed = 0;
    long left = total;
    for (int i = 0; i < categories - 1; i++) {
      long count = counts.counts().get(order.get(i));
      observed += logMass(left, i, count);
      left -= count;
    }
    this.limit = observed + LN_TIE;
  }

  /** How many ways there are to fill some categories and leave the rest over: C(n + k, k). */
  private double ways(int filled) {
    double ways = 1;
    for (int i = 1; i <= filled; i++) {
      ways = ways * (total + i) / i;
    }
    return ways;
  }

  /** The chance of each category among those that come after it, from whole parts. */
  private static DecimalFraction[] chances(Shares shares, List<Integer> order) {
    List<DecimalFraction> chances = new ArrayList<>();
    BigInteger left = shares.whole();
    for (int i = 0; i + 1 < order.size(); i++) {
      BigInteger part = shares.parts().get(order.get(i));
      chances.add(
          new DecimalFraction(
              part.doubleValue() / left.doubleValue(),
              0,
              left.subtract(part).doubleValue() / left.doubleValue()));
      left = left.subtract(part);
    }
    return chances.toArray(DecimalFraction[]::new);
  }

  private double logMass(long left, int category, long count) {
    return left == 0 ? 0 : new Binomial(left, chances[category]).logMass(count);
  }

  double logPValue() {
    fill(0, total, 0);
    return Math.min(0, logSum);
  }

  private void fill(int category, long left, double logSoFar) {
    if (category == categories - 2) {
      lastTwo(category, left, logSoFar);
      return;
    }
    for (long count = 0; count <= left; count++) {
      fill(category + 1, left - count, logSoFar + logMass(left, category, count));
    }
  }

  private void lastTwo(int category, long left, double logSoFar) {
    if (left == 0) {
      if (logSoFar <= limit) {
        logSum = LogSpace.add(logSum, logSoFar);
      }
      return;
    }
    Binomial rest = new Binomial(left, chances[category]);
    double wanted = limit - logSoFar;
    if (rest.logMass(rest.mode()) <= wanted) {
      logSum = LogSpace.add(logSum, logSoFar);
      return;
    }
    double tails =
        LogSpace.add(
            rest.logLower(rest.lastBelowModeAtMost(wanted)),
            rest.logUpper(rest.firstAboveModeAtMost(wanted)));
    logSum = LogSpace.add(logSum, logSoFar + tails);
  }
}
