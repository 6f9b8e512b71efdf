package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Finding;
import dev.tavik.answer.NotApplicable;
import dev.tavik.phrase.RefusalPhrases;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Side;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Findings about methods that declined. */
public final class Refusals {
  private Refusals() {}

  /** The refusal of a method that declined, or whose computation didn't settle. */
  public static NotApplicable of(Method method, RuntimeException why) {
    NotApplicableReason code =
        why instanceof NotApplicableException declined
            ? declined.reason()
            : NotApplicableReason.UNSETTLED;
    return new NotApplicable(method, code, RefusalPhrases.of(why));
  }

  /**
   * Adds the two-sided interval of a method and, where the matching side is another, its bound; or
   * why the method has none.
   */
  public static void limits(
      Method method,
      Function<Side, Interval> made,
      Side matching,
      List<Interval> to,
      List<NotApplicable> without) {
    try {
      to.add(made.apply(Side.TWO_SIDED));
      if (matching != Side.TWO_SIDED) {
        to.add(made.apply(matching));
      }
    } catch (NotApplicableException | ArithmeticException e) {
      without.add(of(method, e));
    }
  }

  /** The reasons of the methods that declined, each reason once. */
  public static List<Finding> said(List<NotApplicable> refusals) {
    Map<String, List<String>> methods = new LinkedHashMap<>();
    for (NotApplicable refusal : refusals) {
      methods
          .computeIfAbsent(refusal.reason(), key -> new ArrayList<>())
          .add(refusal.method().id());
    }
    return methods.entrySet().stream()
        .map(
            each ->
                Finding.say(
                    Block.paragraph(
                        say("not made: %s: %s.", String.join(", ", each.getValue()), each.getKey()),
                        Block.Style.HANGING)))
        .toList();
  }
}
