package dev.tavik.answer;

import dev.tavik.result.Figures;

/** Writes a probability so that it is never taken for 0 or 1. */
final class Probability {
  private Probability() {}

  static String text(double value) {
    if (value > 0.9995) {
      return value < 1 ? "above 0.9995" : "1 to the last digit";
    }
    return value < 1e-300 ? "below 1e-300" : Figures.significant(value, 3);
  }
}
