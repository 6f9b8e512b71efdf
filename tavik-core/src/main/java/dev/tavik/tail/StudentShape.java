package dev.tavik.tail;

import dev.tavik.numeric.Beta;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.LogSpace;

/** Student's t, whose square is a beta distribution's odds. */
record StudentShape(double df) implements Shape {
  @Override
  public Support support() {
    return Support.LINE;
  }

  @Override
  public double logLower(double x) {
    return logUpper(-x);
  }

  @Override
  public double logUpper(double x) {
    if (x == 0) {
      return Math.log(0.5);
    }
    double square = x * x;
    DecimalFraction share = new DecimalFraction(df / (df + square), 0, square / (df + square));
    double far = Math.log(0.5) + new Beta(df / 2, 0.5).logLower(share);
    return x > 0 ? far : LogSpace.complement(far);
  }

  @Override
  public double least() {
    return Double.NEGATIVE_INFINITY;
  }

  @Override
  public double greatest() {
    return Double.POSITIVE_INFINITY;
  }
}
