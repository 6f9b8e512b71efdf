package dev.tavik.report;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.Credible;
import dev.tavik.bayes.Evidence;
import dev.tavik.result.Quantity;
import dev.tavik.study.RateBayes;
import dev.tavik.study.SharesBayes;

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
    var region = bayes.region();
    if (region != null) {
      node.putArray("region").add(region.low()).add(region.high());
      node.put("probabilityInside", bayes.probabilityInside());
    }
    ArrayNode sensitivity = node.putArray("sensitivity");
    for (RateBayes.Sensitivity each : bayes.sensitivity()) {
      ObjectNode one = sensitivity.addObject();
      prior(one, each.prior());
      one.put("logBayesFactor", each.logBayesFactor());
    }
    return node.put("conclusion", bayes.conclusion());
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

  private static void factor(ObjectNode node, double log, String favours) {
    node.put("logBayesFactor", log);
    node.set("bayesFactor", JsonParts.finite(Math.exp(Math.abs(log))));
    node.put("inverse", Math.exp(-Math.abs(log)));
    node.put("favours", favours);
    node.put("evidence", Evidence.of(log).words());
  }

  private static ObjectNode credible(Credible interval) {
    return JsonParts.NODES
        .objectNode()
        .put("kind", interval.kind().id())
        .put("level", interval.level())
        .put("lower", interval.lower())
        .put("upper", interval.upper());
  }

  private static void prior(ObjectNode node, BetaPrior prior) {
    node.putArray("prior").add(prior.a()).add(prior.b());
  }
}
