package dev.tavik.survey;

/** hᵀV⁻¹h by Cholesky's decomposition. */
final class QuadraticForm {
  /** A pivot that is so much less than its variance is 0 but for rounding. */
  private static final double SINGULAR = 1e-12;

  private QuadraticForm() {}

  /**
   * The form.
   *
   * @param vector h
   * @param covariance V
   * @param some positions of the parts that are taken of both
   * @return the value; NaN where V is not positive definite but for rounding
   */
  static double of(double[] vector, double[][] covariance, int[] some) {
    int size = some.length;
    double[][] root = new double[size][size];
    double[] solved = new double[size];
    double sum = 0;
    for (int i = 0; i < size; i++) {
      for (int j = 0; j <= i; j++) {
        double rest = covariance[some[i]][some[j]] - product(root[i], root[j], j);
        if (i == j) {
          if (!(rest > SINGULAR * covariance[some[i]][some[i]])) {
            return Double.NaN;
          }
          root[i][i] = Math.sqrt(rest);
        } else {
          root[i][j] = rest / root[j][j];
        }
      }
      solved[i] = (vector[some[i]] - product(root[i], solved, i)) / root[i][i];
      sum += solved[i] * solved[i];
    }
    return sum;
  }

  private static double product(double[] one, double[] other, int length) {
    double sum = 0;
    for (int k = 0; k < length; k++) {
      sum += one[k] * other[k];
    }
    return sum;
  }
}
