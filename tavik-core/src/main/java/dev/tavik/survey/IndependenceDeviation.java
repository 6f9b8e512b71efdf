package dev.tavik.survey;

/** How far the cells of a weighted table are from independence: hᵢⱼ = pᵢⱼ - pᵢ₊p₊ⱼ, row by row. */
final class IndependenceDeviation implements FunctionOfSums {
  private final int[] rowOf;
  private final int[] columnOf;
  private final int rows;
  private final int columns;

  /**
   * Keeps where each combination stands.
   *
   * @param rowOf the row of each combination, -1 outside the table
   * @param columnOf its column
   * @param rows how many rows there are
   * @param columns how many columns
   */
  IndependenceDeviation(int[] rowOf, int[] columnOf, int rows, int columns) {
    this.rowOf = rowOf;
    this.columnOf = columnOf;
    this.rows = rows;
    this.columns = columns;
  }

  int rows() {
    return rows;
  }

  int columns() {
    return columns;
  }

  /** The shares of all cells, row by row, then those of the rows, then of the columns, the sum. */
  double[] shares(double[] totals) {
    double[] shares = new double[rows * columns + rows + columns + 1];
    double sum = 0;
    for (int c = 0; c < rowOf.length; c++) {
      sum += inside(c) ? totals[c] : 0;
    }
    for (int c = 0; c < rowOf.length; c++) {
      if (inside(c)) {
        double share = totals[c] / sum;
        shares[rowOf[c] * columns + columnOf[c]] += share;
        shares[row(rowOf[c])] += share;
        shares[column(columnOf[c])] += share;
      }
    }
    shares[shares.length - 1] = sum;
    return shares;
  }

  private boolean inside(int combination) {
    return rowOf[combination] >= 0 && columnOf[combination] >= 0;
  }

  int row(int row) {
    return rows * columns + row;
  }

  int column(int column) {
    return rows * columns + rows + column;
  }

  @Override
  public double[] values(double[] totals) {
    double[] p = shares(totals);
    double[] h = new double[rows * columns];
    for (int i = 0; i < rows; i++) {
      for (int j = 0; j < columns; j++) {
        h[i * columns + j] = p[i * columns + j] - p[row(i)] * p[column(j)];
      }
    }
    return h;
  }

  @Override
  public double[][] slopes(double[] totals) {
    double[] p = shares(totals);
    double sum = p[p.length - 1];
    double[][] slopes = new double[rows * columns][rowOf.length];
    for (int i = 0; i < rows; i++) {
      for (int j = 0; j < columns; j++) {
        int cell = i * columns + j;
        double common = 2 * p[row(i)] * p[column(j)] - p[cell];
        for (int c = 0; c < rowOf.length; c++) {
          if (inside(c)) {
            boolean sameRow = rowOf[c] == i;
            boolean sameColumn = columnOf[c] == j;
            slopes[cell][c] =
                ((sameRow && sameColumn ? 1 : 0)
                        - (sameColumn ? p[row(i)] : 0)
                        - (sameRow ? p[column(j)] : 0)
                        + common)
                    / sum;
          }
        }
      }
    }
    return slopes;
  }
}
