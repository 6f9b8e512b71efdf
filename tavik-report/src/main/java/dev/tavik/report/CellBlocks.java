package dev.tavik.report;

import dev.tavik.answer.Align;
import dev.tavik.answer.Block;
import dev.tavik.answer.Value;
import java.util.ArrayList;
import java.util.List;

/** A table of cells, its columns in as many blocks as the page is too narrow for. */
record CellBlocks(List<String> rows, List<String> columns, List<List<Value>> cells) {
  private static final int MOST_NAME = 22;
  private static final int GAP = 2;

  CellBlocks {
    rows = rows.stream().map(CellBlocks::shortened).toList();
    columns = columns.stream().map(CellBlocks::shortened).toList();
  }

  CellBlocks(Block.Grid grid) {
    this(grid.rows(), grid.columns(), grid.cells());
  }

  void write(Lines lines) {
    int names = rows.stream().mapToInt(Visible::width).max().orElse(0);
    int from = 0;
    while (from < columns.size()) {
      int to = from;
      int used = GAP + names;
      while (to < columns.size()) {
        int needed = Visible.width(columns.get(to));
        for (int i = 0; i < rows.size(); i++) {
          needed = Math.max(needed, Visible.width(at(i, to)));
        }
        if (to > from && used + GAP + needed > lines.width()) {
          break;
        }
        used += GAP + needed;
        to++;
      }
      if (from > 0) {
        lines.blank();
      }
      lines.table(block(from, to));
      from = to;
    }
  }

  private String at(int row, int column) {
    return cells.get(row).get(column).text();
  }

  private TextTable block(int from, int to) {
    List<Align> aligns = new ArrayList<>(List.of(Align.LEFT));
    List<String> header = new ArrayList<>(List.of(""));
    for (int j = from; j < to; j++) {
      aligns.add(Align.RIGHT);
      header.add(columns.get(j));
    }
    TextTable block = new TextTable(aligns);
    block.header(header);
    for (int i = 0; i < rows.size(); i++) {
      List<String> row = new ArrayList<>(List.of(rows.get(i)));
      for (int j = from; j < to; j++) {
        row.add(at(i, j));
      }
      block.row(row);
    }
    return block;
  }

  private static String shortened(String name) {
    if (Visible.width(name) <= MOST_NAME) {
      return name;
    }
    int end = 0;
    int next = 0;
    while (Visible.width(name.substring(0, next)) < MOST_NAME) {
      end = next;
      next = name.offsetByCodePoints(end, 1);
    }
    return name.substring(0, end) + "…";
  }
}
