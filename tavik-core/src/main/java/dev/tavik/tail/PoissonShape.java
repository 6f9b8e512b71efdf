package dev.tavik.tail;

import dev.tavik.numeric.ChiSquare;

/** Poisson counts, whose tails are those of chi-square at twice the mean. */
record PoissonShape(double mean) implements Shape {
  @Override
  public Support support() {
    return Support.COUNTS;
  }

  @Override
  public double logLower(double x) {
    return ChiSquare.logUpper(2 * mean, 2 * x + 2);
  }

  @Override
  public double logUpper(double x) {
    return x <= 0 ? 0 : ChiSquare.logLower(2 * mean, 2 * x);
  }

  @Override
  public double least() {
    return 0;
  }

  @Override
  public double greatest() {
    return Double.POSITIVE_INFINITY;
  }

  @Override
  public double reach() {
    return Math.ceil(mean + 60 * Math.sqrt(mean)) + 2000;
  }
}
