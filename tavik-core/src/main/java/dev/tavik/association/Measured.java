package dev.tavik.association;

import dev.tavik.result.Estimand;

/** A measure of a table, with its asymptotic standard error, NaN where there is none. */
record Measured(double value, double standardError) {
  static Measured alone(double value) {
    return new Measured(value, Double.NaN);
  }

  /** Clips a limit to the range of the quantity, which rounding may pass for a perfect table. */
  Measured within(Estimand quantity) {
    return new Measured(
        Math.max(quantity.least(), Math.min(quantity.greatest(), value)), standardError);
  }
}
