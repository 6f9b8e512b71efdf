package dev.tavik.report;

import dev.tavik.bayes.EvidenceChances;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Figures;
import dev.tavik.study.OutlookAnswer;
import dev.tavik.study.OutlookQuestion;

/** What a Bayes factor promises before data, in words and a table. */
final class OutlookText {
  private final Lines lines;

  OutlookText(Lines lines) {
    this.lines = lines;
  }

  void write(OutlookAnswer answer) {
    lines.strong(answer.conclusion());
    OutlookQuestion asked = answer.asked();
    String threshold = Figures.plain(asked.threshold());
    lines.heading("Chance that the Bayes factor reaches " + threshold + ", prior " + asked.prior());
    TextTable table = new TextTable(Align.RIGHT, Align.LEFT, Align.POINT, Align.POINT, Align.POINT);
    table.header(
        "observations", "if this is true", "for the null", "neither", "for the alternative");
    for (OutlookAnswer.Line line : answer.lines()) {
      row(
          table,
          Figures.count(line.observations()),
          BayesText.none(asked.hypothesis()),
          line.underNull());
      row(table, "", BayesText.alternative(asked.hypothesis()), line.underAlternative());
      EvidenceChances expected = line.underExpected();
      Double rate = asked.expected();
      if (expected != null && rate != null) {
        row(table, "", "a rate of " + Figures.exactPercent(rate), expected);
      }
    }
    lines.table(table);
    lines.paragraph(
        "  ",
        "  ",
        "Summed over all outcomes. Where the alternative is true, the rate is drawn from the prior;"
            + " rates near the null value are among them.");
  }

  private static void row(
      TextTable table, String observations, String truth, EvidenceChances chances) {
    table.row(
        observations,
        truth,
        Figures.percent(chances.forNull()),
        Figures.percent(chances.neither()),
        Figures.percent(chances.forAlternative()));
  }
}
