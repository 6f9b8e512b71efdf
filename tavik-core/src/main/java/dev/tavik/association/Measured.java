package dev.tavik.association;

/** A measure and its asymptotic standard error; NaN where there is none. */
record Measured(double value, double standardError) {
  static Measured alone(double value) {
    return new Measured(value, Double.NaN);
  }
}
