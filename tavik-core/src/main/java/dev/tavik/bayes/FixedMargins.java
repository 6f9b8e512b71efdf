package dev.tavik.bayes;

import dev.tavik.numeric.Dirichlet;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import java.util.Arrays;

/**
 * The Bayes factor of a table whose margins are both fixed. Under independence it has its
 * hypergeometric probability; under association a probability in proportion to the product of Γ(y +
 * a)/y! over its cells, for a = 1 the same for every table. These are summed over all tables with
 * the margins, column by column, where a state is what the rows have used up.
 */
final class FixedMargins {
  private static final double MOST_STEPS = 4e8;
  private static final double MOST_STATES = 4e6;

  /** Largest distance of two logarithms whose numbers are added. */
  private static final double WIDEST = 650;

  /** The rows, at most as many as columns, the last and largest left out of a state. */
  private final double[][] counts;

  private final int[] rows;
  private final int[] columns;
  private final double prior;
  private final int[] strides;
  private double[] states;

  FixedMargins(double[][] table, double prior) {
    double[][] slim = table.length <= table[0].length ? table : SamplingPlan.turned(table);
    this.counts = table;
    this.prior = prior;
    this.rows = sizes(SamplingPlan.rowSums(slim));
    this.columns = sizes(SamplingPlan.rowSums(SamplingPlan.turned(slim)));
    this.strides = new int[rows.length - 1];
    double size = 1;
    for (int i = strides.length - 1; i >= 0; i--) {
      strides[i] = (int) Math.min(size, MOST_STATES);
      size *= rows[i] + 1.0;
    }
    requireFeasible(size);
    this.states = new double[(int) size];
  }

  private static int[] sizes(double[] sums) {
    int[] sizes = new int[sums.length];
    for (int i = 0; i < sizes.length; i++) {
      if (sums[i] > MOST_STATES) {
        throw tooMany(sums[i]);
      }
      sizes[i] = (int) sums[i];
    }
    Arrays.sort(sizes);
    return sizes;
  }

  private void requireFeasible(double size) {
    double steps = 0;
    for (int column = 1; column < columns.length - 1; column++) {
      double compositions = 1;
      for (int i = 0; i < strides.length; i++) {
        compositions *= (Math.min(columns[column], rows[i]) + 1.0) / (i + 1);
      }
      steps += compositions * size;
    }
    if (size > MOST_STATES || steps > MOST_STEPS) {
      throw tooMany(Math.max(size, steps));
    }
  }

  private static NotApplicableException tooMany(double steps) {
    return new NotApplicableException(NotApplicableReason.TOO_MANY_STEPS, steps);
  }

  double logBayesFactor() {
    double[] weights = logWeights();
    double own = 0;
    for (double[] row : counts) {
      for (double count : row) {
        own += weights[(int) count];
      }
    }
    return own - logAll(weights) - logHypergeometric();
  }

  /** ln of Γ(y + a)/(y! Γ(a)) for every y that a cell may have. */
  private double[] logWeights() {
    double[] weights = new double[Math.max(rows[rows.length - 1], columns[columns.length - 1]) + 1];
    for (int y = 1; y < weights.length; y++) {
      weights[y] = weights[y - 1] + Math.log1p((prior - 1) / y);
    }
    return weights;
  }

  /**
   * ln of the sum over all tables, the largest column last, which is what the rows have left. The
   * first column is kept in logarithms, so that two columns are summed whatever their weights.
   */
  private double logAll(double[] weights) {
    Arrays.fill(states, Double.NEGATIVE_INFINITY);
    spread(
        new int[strides.length],
        0,
        columns[0],
        0,
        weights,
        (taken, log) -> states[state(taken)] = log);
    double scale = 0;
    for (int column = 1; column < columns.length - 1; column++) {
      scale += logsToNumbers();
      double[] next = new double[states.length];
      double level = heaviest(columns[column], weights);
      spread(
          new int[strides.length],
          0,
          columns[column],
          -level,
          weights,
          (taken, log) -> shift(next, taken, 0, 0, 0, Math.exp(log)));
      Arrays.setAll(next, i -> Math.log(next[i]));
      scale += level;
      states = next;
    }
    double sum = 0;
    double[] logs = new double[states.length];
    double top = Double.NEGATIVE_INFINITY;
    for (int state = 0; state < states.length; state++) {
      logs[state] =
          states[state] == Double.NEGATIVE_INFINITY
              ? Double.NEGATIVE_INFINITY
              : last(state, weights);
      top = Math.max(top, logs[state]);
    }
    for (double log : logs) {
      sum += Math.exp(log - top);
    }
    return scale + top + Math.log(sum);
  }

