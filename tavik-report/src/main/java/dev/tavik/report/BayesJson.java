package dev.tavik.report;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.Credible;
import dev.tavik.bayes.Evidence;
import dev.tavik.bayes.EvidenceChances;
import dev.tavik.result.Quantity;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.CompareBayes;
import dev.tavik.study.CrossBayes;
import dev.tavik.study.FollowedRate;
import dev.tavik.study.OutlookAnswer;
import dev.tavik.study.OutlookQuestion;
import dev.tavik.study.RateBayes;
import dev.tavik.study.SharesBayes;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The JSON of Bayesian views. */
final class BayesJson {
  private BayesJson() {}

  static ObjectNode of(RateBayes bayes) {
    ObjectNode node = JsonParts.NODES.objectNode();
    prior(node, bayes.prior());
    factor(node, bayes.logBayesFactor(), bayes.favours());
    ArrayNode posteriors = node.putArray("posterior");
    for (RateBayes.Posterior posterior : bayes.posteriors()) {
      ObjectNode each =
          posteriors
              .addObject()
              .put("quantity", Quantity.PROPORTION.id())
              .put("truncated", posterior.truncated())
              .put("mean", posterior.mean())
              .put("median", posterior.median());
      each.set("mode", JsonParts.finite(posterior.mode()));
      ArrayNode credible = each.putArray("credible");
      posterior.credible().forEach(interval -> credible.add(credible(interval)));
    }
    node.put("probabilityAbove", bayes.probabilityAbove());
    region(node, bayes.region(), bayes.probabilityInside());
    FollowedRate followed = bayes.followed();
    if (followed != null) {
      followed.path().logs().forEach(node.putArray("sequence")::add);
    }
    sensitivity(node, bayes.sensitivity());
    return node.put("conclusion", bayes.conclusion());
  }

  static ObjectNode of(CompareBayes bayes) {
    ObjectNode node = JsonParts.NODES.objectNode();
    prior(node, bayes.prior());
    node.put("alternative", bayes.alternative().id());
    factor(node, bayes.logBayesFactor(), bayes.favours());
    ArrayNode posteriors = node.putArray("posterior");
    for (CompareBayes.Posterior posterior : bayes.posteriors()) {
      ObjectNode each = posteriors.addObject().put("quantity", posterior.quantity().id());
      each.set("mean", JsonParts.finite(posterior.mean()));
      each.put("median", posterior.median());
      ArrayNode credible = each.putArray("credible");
      posterior.credible().forEach(interval -> credible.add(credible(interval)));
    }
    node.put("probabilityAbove", bayes.probabilityAbove());
    region(node, bayes.region(), bayes.probabilityInside());
    sensitivity(node, bayes.sensitivity());
    return node.put("conclusion", bayes.conclusion());
  }

  static ObjectNode of(CrossBayes bayes) {
    ObjectNode node = JsonParts.NODES.objectNode();
    node.putArray("prior").add(bayes.prior());
    node.put("sampling", bayes.plan().id());
    factor(node, bayes.logBayesFactor(), bayes.favours());
    ArrayNode plans = node.putArray("plans");
    for (CrossBayes.UnderPlan each : bayes.plans()) {
      ObjectNode plan = plans.addObject().put("sampling", each.plan().id());
      if (each.refused() == null) {
        plan.put("logBayesFactor", each.logBayesFactor());
      } else {
        plan.put("refused", each.refused());
      }
    }
    return node.put("conclusion", bayes.conclusion());
  }

  private static void region(
      ObjectNode node, BayesSettings.@Nullable Region region, @Nullable Double probability) {
    if (region != null) {
      node.putArray("region").add(region.low()).add(region.high());
      node.put("probabilityInside", probability);
    }
  }

  private static void sensitivity(ObjectNode node, List<RateBayes.Sensitivity> priors) {
    ArrayNode sensitivity = node.putArray("sensitivity");
    for (RateBayes.Sensitivity each : priors) {
      ObjectNode one = sensitivity.addObject();
      prior(one, each.prior());
      one.put("logBayesFactor", each.logBayesFactor());
    }
  }

  static ObjectNode of(SharesBayes bayes) {
    ObjectNode node = JsonParts.NODES.objectNode();
    bayes.prior().parameters().forEach(node.putArray("prior")::add);
    factor(node, bayes.logBayesFactor(), bayes.favours());
    ArrayNode posteriors = node.putArray("posterior");
    for (SharesBayes.Posterior posterior : bayes.posteriors()) {
      posteriors
          .addObject()
          .put("quantity", Quantity.SHARE.id())
          .put("label", posterior.label())
          .put("mean", posterior.mean())
          .put("median", posterior.median())
          .putArray("credible")
          .add(credible(posterior.credible()));
    }
    return node.put("conclusion", bayes.conclusion());
  }

  static ObjectNode of(OutlookAnswer answer) {
    OutlookQuestion asked = answer.asked();
    ObjectNode node = JsonParts.head(answer);
    ObjectNode hypothesis = node.putObject("hypothesis");
    hypothesis
        .put("quantity", Quantity.PROPORTION.id())
        .put("against", asked.hypothesis().against())
        .put("alternative", asked.hypothesis().alternative().id());
    prior(node, asked.prior());
    node.put("threshold", asked.threshold());
    node.put("expect", asked.expected());
    ArrayNode lines = node.putArray("lines");
    for (OutlookAnswer.Line line : answer.lines()) {
      ObjectNode each = lines.addObject().put("n", line.observations());
      each.set("underNull", chances(line.underNull()));
      each.set("underAlternative", chances(line.underAlternative()));
      EvidenceChances expected = line.underExpected();
      if (expected != null) {
        each.set("underExpected", chances(expected));
      }
    }
    return node.put("conclusion", answer.conclusion());
  }

  private static ObjectNode chances(EvidenceChances chances) {
    return JsonParts.NODES
        .objectNode()
        .put("forNull", chances.forNull())
        .put("neither", chances.neither())
        .put("forAlternative", chances.forAlternative());
  }

  private static void factor(ObjectNode node, double log, String favours) {
    node.put("logBayesFactor", log);
    node.set("bayesFactor", JsonParts.finite(Math.exp(Math.abs(log))));
    node.put("inverse", Math.exp(-Math.abs(log)));
    node.put("favours", favours);
    node.put("evidence", Evidence.of(log).words());
  }

  private static ObjectNode credible(Credible interval) {
    ObjectNode node =
        JsonParts.NODES
            .objectNode()
            .put("kind", interval.kind().id())
            .put("level", interval.level());
    node.set("lower", JsonParts.finite(interval.lower()));
    node.set("upper", JsonParts.finite(interval.upper()));
    return node;
  }

  private static void prior(ObjectNode node, BetaPrior prior) {
    node.putArray("prior").add(prior.a()).add(prior.b());
  }
}
