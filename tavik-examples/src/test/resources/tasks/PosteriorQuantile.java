package dev.tavik.examples.tasks;

import dev.tavik.bayes.BetaPosterior;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.count.Tally;

/** A posterior's quantile. */
public final class PosteriorQuantile {
  public static String run() throws Exception {
    BetaPosterior posterior = BetaPrior.JEFFREYS.posterior(Tally.of(14, 400));
    return posterior.quantile(0.95) + ", above 5 %: " + posterior.probabilityAbove(0.05);
  }
}
