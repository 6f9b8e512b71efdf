package dev.tavik.survey;

import dev.tavik.count.SurveyCounts;

/** Says how much a function of weighted sums varies from sample to sample. */
interface Spread {
  /** The covariances of the values of a function. */
  double[][] covariance(Statistic statistic);

  /** The degrees of freedom behind them. */
  double df();

  /** Returns the spread of such counts. */
  static Spread of(SurveyCounts counts) {
    return counts.sums() instanceof SurveyCounts.ByReplicate replicates
        ? new ReplicateSpread(counts, replicates)
        : new LinearisedSpread(counts);
  }
}
