package dev.tavik.report;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.count.NamedTally;
import dev.tavik.count.PairedTally;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.NumberNeeded;
import dev.tavik.result.Quantity;
import dev.tavik.result.Refusal;
import dev.tavik.result.TestResult;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.CompareGroupsAnswer;
import dev.tavik.study.CompareSettings;
import dev.tavik.study.DirectedTest;
import dev.tavik.study.PairedAnswer;
import dev.tavik.study.Show;

/** The JSON of comparisons. */
record ComparisonJson(Detail detail) {

  ObjectNode of(CompareAnswer answer) {
    ObjectNode node = JsonParts.head(answer);
    ObjectNode input = JsonParts.input(answer.from(), null);
    input.set("first", group(answer.first()));
    input.set("second", group(answer.second()));
    input.put("order", answer.order());
    node.set("input", input);
    node.set("hypothesis", hypothesis(answer.settings()));
    JsonParts.estimates(node, answer.estimates());
    NumberNeeded needed = answer.numberNeeded();
    if (needed != null) {
      numberNeeded((ArrayNode) node.get("estimates"), needed, answer.order());
    }
    tests(node, answer);
    JsonParts.intervals(node, answer.intervals());
    if (needed != null) {
      ObjectNode interval = ((ArrayNode) node.get("intervals")).addObject();
      interval
          .put("quantity", Quantity.NUMBER_NEEDED.id())
          .put("method", needed.method())
          .put("level", needed.level())
          .put("side", "two-sided");
      interval.set("lower", JsonParts.finite(needed.lower()));
      interval.set("upper", JsonParts.finite(needed.upper()));
      interval.put("throughInfinity", needed.throughInfinity());
    }
    JsonParts.preferred(node, answer.preference());
    return JsonParts.ending(
        node,
        answer.conditions(),
        answer.cautions(),
        answer.working(),
        detail,
        answer.conclusion());
  }

  private static void numberNeeded(ArrayNode estimates, NumberNeeded needed, String order) {
    ObjectNode node = estimates.addObject();
    node.put("quantity", Quantity.NUMBER_NEEDED.id()).put("label", "1 / (" + order + ")");
    node.set("value", JsonParts.finite(needed.value()));
    node.putNull("standardError");
  }

  /** In the order asked for; a test that declined stands in its place with the reason. */
  private static void tests(ObjectNode node, CompareAnswer answer) {
    double alpha = answer.settings().alpha();
    ArrayNode tests = node.putArray("tests");
    for (TwoProportionTest method : answer.settings().tests()) {
      for (TestResult test : answer.tests()) {
        if (test.method().equals(method.id())) {
          tests.add(JsonParts.test(test, alpha));
        }
      }
      for (Refusal refusal : answer.refusals()) {
        if (refusal.method().equals(method.id())) {
          tests.addObject().put("method", refusal.method()).put("refused", refusal.reason());
        }
      }
    }
    if (!answer.oneSided().isEmpty()) {
      ArrayNode oneSided = node.putArray("oneSidedTests");
      for (DirectedTest each : answer.oneSided()) {
        ObjectNode test = JsonParts.test(each.result(), alpha);
        test.put("against", each.hypothesis().against())
            .put("alternative", each.hypothesis().alternative().id());
        oneSided.add(test);
      }
    }
  }

  private static ObjectNode group(NamedTally group) {
    return JsonParts.NODES
        .objectNode()
        .put("label", group.name())
        .put("tally", group.tally().toString())
        .put("successes", group.tally().successes())
        .put("trials", group.tally().trials());
  }

  private static ObjectNode hypothesis(CompareSettings settings) {
    ObjectNode node =
        JsonParts.NODES
            .objectNode()
            .put("quantity", Quantity.DIFFERENCE.id())
            .put("against", settings.hypothesis().against())
            .put("alternative", settings.hypothesis().alternative().id())
            .put("alpha", settings.alpha());
    Double margin = settings.margin();
    if (margin != null || settings.show() != Show.DIFFERENCE) {
      node.put("margin", margin).put("show", settings.show().id());
    }
    return node;
  }

  ObjectNode of(CompareGroupsAnswer answer) {
    ObjectNode node = JsonParts.head(answer);
    node.set("input", JsonParts.input(answer.from(), null));
    node.set("hypothesis", hypothesis(answer.settings()));
    ArrayNode groups = node.putArray("groups");
    answer.groups().forEach(each -> groups.add(group(each)));
    ArrayNode overall = node.putArray("overall");
    answer.overall().forEach(test -> overall.add(JsonParts.test(test, answer.settings().alpha())));
    node.put("adjustment", "holm");
    ArrayNode pairs = node.putArray("pairs");
    answer.pairs().forEach(pair -> pairs.add(of(pair)));
    JsonParts.cautions(node, answer.cautions());
    return node.put("conclusion", answer.conclusion());
  }

  ObjectNode of(PairedAnswer answer) {
    ObjectNode node = JsonParts.head(answer);
    ObjectNode input = JsonParts.input(answer.from(), null);
    PairedTally tally = answer.tally();
    input
        .put("first", answer.first())
        .put("second", answer.second())
        .put("order", answer.order())
        .put("paired", true);
    ArrayNode cells = input.putArray("cells");
    cells.addArray().add(tally.both()).add(tally.firstOnly());
    cells.addArray().add(tally.secondOnly()).add(tally.neither());
    node.set("input", input);
    node.set(
        "hypothesis",
        JsonParts.NODES
            .objectNode()
            .put("quantity", Quantity.DIFFERENCE.id())
            .put("against", 0.0)
            .put("alternative", answer.settings().alternative().id())
            .put("alpha", answer.settings().alpha()));
    JsonParts.estimates(node, answer.estimates());
    ArrayNode tests = node.putArray("tests");
    answer.tests().forEach(test -> tests.add(JsonParts.test(test, answer.settings().alpha())));
    JsonParts.intervals(node, answer.intervals());
    JsonParts.preferred(node, answer.preference());
    return JsonParts.ending(
        node,
        answer.conditions(),
        answer.cautions(),
        answer.working(),
        detail,
        answer.conclusion());
  }
}
