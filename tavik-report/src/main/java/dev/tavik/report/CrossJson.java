package dev.tavik.report;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.association.CellFigures;
import dev.tavik.association.StratifiedTest;
import dev.tavik.association.TableTest;
import dev.tavik.count.StratifiedTables;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.study.AgreementAnswer;
import dev.tavik.study.Answer;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.CountedFrom;
import dev.tavik.study.CrossAnswer;
import dev.tavik.study.CrossBayes;
import dev.tavik.study.CrossSettings;
import dev.tavik.study.Ordered;
import dev.tavik.study.RowPair;
import dev.tavik.study.StrataAnswer;
import dev.tavik.study.Strength;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The JSON of answers about associations. */
final class CrossJson {
  private CrossJson() {}

  static ObjectNode of(CrossAnswer answer) {
    ObjectNode node = head(answer, answer.from(), answer.settings(), "independence");
    if (answer.settings().ordered() != Ordered.NONE) {
      ObjectNode input = (ObjectNode) node.get("input");
      input.put("ordered", answer.settings().ordered().id());
      answer.settings().options().rowScores().forEach(input.putArray("rowScores")::add);
      answer.settings().options().columnScores().forEach(input.putArray("columnScores")::add);
    }
    List<Estimate> estimates = new ArrayList<>(answer.estimates());
    CompareAnswer rates = answer.comparison();
    if (rates != null) {
      estimates.addAll(rates.estimates());
    }
    JsonParts.estimates(node, estimates);
    JsonParts.tests(
        node,
        Stream.concat(
                Arrays.stream(TableTest.values()).map(TableTest::id), Stream.of("fisher-drawn"))
            .toList(),
        answer.tests(),
        answer.refusals(),
        answer.settings().alpha());
    JsonParts.drawn(node, answer.drawn());
    ArrayNode intervals = node.putArray("intervals");
    for (Strength strength : answer.strengths()) {
      Interval interval = strength.interval();
      if (interval != null) {
        intervals.add(JsonParts.interval(interval).put("label", strength.estimate().label()));
      }
    }
    if (rates != null) {
      rates.intervals().forEach(each -> intervals.add(JsonParts.interval(each)));
    }
    cells(node, answer);
    if (!answer.rowPairs().isEmpty()) {
      node.put("adjustment", "holm");
      ArrayNode pairs = node.putArray("pairs");
      for (RowPair pair : answer.rowPairs()) {
        pairs
            .addObject()
            .put("first", pair.first())
            .put("second", pair.second())
            .set("test", JsonParts.test(pair.test(), answer.settings().alpha()));
      }
    }
    node.putObject("preferred").put("test", answer.preferred().id());
    CrossBayes bayes = answer.bayes();
    if (bayes != null) {
      node.set("bayes", BayesJson.of(bayes));
    }
    return ending(node, answer.conditions(), answer.cautions(), answer);
  }

  private static ObjectNode head(
      Answer answer, @Nullable CountedFrom from, CrossSettings settings, String quantity) {
    ObjectNode node = JsonParts.head(answer);
    node.set("input", JsonParts.input(from, null));
    node.putObject("hypothesis")
        .put("quantity", quantity)
        .put("alternative", "two-sided")
        .put("alpha", settings.alpha());
    return node;
  }

  private static ObjectNode ending(
      ObjectNode node, List<Condition> conditions, List<Caution> cautions, Answer answer) {
    return JsonParts.ending(
        node, conditions, cautions, List.of(), Detail.FINDINGS, answer.conclusion());
  }

  static ObjectNode of(StrataAnswer answer) {
    ObjectNode node = head(answer, answer.from(), answer.settings(), "odds-ratio");
    List<Estimate> estimates = new ArrayList<>(List.of(answer.common()));
    estimates.addAll(answer.within());
    estimates.add(answer.together());
    JsonParts.estimates(node, estimates);
    JsonParts.tests(
        node,
        Arrays.stream(StratifiedTest.values()).map(StratifiedTest::id).toList(),
        answer.tests(),
        answer.refusals(),
        answer.settings().alpha());
    Interval interval = answer.interval();
    ArrayNode intervals = node.putArray("intervals");
    if (interval != null) {
      intervals.add(JsonParts.interval(interval));
    }
    for (int i = 0; i < answer.within().size(); i++) {
      intervals.add(
          JsonParts.interval(answer.withinIntervals().get(i))
              .put("label", answer.within().get(i).label()));
    }
    answer.tables().rows().forEach(node.putArray("rows")::add);
    answer.tables().columns().forEach(node.putArray("columns")::add);
    ArrayNode strata = node.putArray("strata");
    for (StratifiedTables.Stratum stratum : answer.tables().strata()) {
      strata
          .addObject()
          .put("name", stratum.name())
          .put("first", stratum.first().toString())
          .put("second", stratum.second().toString());
    }
    return ending(node, answer.conditions(), answer.cautions(), answer);
  }

  static ObjectNode of(AgreementAnswer answer) {
    ObjectNode node = head(answer, answer.from(), answer.settings(), "symmetry");
    List<Estimate> estimates = new ArrayList<>(List.of(answer.alike()));
    estimates.addAll(answer.agreements());
    JsonParts.estimates(node, estimates);
    node.putArray("tests").add(JsonParts.test(answer.test(), answer.settings().alpha()));
    JsonParts.intervals(node, answer.intervals());
    ObjectNode cells = node.putObject("cells");
    answer.table().levels().forEach(cells.putArray("rows")::add);
    answer.table().levels().forEach(cells.putArray("columns")::add);
    ArrayNode observed = cells.putArray("observed");
    answer.table().cells().forEach(row -> row.forEach(observed.addArray()::add));
    return ending(node, answer.conditions(), answer.cautions(), answer);
  }

  private static void cells(ObjectNode node, CrossAnswer answer) {
    ObjectNode cells = node.putObject("cells");
    answer.table().rows().forEach(cells.putArray("rows")::add);
    answer.table().columns().forEach(cells.putArray("columns")::add);
    ArrayNode observed = cells.putArray("observed");
    answer.table().cells().forEach(row -> row.forEach(observed.addArray()::add));
    figures(cells, "expected", answer, CellFigures::expected);
    figures(cells, "pearsonResiduals", answer, CellFigures::pearsonResidual);
    figures(cells, "adjustedResiduals", answer, CellFigures::adjustedResidual);
    figures(cells, "contributions", answer, CellFigures::contribution);
    ArrayNode pValues = cells.putArray("adjustedPValues");
    ArrayNode logs = cells.putArray("log10AdjustedPValues");
    answer
        .standingOut()
        .forEach(
            row -> {
              ArrayNode values = pValues.addArray();
              ArrayNode logarithms = logs.addArray();
              row.forEach(p -> values.add(p.pValue()));
              row.forEach(p -> logarithms.add(JsonParts.finite(p.log10PValue())));
            });
  }

  private static void figures(
      ObjectNode cells, String name, CrossAnswer answer, ToDoubleFunction<CellFigures> figure) {
    ArrayNode rows = cells.putArray(name);
    for (List<CellFigures> row : answer.cells()) {
      ArrayNode line = rows.addArray();
      row.forEach(cell -> line.add(figure.applyAsDouble(cell)));
    }
  }
}
