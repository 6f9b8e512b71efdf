package dev.tavik.data.study;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Caution;
import dev.tavik.answer.Question;
import dev.tavik.association.AssociationMeasure;
import dev.tavik.association.Shares;
import dev.tavik.count.CrossTable;
import dev.tavik.data.SourceOpener;
import dev.tavik.planning.Effect;
import dev.tavik.planning.PowerDesign;
import dev.tavik.planning.PowerMethod;
import dev.tavik.planning.TableDesign;
import dev.tavik.planning.TrendDesign;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.study.cross.CrossQuestion;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Makes plans for tables, claimed shares and trends from their words. */
final class TablePlanSpec {
  private static final Map<String, Double> CONVENTIONAL =
      Map.of("small", 0.1, "medium", 0.3, "large", 0.5);

  /** Where the effect may come from. */
  private static final List<String> SOURCES =
      List.of("w", "conventional", "cramers-v", "cells", "expect", "table", "data");

  private static final double WHOLE = 1e-9;

  private final PlanSpec plan;
  private final QuestionArguments spec;
  private final SourceOpener opening;

  TablePlanSpec(PlanSpec plan, SourceOpener opening) {
    this.plan = plan;
    this.spec = plan.spec();
    this.opening = opening;
  }

  /** What is known of the table: its degrees of freedom and the largest w, which may be no end. */
  private record Table(int df, double most) {
    static Table of(int rows, int columns) {
      return new Table((rows - 1) * (columns - 1), Math.sqrt(Math.min(rows, columns) - 1.0));
    }
  }

  Question table() {
    spec.check(
        plan.theory() != PowerMethod.EXACT,
        "{method} exact isn't offered for tables: their power is by the noncentral chi-square"
            + " distribution");
    spec.requireWith("data", "rows", "columns", "count", "where", "missing");
    spec.requireWith("expect", "against");
    List<String> sources = SOURCES.stream().filter(spec::has).toList();
    if (sources.size() > 1) {
      throw new SpecException(
          "the effect comes from one place, not from %s",
          String.join(" and ", sources.stream().map(spec::name).toList()));
    }
    List<Caution> cautions = new ArrayList<>();
    List<Effect> effects = new ArrayList<>();
    Table table = sources.isEmpty() ? shape() : from(sources.get(0), effects, cautions);
    List<PowerDesign> designs = new ArrayList<>();
    plan.alphas().forEach(alpha -> designs.add(new TableDesign(table.df, alpha, table.most)));
    return plan.plan(spec.required("for", ""), designs, effects, "observations", cautions);
  }

  private Table from(String source, List<Effect> effects, List<Caution> cautions) {
    switch (source) {
      case "w" -> {
        Ranges.positive(spec, "w", "0.1,0.2").forEach(w -> effects.add(Effect.cohensW(w)));
        return shape();
      }
      case "conventional" -> {
        for (String size : spec.list(source)) {
          effects.add(Effect.cohensW(conventional(size)));
        }
        return shape();
      }
      case "cramers-v" -> {
        Table table = shape();
        spec.check(spec.has("shape"), "{cramers-v} needs {shape}, such as 3x4");
        Ranges.positive(spec, source, "0.1,0.2")
            .forEach(v -> effects.add(Effect.cohensW(v * table.most)));
        return table;
      }
      case "cells" -> {
        return cells(effects, cautions);
      }
      case "expect" -> {
        return shares(effects);
      }
      default -> {
        return pilot(effects, cautions);
      }
    }
  }

  private double conventional(String size) {
    Double w = CONVENTIONAL.get(size);
    if (w == null) {
      throw spec.refusal(
          "{conventional} must be small (w = 0.1), medium (0.3) or large (0.5), got '%s'", size);
    }
    return w;
  }

  private Table shape() {
    List<String> used = List.of("df", "shape", "categories").stream().filter(spec::has).toList();
    spec.check(
        used.size() == 1,
        "a table is described by one of {df} 6, {shape} 3x4 and {categories} 4, got %s",
        used.isEmpty() ? "none" : "several");
    String word = used.get(0);
    String text = spec.required(word, "");
    if (word.equals("shape")) {
      if (!text.matches("[1-9]\\d{0,2}\\s*[xX×]\\s*[1-9]\\d{0,2}")) {
        throw new SpecException(
            spec.name(word) + " must be rows x columns such as 3x4, got '" + text + "'");
      }
      String[] sides = text.split("\\s*[xX×]\\s*");
      int rows = Integer.parseInt(sides[0]);
      int columns = Integer.parseInt(sides[1]);
      if (Math.min(rows, columns) < 2) {
        throw new SpecException(spec.name(word) + " must have two rows and columns at least");
      }
      return Table.of(rows, columns);
    }
    if (!text.matches("[1-9]\\d{0,4}") || (word.equals("categories") && text.equals("1"))) {
      throw new SpecException(
          "%s must be a whole number from %s, got '%s'",
          spec.name(word), word.equals("df") ? "1" : "2", text);
    }
    int number = Integer.parseInt(text);
    return new Table(word.equals("df") ? number : number - 1, Double.POSITIVE_INFINITY);
  }

