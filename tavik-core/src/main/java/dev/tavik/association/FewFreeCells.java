package dev.tavik.association;

import dev.tavik.numeric.LogFactorials;

/**
 * The exact test of tables with at most four free cells: two by three to five, and three by three.
 *
 * <p>Cells are fixed one after another; each has a hypergeometric distribution given those before,
 * which is walked by the ratios of neighbours and normalised by its own sum, so that no logarithm
 * costs digits. The shortest length that the remaining cells allow is convex in the cell, so that
 * the values that leave something undecided are neighbours: beyond them on either side all tables
 * count, and the whole tail is added; between them the next cell is looked at. A walk starts at the
 * shortest length itself: from the distribution's mode, which can lie beside it, tables would be
 * lost.
 */
final class FewFreeCells {
  private static final double NEGLIGIBLE = 1e-18;

  private final LogFactorials factorials;
  private final ComputeBudget work;
  private final int[] rows;
  private final int[] columns;
  private final long threshold;

  FewFreeCells(ExactTable table, ComputeBudget work) {
    this.factorials = table.factorials();
    this.work = work;
    this.rows = table.rows();
    this.columns = table.columns();
    this.threshold = table.threshold();
  }

  /** The shortest length that a value of a cell allows, or how likely tables with it count. */
  @FunctionalInterface
  private interface Least {
    long at(int x);
  }

  @FunctionalInterface
  private interface Inner {
    double at(int x);
  }

  double pValue() {
    if (rows.length == 2) {
      return new Pair(columns, rows[0], threshold).outside();
    }
    int units = rows[0] + rows[1] + rows[2];
    int filled = columns[0];
    return walk(
        rows[0],
        units - rows[0],
        filled,
        x -> leastOfColumn(x, filled),
        x -> {
          int left = filled - x;
          return walk(
              rows[1],
              rows[2],
              left,
              y -> pair(x, y, left - y).least(),
              y -> after(x, y, left - y));
        });
  }

  private double after(int x, int y, int z) {
    return pair(x, y, z).outside();
  }

  /** The two columns that remain when the first is filled. */
  private Pair pair(int x, int y, int z) {
    long length = factorials.exact(x) + factorials.exact(y) + factorials.exact(z);
    return new Pair(
        new int[] {rows[0] - x, rows[1] - y, rows[2] - z}, columns[1], threshold - length, length);
  }

  private long leastOfColumn(int x, int filled) {
    int left = filled - x;
    int from = Math.max(0, left - rows[2]);
    int to = Math.min(rows[1], left);
    int at = (int) ((long) left * rows[1] / (rows[1] + rows[2]));
    Least least = y -> pair(x, y, left - y).least();
    return least.at(lowest(Math.max(from, Math.min(to, at)), from, to, least));
  }

  /** Descends a convex function to its minimum. */
  private static int lowest(int start, int from, int to, Least least) {
    int at = start;
    long here = least.at(at);
    for (int step : new int[] {1, -1}) {
      while (at + step >= from && at + step <= to) {
        long next = least.at(at + step);
        if (next >= here) {
          break;
        }
        at += step;
        here = next;
      }
    }
    return at;
  }

  /**
   * How likely a table counts: Σ over the values of a cell, {@code left} drawn from {@code own} and
   * {@code others}.
   */
  private double walk(int own, int others, int left, Least least, Inner inner) {
    int from = Math.max(0, left - others);
    int to = Math.min(own, left);
    int start = (int) ((left + 1L) * (own + 1L) / (own + others + 2L));
    int lowest = lowest(Math.max(from, Math.min(to, start)), from, to, least);
    if (least.at(lowest) >= threshold) {
      return 1;
    }
    double total = 1;
    double counted = inner.at(lowest);
    for (int step : new int[] {1, -1}) {
      double chance = 1;
      double tail = 0;
      boolean undecided = true;
      for (int x = lowest; step > 0 ? x < to : x > from; x += step) {
        chance *=
            step > 0
                ? (own - x) / (x + 1.0) * ((left - x) / (others - left + x + 1.0))
                : x / (own - x + 1.0) * ((others - left + x) / (left - x + 1.0));
        total += chance;
        work.spend(1);
        undecided = undecided && least.at(x + step) < threshold;
        if (undecided) {
          counted += chance * inner.at(x + step);
        } else {
          tail += chance;
          if (chance <= NEGLIGIBLE * tail) {
            break;
          }
        }
      }
      counted += tail;
    }
    return counted / total;
  }

