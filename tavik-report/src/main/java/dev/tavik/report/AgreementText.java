package dev.tavik.report;

import dev.tavik.count.SquareTable;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Estimate;
import dev.tavik.result.Figures;
import dev.tavik.study.AgreementAnswer;
import java.util.List;
import java.util.Locale;

/** The answer about the agreement of two classifications in words and tables. */
final class AgreementText {
  private final Lines lines;

  AgreementText(Lines lines) {
    this.lines = lines;
  }

  void write(AgreementAnswer answer) {
    TextReport.verdict(lines, answer.conclusion());
    SquareTable table = answer.table();
    lines.heading(
        String.format(
            Locale.ROOT, "Observed: rows %s, columns %s", answer.first(), answer.second()));
    CellBlocks.withTotals(table.levels(), table.levels())
        .write(lines, (i, j) -> observed(table, i, j));
    TextReport.source(lines, answer.from());
    CrossText.tests(
        lines,
        "Test: null, moves from level to level balance those back; alpha ",
        answer.settings().alpha(),
        List.of(answer.test()),
        List.of());
    lines.heading("Agreement, level " + Figures.exactPercent(answer.settings().level()));
    TextTable strength =
        new TextTable(Align.LEFT, Align.POINT, Align.POINT, Align.LEFT, Align.POINT);
    for (Estimate estimate : answer.agreements()) {
      CrossText.row(
          strength,
          switch (estimate.quantity()) {
            case KAPPA_LINEAR -> "kappa, linear weights";
            case KAPPA_QUADRATIC -> "kappa, quadratic weights";
            default -> "kappa";
          },
          estimate.value(),
          answer.intervals().stream()
              .filter(each -> each.quantity() == estimate.quantity())
              .findFirst()
              .orElse(null));
    }
    lines.table(strength);
    lines.heading("Taken for granted");
    answer.conditions().forEach(condition -> RateText.condition(lines, condition));
    TextReport.cautions(lines, answer.cautions());
  }

  private static String observed(SquareTable table, int row, int column) {
    int size = table.levels().size();
    long sum = 0;
    for (int i = row == size ? 0 : row; i < (row == size ? size : row + 1); i++) {
      for (int j = column == size ? 0 : column; j < (column == size ? size : column + 1); j++) {
        sum += table.count(i, j);
      }
    }
    return Figures.count(sum);
  }
}
