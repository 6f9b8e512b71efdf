package dev.tavik.association;

import dev.tavik.count.CrossTable;

/** Which classification a measure takes as given, where that makes a difference. */
enum Direction {
  NONE(""),
  COLUMNS_FROM_ROWS("columns from rows"),
  ROWS_FROM_COLUMNS("rows from columns");

  private final String label;

  Direction(String label) {
    this.label = label;
  }

  String label() {
    return label;
  }

  /** The counts with what is given in rows. */
  double[][] given(CrossTable table) {
    int rows = table.rows().size();
    int columns = table.columns().size();
    boolean turned = this == ROWS_FROM_COLUMNS;
    double[][] counts = new double[turned ? columns : rows][turned ? rows : columns];
    for (int i = 0; i < rows; i++) {
      for (int j = 0; j < columns; j++) {
        counts[turned ? j : i][turned ? i : j] = table.count(i, j);
      }
    }
    return counts;
  }
}
