package dev.tavik.report;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.Evidence;
import dev.tavik.result.Quantity;
import dev.tavik.study.RateBayes;

/** The JSON of Bayesian views. */
final class BayesJson {
  private BayesJson() {}

  static ObjectNode of(RateBayes bayes) {
    ObjectNode node = JsonParts.NODES.objectNode();
    prior(node, bayes.prior());
    node.put("logBayesFactor", bayes.logBayesFactor());
    node.set("bayesFactor", JsonParts.finite(Math.exp(Math.abs(bayes.logBayesFactor()))));
    node.put("inverse", Math.exp(-Math.abs(bayes.logBayesFactor())));
    node.put("favours", bayes.favours());
    node.put("evidence", Evidence.of(bayes.logBayesFactor()).words());
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
      posterior
          .credible()
          .forEach(
              interval ->
                  credible
                      .addObject()
                      .put("kind", interval.kind().id())
                      .put("level", interval.level())
                      .put("lower", interval.lower())
                      .put("upper", interval.upper()));
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

  private static void prior(ObjectNode node, BetaPrior prior) {
    node.putArray("prior").add(prior.a()).add(prior.b());
  }
}
