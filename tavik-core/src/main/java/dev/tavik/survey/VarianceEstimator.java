package dev.tavik.survey;

import dev.tavik.count.SurveyCounts;

/** Says how much a function of weighted sums varies from sample to sample. */
interface VarianceEstimator {
  /** The covariances of the values of a function. */
  double[][] covariance(FunctionOfSums statistic);

  /** Their variances alone. */
  double[] variances(FunctionOfSums statistic);

  /**
   * The degrees of freedom behind them: clusters less strata, of the strata that have rows of a
   * part of the sample. Others add nothing to its variance, and know nothing of it.
   *
   * @param part whether each combination is in the part
   */
  double df(boolean[] part);

  /** Returns the spread of such counts. */
  static VarianceEstimator of(SurveyCounts counts) {
    return counts.sums() instanceof SurveyCounts.ByReplicate replicates
        ? new ReplicateVariance(counts, replicates)
        : LinearisedVariance.of(counts);
  }
}
