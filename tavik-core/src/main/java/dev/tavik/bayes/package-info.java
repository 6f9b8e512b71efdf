/**
 * The Bayesian view of the same questions: priors, Bayes factors, posteriors and credible
 * intervals.
 *
 * <pre>{@code
 * BetaPrior prior = BetaPrior.UNIFORM;
 * double log = RateBayesFactor.log(Tally.of(14, 400), Hypothesis.less(0.05), prior);
 * BetaPosterior posterior = prior.posterior(Tally.of(14, 400));
 * Credible interval = posterior.equalTailed(0.95);
 * double ofShares = DirichletPrior.uniform(3).logBayesFactor(counts, claimed); // whole: 4, 3, 3
 * ComparedRates both = ComparedRates.of(prior, Tally.of(14, 400), Tally.of(31, 410));
 * double firstHigher = both.above(Estimand.DIFFERENCE, 0);
 * double ofTable = SamplingPlan.TOTAL.logBayesFactor(table, 1);
 * }</pre>
 *
 * <h2>Inside</h2>
 *
 * <p>A Bayes factor is a difference of log densities at values where the likelihoods cancel, so
 * that it keeps its digits at any n. Tails are continued fractions on the smaller side, for many
 * trials an integral of the density's shape; a {@code BetaPosterior} may be cut at a value. {@code
 * ComparedRates} integrates one density times the other's tail along an {@code EqualLine} (all
 * pairs of rates with one difference, ratio or odds ratio) by the trapezoidal rule over the logit,
 * and searches limits on that. {@code BayesFactorPath} follows a tail from observation to
 * observation and computes it anew where digits would be lost. {@code SamplingPlan} has Gunel and
 * Dickey's factors; {@code FixedMargins} sums over the tables with given margins.
 */
@NullMarked
package dev.tavik.bayes;

import org.jspecify.annotations.NullMarked;
