package dev.tavik.simulation;

import dev.tavik.result.Alternative;

/** From where on a value is as extreme as the observed one, seen from what the null expects. */
final class Cuts {
  private Cuts() {}

  static double lower(double observed, double expected, Alternative alternative) {
    return switch (alternative) {
      case LESS -> observed;
      case GREATER -> Double.NEGATIVE_INFINITY;
      case TWO_SIDED -> expected - Math.abs(observed - expected);
    };
  }

  static double upper(double observed, double expected, Alternative alternative) {
    return switch (alternative) {
      case GREATER -> observed;
      case LESS -> Double.POSITIVE_INFINITY;
      case TWO_SIDED -> expected + Math.abs(observed - expected);
    };
  }
}
