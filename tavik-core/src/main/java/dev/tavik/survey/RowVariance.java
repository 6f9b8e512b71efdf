package dev.tavik.survey;

import dev.tavik.count.SurveyCounts;
import dev.tavik.count.SurveyCounts.ByUnit;
import dev.tavik.count.SurveyCounts.Stratum;
import java.util.Arrays;

/**
 * The variance where each row is a cluster: the sums of weights and of their squares in each
 * stratum are enough for it.
 */
final class RowVariance extends LinearisedVariance {
  private final ByUnit units;

  RowVariance(SurveyCounts counts, ByUnit units) {
    super(counts, units.sums(), row -> row, "row");
    this.units = units;
  }

  @Override
  public double[][] covariance(FunctionOfSums function) {
    Slopes slopes = Slopes.of(function, counts);
    double[][] covariance = new double[slopes.values()][slopes.values()];
    double[] mean = new double[slopes.values()];
    for (int h = 0; h < strata.size(); h++) {
      double factor = ofRows(strata.get(h));
      slopes.addProducts(units.squares(), h, factor, covariance);
      slopes.linearise(units.sums(), h, mean);
      Products.add(mean, -factor * ofMean(strata.get(h)), covariance);
    }
    return Products.mirrored(covariance);
  }

  @Override
  public double[] variances(FunctionOfSums function) {
    Slopes slopes = Slopes.of(function, counts);
    double[] variances = new double[slopes.values()];
    double[] mean = new double[slopes.values()];
    for (int h = 0; h < strata.size(); h++) {
      double factor = ofRows(strata.get(h));
      slopes.addSquares(units.squares(), h, factor, variances);
      slopes.linearise(units.sums(), h, mean);
      Products.add(mean, -factor * ofMean(strata.get(h)), variances);
    }
    // Where all rows are alike, rounding may leave a variance just below 0.
    Arrays.setAll(variances, v -> variances[v] < 0 ? 0 : variances[v]);
    return variances;
  }

  /** The weight of a stratum's squared sum against its squares. */
  private static double ofMean(Stratum stratum) {
    return stratum.clusters() == 1 ? 0 : 1.0 / stratum.clusters();
  }
}
