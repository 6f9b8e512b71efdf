package dev.tavik.association;

import java.util.Arrays;

/** Counts with the totals of their rows and columns, as doubles. */
final class Margins {
  private final double[][] counts;
  private final double[] rows;
  private final double[] columns;
  private final double total;

  Margins(double[][] counts) {
    this.counts = counts;
    this.rows = Arrays.stream(counts).mapToDouble(row -> Arrays.stream(row).sum()).toArray();
    this.columns = new double[counts[0].length];
    for (double[] row : counts) {
      Arrays.setAll(columns, j -> columns[j] + row[j]);
    }
    this.total = Arrays.stream(rows).sum();
  }

  int height() {
    return rows.length;
  }

  int width() {
    return columns.length;
  }

  double count(int i, int j) {
    return counts[i][j];
  }

  double row(int i) {
    return rows[i];
  }

  double column(int j) {
    return columns[j];
  }

  double total() {
    return total;
  }

  /** A function of a cell's position. */
  @FunctionalInterface
  interface Cell {
    double at(int i, int j);
  }

  /** Σ count · value over the cells that are not empty. */
  double sum(Cell value) {
    double sum = 0;
    for (int i = 0; i < rows.length; i++) {
      for (int j = 0; j < columns.length; j++) {
        if (counts[i][j] > 0) {
          sum += counts[i][j] * value.at(i, j);
        }
      }
    }
    return sum;
  }
}