  /** Two columns of a few rows: how likely is a length of at least a limit? */
  private final class Pair {
    private final int[] totals;
    private final int chosen;
    private final long limit;
    private final long before;
    private final int[] drawn;

    Pair(int[] totals, int chosen, long limit) {
      this(totals, chosen, limit, 0);
    }

    /** With the length of what was filled before. */
    Pair(int[] totals, int chosen, long limit, long before) {
      this.totals = totals;
      this.chosen = chosen;
      this.limit = limit;
      this.before = before;
      this.drawn = new int[totals.length];
    }

    long least() {
      return before + least(0, chosen);
    }

    double outside() {
      return outside(0, chosen, 0);
    }

    private long length(int row, int x) {
      return factorials.exact(x) + factorials.exact(totals[row] - x);
    }

    /** Cost of drawing one more unit from a row. */
    private long more(int row) {
      int x = drawn[row];
      return x == totals[row] ? Long.MAX_VALUE / 4 : length(row, x + 1) - length(row, x);
    }

    private long fewer(int row) {
      int x = drawn[row];
      return x == 0 ? Long.MAX_VALUE / 4 : length(row, x - 1) - length(row, x);
    }

    /**
     * The shortest length of the rows from one on: near proportional, then single exchanges while
     * they help, which for a sum of convex functions ends at the least.
     */
    private long least(int first, int left) {
      int rest = 0;
      for (int i = first; i < totals.length; i++) {
        rest += totals[i];
      }
      int undrawn = left;
      for (int i = first; i < totals.length; i++) {
        drawn[i] = rest == 0 ? 0 : (int) ((long) undrawn * totals[i] / rest);
        undrawn -= drawn[i];
        rest -= totals[i];
      }
      work.spend(totals.length - first);
      boolean moved = true;
      while (moved) {
        moved = false;
        int to = first;
        int from = first;
        for (int i = first + 1; i < totals.length; i++) {
          to = more(i) < more(to) ? i : to;
          from = fewer(i) < fewer(from) ? i : from;
        }
        if (to != from && more(to) + fewer(from) < 0) {
          drawn[to]++;
          drawn[from]--;
          moved = true;
        }
      }
      long length = 0;
      for (int i = first; i < totals.length; i++) {
        length += length(i, drawn[i]);
      }
      return length;
    }

    private double outside(int row, int left, long length) {
      if (row == totals.length - 2) {
        return line(row, left, limit - length);
      }
      int others = 0;
      for (int i = row + 1; i < totals.length; i++) {
        others += totals[i];
      }
      // The walk uses the threshold of the whole table.
      long offset = threshold - limit + length;
      return walk(
          totals[row],
          others,
          left,
          x -> offset + length(row, x) + least(row + 1, left - x),
          x -> outside(row + 1, left - x, length + length(row, x)));
    }

    /** Handles the last two rows, where nothing is free any more. */
    private double line(int row, int left, long limit) {
      int own = totals[row];
      int others = totals[row + 1];
      int from = Math.max(0, left - others);
      int to = Math.min(own, left);
      long least = least(row, left);
      if (least >= limit) {
        return 1;
      }
      int lowest = drawn[row];
      double total = 1;
      double counted = 0;
      for (int step : new int[] {1, -1}) {
        double chance = 1;
        double tail = 0;
        boolean inside = true;
        int x = lowest;
        while (step > 0 ? x < to : x > from) {
          chance *=
              step > 0
                  ? (double) (own - x) * (left - x) / ((x + 1.0) * (others - left + x + 1.0))
                  : (double) x * (others - left + x) / ((own - x + 1.0) * (left - x + 1.0));
          x += step;
          total += chance;
          inside = inside && length(row, x) + length(row + 1, left - x) < limit;
          if (!inside) {
            tail += chance;
            if (chance <= NEGLIGIBLE * tail) {
              break;
            }
          }
        }
        work.spend(1 + Math.abs(x - lowest) / 2);
        counted += tail;
      }
      return counted / total;
    }
  }
}