  /** The shares that are expected, against those that are claimed. */
  private Table shares(List<Effect> effects) {
    refuseShape();
    spec.require("against", "the claimed shares, such as 40%,30%,30%");
    List<Double> expected = shares("expect");
    effects.add(Effect.ofShares(expected, shares("against")));
    return new Table(expected.size() - 1, Double.POSITIVE_INFINITY);
  }

  private List<Double> shares(String word) {
    Shares shares = Shares.parse(spec.list(word));
    return IntStream.range(0, shares.size()).mapToObj(shares::share).toList();
  }

  private void refuseShape() {
    for (String word : List.of("df", "shape", "categories")) {
      if (spec.has(word)) {
        throw new SpecException(
            spec.name(word) + " isn't needed: the table itself says it; leave it out");
      }
    }
  }

  /** Expected probabilities that add up to 1, or the counts of a pilot. */
  private Table cells(List<Effect> effects, List<Caution> cautions) {
    refuseShape();
    List<List<BigDecimal>> rows = new ArrayList<>();
    for (String written : spec.all("cells")) {
      for (String row : written.split(";", -1)) {
        rows.add(row(row.strip()));
      }
    }
    List<BigDecimal> all = rows.stream().flatMap(List::stream).toList();
    BigDecimal total = all.stream().reduce(BigDecimal.ZERO, BigDecimal::add);
    boolean counts =
        total.compareTo(BigDecimal.ONE) > 0
            && all.stream().allMatch(cell -> cell.stripTrailingZeros().scale() <= 0);
    spec.check(
        counts || Math.abs(total.doubleValue() - 1) <= WHOLE,
        "{cells} must be probabilities that add up to 1 (100%%), or whole counts of a pilot;"
            + " these add up to %s",
        Figures.exactPercent(total.doubleValue()));
    Effect effect =
        Effect.ofCells(
            rows.stream().map(row -> row.stream().map(BigDecimal::doubleValue).toList()).toList());
    if (counts) {
      cautions.add(pilot("the counts given", total.longValue(), effect.value()));
    }
    effects.add(effect);
    return Table.of(rows.size(), rows.get(0).size());
  }

  private List<BigDecimal> row(String row) {
    List<BigDecimal> cells = new ArrayList<>();
    for (String cell : row.split("\\s+")) {
      spec.check(
          cell.matches("(\\d{1,12}(\\.\\d{1,12})?|\\.\\d{1,12})%?"),
          "{cells} must be probabilities such as 20%% or 0.2, got '%s'",
          cell);
      cells.add(
          cell.endsWith("%")
              ? new BigDecimal(cell.substring(0, cell.length() - 1)).movePointLeft(2)
              : new BigDecimal(cell));
    }
    return cells;
  }

  /** The table of a pilot, as cross would read it. */
  private Table pilot(List<Effect> effects, List<Caution> cautions) {
    refuseShape();
    Map<String, List<String>> words = new LinkedHashMap<>();
    for (String word : List.of("table", "data", "rows", "columns", "count", "where", "missing")) {
      if (spec.has(word)) {
        words.put(word, spec.all(word));
      }
    }
    CrossTable table =
        ((CrossQuestion) CrossSpec.question(new QuestionArguments(words, spec.wording()), opening))
            .table()
            .orElseThrow();
    double w = AssociationMeasure.COHENS_W.of(table).value();
    String name = spec.has("table") ? spec.all("table").get(0) : spec.all("data").get(0);
    cautions.add(pilot(name, table.total(), w));
    effects.add(Effect.cohensW(w));
    return Table.of(table.rows().size(), table.columns().size());
  }

  private static Caution pilot(String source, long total, double w) {
    return new Caution(
        Caution.Code.PILOT_EFFECT,
        say(
            "w = %s comes from %s (%s observations). A pilot tends to show an effect larger than"
                + " it is; plan for a smaller one too.",
            Figures.significant(w, 3), source, Figures.count(total)));
  }

  Question trend() {
    List<Double> rates = Ranges.proportions(spec, "trend");
    List<Double> scores = new ArrayList<>();
    for (String score : spec.list("scores")) {
      spec.check(
          score.matches("-?\\d{1,9}(\\.\\d{1,9})?"),
          "{scores} must be numbers such as 1,2,4, got '%s'",
          score);
      scores.add(Double.parseDouble(score));
    }
    if (scores.isEmpty()) {
      IntStream.rangeClosed(1, rates.size()).forEach(i -> scores.add((double) i));
    }
    if (plan.theory() == PowerMethod.EXACT || spec.has("tests")) {
      throw new SpecException(
          "%s has no choice for a trend: its power is by the normal distribution",
          spec.name(spec.has("tests") ? "tests" : "method"));
    }
    List<Effect> ends =
        rates.isEmpty() ? List.of() : List.of(Effect.rate(rates.get(rates.size() - 1)));
    @Nullable Double first = rates.isEmpty() ? null : rates.get(0);
    Alternative alternative = plan.alternative(first == null ? List.of() : List.of(first), ends);
    List<PowerDesign> designs = new ArrayList<>();
    plan.alphas().forEach(alpha -> designs.add(new TrendDesign(rates, scores, alternative, alpha)));
    return plan.plan("table", designs, List.of(Effect.none()), "observations", List.of());
  }
}
