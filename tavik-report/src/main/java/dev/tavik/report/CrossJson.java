package dev.tavik.report;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.association.CellFigures;
import dev.tavik.association.TableTest;
import dev.tavik.study.CrossAnswer;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** The JSON of answers about associations. */
final class CrossJson {
  private CrossJson() {}

  static ObjectNode of(CrossAnswer answer) {
    ObjectNode node = JsonParts.head(answer);
    node.set("input", JsonParts.input(answer.from(), null));
    node.putObject("hypothesis")
        .put("quantity", "independence")
        .put("alternative", "two-sided")
        .put("alpha", answer.settings().alpha());
    JsonParts.estimates(node, answer.estimates());
    JsonParts.tests(
        node,
        Arrays.stream(TableTest.values()).map(TableTest::id).toList(),
        answer.tests(),
        answer.refusals(),
        answer.settings().alpha());
    cells(node, answer);
    node.putObject("preferred").put("test", answer.preferred());
    return JsonParts.ending(
        node,
        answer.conditions(),
        answer.cautions(),
        List.of(),
        Detail.FINDINGS,
        answer.conclusion());
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
    answer.standingOut().forEach(row -> row.forEach(pValues.addArray()::add));
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
