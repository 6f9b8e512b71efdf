package dev.tavik.study;

import dev.tavik.bayes.SamplingPlan;
import dev.tavik.count.CrossTable;
import dev.tavik.result.DeclinedException;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The Bayesian view of an association.
 *
 * @param plan how the counts were collected, which changes the number
 * @param prior the prior parameter of every cell
 * @param logBayesFactor ln of the Bayes factor, association over independence
 * @param plans the same under every plan
 * @param conclusion in words what the Bayes factor favours
 */
public record CrossBayes(
    SamplingPlan plan,
    double prior,
    double logBayesFactor,
    List<UnderPlan> plans,
    String conclusion) {
  /** Copies the list. */
  public CrossBayes {
    plans = List.copyOf(plans);
  }

  /**
   * What is asked.
   *
   * @param plan how the counts were collected
   * @param prior the prior parameter of every cell, 10⁻⁶ to 10⁹
   */
  public record Settings(SamplingPlan plan, double prior) {
    /**
     * Checks the prior.
     *
     * @throws IllegalArgumentException if it is out of its range
     */
    public Settings {
      SamplingPlan.requirePrior(prior);
    }
  }

  /**
   * The Bayes factor under one plan.
   *
   * @param plan the plan
   * @param logBayesFactor ln of the Bayes factor; null where it was refused
   * @param refused why there is none; null where there is one
   */
  public record UnderPlan(
      SamplingPlan plan, @Nullable Double logBayesFactor, @Nullable String refused) {
    private static UnderPlan of(SamplingPlan plan, CrossTable table, double prior) {
      try {
        return new UnderPlan(plan, plan.logBayesFactor(table, prior), null);
      } catch (DeclinedException e) {
        return new UnderPlan(plan, null, e.reason());
      }
    }
  }

  static CrossBayes of(CrossTable table, Settings settings) {
    List<UnderPlan> plans = new ArrayList<>();
    for (SamplingPlan plan : SamplingPlan.values()) {
      plans.add(UnderPlan.of(plan, table, settings.prior()));
    }
    UnderPlan own =
        plans.stream().filter(each -> each.plan() == settings.plan()).findFirst().orElseThrow();
    Double log = own.logBayesFactor();
    if (log == null) {
      throw new IllegalArgumentException(
          "the Bayes factor for sampling " + settings.plan().id() + " " + own.refused());
    }
    return new CrossBayes(
        settings.plan(),
        settings.prior(),
        log,
        plans,
        "With "
            + settings.plan().words()
            + ": "
            + Likelier.words(log, "an association", "independence").replaceFirst("^The", "the"));
  }

  /**
   * Which hypothesis the Bayes factor favours.
   *
   * @return {@code null}, independence, or {@code alternative}
   */
  public String favours() {
    return logBayesFactor < 0 ? "null" : "alternative";
  }
}
