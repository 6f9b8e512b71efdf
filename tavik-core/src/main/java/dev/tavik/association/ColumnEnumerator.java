package dev.tavik.association;

import java.util.function.DoubleConsumer;

/**
 * All ways to take a column's units from what is left of the rows; those that differ only in rows
 * with equal remainders come once, with their number.
 */
final class ColumnEnumerator {
  private final int[] rows;
  private final int column;
  private final Lookup lookup;
  private final Ways ways;
  private final int[] suffix;
  private final int[] runs;
  private final int[] taken;
  private final int[] left;

  /** Number of preceding equal rows from which the same number of units was taken. */
  private final int[] alike;

  private final Visitor visitor;

  private long limit = Long.MAX_VALUE;
  private long[] bounds;
  private long base;
  private final long[][] ahead;
  private DoubleConsumer beyond = ways -> {};

  /** Receives one way. */
  @FunctionalInterface
  interface Visitor {
    /**
     * One way.
     *
     * @param left what is left of each row; valid during the call only
     * @param code the code of what is left
     * @param length Σ ln x! of what is taken
     * @param rest Σ ln x! of what is left
     * @param ways the number of ways to choose the units, Π C(row, x), of all alike
     */
    void visit(int[] left, long code, long length, long rest, double ways);
  }

  /** The rows in any order with equal ones beside each other. */
  ColumnEnumerator(int[] rows, int column, Lookup lookup, Ways ways, Visitor visitor) {
    this.ways = ways;
    this.visitor = visitor;
    this.bounds = lookup.none();
    this.ahead = new long[rows.length + 1][];
    this.rows = rows;
    this.column = column;
    this.lookup = lookup;
    this.suffix = new int[rows.length + 1];
    for (int i = rows.length - 1; i >= 0; i--) {
      suffix[i] = suffix[i + 1] + rows[i];
    }
    this.runs = runs(rows);
    this.taken = new int[rows.length];
    this.left = new int[rows.length];
    this.alike = new int[rows.length];
  }

  /** For each row, the number of equal rows before it. */
  private static int[] runs(int[] rows) {
    int[] runs = new int[rows.length];
    for (int i = 1; i < rows.length; i++) {
      runs[i] = rows[i] == rows[i - 1] ? runs[i - 1] + 1 : 0;
    }
    return runs;
  }

  /**
   * Skips fillings that are known to be long enough, without examining them one by one.
   *
   * @param limit the length, what is left included, from which on a filling is long
   * @param bounds by count, a bound below the length of what is left of a row; convex
   * @param base what is added to the rows' bounds
   * @param beyond takes the ways of the fillings passed over
   */
  ColumnEnumerator below(long limit, long[] bounds, long base, DoubleConsumer beyond) {
    this.limit = limit;
    this.bounds = bounds;
    this.base = base;
    this.beyond = beyond;
    ahead[rows.length] = new long[1];
    for (int i = rows.length - 1; i >= 0; i--) {
      ahead[i] = ahead(i, ahead[i + 1]);
    }
    return this;
  }

  /**
   * The least bound of all rows from one on, by the units taken of them. A sum of convex functions
   * is least where the smallest increments are taken first.
   */
  private long[] ahead(int row, long[] others) {
    long[] least = new long[1 + Math.min(column, suffix[row])];
    int own = 0;
    int other = 0;
    least[0] = bounds[rows[row]] + others[0];
    for (int more = 1; more < least.length; more++) {
      long ofOwn =
          own < rows[row]
              ? lookup.length(own + 1)
                  - lookup.length(own)
                  + bounds[rows[row] - own - 1]
                  - bounds[rows[row] - own]
              : Long.MAX_VALUE;
      long ofOthers =
          other + 1 < others.length ? others[other + 1] - others[other] : Long.MAX_VALUE;
      least[more] = least[more - 1] + Math.min(ofOwn, ofOthers);
      if (ofOwn <= ofOthers) {
        own++;
      } else {
        other++;
      }
    }
    return least;
  }

  void forEach() {
    fill(0, column, 0, 0, 0, 1, base);
  }

  private void fill(
      int row, int more, long code, long length, long rest, double soFar, long bound) {
    // 1. A row takes what the rows after it can't, and of equal rows each takes at most as many
    // units as the one before it, so that fillings that differ only in their order come once.
    int least = Math.max(0, more - suffix[row + 1]);
    int most = Math.min(more, rows[row]);
    boolean run = runs[row] > 0;
    if (run) {
      most = Math.min(most, taken[row - 1]);
    }
    double[] choices = ways.of(rows[row]);
    boolean last = row + 1 == rows.length;
    for (int x = least; x <= most; x++) {
      taken[row] = x;
      left[row] = rows[row] - x;
      // 2. The kth of equal rows multiplies the number of orders by k, and divides it by the number
      // of them that take as many units: k! / Π alike! in the end.
      alike[row] = run && x == taken[row - 1] ? alike[row - 1] + 1 : 1;
      double chosen = soFar * choices[x] * (run ? (runs[row] + 1.0) / alike[row] : 1);
      long after = code + lookup.code(left[row]);
      long longer = length + lookup.length(x);
      long restLonger = rest + lookup.length(left[row]);
      if (last) {
        visitor.visit(left, after, longer, restLonger, chosen);
      } else {
        // 3. Once a run of equal rows is complete, all ways to go on are counted at once if even
        // the shortest of them is too long.
        long higher = bound + lookup.length(x) + bounds[left[row]];
        if (limit < Long.MAX_VALUE
            && runs[row + 1] == 0
            && higher + ahead[row + 1][more - x] >= limit) {
          beyond.accept(chosen * ways.of(suffix[row + 1])[more - x]);
        } else {
          fill(row + 1, more - x, after, longer, restLonger, chosen, higher);
        }
      }
    }
  }
}
