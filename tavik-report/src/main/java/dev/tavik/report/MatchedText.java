package dev.tavik.report;

import dev.tavik.count.MatchedTallies;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Figures;
import dev.tavik.result.TestResult;
import dev.tavik.study.MatchedAnswer;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The answer about several judgements of the same units in words and tables. */
final class MatchedText {
  private final Lines lines;

  MatchedText(Lines lines) {
    this.lines = lines;
  }

  void write(MatchedAnswer answer) {
    TextReport.verdict(lines, answer.conclusion());
    MatchedTallies tallies = answer.tallies();
    lines.heading("Observed: " + Figures.count(tallies.units()) + " units");
    TextTable rates = new TextTable(Align.LEFT, Align.RIGHT, Align.POINT);
    for (int i = 0; i < tallies.names().size(); i++) {
      rates.row(
          tallies.names().get(i),
          tallies.tally(i).toString(),
          Figures.percent(tallies.tally(i).proportion()));
    }
    lines.table(rates);
    TextReport.source(lines, answer.from());
    CrossText.tests(
        lines,
        "Test: null, all have the same rate; alpha ",
        answer.alpha(),
        List.of(answer.test()),
        List.of());
    lines.heading("Each two, difference in points; p adjusted by Holm's method, then as it is");
    TextTable pairs =
        new TextTable(Align.LEFT, Align.POINT, Align.LEFT, Align.POINT, Align.POINT, Align.LEFT);
    pairs.header("", "", "", "p, Holm", "p", "");
    for (MatchedAnswer.Pair pair : answer.pairs()) {
      TestResult.@Nullable AdjustedP adjusted = pair.test().adjusted();
      pairs.row(
          pair.first() + " minus " + pair.second(),
          CompareText.pointsOf(pair.difference()),
          pair.test().method().id(),
          Figures.pValue(adjusted == null ? 0 : adjusted.log10PValue()),
          Figures.pValue(pair.test().log10PValue()),
          pair.test().rejectsAdjusted(answer.alpha()) ? "rejects" : "does not reject");
    }
    lines.table(pairs);
    lines.heading("Taken for granted");
    answer.conditions().forEach(condition -> RateText.condition(lines, condition));
    TextReport.cautions(lines, answer.cautions());
  }
}
