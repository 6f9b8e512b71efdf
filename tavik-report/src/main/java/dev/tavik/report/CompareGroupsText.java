package dev.tavik.report;

import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Quantity;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.CompareGroupsAnswer;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The answers about several groups: all together, then pair by pair. */
final class CompareGroupsText {
  private final Lines lines;
  private final Detail detail;

  CompareGroupsText(Lines lines, Detail detail) {
    this.lines = lines;
    this.detail = detail;
  }

  void write(CompareGroupsAnswer answer) {
    lines.strong(capitalised(answer.conclusion()));
    CompareText.observed(lines, answer.groups());
    overall(answer);
    pairs(answer);
    intervals(answer);
    if (answer.settings().bayes() != null) {
      new BayesText(lines).write(answer);
    }
    lines.blank();
    CompareAnswer first = answer.pairs().get(0);
    lines.paragraph(
        "",
        "",
        String.format(
            "The verdict rests on %s and %s for every pair. Intervals are each for itself, not"
                + " adjusted for the number of pairs.",
            first.preference().test(), first.preference().interval()));
    conditions(answer);
    cautions(answer);
    if (detail == Detail.WORKING) {
      for (CompareAnswer pair : answer.pairs()) {
        lines.heading(pair.order());
        new WorkingText(lines).write(pair.working());
      }
    }
  }

  private static String capitalised(String text) {
    return Character.toUpperCase(text.charAt(0)) + text.substring(1);
  }

  private void overall(CompareGroupsAnswer answer) {
    lines.heading("All groups together: null, the same proportion in every group");
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT);
    table.header("", "", "", "p", "");
    for (TestResult test : answer.overall()) {
      TestResult.@Nullable Statistic statistic = test.statistic();
      table.row(
          test.method(),
          statistic == null
              ? "no statistic"
              : statistic.name() + " = " + Figures.significant(statistic.value(), 4),
          test.df() == null ? "" : "df " + Figures.plain(test.df()),
          Figures.pValue(test.log10PValue()),
          test.rejects(answer.settings().alpha()) ? "rejects" : "does not reject");
    }
    lines.table(table);
  }

  private void pairs(CompareGroupsAnswer answer) {
    lines.heading(
        "Pair by pair: " + CompareText.claim(answer.settings(), "the first", "the second"));
    TextTable table =
        new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.POINT, Align.POINT, Align.LEFT);
    table.header("", "", "z", "p", "Holm p", "adjusted");
    for (CompareAnswer pair : answer.pairs()) {
      String name = pair.order();
      for (TestResult test : pair.tests()) {
        @Nullable AdjustedP adjusted = test.adjusted();
        table.row(
            name,
            test.method(),
            z(test),
            Figures.pValue(test.log10PValue()),
            adjusted == null ? "" : Figures.pValue(adjusted.log10PValue()),
            test.rejectsAdjusted(answer.settings().alpha()) ? "rejects" : "does not");
        name = "";
      }
      for (var refusal : pair.refusals()) {
        table.row(name, refusal.method(), "", "not made", "", "");
      }
    }
    lines.table(table);
  }

  private static String z(TestResult test) {
    TestResult.@Nullable Statistic statistic = test.statistic();
    return statistic == null || !statistic.name().equals("z")
        ? ""
        : Figures.significant(statistic.value(), 4);
  }

  private void intervals(CompareGroupsAnswer answer) {
    lines.heading(
        "Differences in points, level " + Figures.exactPercent(answer.settings().level()));
    TextTable table =
        new TextTable(Align.LEFT, Align.POINT, Align.LEFT, Align.POINT, Align.LEFT, Align.POINT);
    for (CompareAnswer pair : answer.pairs()) {
      String name = pair.order();
      for (Interval interval : pair.intervals()) {
        if (interval.quantity() == Quantity.DIFFERENCE && interval.side() == Side.TWO_SIDED) {
          table.row(
              name,
              name.isEmpty() ? "" : CompareText.pointsOf(difference(pair)),
              interval.method(),
              CompareText.pointsOf(interval.lower()),
              "to",
              CompareText.pointsOf(interval.upper()));
          name = "";
        }
      }
    }
    lines.table(table);
  }

  private static double difference(CompareAnswer pair) {
    return pair.estimates().stream()
        .filter(estimate -> estimate.quantity() == Quantity.DIFFERENCE)
        .findFirst()
        .orElseThrow()
        .value();
  }

  /** Conditions that fail, pair by pair; those that hold in one line; what the data can't say. */
  private void conditions(CompareGroupsAnswer answer) {
    lines.heading("Taken for granted");
    boolean allMet = true;
    for (CompareAnswer pair : answer.pairs()) {
      for (Condition condition : pair.conditions()) {
        if (condition.state() == Condition.State.NOT_MET) {
          allMet = false;
          RateText.condition(
              lines,
              new Condition(
                  pair.order() + ", " + condition.name(), condition.state(), condition.detail()));
        }
      }
    }
    if (allMet) {
      RateText.condition(
          lines,
          new Condition(
              "expected counts",
              Condition.State.MET,
              "at least 5 successes and 5 failures are expected in each group of every pair, enough"
                  + " for the normal approximation"));
    }
    answer.pairs().get(0).conditions().stream()
        .filter(condition -> condition.state() == Condition.State.NOT_IN_THE_DATA)
        .forEach(condition -> RateText.condition(lines, condition));
  }

  private void cautions(CompareGroupsAnswer answer) {
    List<Caution> cautions = new ArrayList<>(answer.cautions());
    for (CompareAnswer pair : answer.pairs()) {
      for (Caution caution : pair.cautions()) {
        cautions.add(new Caution(caution.code(), pair.order() + ": " + caution.message()));
      }
    }
    TextReport.cautions(lines, cautions);
  }
}
