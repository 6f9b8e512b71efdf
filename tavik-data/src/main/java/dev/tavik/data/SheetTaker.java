package dev.tavik.data;

import dev.tavik.data.SheetRows.Cell;
import java.util.List;

/** Receives the rows of a sheet. */
interface SheetTaker {
  /** A cell of the row that comes next covers rows below it. */
  void merge(int column, long lastRow, Cell cell);

  /** Takes a row: its number from 1, its cells from the first column on. */
  void row(long number, List<Cell> cells);

  /** Ends the sheet; returns remarks about it. */
  List<String> end();
}
