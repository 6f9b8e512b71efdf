package dev.tavik.answer;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.simulation.SimulatedTail;
import dev.tavik.simulation.Simulation;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Holds the simulated view: worlds in which the null is true, drawn.
 *
 * @param label of what, where there are several
 * @param simulation what was drawn
 * @param formulas the decimal logarithm of each method's p-value by formula, NaN for none
 * @param bootstrap intervals from resampling
 * @param preferred the position of the test that the verdict rests on
 */
public record SimulationFinding(
    String label,
    Simulation simulation,
    List<Double> formulas,
    List<Interval> bootstrap,
    int preferred)
    implements Finding {
  private static final double SMALL = 1e-4;

  /** Keeps formulas and intervals. */
  public SimulationFinding {
    formulas = List.copyOf(formulas);
    bootstrap = List.copyOf(bootstrap);
  }

  /** {@return the simulated p-value of the test that the verdict rests on} */
  public SimulatedTail tail() {
    return simulation.tails().get(preferred);
  }

  /**
   * {@return whether a formula agrees with its simulation within Monte Carlo error}
   *
   * @param tail which tail, from 0
   */
  public boolean agrees(int tail) {
    return simulation.tails().get(tail).agreesWith(Math.pow(10, formulas.get(tail)));
  }

  /** {@return whether formulas and simulation agree, in words} */
  public String agreement() {
    List<String> differing = new ArrayList<>();
    for (int i = 0; i < formulas.size(); i++) {
      if (!Double.isNaN(formulas.get(i)) && !agrees(i)) {
        differing.add(simulation.tails().get(i).method().id());
      }
    }
    return differing.isEmpty()
        ? "Formulas and simulation agree within Monte Carlo error."
        : say(
            "%s %s by more than Monte Carlo error: an approximation shows here, or another rule"
                + " for what is as extreme.",
            String.join(" and ", differing), differing.size() == 1 ? "differs" : "differ");
  }

  @Override
  public String key() {
    return "simulation";
  }

  @Override
  public boolean last() {
    return true;
  }

  @Override
  public Value figures() {
    Value.Fields fields =
        Value.fields()
            .with("drawn", simulation.drawn())
            .with("draws", simulation.draws())
            .with("asked", simulation.asked())
            .with("seed", simulation.seed());
    if (simulation.clear() != null) {
      fields.with("clear", simulation.clear());
    }
    figures(fields, tail());
    List<Value> tails = new ArrayList<>();
    for (int i = 0; i < simulation.tails().size(); i++) {
      SimulatedTail tail = simulation.tails().get(i);
      Value.Fields each =
          Value.result()
              .with("method", tail.method().id())
              .with("rule", tail.rule())
              .with("lowerHits", tail.lowerHits())
              .with("upperHits", tail.upperHits());
      figures(each, tail);
      double formula = formulas.get(i);
      each.with("formulaLog10PValue", formula);
      tails.add(
          each.with("agrees", Double.isNaN(formula) ? Value.none() : new Value.Flag(agrees(i))));
    }
    Simulation.Histogram histogram = simulation.histogram();
    return fields
        .with("tails", new Value.Listing(tails))
        .with(
            "histogram",
            Value.fields()
                .with("measure", histogram.measure())
                .with("from", histogram.from())
                .with("width", histogram.width())
                .with("observed", histogram.observed())
                .with("lowerCut", histogram.lowerCut())
                .with("upperCut", histogram.upperCut())
                .with("counts", Value.counts(histogram.counts())))
        .with("bootstrap", Value.list(bootstrap, Intervals::figures))
        .with("conclusion", agreement());
  }

  private static void figures(Value.Fields fields, SimulatedTail tail) {
    fields
        .with("hits", tail.hits())
        .with("pValue", tail.pValue())
        .with("standardError", tail.standardError())
        .with("level", SimulatedTail.LEVEL)
        .with("lower", tail.interval().lower())
        .with("upper", tail.interval().upper());
  }

  @Override
  public List<Block> reading() {
    List<Block> blocks = new ArrayList<>(List.of(new Block.Gap()));
    blocks.add(
        Block.heading(
            say(
                "Simulated%s, the null being true, from seed %d",
                label.isEmpty() ? "" : " for " + label, simulation.seed())));
    blocks.add(
        Block.paragraph(Figures.count(simulation.draws()) + " " + simulation.drawn() + stopped()));
    blocks.addAll(tails().reading());
    rules(blocks);
    blocks.add(
        Block.paragraph(
            say(
                "p = (hits + 1)/(draws + 1) = (%s + 1)/(%s + 1), with a Monte Carlo standard error of"
                    + " %s.",
                Figures.count(tail().hits()),
                Figures.count(simulation.draws()),
                Figures.significant(tail().standardError(), 2))));
    blocks.add(Block.paragraph(agreement()));
    if (!bootstrap.isEmpty()) {
      blocks.addAll(resampled().reading());
    }
    return blocks;
  }

  private Sheet tails() {
    Sheet sheet =
        Sheet.read(
            "",
            Column.words(),
            Column.counts("below"),
            Column.counts("above"),
            Column.numbers("p"),
            Column.words("99% interval"),
            Column.numbers("formula"),
            Column.words());
    for (int i = 0; i < simulation.tails().size(); i++) {
      SimulatedTail tail = simulation.tails().get(i);
      double formula = formulas.get(i);
      boolean none = Double.isNaN(formula);
      sheet.row(
          tail.method().id(),
          new Value.Count(tail.lowerHits()),
          new Value.Count(tail.upperHits()),
          new Value.Real(tail.pValue(), () -> rounded(tail.pValue(), tail)),
          rounded(tail.interval().lower(), tail) + " to " + rounded(tail.interval().upper(), tail),
          none ? Value.none("none") : Value.p(formula),
          none ? "" : agrees(i) ? "agrees" : "differs");
    }
    return sheet;
  }

  /**
   * Writes a simulated value with no more digits than its Monte Carlo error allows.
   *
   * @param value the value
   * @param tail what it is of
   * @return the text
   */
  public static String rounded(double value, SimulatedTail tail) {
    if (value < SMALL) {
      return value == 0 ? "0" : Figures.pValue(Math.log10(value));
    }
    double sure = Math.log10(value / Math.max(tail.standardError(), 1e-15));
    return Figures.significant(value, (int) Math.max(3, Math.min(7, Math.ceil(sure) + 1)));
  }

  private String stopped() {
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

  private void rules(List<Block> blocks) {
    Map<String, List<String>> byRule = new LinkedHashMap<>();
    for (SimulatedTail tail : simulation.tails()) {
      byRule.computeIfAbsent(tail.rule(), key -> new ArrayList<>()).add(tail.method().id());
    }
    byRule.forEach(
        (rule, methods) ->
            blocks.add(
                Block.paragraph(
                    "As extreme, for " + String.join(" and ", methods) + ": " + rule + ".",
                    Block.Style.HANGING)));
  }

  private Sheet resampled() {
    boolean points = bootstrap.stream().anyMatch(each -> each.quantity() == Estimand.DIFFERENCE);
    Sheet sheet =
        Sheet.read(
            say(
                "Intervals simulated by resampling the data, level %s%s",
                Figures.exactPercent(bootstrap.get(0).level()),
                points ? "; differences in points" : ""),
            Column.words(),
            Column.words(),
            Column.numbers(""),
            Column.words(),
            Column.numbers(""));
    Estimand last = null;
    for (Interval interval : bootstrap) {
      sheet.row(
          interval.quantity() == last ? "" : name(interval.quantity()),
          interval.method().id(),
          Value.of(interval.quantity(), interval.lower()),
          "to",
          Value.of(interval.quantity(), interval.upper()));
      last = interval.quantity();
    }
    return sheet;
  }

  private static String name(Estimand quantity) {
    return quantity == Estimand.CRAMERS_V ? "Cramér's V" : quantity.id().replace('-', ' ');
  }
}
