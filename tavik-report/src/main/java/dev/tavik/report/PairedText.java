package dev.tavik.report;

import dev.tavik.count.PairedTally;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.PairedAnswer;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** The answer about two judgements of the same units in words and tables. */
final class PairedText {
  private final Lines lines;
  private final Detail detail;

  PairedText(Lines lines, Detail detail) {
    this.lines = lines;
    this.detail = detail;
  }

  void write(PairedAnswer answer) {
    lines.strong(answer.conclusion());
    observed(answer);
    tests(answer);
    intervals(answer);
    TextReport.ending(
        lines,
        answer.preference(),
        answer.conditions(),
        answer.cautions(),
        detail == Detail.WORKING ? answer.working() : null);
    if (detail == Detail.WORKING) {
      new LookUp(lines).write(answer);
    }
  }

  private void observed(PairedAnswer answer) {
    PairedTally tally = answer.tally();
    lines.heading("Observed: " + Figures.count(tally.pairs()) + " units, each judged twice");
    TextTable table = new TextTable(Align.LEFT, Align.RIGHT, Align.RIGHT, Align.RIGHT);
    table.header("", IntervalPicture.shortened(answer.second()) + " yes", "no", "all");
    table.row(
        answer.first() + " yes",
        Figures.count(tally.both()),
        Figures.count(tally.firstOnly()),
        Figures.count(tally.first().successes()));
    table.row(
        answer.first() + " no",
        Figures.count(tally.secondOnly()),
        Figures.count(tally.neither()),
        Figures.count(tally.first().failures()));
    table.row(
        "all",
        Figures.count(tally.second().successes()),
        Figures.count(tally.second().failures()),
        Figures.count(tally.pairs()));
    lines.table(table);
    TextReport.source(lines, answer.from());
    lines.paragraph(
        "  ",
        "  ",
        String.format(
            Locale.ROOT,
            "%s %s, %s %s; %s is %s points.",
            answer.first(),
            Figures.finePercent(tally.first().proportion()),
            answer.second(),
            Figures.finePercent(tally.second().proportion()),
            answer.order(),
            CompareText.pointsOf(tally.difference())));
    lines.paragraph(
        "  ",
        "  ",
        String.format(
            Locale.ROOT,
            "Discordant pairs, which alone tell the two apart: %s (%s only %s, %s only %s).",
            Figures.count(tally.discordant()),
            answer.first(),
            Figures.count(tally.firstOnly()),
            answer.second(),
            Figures.count(tally.secondOnly())));
  }

  private void tests(PairedAnswer answer) {
    String alternative =
        switch (answer.settings().alternative()) {
          case TWO_SIDED -> "they differ";
          case LESS -> answer.first() + " is lower";
          case GREATER -> answer.first() + " is higher";
        };
    lines.heading(
        String.format(
            Locale.ROOT,
            "Tests: null, no difference; alternative, %s; alpha %s",
            alternative,
            Figures.plain(answer.settings().alpha())));
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT);
    table.header("", "", "p", "");
    for (TestResult test : answer.tests()) {
      table.row(
          test.method().id(),
          statistic(test, answer.tally()),
          Figures.pValue(test.log10PValue()),
          test.rejects(answer.settings().alpha()) ? "rejects" : "does not reject");
    }
    lines.table(table);
  }

  private static String statistic(TestResult test, PairedTally tally) {
    TestResult.@Nullable Statistic statistic = test.statistic();
    if (statistic == null) {
      return "no statistic";
    }
    return statistic.name().equals("z")
        ? "z = " + Figures.significant(statistic.value(), 4)
        : String.format(
            Locale.ROOT,
            "%s of %s discordant",
            Figures.count(tally.firstOnly()),
            Figures.count(tally.discordant()));
  }

  private void intervals(PairedAnswer answer) {
    lines.heading(
        String.format(
            Locale.ROOT,
            "Intervals of %s in points, level %s",
            answer.order(),
            Figures.exactPercent(answer.settings().level())));
    TextTable table = new TextTable(Align.LEFT, Align.POINT, Align.LEFT, Align.POINT, Align.LEFT);
    for (Interval interval : answer.intervals()) {
      if (interval.side() == Side.TWO_SIDED) {
        table.row(
            interval.method().id(),
            CompareText.pointsOf(interval.lower()),
            "to",
            CompareText.pointsOf(interval.upper()),
            bound(answer, interval.method().id()));
      }
    }
    lines.table(table);
  }

  private static String bound(PairedAnswer answer, String method) {
    if (answer.settings().alternative() == Alternative.TWO_SIDED) {
      return "";
    }
    return answer.intervals().stream()
        .filter(each -> each.side() != Side.TWO_SIDED && each.method().id().equals(method))
        .map(
            each ->
                each.side() == Side.UPPER
                    ? "  at most " + CompareText.pointsOf(each.upper())
                    : "  at least " + CompareText.pointsOf(each.lower()))
        .findFirst()
        .orElse("");
  }
}
