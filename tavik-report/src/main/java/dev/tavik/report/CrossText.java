package dev.tavik.report;

import dev.tavik.association.TestOptions;
import dev.tavik.count.CrossTable;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Quantity;
import dev.tavik.result.Refusal;
import dev.tavik.result.TestResult;
import dev.tavik.study.CellTable;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.CrossAnswer;
import dev.tavik.study.CrossBayes;
import dev.tavik.study.RowPair;
import dev.tavik.study.Strength;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The answer about an association in words and tables. */
final class CrossText {
  private final Lines lines;

  CrossText(Lines lines) {
    this.lines = lines;
  }

  void write(CrossAnswer answer) {
    TextReport.verdict(lines, answer.conclusion());
    CrossTable table = answer.table();
    lines.heading("Observed");
    CellBlocks.withTotals(table.rows(), table.columns())
        .write(lines, (i, j) -> observed(table, i, j));
    TextReport.source(lines, answer.from());
    for (CellTable shown : answer.settings().shown()) {
      lines.heading(shown.title());
      new CellBlocks(table.rows(), table.columns())
          .write(lines, (i, j) -> figure(answer, shown, i, j));
    }
    tests(
        lines,
        "Tests: null, rows and columns are independent; alpha ",
        answer.settings().alpha(),
        answer.tests(),
        answer.refusals());
    scores(answer);
    strength(answer);
    CompareAnswer comparison = answer.comparison();
    if (comparison != null) {
      rates(comparison);
    }
    if (!answer.rowPairs().isEmpty()) {
      rowPairs(answer);
    }
    CrossBayes bayes = answer.bayes();
    if (bayes != null) {
      new BayesText(lines).write(bayes);
    }
    lines.blank();
    lines.paragraph("", "", "The verdict rests on " + answer.preferred().id() + ".");
    lines.heading("Taken for granted");
    answer.conditions().forEach(condition -> RateText.condition(lines, condition));
    TextReport.cautions(lines, answer.cautions());
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

  private static String figure(CrossAnswer answer, CellTable shown, int row, int column) {
    CrossTable table = answer.table();
    double count = table.count(row, column);
    var cell = answer.cells().get(row).get(column);
    return switch (shown) {
      case ROW_PERCENTS -> Figures.percent(count / table.rowTotal(row));
      case COLUMN_PERCENTS -> Figures.percent(count / table.columnTotal(column));
      case TOTAL_PERCENTS -> Figures.percent(count / table.total());
      case EXPECTED -> Figures.significant(cell.expected(), 4);
      case RESIDUALS ->
          residual(cell.adjustedResidual())
              + (answer.standingOut().get(row).get(column).rejects(answer.settings().alpha())
                  ? "*"
                  : " ");
      case PEARSON_RESIDUALS -> residual(cell.pearsonResidual());
      case CONTRIBUTIONS -> residual(cell.contribution());
    };
  }

  private static String residual(double value) {
    return value == 0 ? "0" : String.format(Locale.ROOT, "%.2f", value);
  }

  static void tests(
      Lines lines, String title, double alpha, List<TestResult> tests, List<Refusal> refusals) {
    lines.heading(title + Figures.plain(alpha));
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT);
    table.header("", "", "", "p", "");
    for (TestResult test : tests) {
      TestResult.@Nullable Statistic statistic = test.statistic();
      double value = statistic == null ? 0 : statistic.value();
      table.row(
          test.method().id(),
          statistic == null
              ? without(test)
              : statistic.name() + " = " + (value == 0 ? "0" : Figures.significant(value, 4)),
          test.df() == null ? "" : "df " + Figures.plain(test.df()),
          Figures.pValue(test.log10PValue()),
          test.rejects(alpha) ? "rejects" : "does not reject");
    }
    lines.table(table);
    refusals.forEach(
        refusal ->
            lines.paragraph(
                "  ", "    ", "not made: " + refusal.method().id() + " " + refusal.reason() + "."));
  }

  private static String without(TestResult test) {
    return switch (test.method().id()) {
      case "fisher" -> "tables no more probable";
      case "fisher-drawn" -> "tables drawn, no more probable";
      default -> "no statistic";
    };
  }

  /** Scores that are not simply 1, 2, 3 … are told. */
  private void scores(CrossAnswer answer) {
    TestOptions options = answer.settings().options();
    scores("rows", options.rowScores());
    scores("columns", options.columnScores());
  }

  private void scores(String what, List<Double> scores) {
    if (!scores.isEmpty()) {
      lines.paragraph(
          "  ",
          "    ",
          "scores of the "
              + what
              + ": "
              + scores.stream().map(Figures::plain).collect(Collectors.joining(", ")));
    }
  }

  private void strength(CrossAnswer answer) {
    lines.heading("Strength, level " + Figures.exactPercent(answer.settings().level()));
    TextTable table = new TextTable(Align.LEFT, Align.POINT, Align.POINT, Align.LEFT, Align.POINT);
    for (Strength strength : answer.strengths()) {
      row(table, strength.measure().title(), strength.estimate().value(), strength.interval());
    }
    lines.table(table);
  }

  static void row(TextTable table, String name, double value, @Nullable Interval interval) {
    table.row(
        name,
        figure(value),
        interval == null ? "" : figure(interval.lower()),
        interval == null ? "" : "to",
        interval == null ? "" : figure(interval.upper()));
  }

  static String figure(double value) {
    if (Double.isNaN(value)) {
      return "undefined";
    }
    return Double.isInfinite(value) ? "infinite" : Figures.significant(value, 4);
  }

  /** A table of two by two as two rates. */
  private void rates(CompareAnswer comparison) {
    lines.heading(
        String.format(
            Locale.ROOT,
            "As rates of %s: %s against %s",
            comparison.label(),
            comparison.first().name(),
            comparison.second().name()));
    TextTable table = new TextTable(Align.LEFT, Align.POINT, Align.POINT, Align.LEFT, Align.POINT);
    for (Quantity quantity : List.of(Quantity.DIFFERENCE, Quantity.RATIO, Quantity.ODDS_RATIO)) {
      for (Estimate estimate : comparison.estimates()) {
        if (estimate.quantity() == quantity) {
          row(
              table,
              switch (quantity) {
                case DIFFERENCE -> "difference of rates";
                case RATIO -> "ratio of rates";
                default -> "odds ratio";
              },
              estimate.value(),
              comparison.intervals().stream()
                  .filter(each -> each.quantity() == quantity)
                  .findFirst()
                  .orElse(null));
        }
      }
    }
    lines.table(table);
    lines.command(
        "With a direction",
        String.format(
            Locale.ROOT,
            "tavik compare \"%s=%s\" \"%s=%s\"",
            comparison.first().name(),
            comparison.first().tally(),
            comparison.second().name(),
            comparison.second().tally()));
  }

  private void rowPairs(CrossAnswer answer) {
    lines.heading("Each two rows; p adjusted by Holm's method, then as it is");
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.POINT, Align.LEFT);
    table.header("", "", "p, Holm", "p", "");
    for (RowPair pair : answer.rowPairs()) {
      TestResult.@Nullable AdjustedP adjusted = pair.test().adjusted();
      table.row(
          pair.first() + ", " + pair.second(),
          pair.test().method().id(),
          Figures.pValue(adjusted == null ? 0 : adjusted.log10PValue()),
          Figures.pValue(pair.test().log10PValue()),
          pair.test().rejectsAdjusted(answer.settings().alpha()) ? "rejects" : "does not reject");
    }
    lines.table(table);
  }
}
