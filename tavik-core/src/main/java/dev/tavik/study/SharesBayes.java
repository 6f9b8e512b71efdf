package dev.tavik.study;

import dev.tavik.association.Shares;
import dev.tavik.bayes.BetaPosterior;
import dev.tavik.bayes.Credible;
import dev.tavik.bayes.DirichletPrior;
import dev.tavik.count.CategoryCounts;
import java.util.ArrayList;
import java.util.List;

/**
 * The Bayesian view of claimed shares.
 *
 * @param prior what was believed of the shares before the data, were they not as claimed
 * @param logBayesFactor ln of the Bayes factor, any shares over the claimed ones
 * @param posteriors what is believed of each share after the data
 * @param conclusion in words what the Bayes factor favours
 */
public record SharesBayes(
    DirichletPrior prior, double logBayesFactor, List<Posterior> posteriors, String conclusion) {
  /** Copies the list. */
  public SharesBayes {
    posteriors = List.copyOf(posteriors);
  }

  /**
   * What is believed of one share after the data.
   *
   * @param label the category
   * @param mean its mean
   * @param median its median
   * @param credible its interval with equal tails, one at a time
   */
  public record Posterior(String label, double mean, double median, Credible credible) {}

  static SharesBayes of(CategoryCounts counts, Shares claimed, DirichletPrior prior, double level) {
    double log = prior.logBayesFactor(counts, claimed.parts());
    List<Posterior> posteriors = new ArrayList<>();
    for (int i = 0; i < counts.size(); i++) {
      BetaPosterior share = prior.posterior(counts, i);
      posteriors.add(
          new Posterior(
              counts.levels().get(i), share.mean(), share.median(), share.equalTailed(level)));
    }
    return new SharesBayes(
        prior,
        log,
        posteriors,
        Likelier.words(log, "shares that may be anything", "the claimed shares"));
  }

  /**
   * Which hypothesis the Bayes factor favours.
   *
   * @return {@code null}, the claimed shares, or {@code alternative}
   */
  public String favours() {
    return logBayesFactor < 0 ? "null" : "alternative";
  }
}
