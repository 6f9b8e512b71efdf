package dev.tavik.tail;

import dev.tavik.numeric.Beta;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.LogSpace;
import org.apache.commons.numbers.gamma.LogBeta;

/** Student's t, whose square is a beta distribution's odds. */
record StudentShape(double df) implements Shape {
  /** In units of √df. */
  private static final double VERY_FAR = 1e10;

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
    if (Math.abs(x) > VERY_FAR * Math.sqrt(df)) {
      double very = logVeryFar(Math.abs(x));
      return x > 0 ? very : LogSpace.complement(very);
    }
    double square = x * x;
    DecimalFraction share = new DecimalFraction(df / (df + square), 0, square / (df + square));
    double far = Math.log(0.5) + new Beta(df / 2, 0.5).logLower(share);
    return x > 0 ? far : LogSpace.complement(far);
  }

  /** With w = df/x² too small to matter beside 1: ½ w^a/(a B(a, ½)), a = df/2. */
  private double logVeryFar(double x) {
    double a = df / 2;
    return Math.log(0.5)
        + a * (Math.log(df) - 2 * Math.log(x))
        - Math.log(a)
        - LogBeta.value(a, 0.5);
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
