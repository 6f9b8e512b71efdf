package dev.tavik.report;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.core.util.Separators;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.ObjectWriter;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.count.DataOverview;
import dev.tavik.count.Tally;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.result.Quantity;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import dev.tavik.result.Working;
import dev.tavik.result.WorkingStep;
import dev.tavik.study.Answer;
import dev.tavik.study.CountedFrom;
import dev.tavik.study.RateAnswer;
import dev.tavik.study.RateByGroupAnswer;
import dev.tavik.study.RateSettings;
import dev.tavik.study.StudyAnswer;
import dev.tavik.study.Unanswered;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Writes answers for programs: one JSON object, numbers as full doubles, unbounded limits as null,
 * keys always in the same order.
 *
 * @param detail whether the working is written too
 */
public record JsonReport(Detail detail) {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final ObjectWriter WRITER =
      new ObjectMapper()
          .writer(
              new DefaultPrettyPrinter(
                      Separators.createDefaultInstance()
                          .withObjectFieldValueSpacing(Separators.Spacing.AFTER))
                  .withObjectIndenter(new DefaultIndenter("  ", "\n"))
                  .withArrayIndenter(new DefaultIndenter("  ", "\n")));

  /**
   * An answer.
   *
   * @param answer the answer
   * @return a JSON object, ending with a line end
   */
  public String of(Answer answer) {
    return text(node(answer));
  }

  /**
   * The answers to a study.
   *
   * @param study the answers
   * @return a JSON object, ending with a line end
   */
  public String of(StudyAnswer study) {
    ObjectNode node = NODES.objectNode().put("study", study.title());
    ArrayNode answers = node.putArray("answers");
    study.answers().forEach(answer -> answers.add(node(answer)));
    return text(node);
  }

  /**
   * What a source of data holds.
   *
   * @param overview the overview
   * @param suggestions commands that would make sense for it
   * @return a JSON object, ending with a line end
   */
  public String of(DataOverview overview, List<String> suggestions) {
    ObjectNode node =
        NODES
            .objectNode()
            .put("data", overview.source())
            .put("layout", overview.layout())
            .put("rows", overview.rows());
    ArrayNode columns = node.putArray("columns");
    for (DataOverview.Column column : overview.columns()) {
      ObjectNode each =
          columns
              .addObject()
              .put("name", column.name())
              .put("kind", column.kind().id())
              .put("distinct", column.distinct())
              .put("missing", column.missing());
      ObjectNode levels = each.putObject("levels");
      if (column.kind().classifies()) {
        column.levels().forEach(levels::put);
      }
      column.range().forEach(each.putArray("range")::add);
    }
    suggestions.forEach(node.putArray("suggestions")::add);
    return text(node);
  }

  private static String text(ObjectNode node) {
    try {
      return WRITER.writeValueAsString(node) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a tree of plain values can always be written", e);
    }
  }

  private ObjectNode node(Answer answer) {
    if (answer instanceof RateAnswer rate) {
      return rate(rate);
    }
    if (answer instanceof RateByGroupAnswer rates) {
      return rates(rates);
    }
    if (answer instanceof Unanswered unanswered) {
      ObjectNode node = head(answer);
      node.putObject("error").put("code", unanswered.code()).put("message", unanswered.message());
      return node;
    }
    throw new IllegalStateException("no JSON form for " + answer.getClass());
  }

  private static ObjectNode head(Answer answer) {
    return NODES.objectNode().put("question", answer.question()).put("label", answer.label());
  }

