package dev.tavik.report;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.core.util.Separators;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.ObjectWriter;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.count.DataOverview;
import dev.tavik.result.Quantity;
import dev.tavik.study.AgreementAnswer;
import dev.tavik.study.Answer;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.CompareGroupsAnswer;
import dev.tavik.study.CrossAnswer;
import dev.tavik.study.MatchedAnswer;
import dev.tavik.study.OutlookAnswer;
import dev.tavik.study.PairedAnswer;
import dev.tavik.study.PlanAnswer;
import dev.tavik.study.PrecisionAnswer;
import dev.tavik.study.RateAnswer;
import dev.tavik.study.RateBayes;
import dev.tavik.study.RateByGroupAnswer;
import dev.tavik.study.RateSettings;
import dev.tavik.study.SharesAnswer;
import dev.tavik.study.SimulatedAnswer;
import dev.tavik.study.StrataAnswer;
import dev.tavik.study.StudyAnswer;
import dev.tavik.study.TailAnswer;
import dev.tavik.study.Unanswered;
import dev.tavik.study.WeighAnswer;
import java.util.List;

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
    JsonParts.cautions(node, study.cautions());
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
      if (column.kind().classifies() || column.kind() == DataOverview.Kind.CONSTANT) {
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
    if (answer instanceof CompareAnswer comparison) {
      return new ComparisonJson(detail).of(comparison);
    }
    if (answer instanceof CompareGroupsAnswer comparisons) {
      return new ComparisonJson(detail).of(comparisons);
    }
    if (answer instanceof PairedAnswer paired) {
      return new ComparisonJson(detail).of(paired);
    }
    if (answer instanceof SharesAnswer shares) {
      return SharesJson.of(shares);
    }
    if (answer instanceof CrossAnswer cross) {
      return CrossJson.of(cross);
    }
    if (answer instanceof StrataAnswer strata) {
      return CrossJson.of(strata);
    }
    if (answer instanceof AgreementAnswer agreement) {
      return CrossJson.of(agreement);
    }
    if (answer instanceof MatchedAnswer matched) {
      return new ComparisonJson(detail).of(matched);
    }
    if (answer instanceof WeighAnswer weighed) {
      return WeighText.json(weighed);
    }
    if (answer instanceof TailAnswer tail) {
      return TailText.json(tail);
    }
    if (answer instanceof SimulatedAnswer simulated) {
      return SimulationJson.into(node(simulated.answer()), simulated.views());
    }
    if (answer instanceof PlanAnswer plan) {
      return PlanJson.of(plan);
    }
    if (answer instanceof PrecisionAnswer precision) {
      return PlanJson.of(precision);
    }
    if (answer instanceof OutlookAnswer outlook) {
      return BayesJson.of(outlook);
    }
    if (answer instanceof Unanswered unanswered) {
      ObjectNode node = JsonParts.head(answer);
      node.putObject("error").put("code", unanswered.code()).put("message", unanswered.message());
      return node;
    }
    throw new IllegalStateException("no JSON form for " + answer.getClass());
  }

  private ObjectNode rate(RateAnswer answer) {
    ObjectNode node = JsonParts.head(answer);
    ObjectNode input = JsonParts.input(answer.from(), answer.tally());
    if (answer.settings().lot() != null) {
      input.put("lot", answer.settings().lot());
    }
    node.set("input", input);
    node.set("hypothesis", hypothesis(answer.settings()));
    JsonParts.estimates(node, answer.estimates());
    ArrayNode tests = node.putArray("tests");
    answer.tests().forEach(test -> tests.add(JsonParts.test(test, answer.settings().alpha())));
    JsonParts.intervals(node, answer.intervals());
    ArrayNode critical = node.putArray("criticalCounts");
    answer
        .criticalCounts()
        .forEach(
            counts ->
                critical
                    .addObject()
                    .put("method", counts.method().id())
                    .put("atMost", counts.atMost())
                    .put("atLeast", counts.atLeast())
                    .put("size", counts.size()));
    RateBayes bayes = answer.bayes();
    if (bayes != null) {
      node.set("bayes", BayesJson.of(bayes));
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

  private ObjectNode rates(RateByGroupAnswer answer) {
    ObjectNode node = JsonParts.head(answer);
    node.set("input", JsonParts.input(answer.from(), null));
    node.set("hypothesis", hypothesis(answer.settings()));
    node.put("adjustment", "holm");
    ArrayNode groups = node.putArray("groups");
    answer.groups().forEach(group -> groups.add(rate(group)));
    JsonParts.cautions(node, answer.cautions());
    return node.put("conclusion", answer.conclusion());
  }

  private static ObjectNode hypothesis(RateSettings settings) {
    return NODES
        .objectNode()
        .put("quantity", Quantity.PROPORTION.id())
        .put("against", settings.hypothesis().against())
        .put("alternative", settings.hypothesis().alternative().id())
        .put("alpha", settings.alpha());
  }
}
