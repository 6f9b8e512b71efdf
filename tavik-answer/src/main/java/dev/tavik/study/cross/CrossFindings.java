package dev.tavik.study.cross;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerBuilder;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Block;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Column;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.association.CellFigures;
import dev.tavik.association.TableTest;
import dev.tavik.association.TestOptions;
import dev.tavik.count.CrossTable;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicable;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.simulation.DrawnMethod;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.parts.DrawnTest;
import dev.tavik.study.parts.GroupEstimates;
import dev.tavik.study.parts.Holm;
import dev.tavik.study.parts.Observed;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Puts what was found about two classifications together. */
final class CrossFindings {
  private final CrossQuestion question;
  private final CrossSettings settings;
  private final CrossTable table;
  private final List<List<CellFigures>> cells;
  private final List<List<AdjustedP>> standingOut;

  CrossFindings(
      CrossQuestion question, List<List<CellFigures>> cells, List<List<AdjustedP>> standingOut) {
    this.question = question;
    this.settings = question.settings();
    this.table = question.table();
    this.cells = cells;
    this.standingOut = standingOut;
  }

  AnswerBuilder begin(
      List<Strength> strengths,
      @Nullable CompareQuestion rates,
      List<TestResult> tests,
      List<NotApplicable> refusals,
      @Nullable DrawnTest drawn,
      List<RowPair> rowPairs) {
    List<Estimate> estimates = new ArrayList<>(strengths.stream().map(Strength::estimate).toList());
    AnswerBuilder answer =
        Answer.to(question, AnswerKind.CROSS, question.label())
            .add(Finding.fact("input", input()))
            .add(
                Finding.fact(
                    "hypothesis", CrossAnalysis.hypothesis("independence", settings.alpha())));
    List<Interval> intervals = rates == null ? List.of() : intervals(rates);
    if (rates != null) {
      estimates.addAll(GroupEstimates.of(rates.first(), rates.second()));
    }
    answer
        .add(new Estimates(estimates))
        .add(observed())
        .addAll(Observed.source(question.from()))
        .add(shown());
    Tests made = tests(tests, refusals);
    answer.add(made);
    refusals.forEach(refusal -> answer.add(CrossAnalysis.notMade(refusal)));
    if (drawn != null) {
      answer.add(drawn.finding());
    }
    scores(answer, "rows", settings.options().rowScores());
    scores(answer, "columns", settings.options().columnScores());
    answer.add(all(strengths, intervals)).add(strength(strengths)).add(figures());
    if (rates != null) {
      answer.add(asRates(rates, intervals)).add(withDirection(rates));
    }
    if (!rowPairs.isEmpty()) {
      answer.add(Finding.fact("adjustment", new Value.Words("holm"))).add(rowPairs(rowPairs));
    }
    return answer;
  }

  private Value input() {
    Value.Fields input = Observed.input(question.from());
    TestOptions options = settings.options();
    return settings.ordered() == Ordered.NONE
        ? input
        : input
            .with("ordered", settings.ordered().id())
            .with("rowScores", Value.numbers(options.rowScores()))
            .with("columnScores", Value.numbers(options.columnScores()));
  }

  private static List<Interval> intervals(CompareQuestion rates) {
    return rates.settings().intervals().stream()
        .map(
            method ->
                method.of(rates.first().tally(), rates.second().tally(), rates.settings().level()))
        .toList();
  }

  private Cells observed() {
    return Cells.of(table.rows(), table.columns())
        .withTotals("Observed", (i, j) -> new Value.Count(count(i, j)))
        .read();
  }

  private long count(int row, int column) {
    boolean lastRow = row == table.rows().size();
    boolean lastColumn = column == table.columns().size();
    if (lastRow && lastColumn) {
      return table.total();
    }
    if (lastRow) {
      return table.columnTotal(column);
    }
    return lastColumn ? table.rowTotal(row) : table.count(row, column);
  }

  private Cells shown() {
    Cells layers = Cells.of(table.rows(), table.columns()).read();
    for (CellTable shown : settings.shown()) {
      layers.shown(shown.title(), (i, j) -> figure(shown, i, j));
    }
    return layers;
  }

  private Value figure(CellTable shown, int row, int column) {
    double count = table.count(row, column);
    CellFigures cell = cells.get(row).get(column);
    return switch (shown) {
      case ROW_PERCENTS -> Value.Share.PLAIN.of(count / table.rowTotal(row));
      case COLUMN_PERCENTS -> Value.Share.PLAIN.of(count / table.columnTotal(column));
      case TOTAL_PERCENTS -> Value.Share.PLAIN.of(count / table.total());
      case EXPECTED -> Value.significant(cell.expected(), 4);
      case RESIDUALS ->
          Value.twoDecimals(
              cell.adjustedResidual(),
              standingOut.get(row).get(column).rejects(settings.alpha()) ? "*" : " ");
      case PEARSON_RESIDUALS -> Value.twoDecimals(cell.pearsonResidual(), "");
      case CONTRIBUTIONS -> Value.twoDecimals(cell.contribution(), "");
    };
  }

