package dev.tavik.survey;

/** Sums of products of a vector with itself: the lower half of a matrix, then the whole. */
final class Products {
  private Products() {}

  static void add(double[] vector, double weight, double[][] to) {
    for (int i = 0; i < vector.length; i++) {
      double scaled = weight * vector[i];
      if (scaled != 0) {
        double[] row = to[i];
        for (int j = 0; j <= i; j++) {
          row[j] += scaled * vector[j];
        }
      }
    }
  }

  /** Squares alone. */
  static void add(double[] vector, double weight, double[] to) {
    for (int i = 0; i < vector.length; i++) {
      to[i] += weight * vector[i] * vector[i];
    }
  }

  static double[][] mirrored(double[][] lower) {
    for (int i = 0; i < lower.length; i++) {
      for (int j = 0; j < i; j++) {
        lower[j][i] = lower[i][j];
      }
    }
    return lower;
  }
}
