package dev.tavik.tail;

import dev.tavik.numeric.Beta;
import dev.tavik.numeric.DecimalFraction;

/** Fisher's F, the odds of a beta distribution. */
record FisherShape(double above, double below) implements Shape {
  /** Beyond, one minus a share is 1. */
  private static final double FAR = 300;

  @Override
  public Support support() {
    return Support.HALF_LINE;
  }

  private DecimalFraction share(double x) {
    // Of both ratios the one below 1, since a product may pass the largest number.
    double logOdds = Math.log(above) + Math.log(x) - Math.log(below);
    if (logOdds > FAR) {
      double rest = Math.max(Double.MIN_NORMAL, Math.exp(-logOdds));
      return new DecimalFraction(1 - rest, 0, rest);
    }
    if (logOdds < -FAR) {
      double share = Math.max(Double.MIN_NORMAL, Math.exp(logOdds));
      return new DecimalFraction(share, 0, 1 - share);
    }
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
