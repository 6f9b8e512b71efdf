package dev.tavik.report;

import dev.tavik.count.StratifiedTables.Stratum;
import dev.tavik.count.Tally;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Figures;
import dev.tavik.study.StrataAnswer;

/** The answer about an association within strata in words and tables. */
final class StrataText {
  private final Lines lines;

  StrataText(Lines lines) {
    this.lines = lines;
  }

  void write(StrataAnswer answer) {
    TextReport.verdict(lines, answer.conclusion());
    String first = answer.tables().rows().get(0);
    String second = answer.tables().rows().get(1);
    lines.heading("Rates of " + answer.tables().columns().get(0) + " in each stratum");
    TextTable table =
        new TextTable(Align.LEFT, Align.RIGHT, Align.RIGHT, Align.RIGHT, Align.RIGHT, Align.POINT);
    table.header(
        "",
        IntervalPicture.shortened(first),
        "",
        IntervalPicture.shortened(second),
        "",
        "odds ratio");
    for (int i = 0; i < answer.tables().strata().size(); i++) {
      Stratum stratum = answer.tables().strata().get(i);
      row(table, stratum.name(), stratum.first(), stratum.second(), answer.within().get(i).value());
    }
    row(
        table,
        "put together",
        answer.tables().together().get(0),
        answer.tables().together().get(1),
        answer.together().value());
    lines.table(table);
    TextReport.source(lines, answer.from());
    CrossText.tests(
        lines,
        "Tests: nulls, no association within strata; one odds ratio in all; alpha ",
        answer.settings().alpha(),
        answer.tests(),
        answer.refusals());
    lines.heading("Strength, level " + Figures.exactPercent(answer.settings().level()));
    TextTable strength =
        new TextTable(Align.LEFT, Align.POINT, Align.POINT, Align.LEFT, Align.POINT);
    CrossText.row(strength, "common odds ratio", answer.common().value(), answer.interval());
    lines.table(strength);
    lines.heading("Taken for granted");
    answer.conditions().forEach(condition -> RateText.condition(lines, condition));
    TextReport.cautions(lines, answer.cautions());
  }

  private static void row(TextTable table, String name, Tally first, Tally second, double ratio) {
    table.row(
        IntervalPicture.shortened(name),
        first.toString(),
        Figures.percent(first.proportion()),
        second.toString(),
        Figures.percent(second.proportion()),
        CrossText.figure(ratio));
  }
}
