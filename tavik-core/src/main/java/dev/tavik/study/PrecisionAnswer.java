package dev.tavik.study;

import dev.tavik.planning.Precision;
import dev.tavik.planning.Sizes;
import dev.tavik.result.Caution;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a {@link PrecisionQuestion}.
 *
 * @param asked the question
 * @param lines one for each combination
 * @param cautions what to be careful of
 * @param conclusion what was solved for, in words
 */
public record PrecisionAnswer(
    PrecisionQuestion asked, List<Line> lines, List<Caution> cautions, String conclusion)
    implements Answer {
  /** Copies the lists. */
  public PrecisionAnswer {
    lines = List.copyOf(lines);
    cautions = List.copyOf(cautions);
  }

  /**
   * One combination.
   *
   * @param interval the interval
   * @param wanted half the length that was asked for; null where it was solved for
   * @param sizes how many observations; null where no number is enough
   * @param halfWidth half the length that these sizes give
   * @param refused why there are no sizes; empty where there are
   * @param sensitivity what if the rates were different
   * @param sentence the plan in words that could stand in a protocol
   */
  public record Line(
      Precision interval,
      @Nullable Double wanted,
      @Nullable Sizes sizes,
      double halfWidth,
      String refused,
      List<Varied> sensitivity,
      String sentence) {
    /** Copies the list. */
    public Line {
      sensitivity = List.copyOf(sensitivity);
    }
  }

  /**
   * The same sizes under another truth.
   *
   * @param rate the rate, or the base rate
   * @param halfWidth half the length
   */
  public record Varied(double rate, double halfWidth) {}

  @Override
  public String question() {
    return "plan";
  }

  @Override
  public String label() {
    return asked.label();
  }
}
