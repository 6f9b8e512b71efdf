package dev.tavik.report;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.simulation.SimulatedTail;
import dev.tavik.simulation.Simulation;
import dev.tavik.study.SimulatedAnswer.View;
import java.util.List;

/** The JSON of simulated views. */
final class SimulationJson {
  private static final List<String> SEVERAL = List.of("groups", "pairs");

  private SimulationJson() {}

  /** The answer with its view, or each of its groups or pairs with its own. */
  static ObjectNode into(ObjectNode answer, List<View> views) {
    if (views.get(0).label().isEmpty()) {
      return with(answer, views.get(0));
    }
    for (String word : SEVERAL) {
      if (answer.get(word) instanceof ArrayNode parts
          && parts.size() == views.size()
          && parts.get(0).has("conclusion")) {
        for (int i = 0; i < views.size(); i++) {
          parts.set(i, with((ObjectNode) parts.get(i), views.get(i)));
        }
      }
    }
    return answer;
  }

  /** Its place is before the conditions. */
  private static ObjectNode with(ObjectNode answer, View view) {
    ObjectNode node = JsonParts.NODES.objectNode();
    answer
        .properties()
        .forEach(
            entry -> {
              if (entry.getKey().equals("conditions")) {
                node.set("simulation", of(view));
              }
              node.set(entry.getKey(), entry.getValue());
            });
    return node;
  }

  private static JsonNode of(View view) {
    Simulation simulation = view.simulation();
    ObjectNode node =
        JsonParts.NODES
            .objectNode()
            .put("drawn", simulation.drawn())
            .put("draws", simulation.draws())
            .put("asked", simulation.asked())
            .put("seed", simulation.seed());
    if (simulation.clear() != null) {
      node.put("clear", simulation.clear());
    }
    tail(node, view.tail());
    ArrayNode tails = node.putArray("tails");
    for (int i = 0; i < simulation.tails().size(); i++) {
      SimulatedTail tail = simulation.tails().get(i);
      ObjectNode each =
          tails
              .addObject()
              .put("method", tail.method().id())
              .put("rule", tail.rule())
              .put("lowerHits", tail.lowerHits())
              .put("upperHits", tail.upperHits());
      tail(each, tail);
      double formula = view.formulas().get(i);
      each.set("formulaLog10PValue", JsonParts.finite(formula));
      each.put("agrees", Double.isNaN(formula) ? null : (Boolean) view.agrees(i));
    }
    Simulation.Histogram histogram = simulation.histogram();
    ObjectNode bins =
        node.putObject("histogram")
            .put("measure", histogram.measure())
            .put("from", histogram.from())
            .put("width", histogram.width())
            .put("observed", histogram.observed());
    bins.set("lowerCut", JsonParts.finite(histogram.lowerCut()));
    bins.set("upperCut", JsonParts.finite(histogram.upperCut()));
    histogram.counts().forEach(bins.putArray("counts")::add);
    ArrayNode bootstrap = node.putArray("bootstrap");
    view.bootstrap().forEach(interval -> bootstrap.add(JsonParts.interval(interval)));
    return node;
  }

  private static void tail(ObjectNode node, SimulatedTail tail) {
    node.put("hits", tail.hits())
        .put("pValue", tail.pValue())
        .put("standardError", tail.standardError())
        .put("level", SimulatedTail.LEVEL)
        .put("lower", tail.interval().lower())
        .put("upper", tail.interval().upper());
  }
}
