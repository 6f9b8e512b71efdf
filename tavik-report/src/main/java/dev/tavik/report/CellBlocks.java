package dev.tavik.report;

import dev.tavik.report.TextTable.Align;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A table of cells in blocks of as many columns as fit a line, the names of the rows repeated.
 *
 * @param rows the names of the rows
 * @param columns the names of the columns
 */
record CellBlocks(List<String> rows, List<String> columns) {
  private static final int MOST_NAME = 22;
  private static final int GAP = 2;

  CellBlocks {
    rows = rows.stream().map(CellBlocks::shortened).toList();
    columns = columns.stream().map(CellBlocks::shortened).toList();
  }

  /** With a last row and a last column for the totals. */
  static CellBlocks withTotals(List<String> rows, List<String> columns) {
    List<String> down = new ArrayList<>(rows);
    down.add("all");
    List<String> across = new ArrayList<>(columns);
    across.add("all");
    return new CellBlocks(down, across);
  }

  /** What stands in a cell. */
  @FunctionalInterface
  interface Cell {
    String at(int row, int column);
  }

  void write(Lines lines, Cell cell) {
    int names = rows.stream().mapToInt(String::length).max().orElse(0);
    int from = 0;
    while (from < columns.size()) {
      int to = from;
      int used = GAP + names;
      while (to < columns.size()) {
        int needed = columns.get(to).length();
        for (int i = 0; i < rows.size(); i++) {
          needed = Math.max(needed, cell.at(i, to).length());
        }
        if (to > from && used + GAP + needed > Lines.WIDTH) {
          break;
        }
        used += GAP + needed;
        to++;
      }
      if (from > 0) {
        lines.blank();
      }
      lines.table(block(from, to, cell));
      from = to;
    }
  }

  private TextTable block(int from, int to, Cell cell) {
    Align[] aligns = new Align[to - from + 1];
    Arrays.fill(aligns, Align.RIGHT);
    aligns[0] = Align.LEFT;
    TextTable block = new TextTable(aligns);
    List<String> header = new ArrayList<>(List.of(""));
    header.addAll(columns.subList(from, to));
    block.header(header.toArray(String[]::new));
    for (int i = 0; i < rows.size(); i++) {
      List<String> row = new ArrayList<>(List.of(rows.get(i)));
      for (int j = from; j < to; j++) {
        row.add(cell.at(i, j));
      }
      block.row(row.toArray(String[]::new));
    }
    return block;
  }

  private static String shortened(String name) {
    return name.length() <= MOST_NAME ? name : name.substring(0, MOST_NAME - 1) + "…";
  }
}
