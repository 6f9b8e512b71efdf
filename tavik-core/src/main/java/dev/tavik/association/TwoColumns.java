package dev.tavik.association;

/**
 * The shortest and the longest filling of two columns, without going through all of them. With x of
 * a row's s units in the first column a row adds ln x! + ln (s - x)!, which is convex: the shortest
 * filling is one that no move of a unit from one row to another shortens, and in the longest all
 * rows but one have their units in one column.
 */
final class TwoColumns {
  /** Number of rows up to which all subsets are enumerated quickly. */
  private static final int MOST_ROWS = 10;

  /** Fillings that are examined in the time of one subset. */
  private static final double FILLINGS_A_SUBSET = 0.25;

  private final Lookup lookup;

  TwoColumns(Lookup lookup) {
    this.lookup = lookup;
  }

  /** About how many steps the bounds take; infinite for more rows than subsets can be made of. */
  static double steps(int rows) {
    return rows > MOST_ROWS ? Double.POSITIVE_INFINITY : rows * (8.0 + (1 << (rows - 1)));
  }

  /** Whether enumerating all fillings would take longer. */
  static boolean quicker(int units, int... rows) {
    double fillings = FILLINGS_A_SUBSET;
    double largest = 1;
    for (int row : rows) {
      double choices = 1.0 + Math.min(units, row);
      fillings *= choices;
      largest = Math.max(largest, choices);
    }
    return fillings / largest > steps(rows.length);
  }

  private long length(int row, int x) {
    return lookup.length(x) + lookup.length(row - x);
  }

  /** The least length with so many units in the first column. */
  long least(int units, int... rows) {
    int total = 0;
    for (int row : rows) {
      total += row;
    }
    int[] first = new int[rows.length];
    int left = units;
    for (int i = 0; i < rows.length; i++) {
      first[i] = (int) ((long) rows[i] * units / total);
      left -= first[i];
    }
    while (left > 0) {
      first[cheapestIn(first, rows)]++;
      left--;
    }
    while (true) {
      int in = cheapestIn(first, rows);
      int out = dearestOut(first, rows);
      if (in < 0 || out < 0 || in == out) {
        break;
      }
      long gain =
          length(rows[out], first[out])
              - length(rows[out], first[out] - 1)
              + length(rows[in], first[in])
              - length(rows[in], first[in] + 1);
      if (gain <= 0) {
        break;
      }
      first[in]++;
      first[out]--;
    }
    long length = 0;
    for (int i = 0; i < rows.length; i++) {
      length += length(rows[i], first[i]);
    }
    return length;
  }

  /** The row in which one unit more in the first column adds least; -1 for none. */
  private int cheapestIn(int[] first, int... rows) {
    int best = -1;
    long least = Long.MAX_VALUE;
    for (int i = 0; i < rows.length; i++) {
      if (first[i] < rows[i]) {
        long more = length(rows[i], first[i] + 1) - length(rows[i], first[i]);
        if (more < least) {
          least = more;
          best = i;
        }
      }
    }
    return best;
  }

  /** The row in which one unit less in the first column takes most; -1 for none. */
  private int dearestOut(int[] first, int... rows) {
    int best = -1;
    long most = Long.MIN_VALUE;
    for (int i = 0; i < rows.length; i++) {
      if (first[i] > 0) {
        long less = length(rows[i], first[i]) - length(rows[i], first[i] - 1);
        if (less > most) {
          most = less;
          best = i;
        }
      }
    }
    return best;
  }

  /** The greatest length with so many units in the first column. */
  long greatest(int units, int... rows) {
    long whole = 0;
    for (int row : rows) {
      whole += lookup.length(row);
    }
    long best = Long.MIN_VALUE;
    int others = rows.length - 1;
    for (int split = 0; split < rows.length; split++) {
      // Swaps the split row with the last one; every other row is wholly in or wholly out.
      for (int subset = 0; subset < 1 << others; subset++) {
        int in = units;
        for (int i = 0; i < others; i++) {
          in -= (subset >> i & 1) * rows[i == split ? others : i];
        }
        if (in >= 0 && in <= rows[split]) {
          best = Math.max(best, length(rows[split], in) - lookup.length(rows[split]));
        }
      }
    }
    return whole + best;
  }
}
