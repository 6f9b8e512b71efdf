package dev.tavik.study;

import dev.tavik.planning.Design;
import dev.tavik.planning.Sizes;
import dev.tavik.result.Caution;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a {@link PlanQuestion}.
 *
 * @param asked the question
 * @param lines one for each combination; two where an effect is found on either side
 * @param cautions what to be careful of
 * @param conclusion what was solved for, in words
 */
public record PlanAnswer(
    PlanQuestion asked, List<Line> lines, List<Caution> cautions, String conclusion)
    implements Answer {
  /** Copies the lists. */
  public PlanAnswer {
    lines = List.copyOf(lines);
    cautions = List.copyOf(cautions);
  }

  /**
   * One combination.
   *
   * @param design the design
   * @param expected the effect that was asked about; NaN where it was solved for
   * @param wanted the power that was asked for; null where it was solved for
   * @param plan what came of it; null where nothing did
   * @param refused why nothing came of it; empty where something did
   * @param exact the same by exact power, where the normal approximation is poor
   * @param sensitivity what if the truth were a bit different
   * @param sentence the plan in words that could stand in a protocol
   */
  public record Line(
      Design design,
      double expected,
      @Nullable Double wanted,
      @Nullable Plan plan,
      String refused,
      @Nullable Plan exact,
      List<Varied> sensitivity,
      String sentence) {
    /** Copies the list. */
    public Line {
      sensitivity = List.copyOf(sensitivity);
    }
  }

  /**
   * A plan that works.
   *
   * @param effect the effect: a rate, or w
   * @param sizes how many observations
   * @param holdsFrom from how many on the power is reached by every number; the same as the sizes
   *     where power only rises or the sizes were given
   * @param power the power of these sizes
   * @param alpha how often they reject a true null
   */
  public record Plan(double effect, Sizes sizes, Sizes holdsFrom, double power, double alpha) {}

  /**
   * The same plan under another truth.
   *
   * @param base the base rate, where that is varied; else null
   * @param effect the effect
   * @param power the power that the planned sizes have then
   * @param needed how many would be needed; null where that isn't solved for
   */
  public record Varied(
      @Nullable Double base, double effect, double power, @Nullable Sizes needed) {}

  @Override
  public String question() {
    return "plan";
  }

  @Override
  public String label() {
    return asked.label();
  }
}
