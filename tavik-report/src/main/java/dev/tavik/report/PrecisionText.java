package dev.tavik.report;

import dev.tavik.planning.DifferencePrecision;
import dev.tavik.planning.RatePrecision;
import dev.tavik.planning.Sizes;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Figures;
import dev.tavik.study.PrecisionAnswer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Plans for intervals, in words and tables. */
final class PrecisionText {
  private final Lines lines;

  PrecisionText(Lines lines) {
    this.lines = lines;
  }

  void write(PrecisionAnswer answer) {
    TextReport.verdict(lines, answer.conclusion());
    boolean half = answer.asked().sizes().isEmpty();
    lines.heading("The plan, solved for " + (half ? "n" : "half the length of the interval"));
    List<Column<PrecisionAnswer.Line>> columns = new ArrayList<>();
    columns.add(new Column<>("interval", Align.LEFT, line -> line.interval().interval()));
    columns.add(
        new Column<>("level", Align.POINT, line -> Figures.exactPercent(line.interval().level())));
    boolean two = answer.asked().intervals().get(0) instanceof DifferencePrecision;
    if (two) {
      columns.add(
          new Column<>(
              "base",
              Align.POINT,
              line -> Figures.rate(((DifferencePrecision) line.interval()).base())));
    }
    columns.add(new Column<>("expected", Align.POINT, line -> expected(line)));
    if (half) {
      columns.add(
          new Column<>(
              "wanted",
              Align.POINT,
              line -> {
                Double wanted = line.wanted();
                return wanted == null ? "" : Figures.exactPoints(wanted);
              }));
    }
    columns.add(
        new Column<>(
            "n",
            Align.RIGHT,
            line -> {
              Sizes planned = line.sizes();
              return planned == null ? "-" : PlanText.sizes(planned);
            }));
    if (answer.asked().words().response() != null) {
      columns.add(
          new Column<>(
              "invite",
              Align.RIGHT,
              line -> {
                Sizes planned = line.sizes();
                return planned == null ? "-" : PlanText.invited(planned, answer.asked().words());
              }));
    }
    columns.add(
        new Column<>(
            "reaches",
            Align.POINT,
            line -> line.sizes() == null ? "-" : Figures.significant(100 * line.halfWidth(), 3)));
    Column.table(lines, columns, answer.lines());
    lines.paragraph(
        "  ",
        "  ",
        "Half the length of the interval, in percentage points, where what is observed is what is"
            + " expected.");
    for (PrecisionAnswer.Line line : answer.lines()) {
      if (!line.refused().isEmpty()) {
        lines.paragraph("  - ", "    ", line.interval().interval() + ": " + line.refused() + ".");
      }
    }
    varied(answer, two);
    TextReport.cautions(lines, answer.cautions());
  }

  private static String expected(PrecisionAnswer.Line line) {
    return Figures.rate(
        line.interval() instanceof RatePrecision one
            ? one.expected()
            : ((DifferencePrecision) line.interval()).expected());
  }

  private void varied(PrecisionAnswer answer, boolean two) {
    PrecisionAnswer.Line line =
        answer.lines().stream()
            .filter(each -> !each.sensitivity().isEmpty())
            .findFirst()
            .orElse(null);
    if (line == null || line.sizes() == null) {
      return;
    }
    lines.heading(
        String.format(
            Locale.ROOT,
            "If %s, with %s%s",
            two ? "both rates were different" : "the rate were different",
            PlanText.sizes(line.sizes()),
            answer.lines().size() > 1
                ? " (line " + (answer.lines().indexOf(line) + 1) + " above)"
                : ""));
    Column.table(
        lines,
        List.of(
            new Column<PrecisionAnswer.Varied>(
                two ? "base" : "expected", Align.POINT, varied -> Figures.rate(varied.rate())),
            new Column<>(
                "reaches",
                Align.POINT,
                varied -> Figures.significant(100 * varied.halfWidth(), 3))),
        line.sensitivity());
  }
}
