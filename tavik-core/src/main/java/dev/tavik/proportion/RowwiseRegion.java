package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Proportion;

/**
 * The rejected pairs, for each count of the second group: those whose first count is small or
 * large. The tests by a standard error under the null, and Fisher's of one tail, are monotone: what
 * they reject stays rejected if the counts move further apart (Barnard 1947, "Significance tests
 * for 2 × 2 tables", Biometrika 34, 123-138). So both ends only move up with the second count, and
 * one walk finds them all, asking the test itself. Only where all of one group and none of the
 * other succeeded, some tests have no statistic and don't reject.
 */
final class RowwiseRegion implements CriticalPairs {
  private final int first;
  private final int second;
  private final int[] low;
  private final int[] high;
  private final boolean noneOfFirst;
  private final boolean allOfFirst;

  private RowwiseRegion(int[] low, int[] high, int first, boolean noneOfFirst, boolean allOfFirst) {
    this.first = first;
    this.second = low.length - 1;
    this.low = low;
    this.high = high;
    this.noneOfFirst = noneOfFirst;
    this.allOfFirst = allOfFirst;
  }

  private record Question(
      TwoProportionTest test, Hypothesis hypothesis, double alpha, int first, int second) {
    boolean rejects(int x, int y) {
      return test.of(Tally.of(x, first), Tally.of(y, second), hypothesis).rejects(alpha);
    }

    double away(int x, int y) {
      return (double) x / first - (double) y / second - hypothesis.against();
    }

    boolean low(int x, int y) {
      return away(x, y) < 0 && ((x == 0 && y == second) || rejects(x, y));
    }

    boolean high(int x, int y) {
      return away(x, y) > 0 && ((x == first && y == 0) || rejects(x, y));
    }
  }

  static RowwiseRegion of(
      TwoProportionTest test, long trials, long others, Hypothesis hypothesis, double alpha) {
    int first = (int) trials;
    int second = (int) others;
    Question asked = new Question(test, hypothesis, alpha, first, second);
    int[] low = new int[second + 1];
    int[] high = new int[second + 1];
    int below = -1;
    int above = hypothesis.alternative() == Alternative.LESS ? first + 1 : 0;
    for (int y = 0; y <= second; y++) {
      if (hypothesis.alternative() != Alternative.GREATER) {
        while (below < first && asked.low(below + 1, y)) {
          below++;
        }
      }
      while (above <= first && !asked.high(above, y)) {
        above++;
      }
      low[y] = below;
      high[y] = above;
    }
    return new RowwiseRegion(
        low,
        high,
        first,
        low[second] >= 0 && !asked.rejects(0, second),
        high[0] <= first && !asked.rejects(first, 0));
  }

  @Override
  public double chance(double p1, double p2) {
    BinomialPmfTable ones = new BinomialPmfTable(first, Proportion.require("first", p1));
    BinomialPmfTable twos = new BinomialPmfTable(second, Proportion.require("second", p2));
    double sum = 0;
    for (int y = twos.from(); y <= twos.to(); y++) {
      sum += twos.of(y) * (ones.atMost(low[y]) + ones.atLeast(high[y]));
    }
    if (noneOfFirst) {
      sum -= ones.of(0) * twos.of(second);
    }
    if (allOfFirst) {
      sum -= ones.of(first) * twos.of(0);
    }
    return Math.min(1, Math.max(0, sum));
  }

  /** The chance that this test, of small first counts, rejects and another of large ones too. */
  double chanceOfBoth(RowwiseRegion large, double p1, double p2) {
    BinomialPmfTable ones = new BinomialPmfTable(first, Proportion.require("first", p1));
    BinomialPmfTable twos = new BinomialPmfTable(second, Proportion.require("second", p2));
    double sum = 0;
    for (int y = twos.from(); y <= twos.to(); y++) {
      sum += twos.of(y) * ones.between(large.high[y], low[y]);
    }
    return sum;
  }
}
