package dev.tavik.count;

import static dev.tavik.result.Figures.require;

/**
 * Holds numbers in rows and columns, only those that are not 0: of each row a stretch of entries.
 */
public final class SparseRows {
  private final int[] begins;
  private final int[] columns;
  private final double[] values;

  private SparseRows(int[] begins, int[] columns, double[] values) {
    this.begins = begins;
    this.columns = columns;
    this.values = values;
  }

  /**
   * Creates sparse rows from their entries.
   *
   * @param begins the first entry of each row, then one number more, how many there are
   * @param columns the column of each entry
   * @param values its value
   * @return the sparse rows
   * @throws IllegalArgumentException if the numbers don't go together
   */
  public static SparseRows of(int[] begins, int[] columns, double[] values) {
    require(
        begins.length > 0
            && begins[begins.length - 1] == values.length
            && columns.length == values.length,
        "entries must be as many as the rows say, got %s columns and %s values",
        columns.length,
        values.length);
    return new SparseRows(begins, columns, values);
  }

  /**
   * Keeps rows of numbers.
   *
   * @param rows the rows, each as long as it needs to be
   * @return the sparse rows
   */
  public static SparseRows of(double[][] rows) {
    int[] begins = new int[rows.length + 1];
    for (int row = 0; row < rows.length; row++) {
      begins[row + 1] = begins[row];
      for (double value : rows[row]) {
        begins[row + 1] += value == 0 ? 0 : 1;
      }
    }
    int[] columns = new int[begins[rows.length]];
    double[] values = new double[columns.length];
    int next = 0;
    for (double[] row : rows) {
      for (int column = 0; column < row.length; column++) {
        if (row[column] != 0) {
          columns[next] = column;
          values[next++] = row[column];
        }
      }
    }
    return new SparseRows(begins, columns, values);
  }

  /** {@return how many rows there are} */
  public int rows() {
    return begins.length - 1;
  }

  /**
   * {@return the first entry of a row; that of the next is where it ends}
   *
   * @param row which row, from 0
   */
  public int begin(int row) {
    return begins[row];
  }

  /**
   * {@return the column of an entry}
   *
   * @param entry which entry, from 0
   */
  public int column(int entry) {
    return columns[entry];
  }

  /**
   * {@return the value of an entry}
   *
   * @param entry which entry, from 0
   */
  public double value(int entry) {
    return values[entry];
  }

  /** Adds every value to the sum of its column. */
  void addTo(double[] sums) {
    for (int entry = 0; entry < values.length; entry++) {
      sums[columns[entry]] += values[entry];
    }
  }

  /**
   * {@return whether a row has a value above 0 in a column that is wanted}
   *
   * @param row the row
   * @param wanted of each column a number above 0 where it is
   */
  public boolean any(int row, double[] wanted) {
    boolean any = false;
    for (int entry = begins[row]; entry < begins[row + 1]; entry++) {
      any |= values[entry] * wanted[columns[entry]] > 0;
    }
    return any;
  }
}
