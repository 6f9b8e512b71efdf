package dev.tavik.report;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.Design;
import dev.tavik.planning.DifferencePrecision;
import dev.tavik.planning.Evidence;
import dev.tavik.planning.EvidenceDesign;
import dev.tavik.planning.PairedDesign;
import dev.tavik.planning.RateDesign;
import dev.tavik.planning.RatePrecision;
import dev.tavik.planning.Sampling;
import dev.tavik.planning.Sizes;
import dev.tavik.planning.TableDesign;
import dev.tavik.planning.TrendDesign;
import dev.tavik.study.PlanAnswer;
import dev.tavik.study.PlanWords;
import dev.tavik.study.PrecisionAnswer;
import org.jspecify.annotations.Nullable;

/** Plans as JSON. */
final class PlanJson {
  private PlanJson() {}

  static ObjectNode of(PlanAnswer answer) {
    ObjectNode node = JsonParts.head(answer).put("for", answer.asked().kind());
    node.put(
        "solvedFor",
        answer.asked().effects().isEmpty()
            ? "effect"
            : answer.asked().powers().isEmpty() ? "power" : "n");
    ArrayNode lines = node.putArray("lines");
    for (PlanAnswer.Line line : answer.lines()) {
      ObjectNode one = lines.addObject();
      design(one, line.design());
      PlanAnswer.Plan plan = line.plan();
      one.put("power", line.wanted());
      if (plan == null) {
        if (!Double.isNaN(line.expected()) && !(line.design() instanceof TrendDesign)) {
          one.put(effectName(line.design()), line.expected());
        }
        one.put("refused", line.refused());
        continue;
      }
      plan(one, line.design(), plan, answer.asked().words());
      PlanAnswer.Plan exact = line.exact();
      if (exact != null) {
        plan(one.putObject("exact"), line.design(), exact, answer.asked().words());
      }
      sensitivity(one.putArray("sensitivity"), line);
      one.put("sentence", line.sentence());
    }
    JsonParts.cautions(node, answer.cautions());
    return node.put("conclusion", answer.conclusion());
  }

  private static void design(ObjectNode node, Design design) {
    node.put("test", design.test()).put("method", design.theory().id());
    if (design instanceof RateDesign rate) {
      node.put("against", rate.hypothesis().against()).put("lot", rate.lot());
    } else if (design instanceof CompareDesign comparison) {
      node.put("base", comparison.base()).put("allocation", comparison.allocation());
      Double margin = comparison.equivalence();
      double against = comparison.hypothesis().against();
      if (margin != null) {
        node.put("show", "equivalent").put("margin", margin);
      } else if (against != 0) {
        node.put("show", "noninferior").put("margin", Math.abs(against));
      }
    } else if (design instanceof PairedDesign pairs) {
      node.put("secondOnly", pairs.secondOnly());
    } else if (design instanceof TableDesign table) {
      node.put("df", table.df());
    } else if (design instanceof TrendDesign trend) {
      trend.rates().forEach(node.putArray("rates")::add);
      trend.scores().forEach(node.putArray("scores")::add);
    } else if (design instanceof Evidence evidence) {
      node.put(evidence instanceof EvidenceDesign ? "against" : "base", design.effects().none());
      node.putArray("prior").add(evidence.prior().a()).add(evidence.prior().b());
      node.put("threshold", evidence.threshold());
    }
    if (!(design instanceof TableDesign)) {
      node.put("alternative", design.alternative().id());
    }
    node.set("alpha", JsonParts.finite(design.alpha()));
  }

  private static String effectName(Design design) {
    return design instanceof TableDesign
        ? "w"
        : design instanceof PairedDesign ? "firstOnly" : "expect";
  }

  private static void plan(ObjectNode node, Design design, PlanAnswer.Plan plan, PlanWords words) {
    if (!(design instanceof TrendDesign)) {
      node.put(effectName(design), plan.effect());
    }
    sizes(node, "n", plan.sizes());
    node.put("total", plan.sizes().total());
    invite(node, plan.sizes(), words);
    node.put("attainedPower", plan.power());
    node.set("attainedAlpha", JsonParts.finite(plan.alpha()));
    sizes(node, "holdsFrom", plan.holdsFrom());
  }

  private static void invite(ObjectNode node, Sizes sizes, PlanWords words) {
    if (words.response() != null) {
      node.put("invite", sizes.groups().stream().mapToLong(words::invited).sum());
    }
  }

  private static void sizes(ObjectNode node, String key, @Nullable Sizes sizes) {
    if (sizes == null) {
      node.putNull(key);
    } else {
      sizes.groups().forEach(node.putArray(key)::add);
    }
  }

  private static void sensitivity(ArrayNode array, PlanAnswer.Line line) {
    for (PlanAnswer.Varied varied : line.sensitivity()) {
      ObjectNode one = array.addObject();
      if (varied.base() != null) {
        one.put(line.design() instanceof PairedDesign ? "secondOnly" : "base", varied.base());
      }
      one.put(effectName(line.design()), varied.effect()).put("attainedPower", varied.power());
      sizes(one, "n", varied.needed());
    }
  }

  static ObjectNode of(PrecisionAnswer answer) {
    ObjectNode node = JsonParts.head(answer).put("for", answer.asked().kind());
    node.put("solvedFor", answer.asked().sizes().isEmpty() ? "n" : "half-width");
    ArrayNode lines = node.putArray("lines");
    for (PrecisionAnswer.Line line : answer.lines()) {
      ObjectNode one = lines.addObject();
      one.put("interval", line.interval().interval()).put("level", line.interval().level());
      Sampling sampling;
      if (line.interval() instanceof DifferencePrecision two) {
        one.put("base", two.base()).put("expect", two.expected());
        one.put("allocation", two.allocation());
        sampling = two.sampling();
      } else {
        RatePrecision rate = (RatePrecision) line.interval();
        one.put("expect", rate.expected());
        sampling = rate.sampling();
      }
      one.put("worstCase", answer.asked().worstCase());
      one.put("lot", sampling.population()).put("designEffect", sampling.designEffect());
      one.put("halfWidth", line.wanted());
      Sizes planned = line.sizes();
      if (planned == null) {
        one.put("refused", line.refused());
        continue;
      }
      sizes(one, "n", planned);
      one.put("total", planned.total());
      invite(one, planned, answer.asked().words());
      one.put("attainedHalfWidth", line.halfWidth());
      ArrayNode varied = one.putArray("sensitivity");
      line.sensitivity()
          .forEach(
              each ->
                  varied
                      .addObject()
                      .put(
                          line.interval() instanceof RatePrecision ? "expect" : "base", each.rate())
                      .put("attainedHalfWidth", each.halfWidth()));
      one.put("sentence", line.sentence());
    }
    JsonParts.cautions(node, answer.cautions());
    return node.put("conclusion", answer.conclusion());
  }
}
