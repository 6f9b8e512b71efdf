package dev.tavik.survey;

import dev.tavik.count.SampleDesign.Lone;
import dev.tavik.count.SparseRows;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.SurveyCounts.ByCluster;
import dev.tavik.count.SurveyCounts.ByUnit;
import dev.tavik.count.SurveyCounts.Stratum;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.function.IntUnaryOperator;

/**
 * The variance of linearised values: with z the sum over a cluster of each row's weight times the
 * slope of its combination, the covariance is Σ (1 - f) n/(n - 1) Σ (z - z̄)(z - z̄)ᵀ, over the
 * strata and their n clusters, a share f of all.
 *
 * <p>The slopes of a function that doesn't depend on the scale of the weights make the z of all
 * clusters sum to 0, which is the mean from which a stratum of one cluster may be measured.
 */
abstract class LinearisedVariance implements VarianceEstimator {
  final SurveyCounts counts;
  final List<Stratum> strata;
  private final Lone lone;
  private final BitSet[] strataOf;

  /**
   * Begins with what both kinds of sums share.
   *
   * @param sums the sums of weights, a row a cluster or a stratum
   * @param stratumOf the stratum of each row of the sums
   * @param unit what is drawn within a stratum, for a refusal
   */
  LinearisedVariance(
      SurveyCounts counts, SparseRows sums, IntUnaryOperator stratumOf, String unit) {
    this.counts = counts;
    this.strata = counts.strata();
    this.lone = counts.design().lone();
    this.strataOf = strataOf(counts, sums, stratumOf);
    requireSample();
    requireTwo();
    boolean[] all = new boolean[counts.combinations().size()];
    Arrays.fill(all, true);
    if (!(df(all) >= 1)) {
      throw new NotApplicableException(
          NotApplicableReason.NO_DEGREES_OF_FREEDOM,
          strata.stream().mapToLong(Stratum::clusters).sum(),
          unit,
          strata.size());
    }
  }

  /** The variance of sums by cluster, or of sums by stratum where each row is a cluster. */
  static LinearisedVariance of(SurveyCounts counts) {
    return counts.sums() instanceof ByCluster clusters
        ? new ClusterVariance(counts, clusters)
        : new RowVariance(counts, (ByUnit) counts.sums());
  }

  /** A census has no spread from sample to sample. */
  private void requireSample() {
    if (strata.stream().allMatch(each -> each.unsampled() == 0)) {
      throw new NotApplicableException(NotApplicableReason.WHOLE_POPULATION);
    }
  }

  private void requireTwo() {
    List<String> alone =
        strata.stream()
            .filter(each -> each.clusters() == 1 && each.unsampled() > 0)
            .map(each -> each.name().isEmpty() ? "the whole" : "'" + each.name() + "'")
            .toList();
    if (lone == Lone.FAIL && !alone.isEmpty() && strata.size() > 1) {
      throw new NotApplicableException(NotApplicableReason.LONE_CLUSTERS, alone);
    }
  }

  @Override
  public double df(boolean[] part) {
    double[] wanted = new double[part.length];
    for (int c = 0; c < part.length; c++) {
      wanted[c] = part[c] ? 1 : 0;
    }
    double[] counted = counts.counted(wanted);
    BitSet some = new BitSet();
    for (int c = 0; c < counted.length; c++) {
      if (counted[c] > 0) {
        some.or(strataOf[c]);
      }
    }
    return some.stream().mapToLong(h -> strata.get(h).clusters() - 1).sum();
  }

  /** The strata in which each combination occurs. */
  private static BitSet[] strataOf(
      SurveyCounts counts, SparseRows sums, IntUnaryOperator stratumOf) {
    BitSet[] strataOf = new BitSet[counts.counted(new double[counts.combinations().size()]).length];
    Arrays.setAll(strataOf, c -> new BitSet());
    for (int row = 0; row < sums.rows(); row++) {
      for (int entry = sums.begin(row); entry < sums.begin(row + 1); entry++) {
        strataOf[sums.column(entry)].set(stratumOf.applyAsInt(row));
      }
    }
    return strataOf;
  }

  /** The weight of a stratum's squared distances: of a single cluster as the design says. */
  final double ofRows(Stratum stratum) {
    return stratum.clusters() == 1
        ? lone == Lone.CENTRE ? stratum.unsampled() : 0
        : stratum.unsampled() * stratum.clusters() / (stratum.clusters() - 1.0);
  }
}
