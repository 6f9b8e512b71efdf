package dev.tavik.tail;

import dev.tavik.numeric.Beta;
import dev.tavik.numeric.DecimalFraction;

/** A beta distribution. */
record BetaShape(Beta beta) implements Shape {
  @Override
  public Support support() {
    return Support.UNIT;
  }

  @Override
  public double logLower(double x) {
    return x <= 0 ? Double.NEGATIVE_INFINITY : beta.logLower(DecimalFraction.of(x));
  }

  @Override
  public double logUpper(double x) {
    return x <= 0 ? 0 : beta.logUpper(DecimalFraction.of(x));
  }

  @Override
  public double least() {
    return 0;
  }

  @Override
  public double greatest() {
    return 1;
  }

  double value(double logBelow, double logAbove) {
    return beta.quantile(logBelow, logAbove);
  }
}
