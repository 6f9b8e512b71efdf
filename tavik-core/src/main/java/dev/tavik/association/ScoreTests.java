package dev.tavik.association;

import dev.tavik.count.CrossTable;

/**
 * Tests against a rise with scores. Sums are of O - E, each exact before it is rounded, times the
 * scores' distances from their means, so that nothing cancels.
 */
final class ScoreTests {
  private final CrossTable table;
  private final double[] rows;
  private final double[] columns;

  ScoreTests(CrossTable table, TestOptions options) {
    this.table = table;
    this.rows = options.ofRows(table.rows().size());
    this.columns = options.ofColumns(table.columns().size());
    double rowMean = 0;
    for (int i = 0; i < rows.length; i++) {
      rowMean += rows[i] * table.rowTotal(i) / table.total();
    }
    double columnMean = 0;
    for (int j = 0; j < columns.length; j++) {
      columnMean += columns[j] * table.columnTotal(j) / table.total();
    }
    for (int i = 0; i < rows.length; i++) {
      rows[i] -= rowMean;
    }
    for (int j = 0; j < columns.length; j++) {
      columns[j] -= columnMean;
    }
  }

  /** The correlation of the scores, from -1 to 1. */
  double correlation() {
    double together = 0;
    double rowSquares = 0;
    double columnSquares = 0;
    for (int i = 0; i < rows.length; i++) {
      rowSquares += rows[i] * rows[i] * table.rowTotal(i);
      for (int j = 0; j < columns.length; j++) {
        together += rows[i] * columns[j] * Independence.excess(table, i, j);
      }
    }
    for (int j = 0; j < columns.length; j++) {
      columnSquares += columns[j] * columns[j] * table.columnTotal(j);
    }
    return together / Math.sqrt(rowSquares) / Math.sqrt(columnSquares);
  }

  /**
   * Cochran and Armitage's z, whose variance has N: r√N. It is positive where the first of the two
   * levels has a greater share at higher scores.
   */
  double trend() {
    return -correlation() * Math.sqrt((double) table.total());
  }

  /** Mantel's (N - 1)r². */
  double linear() {
    double r = correlation();
    return (table.total() - 1) * r * r;
  }
}
