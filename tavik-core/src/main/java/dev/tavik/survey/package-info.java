/**
 * The same questions of a sample with weights, strata and clusters. Begin with {@link
 * dev.tavik.survey.DesignedSample}.
 *
 * <pre>{@code
 * DesignedSample sample = DesignedSample.of(counts);
 * DesignedProportion reorder = sample.proportion(all -> true, unit -> unit.get(0).equals("yes"));
 * SurveyInterval.LOGIT.of(reorder, 0.95, Side.TWO_SIDED);                      // -> Interval
 * }</pre>
 *
 * <p>An estimate is a ratio of weighted sums, or a smooth function of such ratios. Its variance is
 * that of its linearised value between the clusters of a stratum (Woodruff 1971, "A Simple Method
 * for Approximating the Variance of a Complicated Estimate", Journal of the American Statistical
 * Association 66, 411-414; Binder 1983, International Statistical Review 51, 279-292), of first
 * stages only, whatever was drawn within them; or that between replicates. Degrees of freedom are
 * clusters less strata, of the strata that have rows of what is asked about: a part of the
 * population that lies in one stratum is known from that one's clusters.
 */
@NullMarked
package dev.tavik.survey;

import org.jspecify.annotations.NullMarked;
