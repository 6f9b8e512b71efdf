package dev.tavik.data;

import java.util.Arrays;

/**
 * Sums in rows and columns whose numbers grow: side by side in memory, so that a row, of a cluster
 * say, is one place to go to and not two.
 */
final class GrowingSums {
  private double[] sums = new double[64];
  private int width = 4;
  private int columns;

  /** Adds to a sum; returns how many places that took anew. */
  int add(int row, int column, double amount) {
    int grown = 0;
    if (column >= width) {
      grown += widen(column + 1);
    }
    columns = Math.max(columns, column + 1);
    int at = row * width + column;
    if (at >= sums.length) {
      int before = sums.length;
      sums = Arrays.copyOf(sums, Math.max(2 * before, (row + 1) * width));
      grown += sums.length - before;
    }
    sums[at] += amount;
    return grown;
  }

  private int widen(int wanted) {
    int wider = Math.max(wanted, 2 * width);
    int rows = (sums.length + width - 1) / width;
    double[] moved = new double[rows * wider];
    for (int row = 0; row < rows; row++) {
      int from = row * width;
      System.arraycopy(sums, from, moved, row * wider, Math.min(width, sums.length - from));
    }
    int grown = moved.length - sums.length;
    sums = moved;
    width = wider;
    return grown;
  }

  /** A row, as far as it has sums, of at most so many columns. */
  double[] row(int row, int most) {
    int from = row * width;
    int length = Math.max(0, Math.min(Math.min(columns, most), sums.length - from));
    return length == 0 ? new double[0] : Arrays.copyOfRange(sums, from, from + length);
  }

  /** The same with zeros where it has none. */
  double[] whole(int row, int length) {
    return Arrays.copyOf(row(row, length), length);
  }
}
