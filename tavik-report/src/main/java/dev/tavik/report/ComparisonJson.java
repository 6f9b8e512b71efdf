package dev.tavik.report;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.count.NamedTally;
import dev.tavik.count.PairedTally;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Estimate;
import dev.tavik.result.NumberNeeded;
import dev.tavik.result.Quantity;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.CompareBayes;
import dev.tavik.study.CompareGroupsAnswer;
import dev.tavik.study.CompareSettings;
import dev.tavik.study.DirectedTest;
import dev.tavik.study.MatchedAnswer;
import dev.tavik.study.PairedAnswer;
import dev.tavik.study.Show;
import java.util.ArrayList;
import java.util.List;

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
    JsonParts.tests(
        node,
        answer.settings().tests().stream().map(TwoProportionTest::id).toList(),
        answer.tests(),
        answer.refusals(),
        answer.settings().alpha());
    oneSided(node, answer);
    JsonParts.intervals(node, answer.intervals());
    if (needed != null) {
      ObjectNode interval = ((ArrayNode) node.get("intervals")).addObject();
      interval
          .put("quantity", Quantity.NUMBER_NEEDED.id())
          .put("method", needed.method().id())
          .put("level", needed.level())
          .put("side", "two-sided");
      interval.set("lower", JsonParts.finite(needed.lower()));
      interval.set("upper", JsonParts.finite(needed.upper()));
      interval.put("throughInfinity", needed.throughInfinity());
    }
    JsonParts.preferred(node, answer.preference());
    CompareBayes bayes = answer.bayes();
    if (bayes != null) {
      node.set("bayes", BayesJson.of(bayes));
    }
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

  private static void oneSided(ObjectNode node, CompareAnswer answer) {
    if (!answer.oneSided().isEmpty()) {
      ArrayNode oneSided = node.putArray("oneSidedTests");
      for (DirectedTest each : answer.oneSided()) {
        ObjectNode test = JsonParts.test(each.result(), answer.settings().alpha());
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

  ObjectNode of(MatchedAnswer answer) {
    ObjectNode node = JsonParts.head(answer);
    ObjectNode input = JsonParts.input(answer.from(), null).put("paired", true);
    ArrayNode groups = input.putArray("groups");
    List<Estimate> estimates = new ArrayList<>();
    for (int i = 0; i < answer.tallies().names().size(); i++) {
      NamedTally rate = new NamedTally(answer.tallies().names().get(i), answer.tallies().tally(i));
      groups.add(group(rate));
      estimates.add(
          new Estimate(Quantity.PROPORTION, rate.name(), rate.tally().proportion(), Double.NaN));
    }
    node.set("input", input);
    node.putObject("hypothesis")
        .put("quantity", Quantity.DIFFERENCE.id())
        .put("against", 0.0)
        .put("alternative", "two-sided")
        .put("alpha", answer.alpha());
    JsonParts.estimates(node, estimates);
    node.putArray("tests").add(JsonParts.test(answer.test(), answer.alpha()));
    node.put("adjustment", "holm");
    ArrayNode pairs = node.putArray("pairs");
    for (MatchedAnswer.Pair pair : answer.pairs()) {
      pairs
          .addObject()
          .put("first", pair.first())
          .put("second", pair.second())
          .put("difference", pair.difference())
          .set("test", JsonParts.test(pair.test(), answer.alpha()));
    }
    return JsonParts.ending(
        node, answer.conditions(), answer.cautions(), List.of(), detail, answer.conclusion());
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