  private ObjectNode rate(RateAnswer answer) {
    ObjectNode node = head(answer);
    ObjectNode input = input(answer.from(), answer.tally());
    if (answer.settings().lot() != null) {
      input.put("lot", answer.settings().lot());
    }
    node.set("input", input);
    node.set("hypothesis", hypothesis(answer.settings()));
    ArrayNode estimates = node.putArray("estimates");
    answer.estimates().forEach(estimate -> estimates.add(estimate(estimate)));
    ArrayNode tests = node.putArray("tests");
    answer.tests().forEach(test -> tests.add(test(test, answer.settings().alpha())));
    ArrayNode intervals = node.putArray("intervals");
    answer.intervals().forEach(interval -> intervals.add(interval(interval)));
    ArrayNode critical = node.putArray("criticalCounts");
    answer
        .criticalCounts()
        .forEach(
            counts ->
                critical
                    .addObject()
                    .put("method", counts.method())
                    .put("atMost", counts.atMost())
                    .put("atLeast", counts.atLeast())
                    .put("size", counts.size()));
    node.putObject("preferred")
        .put("test", answer.preference().test())
        .put("interval", answer.preference().interval())
        .put("reason", answer.preference().reason());
    ArrayNode conditions = node.putArray("conditions");
    answer.conditions().forEach(condition -> conditions.add(condition(condition)));
    cautions(node, answer.cautions());
    if (detail == Detail.WORKING) {
      ArrayNode working = node.putArray("working");
      for (Working each : answer.working()) {
        ArrayNode steps = working.addObject().put("method", each.method()).putArray("steps");
        each.steps().forEach(step -> steps.add(step(step)));
      }
    }
    return node.put("conclusion", answer.conclusion());
  }

  private ObjectNode rates(RateByGroupAnswer answer) {
    ObjectNode node = head(answer);
    node.set("input", input(answer.from(), null));
    node.set("hypothesis", hypothesis(answer.settings()));
    node.put("adjustment", "holm");
    ArrayNode groups = node.putArray("groups");
    answer.groups().forEach(group -> groups.add(rate(group)));
    cautions(node, answer.cautions());
    return node.put("conclusion", answer.conclusion());
  }

  private static ObjectNode input(@Nullable CountedFrom from, @Nullable Tally tally) {
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

  private static ObjectNode hypothesis(RateSettings settings) {
    return NODES
        .objectNode()
        .put("quantity", Quantity.PROPORTION.id())
        .put("against", settings.hypothesis().against())
        .put("alternative", settings.hypothesis().alternative().id())
        .put("alpha", settings.alpha());
  }

  private static ObjectNode estimate(Estimate estimate) {
    return NODES
        .objectNode()
        .put("quantity", estimate.quantity().id())
        .put("label", estimate.label())
        .put("value", estimate.value())
        .put("standardError", estimate.standardError());
  }

  private static ObjectNode test(TestResult test, double alpha) {
    ObjectNode node = NODES.objectNode().put("method", test.method());
    TestResult.@Nullable Statistic statistic = test.statistic();
    if (statistic == null) {
      node.putNull("statistic");
    } else {
      node.putObject("statistic").put("name", statistic.name()).put("value", statistic.value());
    }
    node.put("df", test.df()).put("pValue", test.pValue());
    node.set("log10PValue", finite(test.log10PValue()));
    node.put("rejects", test.rejects(alpha));
    @Nullable AdjustedP adjusted = test.adjusted();
    if (adjusted != null) {
      node.put("adjustedPValue", adjusted.pValue());
      node.set("log10AdjustedPValue", finite(adjusted.log10PValue()));
      node.put("rejectsAdjusted", test.rejectsAdjusted(alpha));
    }
    return node;
  }

  private static ObjectNode interval(Interval interval) {
    ObjectNode node =
        NODES
            .objectNode()
            .put("quantity", interval.quantity().id())
            .put("method", interval.method())
            .put("level", interval.level())
            .put("side", interval.side().id());
    node.set("lower", finite(interval.lower()));
    node.set("upper", finite(interval.upper()));
    return node;
  }

  private static JsonNode finite(double value) {
    return Double.isFinite(value) ? NODES.numberNode(value) : NODES.nullNode();
  }

  private static ObjectNode condition(Condition condition) {
    ObjectNode node = NODES.objectNode().put("name", condition.name());
    switch (condition.state()) {
      case MET -> node.put("met", true);
      case NOT_MET -> node.put("met", false);
      case NOT_IN_THE_DATA -> node.putNull("met");
    }
    return node.put("detail", condition.detail());
  }

  private static void cautions(ObjectNode node, List<Caution> cautions) {
    ArrayNode array = node.putArray("cautions");
    cautions.forEach(
        caution ->
            array.addObject().put("code", caution.code().id()).put("message", caution.message()));
  }

  private static ObjectNode step(WorkingStep step) {
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
