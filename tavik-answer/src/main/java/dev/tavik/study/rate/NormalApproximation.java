package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Condition;
import dev.tavik.count.Tally;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.phrase.Assumptions;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import java.util.List;

/**
 * Whether the null hypothesis expects enough successes and failures for the normal approximation,
 * by the common rule of ten each.
 */
record NormalApproximation(Tally tally, double against, double successes, double failures) {
  private static final int ENOUGH = 10;

  static NormalApproximation of(Tally tally, Hypothesis hypothesis) {
    double complement = DecimalFraction.complement(hypothesis.against());
    return new NormalApproximation(
        tally,
        hypothesis.against(),
        tally.trials() * hypothesis.against(),
        tally.trials() * complement);
  }

  boolean holds() {
    return enough(successes) && enough(failures);
  }

  private static boolean enough(double expected) {
    // 200 x 5 % is ten, whatever the last bit of the product says.
    return expected >= ENOUGH * (1 - 1e-12);
  }

  List<Condition> conditions() {
    double complement = DecimalFraction.complement(against);
    return List.of(
        condition("expected successes", successes, against),
        condition("expected failures", failures, complement));
  }

  private Condition condition(String name, double expected, double share) {
    return Assumptions.expectedOfRate(
        name, tally.trials(), share, expected(expected), ENOUGH, enough(expected));
  }

  /** The smaller of both numbers, in words. */
  String scarce() {
    return successes <= failures
        ? Figures.counted(expected(successes), "success", "successes")
        : Figures.counted(expected(failures), "failure", "failures");
  }

  /** Both numbers, in words. */
  String both() {
    return say(
        "%s and %s",
        Figures.counted(expected(successes), "success", "successes"),
        Figures.counted(expected(failures), "failure", "failures"));
  }

  private static String expected(double value) {
    return value < 1000
        ? Figures.plain(Double.parseDouble(Figures.significant(value, 4)))
        : Figures.count(Math.round(value));
  }
}
