package dev.tavik.survey;

import dev.tavik.count.SurveyCounts;
import dev.tavik.count.SurveyCounts.ByCluster;
import dev.tavik.count.SurveyCounts.Stratum;
import java.util.Arrays;

/** The variance from sums by cluster, stratum by stratum. */
final class ClusterVariance extends LinearisedVariance {
  private final ByCluster clusters;

  /** The clusters stratum by stratum, and where each stratum begins. */
  private final int[] inOrder;

  private final int[] first;

  ClusterVariance(SurveyCounts counts, ByCluster clusters) {
    super(counts, clusters.sums(), clusters.stratumOf()::get, "cluster");
    this.clusters = clusters;
    this.first = new int[strata.size() + 1];
    this.inOrder = new int[clusters.clusters()];
    for (int h : clusters.stratumOf()) {
      first[h + 1]++;
    }
    for (int h = 0; h < strata.size(); h++) {
      first[h + 1] += first[h];
    }
    int[] next = first.clone();
    for (int i = 0; i < inOrder.length; i++) {
      inOrder[next[clusters.stratumOf().get(i)]++] = i;
    }
  }

  @Override
  public double[][] covariance(FunctionOfSums function) {
    Slopes slopes = Slopes.of(function, counts);
    double[][] covariance = new double[slopes.values()][slopes.values()];
    add(slopes, (z, weight) -> Products.add(z, weight, covariance));
    return Products.mirrored(covariance);
  }

  @Override
  public double[] variances(FunctionOfSums function) {
    Slopes slopes = Slopes.of(function, counts);
    double[] variances = new double[slopes.values()];
    add(slopes, (z, weight) -> Products.add(z, weight, variances));
    return variances;
  }

  /** Adds the products of every cluster's distances from the mean of its stratum. */
  private void add(Slopes slopes, Adder adder) {
    double[] mean = new double[slopes.values()];
    double[] z = new double[slopes.values()];
    for (int h = 0; h < strata.size(); h++) {
      Stratum stratum = strata.get(h);
      boolean single = stratum.clusters() == 1;
      double factor = ofRows(stratum);
      Arrays.fill(mean, 0);
      for (int i = first[h]; i < first[h + 1] && !single; i++) {
        slopes.linearise(clusters.sums(), inOrder[i], z);
        for (int v = 0; v < z.length; v++) {
          mean[v] += z[v] / stratum.clusters();
        }
      }
      for (int i = first[h]; i < first[h + 1] && factor > 0; i++) {
        slopes.linearise(clusters.sums(), inOrder[i], z);
        for (int v = 0; v < z.length; v++) {
          z[v] -= mean[v];
        }
        adder.add(z, factor);
      }
    }
  }

  /** Adds the products of a vector with itself, weighted. */
  private interface Adder {
    void add(double[] vector, double weight);
  }
}
