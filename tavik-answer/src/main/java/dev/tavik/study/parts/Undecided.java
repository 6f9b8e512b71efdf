package dev.tavik.study.parts;

import dev.tavik.answer.Decidable;
import dev.tavik.answer.Finding;

/**
 * The finding for a designed sample without variance: there is neither a p-value nor an interval,
 * and so no decision.
 */
public final class Undecided {
  private Undecided() {}

  /** A finding that neither stops a process nor lets it continue. */
  public static Finding finding() {
    return Decidable.of(() -> false);
  }
}
