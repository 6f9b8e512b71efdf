package dev.tavik.study.cross;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Cells;
import dev.tavik.answer.ShownMembers;
import dev.tavik.association.StratifiedTest;
import dev.tavik.count.CrossTable;
import dev.tavik.count.StratifiedTables.Stratum;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.NullPlot;
import dev.tavik.plot.Plots;
import dev.tavik.plot.Scale;
import dev.tavik.plot.TablePlot;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Significance;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DesignRows;
import dev.tavik.study.parts.IntervalRows;
import dev.tavik.study.parts.NullPlots;
import java.util.ArrayList;
import java.util.List;

/** Plots of tables: of the cells, of strata, of pairs, and of designed samples. */
final class CrossPlots {
  private static final String NO_TEST =
      "the picture of a p-value needs a chi-square test, such as pearson, among the tests";

  private CrossPlots() {}

  static Plots table(CrossQuestion question, Answer answer) {
    return Plots.of(TablePlot.class, () -> cells(question, answer))
        .with(
            NullPlot.class,
            () ->
                NullPlots.chiSquare(
                    answer.tests(),
                    answer.test().method(),
                    "if rows and columns are independent",
                    question.settings().alpha(),
                    NO_TEST));
  }

  private static TablePlot cells(CrossQuestion question, Answer answer) {
    CrossTable table = question.table().orElseThrow();
    Cells cells = answer.find(Cells.class).orElseThrow();
    List<List<TablePlot.Cell>> rows = new ArrayList<>();
    for (int i = 0; i < table.rows().size(); i++) {
      List<TablePlot.Cell> row = new ArrayList<>();
      for (int j = 0; j < table.columns().size(); j++) {
        row.add(
            new TablePlot.Cell(
                table.count(i, j),
                cells.figure("adjustedResiduals", i, j),
                Significance.reached(
                    cells.figure("adjustedPValues", i, j), question.settings().alpha())));
      }
      rows.add(row);
    }
    TestResult test = answer.test();
    return new TablePlot(
        question.label().isEmpty() ? "Rows by columns" : question.label(),
        say("%s test: %s", test.method().id(), Figures.pEquals(test.log10PValue())),
        table.rows(),
        table.columns(),
        rows);
  }

  static Plots strata(StrataQuestion question, Answer answer) {
    return Plots.of(IntervalPlot.class, () -> oddsRatios(question, answer))
        .with(
            NullPlot.class,
            () ->
                NullPlots.chiSquare(
                    answer.tests(),
                    StratifiedTest.MANTEL_HAENSZEL,
                    "without association within strata",
                    question.settings().alpha(),
                    NO_TEST));
  }

  /** The odds ratio of each stratum, and below them the common one. */
  private static IntervalPlot oddsRatios(StrataQuestion question, Answer answer) {
    List<IntervalPlot.Row> rows = new ArrayList<>();
    List<Interval> intervals = answer.intervals();
    List<Estimate> estimates = answer.estimates();
    int common = intervals.get(0).quantity() == Estimand.COMMON_ODDS_RATIO ? 1 : 0;
    List<Stratum> strata = question.tables().strata();
    for (int i = 0; i < strata.size(); i++) {
      Stratum stratum = strata.get(i);
      String name =
          say(
              "%s  %s against %s",
              Figures.shortened(stratum.name()), stratum.first(), stratum.second());
      rows.add(oddsRatio(name, estimates.get(1 + i), intervals.get(common + i), false));
    }
    if (common == 1) {
      rows.add(oddsRatio("in common", estimates.get(0), intervals.get(0), true));
    }
    TestResult test = answer.tests().get(0);
    return new IntervalPlot(
        say(
            "%sodds of %s, %s against %s",
            question.label().isEmpty() ? "" : question.label() + ": ",
            question.tables().columns().get(0),
            question.tables().rows().get(0),
            question.tables().rows().get(1)),
        say(
            "%s intervals, score within strata, mantel-haenszel in common; %s test: %s",
            Figures.exactPercent(question.settings().level()),
            test.method().id(),
            Figures.pEquals(test.log10PValue())),
        List.of(new IntervalPlot.Panel("odds ratio", Scale.TIMES, rows, List.of(1.0))));
  }

  private static IntervalPlot.Row oddsRatio(
      String name, Estimate estimate, Interval interval, boolean filled) {
    return new IntervalPlot.Row(
        name, estimate.value(), interval, IntervalRows.limits(interval), filled);
  }

  /** The percents of each column, a panel a column. */
  static IntervalPlot designed(CrossQuestion question, Answer answer) {
    require(answer.parts().isEmpty(), "each layer has a picture of its own; ask for one alone");
    List<Interval> intervals =
        answer.intervals().stream().filter(each -> each.quantity() == Estimand.PROPORTION).toList();
    Cells cells =
        answer.findAll(Cells.class).stream()
            .filter(each -> !each.key().isEmpty())
            .findFirst()
            .orElseThrow();
    List<IntervalPlot.Panel> panels = new ArrayList<>();
    int rows = cells.rows().size();
    int columns = Math.min(cells.columns().size(), Math.max(1, ShownMembers.MOST_ROWS / rows));
    for (int column = 0; column < columns; column++) {
      List<IntervalPlot.Row> drawn = new ArrayList<>();
      for (int row = 0; row < rows; row++) {
        double share = cells.figure("columnProportions", row, column);
        boolean out = cells.figure("adjustedPValues", row, column) <= question.settings().alpha();
        drawn.add(
            new IntervalPlot.Row(
                Figures.shortened(cells.rows().get(row)),
                share,
                intervals.get(column * rows + row),
                Figures.percent(share) + (out ? ", stands out" : ""),
                out));
      }
      panels.add(
          new IntervalPlot.Panel(
              "percent of " + cells.columns().get(column), Scale.PERCENT, drawn, List.of()));
    }
    return DesignRows.plot(
        answer,
        question.label().isEmpty() ? "Percents of each column" : question.label(),
        question.settings().level(),
        panels);
  }
}
