package dev.tavik.survey;

import dev.tavik.count.SurveyCounts;

/**
 * The spread of replicates about the full sample: Σ c (θᵣ - θ)(θᵣ - θ)ᵀ, each replicate's θᵣ worked
 * out anew, c as {@link dev.tavik.count.Replication} says.
 */
record ReplicateVariance(SurveyCounts counts, SurveyCounts.ByReplicate replicates)
    implements VarianceEstimator {
  @Override
  public double[][] covariance(FunctionOfSums statistic) {
    double[] full = statistic.values(counts.totals());
    double[][] covariance = new double[full.length][full.length];
    int count = replicates.replicates();
    for (int r = 0; r < count; r++) {
      double[] away = statistic.values(counts.summed(replicates.sums(r)));
      for (int i = 0; i < full.length; i++) {
        away[i] -= full[i];
      }
      Products.add(away, replicates.replication().scale(r, count), covariance);
    }
    return Products.mirrored(covariance);
  }

  @Override
  public double[] variances(FunctionOfSums statistic) {
    double[] full = statistic.values(counts.totals());
    double[] variances = new double[full.length];
    int count = replicates.replicates();
    for (int r = 0; r < count; r++) {
      double[] away = statistic.values(counts.summed(replicates.sums(r)));
      for (int i = 0; i < full.length; i++) {
        away[i] -= full[i];
      }
      Products.add(away, replicates.replication().scale(r, count), variances);
    }
    return variances;
  }

  @Override
  public double df(boolean[] part) {
    return replicates.replication().df(replicates.replicates());
  }
}
