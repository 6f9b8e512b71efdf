package dev.tavik.association;

import dev.tavik.count.CrossTable;
import dev.tavik.numeric.LogFactorials;
import dev.tavik.result.DeclinedException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Fisher's exact test of a table of any shape (Freeman and Halton 1951, "Note on an exact treatment
 * of contingency, goodness of fit and other problems of significance", Biometrika 38, 141-149): the
 * probability, both margins held, of all tables no more probable than the observed one.
 *
 * <p>A network algorithm (Mehta and Patel 1983, "A network algorithm for performing Fisher's exact
 * test in r × c contingency tables", Journal of the American Statistical Association 78, 427-434).
 * Columns are filled one after another; a node is what is left of the rows, in ascending order,
 * since rows with equal remainders are exchangeable. A path's length is Σ ln x!, kept as a whole
 * number for which equal products are equal, so that paths of one length merge; its weight is a
 * probability, each column's given what was left. At a node the shortest and the longest way to the
 * end are known: where even the shortest makes a table improbable enough, the whole weight counts,
 * since all ways on add up to 1; where even the longest doesn't, none of it; only the undecided go
 * on.
 *
 * <p>Work and memory are counted; past their budgets the test declines.
 */
final class ExactTable {
  /** So many steps, of some 30 nanoseconds, take a few seconds; looking a node up costs eight. */
  private static final long MOST_STEPS = 250_000_000L;

  private static final long LOOK_UP = 8;

  /** A rough count this many times the budget is not worth a try. */
  private static final double HOPELESS = 12;

  /** So many paths at a time fill about 200 MB. */
  private static final long MOST_PATHS = 3_000_000L;

  private static final int MOST_UNITS = 20_000;
  private static final double LN_TIE = Math.log1p(1e-7);

  private final int[] rows;
  private final int[] columns;
  private final LogFactorials factorials;
  private final long threshold;
  private final long radix;
  private long steps;
  private double sum;

  /** The shortest and the longest way from a node to the end. */
  private record Bounds(long least, long greatest) {}

  private ExactTable(CrossTable table) {
    boolean turned = table.rows().size() > table.columns().size();
    int[] down = new int[table.rows().size()];
    int[] across = new int[table.columns().size()];
    if (table.total() > MOST_UNITS) {
      throw tooMuch("of " + table.total() + " units");
    }
    long length = 0;
    factorials = new LogFactorials((int) table.total());
    for (int i = 0; i < down.length; i++) {
      down[i] = (int) table.rowTotal(i);
      for (int j = 0; j < across.length; j++) {
        across[j] = (int) table.columnTotal(j);
        length += factorials.exact((int) table.count(i, j));
      }
    }
    rows = turned ? across : down;
    columns = turned ? down : across;
    Arrays.sort(rows);
    Arrays.sort(columns);
    // The largest column first leaves the fewest nodes.
    for (int i = 0, j = columns.length - 1; i < j; i++, j--) {
      int other = columns[i];
      columns[i] = columns[j];
      columns[j] = other;
    }
    threshold = length - (long) (LN_TIE * LogFactorials.UNIT);
    radix = rows[rows.length - 1] + 1L;
    if (Math.pow((double) radix, rows.length) > 0x1p62) {
      throw tooMuch("with so many and large rows");
    }
    if (roughly() > HOPELESS * MOST_STEPS) {
      throw tooMuch("with such margins");
    }
  }

  /**
   * More nodes and ways to fill a column than there can be, without regard to what is exchangeable.
   */
  private double roughly() {
    double all = 0;
    int filled = 0;
    for (int column : columns) {
      double nodes = 1;
      double ways = 1;
      for (int i = 0; i + 1 < rows.length; i++) {
        nodes *= Math.min(rows[i], filled) + 1;
        ways *= Math.min(rows[i], column) + 1;
      }
      all += nodes * ways * LOOK_UP;
      filled += column;
    }
    return all;
  }

  private static DeclinedException tooMuch(String what) {
    return new DeclinedException(
        "would go through more tables "
            + what
            + " than a few seconds and 200 MB allow; use pearson or likelihood-ratio, or merge levels"
            + " that were alike before the data were seen");
  }

  static double pValue(CrossTable table) {
    return new ExactTable(table).pValue();
  }

  private double pValue() {
    List<Map<Long, Bounds>> bounds = bounds();
    Map<Long, PathValues> nodes = new HashMap<>();
    PathValues start = new PathValues();
    start.add(0, 1);
    nodes.put(code(rows), start);
    int left = Arrays.stream(rows).sum();
    for (int stage = 0; stage + 1 < columns.length; stage++) {
      nodes = next(nodes, stage, left, bounds.get(stage + 1));
      left -= columns[stage];
    }
    // With one column left both ways to the end are the same, so that nothing stays undecided.
    return Math.min(1, sum);
  }

  private Map<Long, PathValues> next(
      Map<Long, PathValues> nodes, int stage, int left, Map<Long, Bounds> bounds) {
    Map<Long, PathValues> next = new HashMap<>();
    long[] paths = new long[1];
    double all = ways(left, columns[stage]);
    nodes.forEach(
        (code, values) -> {
          int[] remaining = remaining(code);
          fill(
              remaining,
              columns[stage],
              (after, length, logWays) -> {
                long target = code(after);
                Bounds ahead = bounds.get(target);
                if (ahead == null) {
                  throw new IllegalStateException("a node was not reached before");
                }
                step(LOOK_UP + values.size());
                double chance = Math.exp(logWays - all);
                PathValues[] found = {next.get(target)};
                values.forEach(
                    (soFar, weight) -> {
                      long here = soFar + length;
                      if (here + ahead.least() >= threshold) {
                        sum += weight * chance;
                      } else if (here + ahead.greatest() >= threshold) {
                        if (found[0] == null) {
                          found[0] = new PathValues();
                          next.put(target, found[0]);
                        }
                        int before = found[0].size();
                        found[0].add(here, weight * chance);
                        paths[0] += found[0].size() - before;
                      }
                    });
                if (paths[0] > MOST_PATHS) {
                  throw tooMuch("with paths");
                }
              });
        });
    return next;
  }

  private void step(long more) {
    steps += more;
    if (steps > MOST_STEPS) {
      throw tooMuch("and paths");
    }
  }

  private double ways(int from, int chosen) {
    return factorials.log(from) - factorials.log(chosen) - factorials.log(from - chosen);
  }

  /** All nodes that can be reached, stage by stage, then both bounds of each from the end back. */
  private List<Map<Long, Bounds>> bounds() {
    List<List<Long>> reached = new ArrayList<>();
    reached.add(List.of(code(rows)));
    for (int stage = 0; stage + 1 < columns.length; stage++) {
      Map<Long, Boolean> next = new HashMap<>();
      for (long code : reached.get(stage)) {
        fill(
            remaining(code),
            columns[stage],
            (after, length, logWays) -> {
              step(LOOK_UP);
              next.put(code(after), true);
            });
        if (next.size() > MOST_PATHS / 3) {
          throw tooMuch("with nodes");
        }
      }
      reached.add(new ArrayList<>(next.keySet()));
    }
    List<Map<Long, Bounds>> bounds = new ArrayList<>();
    for (int stage = 0; stage < columns.length; stage++) {
      bounds.add(new HashMap<>());
    }
    for (int stage = columns.length - 1; stage >= 0; stage--) {
      for (long code : reached.get(stage)) {
        bounds.get(stage).put(code, bounds(code, stage, bounds));
      }
    }
    return bounds;
  }

  private Bounds bounds(long code, int stage, List<Map<Long, Bounds>> bounds) {
    int[] remaining = remaining(code);
    if (stage == columns.length - 1) {
      long length = 0;
      for (int each : remaining) {
        length += factorials.exact(each);
      }
      return new Bounds(length, length);
    }
    long[] ends = {Long.MAX_VALUE, Long.MIN_VALUE};
    fill(
        remaining,
        columns[stage],
        (after, length, logWays) -> {
          step(LOOK_UP);
          Bounds ahead = bounds.get(stage + 1).get(code(after));
          if (ahead != null) {
            ends[0] = Math.min(ends[0], length + ahead.least());
            ends[1] = Math.max(ends[1], length + ahead.greatest());
          }
        });
    return new Bounds(ends[0], ends[1]);
  }

  /** One way to fill a column. */
  @FunctionalInterface
  private interface Filling {
    void filled(int[] after, long length, double logWays);
  }

  private void fill(int[] remaining, int column, Filling filling) {
    int[] suffix = new int[remaining.length + 1];
    for (int i = remaining.length - 1; i >= 0; i--) {
      suffix[i] = suffix[i + 1] + remaining[i];
    }
    fill(remaining, suffix, 0, column, new int[remaining.length], 0, 0, filling);
  }

  private void fill(
      int[] remaining,
      int[] suffix,
      int row,
      int left,
      int[] after,
      long length,
      double logWays,
      Filling filling) {
    if (row == remaining.length) {
      filling.filled(after, length, logWays);
      return;
    }
    int least = Math.max(0, left - suffix[row + 1]);
    int greatest = Math.min(left, remaining[row]);
    for (int x = least; x <= greatest; x++) {
      after[row] = remaining[row] - x;
      fill(
          remaining,
          suffix,
          row + 1,
          left - x,
          after,
          length + factorials.exact(x),
          logWays + ways(remaining[row], x),
          filling);
    }
  }

  /** What is left of the rows in ascending order, as one number. */
  private long code(int[] remaining) {
    int[] sorted = remaining.clone();
    Arrays.sort(sorted);
    long code = 0;
    for (int each : sorted) {
      code = code * radix + each;
    }
    return code;
  }

  private int[] remaining(long code) {
    int[] remaining = new int[rows.length];
    long rest = code;
    for (int i = rows.length - 1; i >= 0; i--) {
      remaining[i] = (int) (rest % radix);
      rest /= radix;
    }
    return remaining;
  }
}
