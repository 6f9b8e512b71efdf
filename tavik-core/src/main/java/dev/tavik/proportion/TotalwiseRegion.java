package dev.tavik.proportion;

import dev.tavik.result.Alternative;
import dev.tavik.result.Proportion;
import dev.tavik.result.Significance;
import java.util.Arrays;

/**
 * The pairs whose p-value by Fisher's test is at most a limit, for each total of successes: for his
 * test the limit is alpha; for Boschloo's it is the largest with which the size stays at alpha.
 */
final class TotalwiseRegion implements CriticalPairs {
  private static final double TIE = 1 + Significance.TIE;
  private static final double NEGLIGIBLE = 1e-25;

  /** Relative precision of Boschloo's limit; p-values that differ by less count as tied. */
  private static final double NARROW = 1e-8;

  /** The ends of a total fit one number each of sixteen bits. */
  private static final int HALF_WORD = 16;

  private static final int MASK = (1 << HALF_WORD) - 1;

  private final int first;
  private final int second;
  private final double limit;
  private final Alternative alternative;

  /**
   * The rejected counts of each total that was asked about, one number for both ends, so that
   * threads see either none or both; 0 where nobody asked yet.
   */
  private final int[] ends;

  private TotalwiseRegion(int first, int second, double limit, Alternative alternative) {
    this.first = first;
    this.second = second;
    this.limit = limit;
    this.alternative = alternative;
    this.ends = new int[first + second + 1];
  }

  static TotalwiseRegion fisher(long first, long second, Alternative alternative, double alpha) {
    return new TotalwiseRegion((int) first, (int) second, Significance.largest(alpha), alternative);
  }

  private int ends(int successes, ConditionalWeights weights) {
    int known = ends[successes];
    if (known == 0) {
      weights.of(successes);
      weights.reject(limit, TIE, alternative);
      known = (weights.rejectedTo() + 1) << HALF_WORD | weights.rejectedFrom();
      ends[successes] = known;
    }
    return known;
  }

  static TotalwiseRegion boschloo(long first, long second, Alternative alternative, double alpha) {
    double most = Significance.largest(alpha);
    PValues pValues = new PValues((int) first, (int) second, alternative);
    double good = alpha;
    double bad = Math.min(1, 2 * alpha);
    while (bad < 1 && !pValues.sizeExceeds(most, bad)) {
      good = bad;
      bad = Math.min(1, 2 * bad);
    }
    while (bad - good > NARROW * good) {
      double middle = good + (bad - good) / 2;
      if (!pValues.sizeExceeds(most, middle)) {
        good = middle;
      } else {
        bad = middle;
      }
    }
    return new TotalwiseRegion((int) first, (int) second, good, alternative);
  }

  /** For each total of successes the p-values by Fisher's test that occur, from the smallest up. */
  private static final class PValues {
    private final double[][] byTotal;

    PValues(int first, int second, Alternative alternative) {
      ConditionalWeights weights = new ConditionalWeights(first, second, NEGLIGIBLE);
      byTotal = new double[first + second + 1][];
      for (int s = 0; s < byTotal.length; s++) {
        weights.of(s);
        byTotal[s] = weights.pValues(TIE, alternative);
      }
    }

    /**
     * Whether, at some common proportion, the chance of a p-value up to a limit is above a size.
     */
    boolean sizeExceeds(double size, double limit) {
      double[] logs = new double[byTotal.length];
      boolean any = false;
      for (int s = 0; s < logs.length; s++) {
        int place = Arrays.binarySearch(byTotal[s], limit);
        int last = place < 0 ? -place - 2 : place;
        logs[s] = last < 0 ? Double.NEGATIVE_INFINITY : Math.log(byTotal[s][last]);
        any |= last >= 0;
      }
      return any && SizeSupremum.exceeds(logs, size);
    }
  }

  @Override
  public double chance(double p1, double p2) {
    BinomialPmfTable ones = new BinomialPmfTable(first, Proportion.require("first", p1));
    BinomialPmfTable twos = new BinomialPmfTable(second, Proportion.require("second", p2));
    // Only totals that can occur are examined.
    ConditionalWeights weights = new ConditionalWeights(first, second, NEGLIGIBLE);
    double sum = 0;
    for (int s = ones.from() + twos.from(); s <= ones.to() + twos.to(); s++) {
      int least = Math.max(ones.from(), s - twos.to());
      int greatest = Math.min(ones.to(), s - twos.from());
      int known = ends(s, weights);
      int low = (known >>> HALF_WORD) - 1;
      int high = known & MASK;
      sum += ones.sumWith(twos, s, least, Math.min(greatest, low));
      sum += ones.sumWith(twos, s, Math.max(least, Math.max(high, low + 1)), greatest);
    }
    return Math.min(1, sum);
  }
}
