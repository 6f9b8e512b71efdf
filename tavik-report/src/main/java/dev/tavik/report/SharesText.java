package dev.tavik.report;

import dev.tavik.association.CellFigures;
import dev.tavik.association.SharesInterval;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.study.SharesAnswer;
import dev.tavik.study.SharesBayes;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** The answer about shares in words and tables. */
final class SharesText {
  private final Lines lines;

  SharesText(Lines lines) {
    this.lines = lines;
  }

  void write(SharesAnswer answer) {
    String verdict = answer.conclusion();
    TextReport.verdict(lines, verdict);
    cells(answer);
    tests(answer);
    intervals(answer);
    SharesBayes bayes = answer.bayes();
    if (bayes != null) {
      new BayesText(lines).write(bayes, answer.settings().level());
    }
    TextReport.ending(lines, answer.preference(), answer.conditions(), answer.cautions(), null);
  }

  private void cells(SharesAnswer answer) {
    lines.heading("Observed against expected");
    TextTable table =
        new TextTable(
            Align.LEFT,
            Align.RIGHT,
            Align.POINT,
            Align.POINT,
            Align.POINT,
            Align.POINT,
            Align.POINT,
            Align.POINT);
    table.header("", "count", "share", "claimed", "expected", "X2 part", "residual", "Holm p");
    for (int i = 0; i < answer.cells().size(); i++) {
      CellFigures cell = answer.cells().get(i);
      table.row(
          answer.counts().levels().get(i),
          Figures.count(cell.observed()),
          Figures.finePercent(answer.estimates().get(i).value()),
          Figures.finePercent(answer.claimed().share(i)),
          Figures.significant(cell.expected(), 4),
          zeroOr(cell.contribution()),
          zeroOr(cell.adjustedResidual()),
          Figures.pValue(answer.standingOut().get(i).log10PValue()));
    }
    lines.table(table);
    Estimate w = answer.estimates().get(answer.estimates().size() - 1);
    lines.paragraph(
        "  ",
        "  ",
        String.format(
            Locale.ROOT,
            "%s units; residuals are adjusted, standard normal under the null. Cohen's w,"
                + " sqrt(X2 / n): %s.",
            Figures.count(answer.counts().total()),
            zeroOr(w.value())));
    TextReport.source(lines, answer.from());
  }

  private static String zeroOr(double value) {
    return value == 0 ? "0" : Figures.significant(value, 3);
  }

  private void tests(SharesAnswer answer) {
    lines.heading(
        "Tests: null, the shares are as claimed; alpha "
            + Figures.plain(answer.settings().alpha()));
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT);
    table.header("", "", "", "p", "");
    for (TestResult test : answer.tests()) {
      TestResult.@Nullable Statistic statistic = test.statistic();
      table.row(
          test.method(),
          statistic == null
              ? test.method().equals("pearson-drawn")
                  ? "outcomes drawn, X2 as large"
                  : "outcomes no more probable"
              : statistic.name() + " = " + zeroOr(statistic.value()),
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
                    "  ", "    ", "not made: " + refusal.method() + ": " + refusal.reason() + "."));
  }

  private void intervals(SharesAnswer answer) {
    lines.heading(
        "Intervals of the shares, level " + Figures.exactPercent(answer.settings().level()));
    TextTable table =
        new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT, Align.POINT, Align.LEFT);
    for (SharesInterval method : answer.settings().intervals()) {
      List<Interval> intervals = answer.intervals(method.id());
      for (int i = 0; i < intervals.size(); i++) {
        Interval interval = intervals.get(i);
        table.row(
            i == 0 ? method.id() + (method.simultaneous() ? ", together" : ", one at a time") : "",
            answer.counts().levels().get(i),
            Figures.finePercent(interval.lower()),
            "to",
            Figures.finePercent(interval.upper()),
            interval.contains(answer.claimed().share(i)) ? "" : "not the claimed");
      }
    }
    lines.table(table);
  }
}
