package dev.tavik.report;

import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Quantity;
import dev.tavik.simulation.SimulatedTail;
import dev.tavik.simulation.Simulation;
import dev.tavik.study.SimulatedAnswer;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The simulated view in words and a table. */
final class SimulationText {
  private static final double SMALL = 1e-4;

  private final Lines lines;

  private SimulationText(Lines lines) {
    this.lines = lines;
  }

  static String of(SimulatedAnswer answer, Emphasis emphasis) {
    SimulationText text = new SimulationText(new Lines(emphasis));
    answer.views().forEach(text::write);
    return text.lines.toString();
  }

  private void write(SimulatedAnswer.View view) {
    Simulation simulation = view.simulation();
    lines.blank();
    lines.heading(
        String.format(
            Locale.ROOT,
            "Simulated%s, the null being true, from seed %d",
            view.label().isEmpty() ? "" : " for " + view.label(),
            simulation.seed()));
    lines.paragraph(
        "  ", "  ", Figures.count(simulation.draws()) + " " + simulation.drawn() + stopped(view));
    TextTable table =
        new TextTable(
            Align.LEFT, Align.RIGHT, Align.RIGHT, Align.POINT, Align.LEFT, Align.POINT, Align.LEFT);
    table.header("", "below", "above", "p", "99% interval", "formula", "");
    for (int i = 0; i < simulation.tails().size(); i++) {
      SimulatedTail tail = simulation.tails().get(i);
      double formula = view.formulas().get(i);
      table.row(
          tail.method().id(),
          Figures.count(tail.lowerHits()),
          Figures.count(tail.upperHits()),
          value(tail.pValue(), tail),
          value(tail.interval().lower(), tail) + " to " + value(tail.interval().upper(), tail),
          Double.isNaN(formula) ? "none" : Figures.pValue(formula),
          Double.isNaN(formula) ? "" : view.agrees(i) ? "agrees" : "differs");
    }
    lines.table(table);
    rules(simulation);
    lines.paragraph(
        "  ",
        "  ",
        String.format(
            Locale.ROOT,
            "p = (hits + 1)/(draws + 1) = (%s + 1)/(%s + 1), with a Monte Carlo standard error of %s.",
            Figures.count(view.tail().hits()),
            Figures.count(simulation.draws()),
            Figures.significant(view.tail().standardError(), 2)));
    lines.paragraph("  ", "  ", verdict(view));
    if (!view.bootstrap().isEmpty()) {
      bootstrap(view);
    }
  }

  private void bootstrap(SimulatedAnswer.View view) {
    lines.heading(
        "Intervals simulated by resampling the data, level "
            + Figures.exactPercent(view.bootstrap().get(0).level())
            + (view.bootstrap().stream().anyMatch(each -> each.quantity() == Quantity.DIFFERENCE)
                ? "; differences in points"
                : ""));
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT, Align.POINT);
    @Nullable Quantity last = null;
    for (Interval interval : view.bootstrap()) {
      table.row(
          interval.quantity() == last ? "" : name(interval.quantity()),
          interval.method().id(),
          end(interval.quantity(), interval.lower()),
          "to",
          end(interval.quantity(), interval.upper()));
      last = interval.quantity();
    }
    lines.table(table);
  }

  private static String name(Quantity quantity) {
    return quantity == Quantity.CRAMERS_V ? "Cramér's V" : quantity.id().replace('-', ' ');
  }

  private static String end(Quantity quantity, double value) {
    if (Double.isInfinite(value)) {
      return "no limit";
    }
    return switch (quantity) {
      case PROPORTION -> Figures.finePercent(value);
      case DIFFERENCE -> CompareText.pointsOf(value);
      default -> Figures.significant(value, 4);
    };
  }

  /** To about the digit in which the Monte Carlo error lies. */
  static String value(double value, SimulatedTail tail) {
    if (value < SMALL) {
      return value == 0 ? "0" : Figures.pValue(Math.log10(value));
    }
    double sure = Math.log10(value / Math.max(tail.standardError(), 1e-15));
    return Figures.significant(value, (int) Math.max(3, Math.min(7, Math.ceil(sure) + 1)));
  }

  private static String stopped(SimulatedAnswer.View view) {
    Simulation simulation = view.simulation();
    Boolean clear = simulation.clear();
    if (simulation.interrupted() && !Boolean.FALSE.equals(clear)) {
      return " (interrupted; " + Figures.count(simulation.asked()) + " were asked for).";
    }
    if (clear == null) {
      return ".";
    }
    return clear
        ? "; then it was clear on which side of alpha p lies."
        : "; the cap was reached before it was clear on which side of alpha p lies.";
  }

  /** What counts as extreme; tests with the same rule are named together. */
  private void rules(Simulation simulation) {
    Map<String, List<String>> byRule = new LinkedHashMap<>();
    for (SimulatedTail tail : simulation.tails()) {
      byRule.computeIfAbsent(tail.rule(), key -> new ArrayList<>()).add(tail.method().id());
    }
    byRule.forEach(
        (rule, methods) ->
            lines.paragraph(
                "  ",
                "    ",
                "As extreme, for " + String.join(" and ", methods) + ": " + rule + "."));
  }

  private static String verdict(SimulatedAnswer.View view) {
    List<String> differing = new ArrayList<>();
    for (int i = 0; i < view.formulas().size(); i++) {
      if (!Double.isNaN(view.formulas().get(i)) && !view.agrees(i)) {
        differing.add(view.simulation().tails().get(i).method().id());
      }
    }
    return differing.isEmpty()
        ? "Formulas and simulation agree within Monte Carlo error."
        : String.format(
            Locale.ROOT,
            "%s %s by more than Monte Carlo error: an approximation shows here, or another rule for"
                + " what is as extreme.",
            String.join(" and ", differing),
            differing.size() == 1 ? "differs" : "differ");
  }
}
