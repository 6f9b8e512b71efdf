package dev.tavik.association;

import java.util.Arrays;

/**
 * The exact test of larger tables, by meeting in the middle: a development of the network algorithm
 * (Mehta and Patel 1983, "A network algorithm for performing Fisher's exact test in r × c
 * contingency tables", Journal of the American Statistical Association 78, 427-434).
 *
 * <p>The columns are cut into two halves. What the first half takes of the rows is a joint state,
 * which leaves the rest to the second; rows with equal totals are exchangeable. For either half the
 * shortest and longest filling is known, see {@link ColumnBlock}: where even both shortest together
 * make a table improbable enough, the state's whole probability counts; where both longest don't,
 * none of it. Only for the rest are the halves' lengths listed, each with its probability, and only
 * as far as they are undecided in some state; two lists are joined by running one up and the other
 * down.
 */
final class TwoHalves {
  private static final int STATE = 5;

  /** Iterations of a plain loop that count as one step. */
  private static final int LOOP = 8;

  /** Cost of expanding and of sorting an undecided state, in steps. */
  private static final int UNDECIDED = 8;

  /**
   * Of more than two columns a half, with its share of the lists: measured where tables of seven by
   * seven and nine by nine were given up after all.
   */
  private static final double OF_A_JOINT_STATE = 90;

  private final int[] rows;
  private final long threshold;
  private final ComputeBudget work;
  private final Lookup lookup;
  private final ColumnBlock first;
  private final ColumnBlock second;
  private final Ways ways;
  private final double all;
  private final int[] taken;
  private double sum;

  /** The undecided joint states. */
  private int[] firsts = new int[64];

  private int[] seconds = new int[64];
  private double[] chances = new double[64];
  private int undecided;

  TwoHalves(ExactTable table, ComputeBudget work) {
    this.rows = table.rows();
    this.threshold = table.threshold();
    this.work = work;
    int[][] halves = balanced(table.columns());
    int taken = Arrays.stream(halves[0]).sum();
    int units = taken + Arrays.stream(halves[1]).sum();
    this.lookup = new Lookup(table.factorials(), units);
    this.first = new ColumnBlock(halves[0], rows.length, rows[rows.length - 1], lookup, work);
    this.second = new ColumnBlock(halves[1], rows.length, rows[rows.length - 1], lookup, work);
    this.taken = new int[rows.length];
    this.ways = new Ways((double) taken / units, work);
    this.all = ways.of(units, taken);
    work.expect(first.fillings(rows) + second.fillings(rows));
    if (table.columns().length > 4) {
      work.spend((long) rows.length * rows[rows.length - 1] * first.units() / LOOP);
      work.require(OF_A_JOINT_STATE * jointStates(rows, first.units()));
    }
  }

  /** How many joint states there are: the ways to take units of the rows, equal rows alike. */
  private static double jointStates(int[] ascending, int units) {
    double[] ways = new double[units + 1];
    ways[0] = 1;
    for (int from = 0, to; from < ascending.length; from = to) {
      int row = ascending[from];
      to = from + 1;
      while (to < ascending.length && ascending[to] == row) {
        to++;
      }
      // Number of ways in which equal rows take a number of units together, in any order.
      double[][] equal = new double[to - from + 1][units + 1];
      equal[0] = ways;
      for (int each = 0; each <= Math.min(row, units); each++) {
        for (int rows = 1; rows < equal.length; rows++) {
          for (int sum = each; sum <= units; sum++) {
            equal[rows][sum] += equal[rows - 1][sum - each];
          }
        }
      }
      ways = equal[to - from];
    }
    return ways[units];
  }

  /**
   * Splits the columns into halves with equally many columns and about equally many units, each in
   * descending order.
   */
  private static int[][] balanced(int... ascending) {
    int[] first = new int[ascending.length / 2];
    int[] second = new int[ascending.length - first.length];
    int inFirst = 0;
    int inSecond = 0;
    int ahead = 0;
    for (int i = ascending.length - 1; i >= 0; i--) {
      boolean toFirst = inSecond == second.length || (inFirst < first.length && ahead <= 0);
      if (toFirst) {
        first[inFirst++] = ascending[i];
      } else {
        second[inSecond++] = ascending[i];
      }
      ahead += toFirst ? ascending[i] : -ascending[i];
    }
    return new int[][] {first, second};
  }

  double pValue() {
    new ColumnEnumerator(rows, first.units(), lookup, ways, this::state).forEach();
    work.spend((long) UNDECIDED * undecided);
    for (int i = 0; i < undecided; i++) {
      first.widen(
          firsts[i], threshold - second.greatest(seconds[i]), threshold - second.least(seconds[i]));
      second.widen(
          seconds[i], threshold - first.greatest(firsts[i]), threshold - first.least(firsts[i]));
    }
    first.list();
    second.list();
    join();
    return sum;
  }

  /** Lists are created when first needed and released after their last use. */
  private void join() {
    long[] keyed = new long[undecided];
    Arrays.setAll(keyed, i -> (long) firsts[i] << 32 | i);
    Arrays.sort(keyed);
    int[] order = Arrays.stream(keyed).mapToInt(key -> (int) key).toArray();
    int[] uses = new int[second.states()];
    for (int i = 0; i < undecided; i++) {
      uses[seconds[i]]++;
    }
    for (int done = 0; done < order.length; done++) {
      int i = order[done];
      sum += chances[i] * joined(first.lengths(firsts[i]), second.lengths(seconds[i]));
      if (--uses[seconds[i]] == 0) {
        second.forget(seconds[i]);
      }
      if (done + 1 == order.length || firsts[order[done + 1]] != firsts[i]) {
        first.forget(firsts[i]);
      }
    }
  }

  private void state(int[] left, long code, long length, long rest, double ways) {
    work.spend(STATE);
    for (int i = 0; i < rows.length; i++) {
      taken[i] = rows[i] - left[i];
    }
    if (first.leastOfRows(taken) + second.leastOfRows(left) >= threshold) {
      sum += ways / all;
      return;
    }
    // With two columns in each half hardly any two states are equal, so only the undecided ones are
    // stored.
    if (first.direct(taken) && second.direct(left)) {
      if (first.leastOf(taken) + second.leastOf(left) >= threshold) {
        sum += ways / all;
        return;
      }
      if (first.greatestOf(taken) + second.greatestOf(left) < threshold) {
        return;
      }
    }
    int one = first.state(taken, lookup.code(taken));
    int other = second.state(left, code);
    double chance = ways / all;
    if (first.least(one) + second.least(other) >= threshold) {
      sum += chance;
    } else if (first.greatest(one) + second.greatest(other) >= threshold) {
      if (undecided == firsts.length) {
        work.keep(undecided);
        firsts = Arrays.copyOf(firsts, 2 * undecided);
        seconds = Arrays.copyOf(seconds, 2 * undecided);
        chances = Arrays.copyOf(chances, 2 * undecided);
      }
      firsts[undecided] = one;
      seconds[undecided] = other;
      chances[undecided] = chance;
      undecided++;
    }
  }

  /** How likely the lengths of two halves add up to the threshold. */
  private double joined(PathLengths one, PathLengths other) {
    work.spend(1 + (one.size() + other.size()) / 4);
    double counted = one.from(one.size());
    double reached = other.from(other.size());
    int j = other.size() - 1;
    for (int i = 0; i < one.size(); i++) {
      long needed = threshold - one.length(i);
      while (j >= 0 && other.length(j) >= needed) {
        reached += other.chance(j);
        j--;
      }
      counted += one.chance(i) * reached;
    }
    return counted;
  }
}
