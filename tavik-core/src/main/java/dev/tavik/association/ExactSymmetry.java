package dev.tavik.association;

import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The exact test of symmetry of a square table: given how many units each pair of levels exchanged,
 * the moves one way are binomial with chance ½, independently (the null of Bowker 1948; with one
 * pair it is McNemar's exact test). The p-value sums the tables no more probable than the observed
 * one.
 *
 * <p>The pairs are divided into two halves, and all products of probabilities are listed for each.
 * Both lists are sorted, so one pass finds which products of one half go with each of the other.
 * The work grows as the square root of the number of tables.
 */
final class ExactSymmetry {
  /** Maximum number of products listed for one half. */
  private static final long MOST = 2_000_000;

  /** Relative distance below which two probabilities count as equal. */
  private static final double TIE = 1e-7;

  private ExactSymmetry() {}

  /**
   * The natural logarithm of the p-value.
   *
   * @param one for each pair that exchanged units, how many moved one way
   * @param moved how many moved in all, for the same pairs
   * @throws NotApplicableException if a half would list more than two million products
   */
  static double logP(List<Long> one, List<Long> moved) {
    double observed = 0;
    List<double[]> pairs = new ArrayList<>();
    for (int i = 0; i < moved.size(); i++) {
      double[] logs = logs(moved.get(i));
      observed += logs[(int) Math.min(one.get(i), moved.get(i) - one.get(i))];
      pairs.add(logs);
    }
    pairs.sort((a, b) -> Integer.compare(b.length, a.length));
    List<double[]> first = new ArrayList<>();
    List<double[]> second = new ArrayList<>();
    for (double[] pair : pairs) {
      (size(first) <= size(second) ? first : second).add(pair);
    }
    if (size(first) > MOST || size(second) > MOST) {
      throw new NotApplicableException(NotApplicableReason.TOO_MANY_TABLES, MOST);
    }
    return logOf(listed(first), listed(second), observed + TIE);
  }

  private static double size(List<double[]> pairs) {
    return pairs.stream().mapToDouble(each -> each.length).reduce(1, (a, b) -> a * b);
  }

  /** The logarithms of C(n, x)/2ⁿ up to the middle: both sides are alike. */
  private static double[] logs(long n) {
    if (n / 2 + 1 > MOST) {
      throw new NotApplicableException(NotApplicableReason.TOO_MANY_TABLES, MOST);
    }
    double[] logs = new double[(int) (n / 2) + 1];
    logs[0] = -n * Math.log(2);
    for (int x = 1; x < logs.length; x++) {
      logs[x] = logs[x - 1] + Math.log((n - x + 1.0) / x);
    }
    return logs;
  }

  /** All products of a half: logarithms of probabilities, and how many tables have each. */
  private static final class Listed {
    private final double[] logs;
    private final double[] ways;

    Listed(double[] logs, double[] ways) {
      this.logs = logs;
      this.ways = ways;
    }

    double[] logs() {
      return logs;
    }

    double[] ways() {
      return ways;
    }
  }

  private static Listed listed(List<double[]> pairs) {
    double[] logs = {0};
    double[] ways = {1};
    for (double[] pair : pairs) {
      double[] nextLogs = new double[logs.length * pair.length];
      double[] nextWays = new double[nextLogs.length];
      boolean even = isEven(pair);
      for (int i = 0; i < logs.length; i++) {
        for (int x = 0; x < pair.length; x++) {
          int place = i * pair.length + x;
          nextLogs[place] = logs[i] + pair[x];
          nextWays[place] = ways[i] * (even && x == pair.length - 1 ? 1 : 2);
        }
      }
      logs = nextLogs;
      ways = nextWays;
    }
    return sorted(logs, ways);
  }

  /**
   * With an even number of moves the middle count occurs once and every other count on both sides.
   */
  private static boolean isEven(double[] pair) {
    long n = Math.round(-pair[0] / Math.log(2));
    return n % 2 == 0;
  }

  private static Listed sorted(double[] logs, double[] ways) {
    Integer[] order = new Integer[logs.length];
    Arrays.setAll(order, i -> i);
    Arrays.sort(order, (a, b) -> Double.compare(logs[a], logs[b]));
    double[] sortedLogs = new double[logs.length];
    double[] sortedWays = new double[logs.length];
    for (int i = 0; i < order.length; i++) {
      sortedLogs[i] = logs[order[i]];
      sortedWays[i] = ways[order[i]];
    }
    return new Listed(sortedLogs, sortedWays);
  }

  /** Sums the joint probabilities of both halves that are at most a bound. */
  private static double logOf(Listed first, Listed second, double bound) {
    double[] below = new double[second.logs().length + 1];
    double shift = second.logs()[second.logs().length - 1];
    for (int i = 0; i < second.logs().length; i++) {
      below[i + 1] = below[i] + second.ways()[i] * Math.exp(second.logs()[i] - shift);
    }
    double largest = Double.NEGATIVE_INFINITY;
    double sum = 0;
    int reach = second.logs().length;
    for (int i = 0; i < first.logs().length; i++) {
      while (reach > 0 && first.logs()[i] + second.logs()[reach - 1] > bound) {
        reach--;
      }
      if (below[reach] > 0) {
        double log = Math.log(first.ways()[i] * below[reach]) + first.logs()[i] + shift;
        if (log > largest) {
          sum = sum * Math.exp(largest - log) + 1;
          largest = log;
        } else {
          sum += Math.exp(log - largest);
        }
      }
    }
    return Math.min(0, largest + Math.log(sum));
  }
}
