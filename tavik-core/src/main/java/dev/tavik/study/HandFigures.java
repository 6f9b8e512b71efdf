package dev.tavik.study;

import dev.tavik.count.Tally;
import dev.tavik.result.Figures;
import dev.tavik.result.WorkingStep;

/** How numbers stand in a calculation by hand: to ten digits, so that each line can be redone. */
final class HandFigures {
  private static final int DIGITS = 10;

  private HandFigures() {}

  static String number(double value) {
    return Figures.upTo(value, DIGITS);
  }

  static String brief(double value) {
    return Figures.upTo(value, 4);
  }

  static WorkingStep observed(Tally tally) {
    return new WorkingStep(
        "observed proportion",
        "p",
        "x / n",
        tally.successes() + " / " + tally.trials(),
        number(tally.proportion()),
        "");
  }

  static WorkingStep deviate(String what, double tail, double z) {
    return new WorkingStep(
        "critical value",
        "z*",
        "normal deviate with " + what + " above it",
        "normal deviate with " + Figures.plain(tail) + " above it",
        number(z),
        "");
  }
}
