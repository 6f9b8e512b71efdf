package dev.tavik.count;

import static dev.tavik.result.Figures.require;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How often each combination of two classifications was counted: kilns in rows, grades in columns.
 *
 * @param rows the names of the rows, at least two, all different
 * @param columns the names of the columns, at least two, all different
 * @param cells the counts, row by row; every row and every column has at least one unit
 */
public record CrossTable(List<String> rows, List<String> columns, List<List<Long>> cells) {
  /** The most rows or columns, which is more than anyone can read. */
  public static final int MOST_LEVELS = 200;

  /**
   * Copies the parts.
   *
   * @throws IllegalArgumentException if there are fewer than two rows or columns or more than
   *     {@value #MOST_LEVELS}, two of the same name, a count that is negative or missing, an empty
   *     row or column, or a total above 10¹²
   */
  public CrossTable {
    rows = names("rows", rows);
    columns = names("columns", columns);
    cells = cells.stream().map(List::copyOf).toList();
    int width = columns.size();
    require(
        cells.size() == rows.size() && !cells.stream().anyMatch(row -> row.size() != width),
        "cells must have %d rows of %d counts each",
        rows.size(),
        width);
    long total = 0;
    for (List<Long> row : cells) {
      for (long count : row) {
        require(
            count >= 0 && count <= Tally.MAX_TRIALS,
            "a count must be between 0 and %,d, got %s",
            Tally.MAX_TRIALS,
            count);
        total = Math.min(total + count, Tally.MAX_TRIALS + 1);
      }
    }
    require(total <= Tally.MAX_TRIALS, "counts must add up to at most %,d", Tally.MAX_TRIALS);
    for (int i = 0; i < rows.size(); i++) {
      requireUnits("row", rows.get(i), sum(cells.get(i)));
    }
    for (int j = 0; j < width; j++) {
      int column = j;
      requireUnits(
          "column", columns.get(j), cells.stream().mapToLong(row -> row.get(column)).sum());
    }
  }

  /**
   * A table whose rows and columns are numbered.
   *
   * @param cells the counts, row by row
   * @return the table; they are called row 1 and so on, column 1 and so on
   * @throws IllegalArgumentException if it is no table of two rows and two columns or more
   */
  public static CrossTable of(long[][] cells) {
    List<String> rows = new ArrayList<>();
    List<List<Long>> counts = new ArrayList<>();
    for (long[] row : cells) {
      rows.add("row " + (rows.size() + 1));
      counts.add(Arrays.stream(row).boxed().toList());
    }
    int width = cells.length == 0 ? 0 : cells[0].length;
    List<String> columns = IntStream.range(0, width).mapToObj(j -> "column " + (j + 1)).toList();
    return new CrossTable(rows, columns, counts);
  }

  private static List<String> names(String what, List<String> names) {
    require(
        names.size() >= 2 && names.size() <= MOST_LEVELS,
        "%s must be between 2 and %s, got %s",
        what,
        MOST_LEVELS,
        names.size());
    require(
        new LinkedHashSet<>(names).size() >= names.size(),
        "%s must have different names, got %s",
        what,
        String.join(", ", names));
    return List.copyOf(names);
  }

  private static void requireUnits(String what, String name, long total) {
    require(total != 0, "%s '%s' is empty; it says nothing, leave it out", what, name);
  }

  private static long sum(List<Long> counts) {
    return counts.stream().mapToLong(Long::longValue).sum();
  }

  /**
   * One count.
   *
   * @param row the position of the row, from 0
   * @param column the position of the column, from 0
   * @return how often both occur together
   */
  public long count(int row, int column) {
    return cells.get(row).get(column);
  }

  /**
   * The units of one row.
   *
   * @param row its position, from 0
   * @return their number
   */
  public long rowTotal(int row) {
    return sum(cells.get(row));
  }

  /**
   * The units of one column.
   *
   * @param column its position, from 0
   * @return their number
   */
  public long columnTotal(int column) {
    return cells.stream().mapToLong(row -> row.get(column)).sum();
  }

  /**
   * All units.
   *
   * @return their number
   */
  public long total() {
    return cells.stream().mapToLong(CrossTable::sum).sum();
  }

  /**
   * Whether there are two rows and two columns.
   *
   * @return whether it is two by two
   */
  public boolean twoByTwo() {
    return rows.size() == 2 && columns.size() == 2;
  }
}
