/**
 * Tests and confidence intervals for one, two and paired proportions. Every method of a family is a
 * constant of one enum, so that they can be listed and compared.
 *
 * <pre>{@code
 * Tally cracked = Tally.of(14, 400);
 * TestResult test = ProportionTest.SCORE.of(cracked, Hypothesis.less(0.05));
 * Interval interval = ProportionInterval.WILSON.of(cracked, 0.95);
 * }</pre>
 *
 * <p>Tests, in {@link dev.tavik.proportion.ProportionTest}: {@code score} (Wilson 1927), {@code
 * score-cc} (Yates 1934), {@code wald} (Wald 1943), {@code exact} (Sterne 1954), {@code
 * exact-doubled} (Clopper and Pearson 1934), {@code exact-blaker} (Blaker 2000), {@code mid-p}
 * (Lancaster 1961), {@code likelihood-ratio} (Wilks 1938).
 *
 * <p>Intervals, in {@link dev.tavik.proportion.ProportionInterval}: {@code wald} (Laplace 1812),
 * {@code wald-cc}, {@code wilson-cc} (Newcombe 1998), {@code wilson} (Wilson 1927), {@code
 * agresti-coull} (Agresti and Coull 1998), {@code clopper-pearson} (1934), {@code mid-p} (Berry and
 * Armitage 1995), {@code jeffreys} (Brown, Cai and DasGupta 2001), {@code blaker} (Blaker 2000),
 * {@code likelihood} (Wilks 1938).
 *
 * <p>For a sample drawn without replacement from a finite lot, {@link
 * dev.tavik.proportion.FinitePopulationTest} and {@link dev.tavik.proportion.LotInterval} have the
 * forms of {@code score}, {@code exact}, {@code wilson} and {@code clopper-pearson}.
 *
 * <p>Two independent proportions, the first against the second:
 *
 * <pre>{@code
 * Tally north = Tally.of(14, 400);
 * Tally south = Tally.of(31, 410);
 * TestResult test = TwoProportionTest.FISHER.of(north, south, Hypothesis.noDifference());
 * Interval difference = ComparisonInterval.DIFFERENCE_NEWCOMBE.of(north, south, 0.95);
 * Estimate odds = ComparisonEstimate.CONDITIONAL_ODDS_RATIO.of(north, south);
 * }</pre>
 *
 * <p>{@link dev.tavik.proportion.TwoProportionTest} has the tests, {@link
 * dev.tavik.proportion.ComparisonInterval} the intervals of differences, ratios and odds ratios,
 * {@link dev.tavik.proportion.HomogeneityTest} the tests of several groups, {@link
 * dev.tavik.proportion.PairedTest} and {@link dev.tavik.proportion.PairedDifferenceInterval} those
 * of the same units judged twice. Each constant names its paper.
 *
 * <h2>Inside</h2>
 *
 * <p>{@code TwoTallies} has what all methods of two proportions share, with differences taken of
 * whole numbers. {@code RestrictedDifference} finds the likeliest pair with a given difference,
 * {@code ScoreLimits} the differences that lie z standard errors away. Fisher's test is the exact
 * test of a hypergeometric distribution, a noncentral one has the odds ratio. {@code
 * UnconditionalTest} turns an order of tables into one conditional probability a total ({@code
 * ConditionalWeights}), and {@code SizeSupremum} finds the supremum over the common proportion by
 * branch and bound, with a proved bound on the curvature.
 *
 * <p>A limit is found over the log odds: by Newton's method where the slope of the tail that it
 * inverts is known, as of binomial and conditional tails, else by search in {@code LimitSearch};
 * critical counts in {@code RejectionRegion}, by bisection, asking the test itself. Binomial and
 * hypergeometric are both a {@code CountDistribution}, so that exact tests and regions are written
 * once. Exact power of two groups is in {@code CriticalPairs}: {@code RowwiseRegion} for tests that
 * are monotone, {@code CellwiseRegion} for the one that isn't, {@code TotalwiseRegion} for Fisher's
 * and Boschloo's.
 */
@NullMarked
package dev.tavik.proportion;

import org.jspecify.annotations.NullMarked;
