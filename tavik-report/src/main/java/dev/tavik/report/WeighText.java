package dev.tavik.report;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Figures;
import dev.tavik.result.Quantity;
import dev.tavik.simulation.Performance;
import dev.tavik.simulation.Performance.Coverage;
import dev.tavik.study.WeighAnswer;
import java.util.stream.Collectors;

/** How methods behave, in tables or for programs. */
final class WeighText {
  private final Lines lines;

  WeighText(Lines lines) {
    this.lines = lines;
  }

  void write(WeighAnswer answer) {
    lines.strong(answer.conclusion());
    if (answer.lines().stream().anyMatch(line -> !line.intervals().isEmpty())) {
      intervals(answer);
    }
    if (answer.lines().stream().anyMatch(line -> !line.tests().isEmpty())) {
      tests(answer);
    }
    lines.paragraph(
        "  ",
        "  ",
        (answer.lines().stream().anyMatch(line -> line.drawn() > 0)
                ? "Simulated where the groups are large: "
                    + Figures.count(Performance.DRAWN)
                    + " pairs of outcomes drawn from seed 1, with a standard error of up to 0.16%."
                : "Exact: every outcome, weighted by its probability.")
            + " The coverage of intervals of counts goes up and down with the rate; look at a range"
            + " of rates, not at one.");
  }

  private static String truth(WeighAnswer.Line line) {
    return line.rates().stream().map(Figures::exactPercent).collect(Collectors.joining(" and "));
  }

  private void intervals(WeighAnswer answer) {
    lines.heading(
        "Intervals, level "
            + Figures.exactPercent(answer.asked().level())
            + ": true coverage, misses, mean length");
    TextTable table =
        new TextTable(
            Align.LEFT, Align.LEFT, Align.LEFT, Align.POINT, Align.POINT, Align.POINT, Align.POINT);
    table.header("true rate", "", "", "covers", "too low", "too high", "length");
    for (WeighAnswer.Line line : answer.lines()) {
      String truth = truth(line);
      for (WeighAnswer.Covered each : line.intervals()) {
        Coverage coverage = each.coverage();
        boolean points =
            each.quantity().equals(Quantity.PROPORTION.id())
                || each.quantity().equals(Quantity.DIFFERENCE.id());
        table.row(
            truth,
            points && line.rates().size() == 1 ? "" : each.quantity().replace('-', ' '),
            each.method().id(),
            Figures.finePercent(coverage.coverage()),
            Figures.finePercent(coverage.below()),
            Figures.finePercent(coverage.above()),
            Double.isInfinite(coverage.length())
                ? "no end"
                : Figures.significant((points ? 100 : 1) * coverage.length(), 3));
        truth = "";
      }
    }
    lines.table(table);
  }

  private void tests(WeighAnswer answer) {
    lines.heading(
        "Tests at alpha "
            + Figures.plain(answer.asked().alpha())
            + ": the chance that they reject, "
            + (answer.lines().stream().allMatch(WeighAnswer.Line::underNull)
                ? "their true size"
                : "size where the rates are equal, else power"));
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.POINT);
    for (WeighAnswer.Line line : answer.lines()) {
      String truth = truth(line);
      for (WeighAnswer.Rejecting each : line.tests()) {
        table.row(truth, each.method().id(), Figures.finePercent(each.rejects()));
        truth = "";
      }
    }
    lines.table(table);
  }

  static ObjectNode json(WeighAnswer answer) {
    ObjectNode node = JsonParts.head(answer);
    answer.asked().sizes().forEach(node.putArray("n")::add);
    node.put("level", answer.asked().level())
        .put("alpha", answer.asked().alpha())
        .put("alternative", answer.asked().alternative().id());
    ArrayNode lines = node.putArray("lines");
    for (WeighAnswer.Line line : answer.lines()) {
      ObjectNode one = lines.addObject();
      line.rates().forEach(one.putArray("p")::add);
      one.put("drawn", line.drawn());
      ArrayNode intervals = one.putArray("intervals");
      for (WeighAnswer.Covered each : line.intervals()) {
        intervals
            .addObject()
            .put("quantity", each.quantity())
            .put("method", each.method().id())
            .put("coverage", each.coverage().coverage())
            .put("below", each.coverage().below())
            .put("above", each.coverage().above())
            .set("length", JsonParts.finite(each.coverage().length()));
      }
      ArrayNode tests = one.putArray("tests");
      for (WeighAnswer.Rejecting each : line.tests()) {
        tests.addObject().put("method", each.method().id()).put("rejects", each.rejects());
      }
    }
    return node.put("conclusion", answer.conclusion());
  }
}
