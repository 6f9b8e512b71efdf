package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Decidable;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Verdict;
import dev.tavik.result.Caution;
import dev.tavik.result.Caution.Code;

/**
 * What is said where a designed sample shows no variance: from it alone an error could be had, so
 * that there is neither a p-value nor an interval, and no decision.
 */
public final class Undecided {
  private static final String WHY = "the sample shows no variance between its clusters or rows";

  private Undecided() {}

  /** A verdict about this, such as {@code whether the kilns differ}. */
  public static Verdict verdict(String label, String what) {
    return Verdict.of(
            say("%s%s can't be decided: %s.", label.isEmpty() ? "" : label + ": ", what, WHY))
        .inOwnWords();
  }

  /** Which stops no line and lets none go on. */
  public static Finding finding() {
    return Decidable.of(() -> false);
  }

  /** What to do about it. */
  public static Caution caution(String of) {
    return new Caution(
        Code.NO_STATISTIC,
        say(
            "%s: %s, which is no certainty. Ask for each rate by itself, whose korn-graubard limits"
                + " need none, or for more clusters.",
            of, WHY));
  }
}
