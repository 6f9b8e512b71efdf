package dev.tavik.study.parts;

import dev.tavik.answer.Block;
import dev.tavik.answer.Finding;
import dev.tavik.result.Refusal;
import java.util.List;

/** What is said of methods that declined. */
public final class Refusals {
  private Refusals() {}

  /** Says of each why, below the methods that were made. */
  public static List<Finding> said(List<Refusal> refusals) {
    return refusals.stream()
        .map(
            refusal ->
                Finding.say(
                    Block.paragraph(
                        "not made: " + refusal.method().id() + ": " + refusal.reason() + ".",
                        Block.Manner.HANGING)))
        .toList();
  }
}
