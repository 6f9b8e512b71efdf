package dev.tavik.count;

import static dev.tavik.result.Figures.require;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * How often each combination of two classifications was counted: kilns in rows, grades in columns.
 * Its totals are held, since every method asks for them over and over.
 */
public final class CrossTable {
  /** Largest number of rows or columns, which is more than anyone can read. */
  public static final int MOST_LEVELS = 200;

  private final List<String> rows;
  private final List<String> columns;
  private final List<List<Long>> cells;
  private final long[] rowTotals;
  private final long[] columnTotals;
  private final long total;

  /**
   * Copies the parts.
   *
   * @param rows the names of the rows, at least two, all different
   * @param columns the names of the columns, at least two, all different
   * @param cells the counts, row by row; every row and every column has at least one unit
   * @throws IllegalArgumentException if there are fewer than two rows or columns or more than
   *     {@value #MOST_LEVELS}, two of the same name, a count that is negative or missing, an empty
   *     row or column, or a total above 10¹²
   */
  public CrossTable(List<String> rows, List<String> columns, List<List<Long>> cells) {
    this.rows = names("rows", rows);
    this.columns = names("columns", columns);
    this.cells = cells.stream().map(List::copyOf).toList();
    int width = columns.size();
    require(
        cells.size() == rows.size() && !cells.stream().anyMatch(row -> row.size() != width),
        "cells must have %d rows of %d counts each",
        rows.size(),
        width);
    this.rowTotals = new long[rows.size()];
    this.columnTotals = new long[width];
    long sum = 0;
    for (int i = 0; i < rowTotals.length; i++) {
      for (int j = 0; j < width; j++) {
        long count = this.cells.get(i).get(j);
        require(
            count >= 0 && count <= Tally.MAX_TRIALS,
            "a count must be between 0 and %,d, got %s",
            Tally.MAX_TRIALS,
            count);
        rowTotals[i] += count;
        columnTotals[j] += count;
        sum = Math.min(sum + count, Tally.MAX_TRIALS + 1);
      }
    }
    require(sum <= Tally.MAX_TRIALS, "counts must add up to at most %,d", Tally.MAX_TRIALS);
    this.total = sum;
    for (int i = 0; i < rowTotals.length; i++) {
      requireUnits("row", rows.get(i), rowTotals[i]);
    }
    for (int j = 0; j < width; j++) {
      requireUnits("column", columns.get(j), columnTotals[j]);
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
    int width = cells.length == 0 ? 0 : cells[0].length;
    return of(numbered("row", cells.length), numbered("column", width), cells);
  }

  /**
   * Reads a table without names.
   *
   * @param text rows apart by semicolons or line ends, counts by blanks or commas, such as {@code
   *     12 5; 7 9}
   * @return the table; its rows and columns are numbered
   * @throws IllegalArgumentException if a count isn't whole, a row has fewer or more counts than
   *     another, or it is no table of two rows and two columns or more
   */
  public static CrossTable parse(String text) {
    List<long[]> cells = new ArrayList<>();
    for (String row : text.strip().split("[;\\n]")) {
      String[] counts = row.strip().split("[\\s,]+");
      for (String count : counts) {
        require(
            count.matches("\\d{1,13}"),
            "a table must be rows of whole counts such as \"12 5; 7 9\", got '%s'",
            count);
      }
      require(
          cells.isEmpty() || cells.get(0).length == counts.length,
          "a table must have as many counts in every row; row 1 has %s, row %s has %s",
          cells.isEmpty() ? 0 : cells.get(0).length,
          cells.size() + 1,
          counts.length);
      cells.add(Stream.of(counts).mapToLong(Long::parseLong).toArray());
    }
    return of(cells.toArray(long[][]::new));
  }

  private static List<String> numbered(String what, int size) {
    return IntStream.rangeClosed(1, size).mapToObj(i -> what + " " + i).toList();
  }

  /**
   * A table with names.
   *
   * @param rows the names of the rows, at least two, all different
   * @param columns the names of the columns, at least two, all different
   * @param cells the counts, row by row
   * @return the table
   * @throws IllegalArgumentException if there isn't one count for each row and column, a count is
   *     negative, or a row or column has none
   */
  public static CrossTable of(List<String> rows, List<String> columns, long[][] cells) {
    return new CrossTable(
        rows,
        columns,
        Arrays.stream(cells).map(row -> LongStream.of(row).boxed().toList()).toList());
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

  /**
   * The names of the rows.
   *
   * @return at least two, all different
   */
  public List<String> rows() {
    return rows;
  }

  /**
   * The names of the columns.
   *
   * @return at least two, all different
   */
  public List<String> columns() {
    return columns;
  }

  /**
   * The counts, row by row.
   *
   * @return a list a row
   */
  public List<List<Long>> cells() {
    return cells;
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
    return rowTotals[row];
  }

  /**
   * The units of one column.
   *
   * @param column its position, from 0
   * @return their number
   */
  public long columnTotal(int column) {
    return columnTotals[column];
  }

  /**
   * All units.
   *
   * @return their number
   */
  public long total() {
    return total;
  }

  /**
   * Whether there are two rows and two columns.
   *
   * @return whether it is two by two
   */
  public boolean twoByTwo() {
    return rows.size() == 2 && columns.size() == 2;
  }

  /** Of the same names and counts. */
  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof CrossTable table
        && rows.equals(table.rows)
        && columns.equals(table.columns)
        && cells.equals(table.cells);
  }

  @Override
  public int hashCode() {
    return Objects.hash(rows, columns, cells);
  }

  /** The names and the counts. */
  @Override
  public String toString() {
    return "CrossTable[rows=" + rows + ", columns=" + columns + ", cells=" + cells + "]";
  }
}
