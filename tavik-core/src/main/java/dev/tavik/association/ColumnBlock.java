package dev.tavik.association;

import dev.tavik.numeric.LogFactorials;
import java.math.BigInteger;
import java.util.Arrays;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Some columns of a table: for every state, which is what they take of the rows, the shortest and
 * the longest filling, and then the lengths in between with their probabilities.
 *
 * <p>The first column takes what the others leave, so that there are states from two columns on. A
 * state of some columns is filled by filling the last of them and then the state that is left,
 * which is found once however often it is met. There are three steps:
 *
 * <ol>
 *   <li>{@link #state}: the shortest and the longest length of each state, on the way up.
 *   <li>{@link #passDown}: which lengths of a state are undecided, from all columns down, so that a
 *       list holds only what matters to some state above.
 *   <li>{@link #lists}: the undecided lengths and their probabilities, from two columns up.
 * </ol>
 */
final class ColumnBlock {
  private static final int EDGE = 3;

  /** Number of edges after which the budget is charged. */
  private static final int SPENT_AT = 1 << 12;

  /** Cost of sorting one list element, in steps. */
  private static final int SORTED = 20;

  /** Number of values up to which a list fits in the processor's cache. */
  private static final int LARGE = 1 << 15;

  /** Cost factor of a list that doesn't fit in the cache and waits for memory. */
  private static final int WAITING = 3;

  private static final double GOLDEN = 0.6180339887;

  private final int[] columns;
  private final int units;
  private final Lookup lookup;
  private final ComputeBudget work;
  private final Ways[] ways;
  private final double[] all;

  /**
   * By level and count, a bound below Σ ln x! of a row: the least of Σ (ln x! - λx) over its units
   * in the columns so far, λ about the logarithm of a usual count in each. Together with Σ λ·column
   * no filling of all rows is shorter, whatever the λ (Lagrange's duality).
   */
  private final long[][] bounds;

  private final long[] bases;

  private final TwoColumns pairs;
  private final NetworkNodes[] levels;
  private @Nullable PathLengths[] lists = {};
  private @Nullable PathLengths[] tops = {};
  private final PathLengths.Gathering gathering = new PathLengths.Gathering();

  /** At least two columns, in descending order, the number of rows and their most units. */
  ColumnBlock(int[] columns, int height, int most, Lookup lookup, ComputeBudget work) {
    this.columns = columns;
    this.lookup = lookup;
    this.work = work;
    this.units = Arrays.stream(columns).sum();
    this.pairs = new TwoColumns(lookup);
    this.all = new double[columns.length];
    this.ways = new Ways[columns.length];
    int so = 0;
    for (int i = 0; i < columns.length; i++) {
      so += columns[i];
      ways[i] = new Ways((double) columns[i] / so, work);
      all[i] = i == 0 ? 1 : ways[i].of(so, columns[i]);
    }
    this.bounds = new long[columns.length][];
    this.bases = new long[columns.length];
    long[] usual = new long[columns.length];
    long base = 0;
    for (int level = 0; level < columns.length; level++) {
      usual[level] =
          Math.round(LogFactorials.UNIT * Math.log((double) columns[level] / height + 0.5));
      base += usual[level] * columns[level];
      bases[level] = base;
      work.spend((long) most * (level + 1) / 4);
      bounds[level] = bounds(level + 1, most, usual);
    }
    this.levels =
        Stream.generate(NetworkNodes::new).limit(columns.length).toArray(NetworkNodes[]::new);
  }

  /** Assigns the units of a row one by one to the column where they add least. */
  private long[] bounds(int width, int most, long... usual) {
    long[] bounds = new long[most + 1];
    int[] filled = new int[width];
    for (int count = 1; count <= most; count++) {
      int best = 0;
      long least = Long.MAX_VALUE;
      for (int j = 0; j < width; j++) {
        long more = lookup.length(filled[j] + 1) - lookup.length(filled[j]) - usual[j];
        if (more < least) {
          least = more;
          best = j;
        }
      }
      filled[best]++;
      bounds[count] = bounds[count - 1] + least;
    }
    return bounds;
  }

  /**
   * Estimates how many fillings are examined: the number of states for each number of columns, if
   * all rows were different, times the fillings of a state in the middle.
   */
  double fillings(int[] rows) {
    double total = Arrays.stream(rows).sum();
    double orders = 1;
    for (int i = 2; i <= rows.length; i++) {
      orders *= i;
    }
    double fillings = 0;
    int filled = columns[0];
    for (int level = 1; level < columns.length; level++) {
      filled += columns[level];
      double share = filled / total;
      int[] middle = Arrays.stream(rows).map(row -> (int) Math.ceil(row * share)).toArray();
      int[] largest = rows.clone();
      Arrays.fill(largest, rows[rows.length - 1]);
      double ofOne = fillings(middle, columns[level]);
      if (level == 1) {
        ofOne = Math.min(ofOne, TwoColumns.steps(rows.length));
      }
      fillings += (1 + fillings(largest, filled) / orders) * ofOne;
    }
    return fillings;
  }

  /** Number of ways to take units from rows, with a limit for each row. */
  private static double fillings(int[] most, int units) {
    double[] number = new double[units + 1];
    number[0] = 1;
    for (int row : most) {
      double[] sums = new double[units + 2];
      for (int i = 0; i <= units; i++) {
        sums[i + 1] = sums[i] + number[i];
      }
      for (int i = 0; i <= units; i++) {
        number[i] = sums[i + 1] - sums[Math.max(0, i - row)];
      }
    }
    return number[units];
  }

  int units() {
    return units;
  }

  /** Whether the bounds of a state of all columns are found without going through its fillings. */
  boolean direct(int... rows) {
    return columns.length == 2 && TwoColumns.quicker(columns[1], rows);
  }

  /** Returns the shortest length of a state whose lengths are not stored. */
  long leastOf(int... rows) {
    work.spend((long) TwoColumns.steps(rows.length) / 2);
    return pairs.least(columns[1], rows);
  }

  /** Returns the longest length of a state whose lengths are not stored. */
  long greatestOf(int... rows) {
    work.spend((long) TwoColumns.steps(rows.length) / 2);
    return pairs.greatest(columns[1], rows);
  }

  /** The number of a state of all columns. */
  int state(int[] rows, long code) {
    return state(columns.length - 1, rows, code);
  }

  private int state(int level, int[] rows, long code) {
    // 1. A state that was met before has its bounds; else they are those of its best filling.
    NetworkNodes states = levels[level];
    int known = states.find(code);
    if (known >= 0) {
      return known;
    }
    work.keep(2);
    int[] sorted = rows.clone();
    Arrays.sort(sorted);
    if (level == 1 && TwoColumns.quicker(columns[1], sorted)) {
      work.spend((long) TwoColumns.steps(sorted.length));
      return states.add(
          code, sorted, pairs.least(columns[1], sorted), pairs.greatest(columns[1], sorted));
    }
    long[] bounds = {Long.MAX_VALUE, Long.MIN_VALUE};
    long[] edges = new long[1];
    new ColumnEnumerator(
            sorted,
            columns[level],
            lookup,
            ways[level],
            (left, next, length, rest, ways) -> {
              if (++edges[0] % SPENT_AT == 0) {
                work.spend((long) EDGE * SPENT_AT);
              }
              if (level == 1) {
                bounds[0] = Math.min(bounds[0], length + rest);
                bounds[1] = Math.max(bounds[1], length + rest);
              } else {
                int state = state(level - 1, left, next);
                bounds[0] = Math.min(bounds[0], length + levels[level - 1].least(state));
                bounds[1] = Math.max(bounds[1], length + levels[level - 1].greatest(state));
              }
            })
        .forEach();
    work.spend(EDGE * (edges[0] % SPENT_AT));
    return states.add(code, sorted, bounds[0], bounds[1]);
  }

  long least(int state) {
    return levels[columns.length - 1].least(state);
  }

  long greatest(int state) {
    return levels[columns.length - 1].greatest(state);
  }

  /** Lengths of a state from the first bound to below the second are undecided. */
  void widen(int state, long from, long beyond) {
    levels[columns.length - 1].widen(state, from, beyond);
  }

  /** The undecided lengths of a state of all columns, listed when they are first asked for. */
  PathLengths lengths(int state) {
    PathLengths found = tops[state];
    if (found == null) {
      found = listed(columns.length - 1, state, lists);
      tops[state] = found;
    }
    return found;
  }

  /** Releases the lengths of a state that will not be asked for again. */
  void forget(int state) {
    PathLengths found = tops[state];
    if (found != null) {
      work.keep(-found.size());
      tops[state] = null;
    }
  }

  /** How many states of all columns there are. */
  int states() {
    return levels[columns.length - 1].size();
  }

  /** A bound below the shortest length of a state. */
  long leastOfRows(int[] rows) {
    int top = columns.length - 1;
    long length = bases[top];
    for (int row : rows) {
      length += bounds[top][row];
    }
    return length;
  }

  /** Makes the lists of all undecided states of fewer columns than all. */
  void list() {
    tops = new PathLengths[states()];
    for (int level = columns.length - 1; level > 1; level--) {
      passDown(level);
    }
    for (int level = 1; level < columns.length - 1; level++) {
      long before = Stream.of(lists).mapToLong(list -> list == null ? 0 : list.size()).sum();
      lists = lists(level, lists);
      work.keep(-before);
    }
  }

  private void passDown(int level) {
    NetworkNodes states = levels[level];
    NetworkNodes below = levels[level - 1];
    for (int state = 0; state < states.size(); state++) {
      if (states.undecided(state)) {
        long from = states.from(state);
        long beyond = states.beyond(state);
        new ColumnEnumerator(
                states.rows(state),
                columns[level],
                lookup,
                ways[level],
                (left, code, length, rest, ways) -> {
                  work.spend(EDGE);
                  int next = below.find(code);
                  // 2. What is undecided of a state is undecided, less this column's length, of
                  // each state that it leads to, where that has such lengths at all.
                  if (beyond - length > below.least(next)
                      && from - length <= below.greatest(next)) {
                    below.widen(next, from - length, beyond - length);
                  }
                })
            .below(beyond, bounds[level - 1], bases[level - 1], skipped -> {})
            .forEach();
      }
    }
  }

  private @Nullable PathLengths[] lists(int level, @Nullable PathLengths[] below) {
    NetworkNodes states = levels[level];
    int size = states.size();
    @Nullable PathLengths[] made = new PathLengths[size];
    long leftBefore = work.left();
    long keptBefore = work.kept();
    int stride = stride(size);
    // 3. Visits the states in scattered order, so that the first ones are representative of the
    // rest.
    for (int done = 0, state = 0; done < size; done++, state = (state + stride) % size) {
      if (states.undecided(state)) {
        made[state] = listed(level, state, below);
      }
      work.expectRest(leftBefore, done + 1.0, size);
      work.expectKept(keptBefore, done + 1.0, size);
    }
    return made;
  }

  /** Returns a stride that visits each of the given number of places once, in scattered order. */
  private static int stride(int size) {
    int stride = Math.max(1, (int) (size * GOLDEN));
    while (BigInteger.valueOf(stride).gcd(BigInteger.valueOf(size)).intValue() != 1) {
      stride++;
    }
    return stride;
  }

  private PathLengths listed(int level, int state, @Nullable PathLengths[] below) {
    gather(level, state, below, gathering);
    work.spend(SORTED * (long) gathering.size() * (gathering.size() > LARGE ? WAITING : 1));
    work.keep(gathering.size());
    return gathering.sorted();
  }

  private void gather(
      int level, int state, @Nullable PathLengths[] below, PathLengths.Gathering gathering) {
    long from = levels[level].from(state);
    long beyond = levels[level].beyond(state);
    NetworkNodes next = levels[level - 1];
    new ColumnEnumerator(
            levels[level].rows(state),
            columns[level],
            lookup,
            ways[level],
            (left, code, length, rest, ways) -> {
              // A filling's probability, given the state, times that of what it leads to: of all
              // lengths at once where they are decided, else of each in the list.
              double chance = ways / all[level];
              work.spend(EDGE);
              if (level == 1) {
                gathering.add(length + rest, chance, from, beyond);
                return;
              }
              int found = next.find(code);
              if (next.least(found) + length >= beyond) {
                gathering.addBeyond(chance);
              } else if (next.greatest(found) + length >= from) {
                PathLengths lengths = below[found];
                if (lengths == null) {
                  throw new IllegalStateException("a state was not passed down");
                }
                long added = lengths.addTo(gathering, length, chance, from, beyond);
                work.spend(gathering.size() > LARGE ? WAITING * added : added);
              }
            })
        .below(
            beyond,
            bounds[level - 1],
            bases[level - 1],
            ways -> gathering.addBeyond(ways / all[level]))
        .forEach();
  }
}
