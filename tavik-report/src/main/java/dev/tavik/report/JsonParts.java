package dev.tavik.report;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.count.Tally;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.result.Refusal;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.result.Working;
import dev.tavik.result.WorkingStep;
import dev.tavik.simulation.SimulatedTail;
import dev.tavik.study.Answer;
import dev.tavik.study.CountedFrom;
import dev.tavik.study.DrawnTest;
import dev.tavik.study.Preference;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the JSON of every kind of answer is made of. */
final class JsonParts {
  static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private JsonParts() {}

  static ObjectNode head(Answer answer) {
    return NODES.objectNode().put("question", answer.question()).put("label", answer.label());
  }

  static void estimates(ObjectNode node, List<Estimate> estimates) {
    ArrayNode array = node.putArray("estimates");
    estimates.forEach(each -> array.add(estimate(each)));
  }

  /** In the order of the ids; a method that declined stands in its place with the reason. */
  static void tests(
      ObjectNode node,
      List<String> ids,
      List<TestResult> tests,
      List<Refusal> refusals,
      double alpha) {
    ArrayNode array = node.putArray("tests");
    for (String id : ids) {
      tests.stream()
          .filter(each -> each.method().id().equals(id))
          .forEach(each -> array.add(test(each, alpha)));
      refused(array, refusals, id);
    }
  }

  static void refused(ArrayNode array, List<Refusal> refusals, String id) {
    refusals.stream()
        .filter(each -> each.method().id().equals(id))
        .forEach(each -> array.addObject().put("method", id).put("refused", each.reason()));
  }

  /** A test by drawing, where one stands in for an exact one. */
  static void drawn(ObjectNode node, @Nullable DrawnTest drawn) {
    if (drawn != null) {
      node.putObject("drawn")
          .put("method", drawn.result().method().id())
          .put("draws", drawn.tail().draws())
          .put("seed", drawn.seed())
          .put("hits", drawn.tail().hits())
          .put("pValue", drawn.tail().pValue())
          .put("standardError", drawn.tail().standardError())
          .put("level", SimulatedTail.LEVEL)
          .put("lower", drawn.tail().interval().lower())
          .put("upper", drawn.tail().interval().upper());
    }
  }

  static void intervals(ObjectNode node, List<Interval> intervals) {
    ArrayNode array = node.putArray("intervals");
    intervals.forEach(each -> array.add(interval(each)));
  }

  static void preferred(ObjectNode node, Preference preference) {
    node.putObject("preferred")
        .put("test", preference.test().id())
        .put("interval", preference.interval().id())
        .put("reason", preference.reason());
  }

  /**
   * Conditions, cautions, working where it is wanted, and the conclusion, which end every answer.
   */
  static ObjectNode ending(
      ObjectNode node,
      List<Condition> conditions,
      List<Caution> cautions,
      List<Working> working,
      Detail detail,
      String conclusion) {
    ArrayNode array = node.putArray("conditions");
    conditions.forEach(each -> array.add(condition(each)));
    cautions(node, cautions);
    if (detail == Detail.WORKING) {
      ArrayNode workings = node.putArray("working");
      for (Working each : working) {
        ArrayNode steps = workings.addObject().put("method", each.method().id()).putArray("steps");
        each.steps().forEach(step -> steps.add(step(step)));
      }
    }
    return node.put("conclusion", conclusion);
  }

  static ObjectNode input(@Nullable CountedFrom from, @Nullable Tally tally) {
    ObjectNode node = NODES.objectNode();
    if (from != null) {
      node.put("data", from.data()).put("outcome", from.outcome());
      from.success().forEach(node.putArray("success")::add);
      node.put("group", from.group()).put("count", from.count());
      from.where().forEach(node.putArray("where")::add);
      node.put("rows", from.rows()).put("filtered", from.filtered());
      ObjectNode missing = node.putObject("missing");
      from.missing().forEach(missing::put);
    }
    if (tally != null) {
      node.put("tally", tally.toString())
          .put("successes", tally.successes())
          .put("trials", tally.trials());
    }
    return node;
  }

  static ObjectNode estimate(Estimate estimate) {
    ObjectNode node =
        NODES.objectNode().put("quantity", estimate.quantity().id()).put("label", estimate.label());
    node.set("value", finite(estimate.value()));
    node.set("standardError", finite(estimate.standardError()));
    return node;
  }

  static ObjectNode test(TestResult test, double alpha) {
    ObjectNode node = NODES.objectNode().put("method", test.method().id());
    TestResult.@Nullable Statistic statistic = test.statistic();
    if (statistic == null) {
      node.putNull("statistic");
    } else {
      node.putObject("statistic").put("name", statistic.name()).put("value", statistic.value());
    }
    node.put("df", test.df()).put("pValue", test.pValue());
    node.set("log10PValue", finite(test.log10PValue()));
    node.put("rejects", test.rejects(alpha));
    Double nuisance = test.nuisance();
    if (nuisance != null) {
      node.put("nuisance", nuisance);
    }
    @Nullable AdjustedP adjusted = test.adjusted();
    if (adjusted != null) {
      node.put("adjustedPValue", adjusted.pValue());
      node.set("log10AdjustedPValue", finite(adjusted.log10PValue()));
      node.put("rejectsAdjusted", test.rejectsAdjusted(alpha));
    }
    return node;
  }

  static ObjectNode interval(Interval interval) {
    ObjectNode node =
        NODES
            .objectNode()
            .put("quantity", interval.quantity().id())
            .put("method", interval.method().id())
            .put("level", interval.level())
            .put("side", interval.side().id());
    node.set("lower", finite(interval.lower()));
    node.set("upper", finite(interval.upper()));
    return node;
  }

  static JsonNode finite(double value) {
    return Double.isFinite(value) ? NODES.numberNode(value) : NODES.nullNode();
  }

  static ObjectNode condition(Condition condition) {
    ObjectNode node = NODES.objectNode().put("name", condition.name());
    switch (condition.state()) {
      case MET -> node.put("met", true);
      case NOT_MET -> node.put("met", false);
      case NOT_IN_THE_DATA -> node.putNull("met");
    }
    return node.put("detail", condition.detail());
  }

  static void cautions(ObjectNode node, List<Caution> cautions) {
    ArrayNode array = node.putArray("cautions");
    cautions.forEach(
        caution ->
            array.addObject().put("code", caution.code().id()).put("message", caution.message()));
  }

  static ObjectNode step(WorkingStep step) {
    return NODES
        .objectNode()
        .put("name", step.name())
        .put("symbol", step.symbol())
        .put("formula", step.formula())
        .put("substituted", step.substituted())
        .put("value", step.value())
        .put("reason", step.reason());
  }
}
