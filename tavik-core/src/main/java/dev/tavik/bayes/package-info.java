/**
 * The Bayesian view of the same questions: priors, Bayes factors, posteriors and credible
 * intervals.
 *
 * <pre>{@code
 * BetaPrior prior = BetaPrior.uniform();
 * double log = RateBayesFactor.log(Tally.of(14, 400), Hypothesis.less(0.05), prior);
 * BetaPosterior posterior = prior.posterior(Tally.of(14, 400));
 * Credible interval = posterior.equalTailed(0.95);
 * double ofShares = DirichletPrior.uniform(3).logBayesFactor(counts, claimed);
 * }</pre>
 */
@NullMarked
package dev.tavik.bayes;

import org.jspecify.annotations.NullMarked;
