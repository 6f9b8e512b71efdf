package dev.tavik.report;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.association.CellFigures;
import dev.tavik.result.Interval;
import dev.tavik.result.Quantity;
import dev.tavik.study.SharesAnswer;
import dev.tavik.study.SharesBayes;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** The JSON of answers about shares. */
final class SharesJson {
  private SharesJson() {}

  static ObjectNode of(SharesAnswer answer) {
    ObjectNode node = JsonParts.head(answer);
    ObjectNode input = JsonParts.input(answer.from(), null);
    ObjectNode counts = input.putObject("counts");
    for (int i = 0; i < answer.counts().size(); i++) {
      counts.put(answer.counts().levels().get(i), answer.counts().counts().get(i));
    }
    node.set("input", input);
    ObjectNode hypothesis = node.putObject("hypothesis").put("quantity", Quantity.SHARE.id());
    ArrayNode against = hypothesis.putArray("against");
    for (int i = 0; i < answer.claimed().size(); i++) {
      against.add(answer.claimed().share(i));
    }
    hypothesis.put("alternative", "two-sided").put("alpha", answer.settings().alpha());
    JsonParts.estimates(node, answer.estimates());
    JsonParts.tests(
        node,
        answer.testIds().stream().map(dev.tavik.result.Method::id).toList(),
        answer.tests(),
        answer.refusals(),
        answer.settings().alpha());
    JsonParts.drawn(node, answer.drawn());
    ArrayNode intervals = node.putArray("intervals");
    answer
        .settings()
        .intervals()
        .forEach(
            method -> {
              List<Interval> each = answer.intervals(method);
              for (int i = 0; i < each.size(); i++) {
                intervals.add(
                    JsonParts.interval(each.get(i)).put("label", answer.counts().levels().get(i)));
              }
              JsonParts.refused(intervals, answer.refusals(), method.id());
            });
    cells(node, answer);
    SharesBayes bayes = answer.bayes();
    if (bayes != null) {
      node.set("bayes", BayesJson.of(bayes));
    }
    JsonParts.preferred(node, answer.preference());
    return JsonParts.ending(
        node,
        answer.conditions(),
        answer.cautions(),
        List.of(),
        Detail.FINDINGS,
        answer.conclusion());
  }

  private static void cells(ObjectNode node, SharesAnswer answer) {
    ObjectNode cells = node.putObject("cells");
    answer.counts().levels().forEach(cells.putArray("rows")::add);
    cells.putArray("columns").add("count");
    ArrayNode observed = cells.putArray("observed");
    answer.cells().forEach(cell -> observed.add(cell.observed()));
    array(cells, "expected", answer, CellFigures::expected);
    array(cells, "pearsonResiduals", answer, CellFigures::pearsonResidual);
    array(cells, "adjustedResiduals", answer, CellFigures::adjustedResidual);
    array(cells, "contributions", answer, CellFigures::contribution);
    ArrayNode pValues = cells.putArray("adjustedPValues");
    answer.standingOut().forEach(p -> pValues.add(p.pValue()));
    ArrayNode logs = cells.putArray("log10AdjustedPValues");
    answer.standingOut().forEach(p -> logs.add(JsonParts.finite(p.log10PValue())));
  }

  private static void array(
      ObjectNode cells, String name, SharesAnswer answer, ToDoubleFunction<CellFigures> figure) {
    ArrayNode array = cells.putArray(name);
    for (CellFigures cell : answer.cells()) {
      array.add(figure.applyAsDouble(cell));
    }
  }
}
