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
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** The answer about shares in words and tables. */
final class SharesText {
  /** Where the parts of X2 stand, and the logarithm of the least p that a cell has room for. */
  private static final int PARTS = 5;

  private static final double LEAST = -999;

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
    TextTable whole = cells(answer, true);
    lines.table(whole.fits(Lines.WIDTH - 2) ? whole : cells(answer, false));
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

  /** With the parts of X2, or without them where the figures are so large that a line is full. */
  private static TextTable cells(SharesAnswer answer, boolean parts) {
    List<Align> aligns = new ArrayList<>(List.of(Align.LEFT, Align.RIGHT));
    aligns.addAll(Collections.nCopies(parts ? 6 : 5, Align.POINT));
    TextTable table = new TextTable(aligns.toArray(Align[]::new));
    List<String> header =
        new ArrayList<>(List.of("", "count", "share", "claimed", "expected", "residual", "Holm p"));
    if (parts) {
      header.add(PARTS, "X2 part");
    }
    table.header(header.toArray(String[]::new));
    for (int i = 0; i < answer.cells().size(); i++) {
      CellFigures cell = answer.cells().get(i);
      double log = answer.standingOut().get(i).log10PValue();
      List<String> row =
          new ArrayList<>(
              List.of(
                  answer.counts().levels().get(i),
                  Figures.count(cell.observed()),
                  Figures.finePercent(answer.estimates().get(i).value()),
                  Figures.finePercent(answer.claimed().share(i)),
                  Figures.significant(cell.expected(), 4),
                  zeroOr(cell.adjustedResidual()),
                  log < LEAST ? "<1e-999" : Figures.pValue(log)));
      if (parts) {
        row.add(PARTS, zeroOr(cell.contribution()));
      }
      table.row(row.toArray(String[]::new));
    }
    return table;
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
          test.method().id(),
          statistic == null
              ? test.method().id().equals("pearson-drawn")
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
                    "  ",
                    "    ",
                    "not made: " + refusal.method().id() + ": " + refusal.reason() + "."));
  }

  private void intervals(SharesAnswer answer) {
    lines.heading(
        "Intervals of the shares, level " + Figures.exactPercent(answer.settings().level()));
    TextTable table =
        new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT, Align.POINT, Align.LEFT);
    for (SharesInterval method : answer.settings().intervals()) {
      List<Interval> intervals = answer.intervals(method);
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
