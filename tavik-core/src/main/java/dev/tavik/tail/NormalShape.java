package dev.tavik.tail;

import dev.tavik.numeric.Normal;

/** A normal distribution. */
record NormalShape(double mean, double deviation) implements Shape {
  @Override
  public Support support() {
    return Support.LINE;
  }

  @Override
  public double logLower(double x) {
    return Normal.logUpper((mean - x) / deviation);
  }

  @Override
  public double logUpper(double x) {
    return Normal.logUpper((x - mean) / deviation);
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