  /** Makes the greatest state 1, and returns the logarithm that it had. */
  private double logsToNumbers() {
    double most = Arrays.stream(states).max().orElseThrow();
    double least = Arrays.stream(states).filter(Double::isFinite).min().orElseThrow();
    requireNarrow(most - least);
    Arrays.setAll(states, i -> Math.exp(states[i] - most));
    return most;
  }

  /** The greatest weight, in logarithms, of all ways to spread a column. */
  private double heaviest(int column, double[] weights) {
    double[] ends = {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
    spread(
        new int[strides.length],
        0,
        column,
        0,
        weights,
        (taken, log) -> {
          ends[0] = Math.min(ends[0], log);
          ends[1] = Math.max(ends[1], log);
        });
    requireNarrow(ends[1] - ends[0]);
    return ends[1];
  }

  private static void requireNarrow(double range) {
    if (range > WIDEST) {
      throw new NotApplicableException(NotApplicableReason.WEIGHTS_APART, range / Math.log(10));
    }
  }

  /** The last column is what is left. */
  private double last(int state, double[] weights) {
    int rest = columns[columns.length - 1];
    double log = states[state];
    int code = state;
    for (int i = 0; i < strides.length; i++) {
      int left = rows[i] - code / strides[i];
      code %= strides[i];
      if (left > rest) {
        return Double.NEGATIVE_INFINITY;
      }
      rest -= left;
      log += weights[left];
    }
    return log + weights[rest];
  }

  /** Takes one way to spread a column, with its weight in logarithms. */
  @FunctionalInterface
  private interface Spread {
    void take(int[] taken, double log);
  }

  /** Every way to spread a column over the rows. */
  private void spread(int[] taken, int row, int left, double log, double[] weights, Spread spread) {
    if (row == taken.length) {
      if (left <= rows[row]) {
        spread.take(taken, log + weights[left]);
      }
      return;
    }
    for (int y = 0; y <= Math.min(left, rows[row]); y++) {
      taken[row] = y;
      spread(taken, row + 1, left - y, log + weights[y], weights, spread);
    }
  }

  private int state(int[] taken) {
    int state = 0;
    for (int i = 0; i < taken.length; i++) {
      state += taken[i] * strides[i];
    }
    return state;
  }

  /** Adds every state, with a column's counts taken from its rows. */
  private void shift(double[] next, int[] taken, int row, int from, int to, double weight) {
    int room = rows[row] - taken[row];
    int start = to + taken[row] * strides[row];
    if (row == taken.length - 1) {
      for (int used = 0; used <= room; used++) {
        next[start + used] += weight * states[from + used];
      }
      return;
    }
    for (int used = 0; used <= room; used++) {
      shift(next, taken, row + 1, from + used * strides[row], start + used * strides[row], weight);
    }
  }

  /**
   * By multinomial probabilities at the observed margins, of cells over those of rows and columns.
   */
  private double logHypergeometric() {
    double[] rowSums = SamplingPlan.rowSums(counts);
    double[] columnSums = SamplingPlan.rowSums(SamplingPlan.turned(counts));
    double n = Arrays.stream(rowSums).sum();
    double[] rowShares = new double[rowSums.length];
    Arrays.setAll(rowShares, i -> (rowSums[i] + 1) / (n + rowSums.length));
    double[] columnShares = new double[columnSums.length];
    Arrays.setAll(columnShares, j -> (columnSums[j] + 1) / (n + columnSums.length));
    double[] cells = new double[rowSums.length * columnSums.length];
    double[] shares = new double[cells.length];
    for (int i = 0; i < rowSums.length; i++) {
      for (int j = 0; j < columnSums.length; j++) {
        cells[i * columnSums.length + j] = counts[i][j];
        shares[i * columnSums.length + j] = rowShares[i] * columnShares[j];
      }
    }
    return logMultinomial(cells, shares, n)
        - logMultinomial(rowSums, rowShares, n)
        - logMultinomial(columnSums, columnShares, n);
  }

  private static double logMultinomial(double[] counts, double[] shares, double n) {
    double[] parameters = new double[counts.length];
    Arrays.setAll(parameters, i -> counts[i] + 1);
    double log = Dirichlet.logDensity(parameters, shares);
    for (int i = 1; i < counts.length; i++) {
      log -= Math.log(n + i);
    }
    return log;
  }
}
