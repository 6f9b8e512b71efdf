package dev.tavik.tail;

import dev.tavik.numeric.CountDistribution;

/** A distribution of counts that has its own tails. */
record CountShape(CountDistribution counts) implements Shape {
  @Override
  public Support support() {
    return Support.COUNTS;
  }

  @Override
  public double logLower(double x) {
    return counts.logLower((long) x);
  }

  @Override
  public double logUpper(double x) {
    return counts.logUpper((long) x);
  }

  @Override
  public double least() {
    return counts.least();
  }

  @Override
  public double greatest() {
    return counts.greatest();
  }
}
