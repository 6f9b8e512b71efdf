package dev.tavik.tail;

import dev.tavik.numeric.ChiSquare;
import dev.tavik.numeric.NoncentralChiSquare;

/** Chi-square, central or not. */
record ChiSquareShape(double df, double noncentrality) implements Shape {
  @Override
  public Support support() {
    return Support.HALF_LINE;
  }

  @Override
  public double logLower(double x) {
    if (x <= 0) {
      return Double.NEGATIVE_INFINITY;
    }
    return noncentrality == 0
        ? ChiSquare.logLower(x, df)
        : Math.log(NoncentralChiSquare.lower(x, df, noncentrality));
  }

  @Override
  public double logUpper(double x) {
    if (x <= 0) {
      return 0;
    }
    return noncentrality == 0
        ? ChiSquare.logUpper(x, df)
        : Math.log(NoncentralChiSquare.upper(x, df, noncentrality));
  }

  @Override
  public double least() {
    return 0;
  }

  @Override
  public double greatest() {
    return Double.POSITIVE_INFINITY;
  }
}
