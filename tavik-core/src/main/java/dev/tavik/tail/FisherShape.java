package dev.tavik.tail;

import dev.tavik.numeric.Beta;
import dev.tavik.numeric.DecimalFraction;

/** Fisher's F, the odds of a beta distribution. */
record FisherShape(double above, double below) implements Shape {
  @Override
  public Support support() {
    return Support.HALF_LINE;
  }

  private DecimalFraction share(double x) {
    double odds = above * x;
    return new DecimalFraction(odds / (odds + below), 0, below / (odds + below));
  }

  private Beta beta() {
    return new Beta(above / 2, below / 2);
  }

  @Override
  public double logLower(double x) {
    return x <= 0 ? Double.NEGATIVE_INFINITY : beta().logLower(share(x));
  }

  @Override
  public double logUpper(double x) {
    return x <= 0 ? 0 : beta().logUpper(share(x));
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
