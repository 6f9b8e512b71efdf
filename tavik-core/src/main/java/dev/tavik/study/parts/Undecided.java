package dev.tavik.study.parts;

import dev.tavik.answer.Decidable;
import dev.tavik.answer.Finding;

/**
 * What is said where a designed sample shows no variance: from it alone an error could be had, so
 * that there is neither a p-value nor an interval, and no decision.
 */
public final class Undecided {
  private Undecided() {}

  /** Which stops no line and lets none go on. */
  public static Finding finding() {
    return Decidable.of(() -> false);
  }
}
