package dev.tavik.association;

import dev.tavik.count.CrossTable;
import java.math.BigInteger;

/**
 * Expected counts under independence of rows and columns. Differences are taken of whole numbers
 * before anything is divided.
 */
final class Independence {
  private Independence() {}

  static double expected(CrossTable table, int row, int column) {
    return (double) table.rowTotal(row) * ((double) table.columnTotal(column) / table.total());
  }

  /** O - E, as (O·N - R·C)/N. */
  static double excess(CrossTable table, int row, int column) {
    BigInteger beyond =
        BigInteger.valueOf(table.count(row, column))
            .multiply(BigInteger.valueOf(table.total()))
            .subtract(
                BigInteger.valueOf(table.rowTotal(row))
                    .multiply(BigInteger.valueOf(table.columnTotal(column))));
    return beyond.doubleValue() / table.total();
  }

  static double df(CrossTable table) {
    return (table.rows().size() - 1.0) * (table.columns().size() - 1.0);
  }
}
