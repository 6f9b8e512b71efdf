package dev.tavik.plot;

import java.util.List;

/**
 * The cells of a two-way table.
 *
 * @param title what the table is of
 * @param subtitle by which test
 * @param rows the names of the rows
 * @param columns the names of the columns
 * @param cells the cells, row by row
 */
public record TablePlot(
    String title, String subtitle, List<String> rows, List<String> columns, List<List<Cell>> cells)
    implements Plot {
  /** Copies the lists. */
  public TablePlot {
    rows = List.copyOf(rows);
    columns = List.copyOf(columns);
    cells = cells.stream().map(List::copyOf).toList();
  }

  /**
   * A cell.
   *
   * @param count its count
   * @param residual its adjusted residual
   * @param standsOut whether that differs from 0, adjusted for all cells
   */
  public record Cell(long count, double residual, boolean standsOut) {}

  /**
   * {@return how many there are in a row}
   *
   * @param row which row, from 0
   */
  public long rowTotal(int row) {
    return cells.get(row).stream().mapToLong(Cell::count).sum();
  }

  /** {@return how many there are in all} */
  public long total() {
    return cells.stream().flatMap(List::stream).mapToLong(Cell::count).sum();
  }

  /**
   * {@return the share of a cell in its row}
   *
   * @param row its row, from 0
   * @param column its column, from 0
   */
  public double share(int row, int column) {
    return (double) cells.get(row).get(column).count() / rowTotal(row);
  }
}
