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
 * ComparedRates both = ComparedRates.of(prior, Tally.of(14, 400), Tally.of(31, 410));
 * double firstHigher = both.above(Quantity.DIFFERENCE, 0);
 * double ofTable = SamplingPlan.TOTAL.logBayesFactor(table, 1);
 * }</pre>
 */
@NullMarked
package dev.tavik.bayes;

import org.jspecify.annotations.NullMarked;
