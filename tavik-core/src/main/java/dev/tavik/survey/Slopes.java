package dev.tavik.survey;

import dev.tavik.count.SparseRows;
import dev.tavik.count.SurveyCounts;
import java.util.Arrays;

/**
 * The slopes of a function of sums, for combinations as they were counted: of each combination only
 * the values that depend on it, which of many groups are a few.
 */
final class Slopes {
  private final int values;
  private final int[][] valueOf;
  private final double[][] slopeOf;

  private Slopes(int values, int[][] valueOf, double[][] slopeOf) {
    this.values = values;
    this.valueOf = valueOf;
    this.slopeOf = slopeOf;
  }

  static Slopes of(FunctionOfSums statistic, SurveyCounts counts) {
    double[][] slopes = statistic.slopes(counts.totals());
    double[][] counted = new double[slopes.length][];
    for (int v = 0; v < slopes.length; v++) {
      counted[v] = counts.counted(slopes[v]);
    }
    int combinations = counts.counted(new double[counts.combinations().size()]).length;
    int[][] valueOf = new int[combinations][];
    double[][] slopeOf = new double[combinations][];
    int[] some = new int[slopes.length];
    for (int c = 0; c < combinations; c++) {
      int size = 0;
      for (int v = 0; v < slopes.length; v++) {
        if (counted[v][c] != 0) {
          some[size++] = v;
        }
      }
      valueOf[c] = Arrays.copyOf(some, size);
      slopeOf[c] = new double[size];
      for (int k = 0; k < size; k++) {
        slopeOf[c][k] = counted[some[k]][c];
      }
    }
    return new Slopes(slopes.length, valueOf, slopeOf);
  }

  /** How many values the function has. */
  int values() {
    return values;
  }

  /** The linearised values of a row of sums, in place of what stood there. */
  void linearise(SparseRows sums, int row, double[] z) {
    Arrays.fill(z, 0);
    for (int entry = sums.begin(row); entry < sums.begin(row + 1); entry++) {
      double weight = sums.value(entry);
      int[] dependent = valueOf[sums.column(entry)];
      double[] slopes = slopeOf[sums.column(entry)];
      for (int k = 0; k < dependent.length; k++) {
        z[dependent[k]] += weight * slopes[k];
      }
    }
  }

  /**
   * Adds the sum over rows of the squares of their linearised values, by sums of squared weights.
   */
  void addSquares(SparseRows squares, int row, double factor, double[] to) {
    for (int entry = squares.begin(row); entry < squares.begin(row + 1); entry++) {
      int[] dependent = valueOf[squares.column(entry)];
      double[] slopes = slopeOf[squares.column(entry)];
      for (int k = 0; k < dependent.length; k++) {
        to[dependent[k]] += factor * squares.value(entry) * slopes[k] * slopes[k];
      }
    }
  }

  /** The same of all products, the lower half. */
  void addProducts(SparseRows squares, int row, double factor, double[][] to) {
    for (int entry = squares.begin(row); entry < squares.begin(row + 1); entry++) {
      int[] dependent = valueOf[squares.column(entry)];
      double[] slopes = slopeOf[squares.column(entry)];
      for (int k = 0; k < dependent.length; k++) {
        for (int l = 0; l <= k; l++) {
          to[dependent[k]][dependent[l]] += factor * squares.value(entry) * slopes[k] * slopes[l];
        }
      }
    }
  }
}
