package dev.tavik.report;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Align;
import java.util.ArrayList;
import java.util.List;

/** A table of text: columns to the left, to the right, or aligned on the decimal point. */
final class TextTable {
  private static final String GAP = "  ";

  private final List<Align> aligns;
  private final List<List<String>> rows = new ArrayList<>();
  private boolean headed;

  TextTable(List<Align> aligns) {
    this.aligns = List.copyOf(aligns);
  }

  /** A first row whose words stand to the right over numbers and to the left over words. */
  void header(List<String> cells) {
    headed = true;
    row(cells);
  }

  void row(List<String> cells) {
    require(
        cells.size() == aligns.size(),
        "a row must have %s cells, got %s",
        aligns.size(),
        cells.size());
    rows.add(cells.stream().map(Visible::of).toList());
  }

  /** Whether every line has at most so many characters, with names cut where need be. */
  boolean fits(int width) {
    return lines(width).stream().allMatch(line -> Visible.width(line) <= width);
  }

  /** The table's lines; a cell too long for the width is cut with an ellipsis. */
  List<String> lines(int width) {
    List<List<String>> columns = new ArrayList<>();
    for (int column = 0; column < aligns.size(); column++) {
      columns.add(aligned(column));
    }
    fit(columns, width);
    List<String> lines = new ArrayList<>();
    for (int row = 0; row < rows.size(); row++) {
      List<String> cells = new ArrayList<>();
      for (List<String> column : columns) {
        cells.add(column.get(row));
      }
      lines.add(String.join(GAP, cells).stripTrailing());
    }
    return lines;
  }

  /** Shortens the longest column of words, which holds names, where the lines would be too long. */
  private void fit(List<List<String>> columns, int width) {
    int total = GAP.length() * (columns.size() - 1);
    int words = 0;
    for (int column = 0; column < columns.size(); column++) {
      total += longest(columns.get(column));
      if (aligns.get(column) == Align.LEFT
          && longest(columns.get(column)) > longest(columns.get(words))) {
        words = column;
      }
    }
    if (total <= width) {
      return;
    }
    int longest = longest(columns.get(words));
    int allowed = Math.min(longest, Math.max(8, longest - (total - width)));
    columns
        .get(words)
        .replaceAll(
            cell ->
                Visible.width(cell.stripTrailing()) <= allowed
                    ? pad(cell.stripTrailing(), allowed)
                    : pad(cut(cell, allowed - 1) + "…", allowed));
  }

  /** The beginning of a cell, not longer than a width, its last letter whole. */
  private static String cut(String cell, int width) {
    int end = 0;
    while (end < cell.length()) {
      int next = cell.offsetByCodePoints(end, 1);
      if (Visible.width(cell.substring(0, next)) > width) {
        break;
      }
      end = next;
    }
    return cell.substring(0, end);
  }

  private static int longest(List<String> column) {
    return column.stream().mapToInt(Visible::width).max().orElse(0);
  }

  private List<String> aligned(int column) {
    List<String> cells = new ArrayList<>();
    for (List<String> row : rows) {
      cells.add(row.get(column));
    }
    Align align = aligns.get(column);
    if (align == Align.POINT) {
      List<String> numbers = headed ? cells.subList(1, cells.size()) : cells;
      int after = numbers.stream().mapToInt(TextTable::afterPoint).max().orElse(0);
      numbers.replaceAll(
          cell -> isNumber(cell) ? cell + " ".repeat(after - afterPoint(cell)) : cell);
    }
    int width = cells.stream().mapToInt(Visible::width).max().orElse(0);
    cells.replaceAll(
        cell ->
            align == Align.LEFT
                ? pad(cell, width)
                : " ".repeat(width - Visible.width(cell)) + cell);
    return cells;
  }

  static boolean isNumber(String cell) {
    return !cell.isEmpty() && "+-.0123456789".indexOf(cell.charAt(0)) >= 0;
  }

  /** The characters from the decimal point of a number on; 0 for words. */
  static int afterPoint(String cell) {
    if (!isNumber(cell)) {
      return 0;
    }
    int point = cell.indexOf('.');
    return cell.length() - (point < 0 ? wholePart(cell) : point);
  }

  private static int wholePart(String cell) {
    int end = 0;
    while (end < cell.length() && "+-,0123456789".indexOf(cell.charAt(end)) >= 0) {
      end++;
    }
    return end;
  }

  private static String pad(String cell, int width) {
    return cell + " ".repeat(Math.max(0, width - Visible.width(cell)));
  }
}
