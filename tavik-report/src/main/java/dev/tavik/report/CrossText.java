package dev.tavik.report;

import dev.tavik.count.CrossTable;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.study.CrossAnswer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntFunction;
import org.jspecify.annotations.Nullable;

/** The answer about an association in words and tables. */
final class CrossText {
  private static final int MOST_NAME = 22;
  private static final int GAP = 2;

  private final Lines lines;

  CrossText(Lines lines) {
    this.lines = lines;
  }

  void write(CrossAnswer answer) {
    String verdict = answer.conclusion();
    lines.strong(Character.toUpperCase(verdict.charAt(0)) + verdict.substring(1));
    CrossTable table = answer.table();
    lines.heading("Observed");
    table(table, (i, j) -> observed(table, i, j), true);
    lines.heading("Expected if rows and columns are independent");
    table(table, (i, j) -> Figures.significant(answer.cells().get(i).get(j).expected(), 4), false);
    lines.heading("Adjusted residuals, standard normal under the null; * stands out");
    table(table, (i, j) -> residual(answer, i, j), false);
    strength(answer);
    tests(answer);
    lines.heading("Taken for granted");
    answer.conditions().forEach(condition -> RateText.condition(lines, condition));
    TextReport.cautions(lines, answer.cautions());
  }

  /** What stands in a cell. */
  @FunctionalInterface
  private interface Cell {
    String at(int row, int column);
  }

  private static String observed(CrossTable table, int row, int column) {
    boolean lastRow = row == table.rows().size();
    boolean lastColumn = column == table.columns().size();
    if (lastRow && lastColumn) {
      return Figures.count(table.total());
    }
    if (lastRow) {
      return Figures.count(table.columnTotal(column));
    }
    return Figures.count(lastColumn ? table.rowTotal(row) : table.count(row, column));
  }

  private static String residual(CrossAnswer answer, int row, int column) {
    double value = answer.cells().get(row).get(column).adjustedResidual();
    boolean out = answer.standingOut().get(row).get(column) <= answer.settings().alpha();
    return (value == 0 ? "0" : String.format("%.2f", value)) + (out ? "*" : " ");
  }

  /** In blocks of as many columns as fit, the names of the rows repeated. */
  private void table(CrossTable table, Cell cell, boolean totals) {
    int height = table.rows().size() + (totals ? 1 : 0);
    int width = table.columns().size() + (totals ? 1 : 0);
    IntFunction<String> rowName =
        i -> i == table.rows().size() ? "all" : shortened(table.rows().get(i));
    IntFunction<String> columnName =
        j -> j == table.columns().size() ? "all" : shortened(table.columns().get(j));
    int names = 0;
    for (int i = 0; i < height; i++) {
      names = Math.max(names, rowName.apply(i).length());
    }
    int from = 0;
    while (from < width) {
      int to = from;
      int used = GAP + names;
      while (to < width) {
        int needed = columnName.apply(to).length();
        for (int i = 0; i < height; i++) {
          needed = Math.max(needed, cell.at(i, to).length());
        }
        if (to > from && used + GAP + needed > Lines.WIDTH) {
          break;
        }
        used += GAP + needed;
        to++;
      }
      block(height, from, to, rowName, columnName, cell);
      from = to;
    }
  }

  private void block(
      int height,
      int from,
      int to,
      IntFunction<String> rowName,
      IntFunction<String> columnName,
      Cell cell) {
    if (from > 0) {
      lines.blank();
    }
    Align[] aligns = new Align[to - from + 1];
    Arrays.fill(aligns, Align.RIGHT);
    aligns[0] = Align.LEFT;
    TextTable block = new TextTable(aligns);
    List<String> header = new ArrayList<>(List.of(""));
    for (int j = from; j < to; j++) {
      header.add(columnName.apply(j));
    }
    block.header(header.toArray(String[]::new));
    for (int i = 0; i < height; i++) {
      List<String> row = new ArrayList<>(List.of(rowName.apply(i)));
      for (int j = from; j < to; j++) {
        row.add(cell.at(i, j));
      }
      block.row(row.toArray(String[]::new));
    }
    lines.table(block);
  }

  private static String shortened(String name) {
    return name.length() <= MOST_NAME ? name : name.substring(0, MOST_NAME - 1) + "…";
  }

  private void strength(CrossAnswer answer) {
    lines.heading("Strength");
    TextTable table = new TextTable(Align.LEFT, Align.POINT);
    for (Estimate estimate : answer.estimates()) {
      String name =
          switch (estimate.quantity()) {
            case PHI -> "phi";
            case CRAMERS_V -> "Cramer's V";
            case CRAMERS_V_CORRECTED -> "Cramer's V, corrected for bias";
            case CONTINGENCY -> "contingency coefficient";
            default -> "Cohen's w";
          };
      table.row(name, estimate.value() == 0 ? "0" : Figures.significant(estimate.value(), 4));
    }
    lines.table(table);
  }

  private void tests(CrossAnswer answer) {
    lines.heading(
        "Tests: null, rows and columns are independent; alpha "
            + Figures.plain(answer.settings().alpha()));
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT);
    table.header("", "", "", "p", "");
    for (TestResult test : answer.tests()) {
      TestResult.@Nullable Statistic statistic = test.statistic();
      double value = statistic == null ? 0 : statistic.value();
      table.row(
          test.method(),
          statistic == null
              ? "tables no more probable"
              : statistic.name() + " = " + (value == 0 ? "0" : Figures.significant(value, 4)),
          test.df() == null ? "" : "df " + Figures.plain(test.df()),
          Figures.pValue(test.log10PValue()),
          test.rejects(answer.settings().alpha()) ? "rejects" : "does not reject");
    }
    lines.table(table);
    answer
        .refusals()
        .forEach(
            refusal ->
                lines.paragraph(
                    "  ", "    ", "not made: " + refusal.method() + " " + refusal.reason() + "."));
    lines.blank();
    lines.paragraph("", "", "The verdict rests on " + answer.preferred() + ".");
  }
}
