package dev.tavik.survey;

/**
 * Holds how far the weighted shares of categories or cells are from what a null hypothesis says.
 *
 * @param rows how many rows were counted, weights left aside
 * @param pearson Pearson's statistic of the weighted shares, times the number of rows
 * @param categories the degrees of freedom of Pearson's statistic
 * @param effects the sum of the generalised design effects: the eigenvalues of the covariance of
 *     the deviations in units of that of a simple random sample under the null
 * @param squaredEffects the sum of their squares
 * @param wald the deviations weighed by the inverse of their own covariance; NaN where that has
 *     none
 * @param df the degrees of freedom of the design
 */
public record DesignedDeviation(
    long rows,
    double pearson,
    int categories,
    double effects,
    double squaredEffects,
    double wald,
    double df) {

  /** {@return the mean generalised design effect} */
  public double meanEffect() {
    return effects / categories;
  }

  /**
   * From deviations, what is expected, and covariances.
   *
   * @param away the deviations
   * @param expected the expected share of each
   * @param covariance their covariances
   * @param some positions of as many deviations as are free, the others following from them
   */
  static DesignedDeviation of(
      long rows, double[] away, double[] expected, double[][] covariance, int[] some, double df) {
    double pearson = 0;
    double effects = 0;
    double squared = 0;
    for (int a = 0; a < away.length; a++) {
      if (expected[a] == 0) {
        continue;
      }
      pearson += rows * away[a] * away[a] / expected[a];
      effects += rows * covariance[a][a] / expected[a];
      for (int b = 0; b < away.length; b++) {
        double effect = rows * covariance[a][b];
        squared += expected[b] == 0 ? 0 : effect * effect / expected[a] / expected[b];
      }
    }
    return new DesignedDeviation(
        rows, pearson, some.length, effects, squared, QuadraticForm.of(away, covariance, some), df);
  }
}
