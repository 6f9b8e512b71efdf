package dev.tavik.study.plan;

import dev.tavik.answer.Block;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.planning.PowerDesign;
import dev.tavik.planning.Sizes;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Holds the lines of a plan, one for each combination; two where an effect is found on either side.
 *
 * @param asked the question
 * @param lines the lines
 */
public record Plans(PlanQuestion asked, List<PlanLine> lines) implements Finding {
  /** Copies the lines. */
  public Plans {
    lines = List.copyOf(lines);
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
  public record PlanLine(
      PowerDesign design,
      double expected,
      @Nullable Double wanted,
      @Nullable Plan plan,
      String refused,
      @Nullable Plan exact,
      List<Varied> sensitivity,
      String sentence) {
    /** Copies the list. */
    public PlanLine {
      sensitivity = List.copyOf(sensitivity);
    }

    /** {@return what its kind of plan is told of} */
    public PlanDescription description() {
      return PlanDescription.of(design);
    }

    /** How often a true null is rejected, exactly where that is known; NaN where it isn't. */
    double trueAlpha() {
      Plan known = exact == null ? plan : exact;
      return known == null ? Double.NaN : known.alpha();
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
  public String key() {
    return "lines";
  }

  @Override
  public Value figures() {
    return Value.list(lines, line -> PlanFigures.of(line, asked.words()));
  }

  @Override
  public List<Block> reading() {
    return new PlanReading(this).blocks();
  }

  /**
   * {@return sizes in words, such as {@code 2 x 1,059}}
   *
   * @param sizes the sizes of the groups
   */
  public static String sizes(Sizes sizes) {
    return PlanReading.sizes(sizes);
  }
}