  private Tests tests(List<TestResult> tests, List<NotApplicable> refusals) {
    Tests made =
        Tests.ofTables(
                say(
                    "Tests: null, rows and columns are independent; alpha %s",
                    Figures.plain(settings.alpha())),
                settings.alpha())
            .inOrderOf(
                Stream.<Method>concat(
                        Arrays.stream(TableTest.values()), Stream.of(DrawnMethod.FISHER))
                    .toList());
    for (TestResult test : tests) {
      made.made(
          test,
          Tests.shown(
              test.statistic(),
              4,
              test.method() == TableTest.FISHER
                  ? "tables no more probable"
                  : test.method() == DrawnMethod.FISHER
                      ? "tables drawn, no more probable"
                      : "no statistic"));
    }
    refusals.forEach(made::declined);
    return made;
  }

  private static void scores(AnswerBuilder answer, String what, List<Double> scores) {
    if (!scores.isEmpty()) {
      answer.add(
          Finding.say(
              Block.paragraph(
                  say(
                      "scores of the %s: %s",
                      what, scores.stream().map(Figures::plain).collect(Collectors.joining(", "))),
                  Block.Style.HANGING)));
    }
  }

  private static Intervals all(List<Strength> strengths, List<Interval> ofRates) {
    Intervals intervals = Intervals.of("");
    for (Strength strength : strengths) {
      Interval interval = strength.interval();
      if (interval != null) {
        intervals.row(interval, "", Value.fields().with("label", strength.estimate().label()));
      }
    }
    ofRates.forEach(each -> intervals.row(each, ""));
    return intervals;
  }

  private Sheet strength(List<Strength> strengths) {
    Sheet sheet = CrossAnalysis.strengths("Strength", settings.level());
    strengths.forEach(
        each ->
            CrossAnalysis.strength(
                sheet, each.measure().title(), each.estimate().value(), each.interval()));
    return sheet;
  }

  private Cells figures() {
    return Cells.of(table.rows(), table.columns())
        .layer("observed", (i, j) -> new Value.Count(table.count(i, j)))
        .layer("expected", (i, j) -> cell(i, j, CellFigures::expected))
        .layer("pearsonResiduals", (i, j) -> cell(i, j, CellFigures::pearsonResidual))
        .layer("adjustedResiduals", (i, j) -> cell(i, j, CellFigures::adjustedResidual))
        .layer("contributions", (i, j) -> cell(i, j, CellFigures::contribution))
        .layer("adjustedPValues", (i, j) -> Value.number(standingOut.get(i).get(j).pValue()))
        .layer(
            "log10AdjustedPValues", (i, j) -> Value.number(standingOut.get(i).get(j).log10PValue()))
        .layer("rowProportions", (i, j) -> figure(CellTable.ROW_PERCENTS, i, j))
        .layer("columnProportions", (i, j) -> figure(CellTable.COLUMN_PERCENTS, i, j))
        .layer("totalProportions", (i, j) -> figure(CellTable.TOTAL_PERCENTS, i, j));
  }

  private Value cell(int row, int column, ToDoubleFunction<CellFigures> figure) {
    return Value.number(figure.applyAsDouble(cells.get(row).get(column)));
  }

  private static Sheet asRates(CompareQuestion rates, List<Interval> intervals) {
    Sheet sheet =
        Sheet.read(
            say(
                "As rates of %s: %s against %s",
                rates.label(), rates.first().name(), rates.second().name()),
            Column.words(),
            Column.numbers(""),
            Column.numbers(""),
            Column.words(),
            Column.numbers(""));
    for (Estimate estimate : GroupEstimates.of(rates.first(), rates.second())) {
      String name =
          switch (estimate.quantity()) {
            case DIFFERENCE -> "difference of rates";
            case RATIO -> "ratio of rates";
            case ODDS_RATIO -> "odds ratio";
            default -> "";
          };
      if (!name.isEmpty()) {
        CrossAnalysis.strength(sheet, name, estimate.value(), of(intervals, estimate.quantity()));
      }
    }
    return sheet;
  }

  private static @Nullable Interval of(List<Interval> intervals, Estimand quantity) {
    return intervals.stream().filter(each -> each.quantity() == quantity).findFirst().orElse(null);
  }

  private static Finding withDirection(CompareQuestion rates) {
    return Finding.say(
        new Block.Command(
            "With a direction",
            say(
                "tavik compare \"%s=%s\" \"%s=%s\"",
                rates.first().name(),
                rates.first().tally(),
                rates.second().name(),
                rates.second().tally())));
  }

  private Sheet rowPairs(List<RowPair> pairs) {
    Sheet sheet =
        Sheet.of(
            "pairs",
            "Each two rows; p adjusted by Holm's method, then as it is",
            Column.words(),
            Column.hidden("first"),
            Column.hidden("second"),
            Column.words(),
            Column.hidden("test"),
            Column.numbers("p, Holm").keyed(""),
            Column.numbers("p").keyed(""),
            Column.words());
    for (RowPair pair : pairs) {
      sheet.row(
          pair.first() + ", " + pair.second(),
          pair.first(),
          pair.second(),
          pair.test().method().id(),
          Tests.figures(pair.test(), settings.alpha()),
          Holm.shown(pair.test()),
          Value.p(pair.test().log10PValue()),
          pair.test().rejectsAdjusted(settings.alpha()) ? "rejects" : "does not reject");
    }
    return sheet;
  }
}
