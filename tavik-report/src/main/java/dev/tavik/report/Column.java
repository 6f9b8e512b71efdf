package dev.tavik.report;

import dev.tavik.report.TextTable.Align;
import java.util.List;
import java.util.function.Function;

/**
 * A column of a table, and what stands in it for a row.
 *
 * @param name its head
 * @param align how its cells stand below one another
 * @param cell what stands in it
 * @param <R> what a row is about
 */
record Column<R>(String name, Align align, Function<R, String> cell) {
  static <R> void table(Lines lines, List<Column<R>> columns, List<R> rows) {
    TextTable table = new TextTable(columns.stream().map(Column::align).toArray(Align[]::new));
    table.header(columns.stream().map(Column::name).toArray(String[]::new));
    for (R row : rows) {
      table.row(columns.stream().map(column -> column.cell().apply(row)).toArray(String[]::new));
    }
    lines.table(table);
  }
}
