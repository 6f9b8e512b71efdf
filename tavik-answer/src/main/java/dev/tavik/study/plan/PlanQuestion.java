package dev.tavik.study.plan;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Question;
import dev.tavik.planning.Effect;
import dev.tavik.planning.PowerDesign;
import dev.tavik.plot.ErrorsPlot;
import dev.tavik.plot.Plots;
import dev.tavik.result.Figures;
import dev.tavik.result.Proportion;
import java.util.List;

/**
 * Asks before data: how many observations, how much power, or how small an effect? Of the effects,
 * the powers and the sizes exactly one list is empty, and that is solved for; every combination of
 * the others is a line of the answer.
 *
 * @param label the analyst's name for it, empty for none
 * @param kind what is planned: rate, compare or table
 * @param designs one for each combination of base rate, alpha and test
 * @param effects what is expected; empty if the smallest effect is wanted
 * @param powers the chances to reject that are wanted; empty if they are to be told
 * @param sizes the sizes of the first group; empty if they are to be told
 * @param words how the plan is worded
 * @param cautions what is to be said about how the question came about
 */
public record PlanQuestion(
    String label,
    String kind,
    List<PowerDesign> designs,
    List<Effect> effects,
    List<Double> powers,
    List<Long> sizes,
    PlanWords words,
    List<Caution> cautions)
    implements Question {
  /** Maximum number of lines in an answer. */
  public static final int MOST_LINES = 10_000;

  /**
   * Checks and copies the parts.
   *
   * @throws IllegalArgumentException if not exactly one of effects, powers and sizes is empty, or a
   *     value is out of its range
   */
  public PlanQuestion {
    designs = List.copyOf(designs);
    effects = List.copyOf(effects);
    powers = List.copyOf(powers);
    sizes = List.copyOf(sizes);
    cautions = List.copyOf(cautions);
    require(!designs.isEmpty(), "a plan needs a design");
    requireOneLeftOut(effects.isEmpty(), powers.isEmpty(), sizes.isEmpty());
    powers.forEach(power -> Proportion.require("power", power));
    for (PowerDesign design : designs) {
      for (double power : powers) {
        if (power <= design.alpha()) {
          throw new IllegalArgumentException(
              say(
                  "power must be above alpha, %s, got %s: so often a true null is rejected too",
                  Figures.plain(design.alpha()), Figures.plain(power)));
        }
      }
      for (long n : sizes) {
        require(
            n >= 1 && n <= design.most(),
            "n must be from 1 to %s, got %s",
            Figures.count(design.most()),
            n);
      }
    }
    long lines =
        (long) designs.size()
            * Math.max(1, effects.size())
            * Math.max(1, powers.size())
            * Math.max(1, sizes.size());
    require(
        lines <= MOST_LINES,
        "a plan has at most %s lines, these lists give %s",
        Figures.count(MOST_LINES),
        Figures.count(lines));
  }

  /**
   * Asks for the number of observations for given effects and powers.
   *
   * @param design the design
   * @param effects what is expected, at least one
   * @param powers the chances to find it, at least one
   * @return the question
   * @throws IllegalArgumentException if a value is out of its range
   */
  public static PlanQuestion forSizes(
      PowerDesign design, List<Effect> effects, List<Double> powers) {
    return usual(design, effects, powers, List.of());
  }

  /**
   * Asks for the power of given sizes for given effects.
   *
   * @param design the design
   * @param effects what is expected, at least one
   * @param sizes the sizes of the first group, at least one
   * @return the question
   * @throws IllegalArgumentException if a value is out of its range
   */
  public static PlanQuestion forPower(PowerDesign design, List<Effect> effects, List<Long> sizes) {
    return usual(design, effects, List.of(), sizes);
  }

  /**
   * Asks for the effects that given sizes detect with given powers.
   *
   * @param design the design
   * @param powers the chances to find them, at least one
   * @param sizes the sizes of the first group, at least one
   * @return the question
   * @throws IllegalArgumentException if a value is out of its range
   */
  public static PlanQuestion forEffects(PowerDesign design, List<Double> powers, List<Long> sizes) {
    return usual(design, List.of(), powers, sizes);
  }

  private static PlanQuestion usual(
      PowerDesign design, List<Effect> effects, List<Double> powers, List<Long> sizes) {
    return new PlanQuestion(
        "",
        PlanDescription.of(design).names().kind(),
        List.of(design),
        effects,
        powers,
        sizes,
        PlanWords.usual(),
        List.of());
  }

  /**
   * Returns a copy that is worded differently.
   *
   * @param other how the plan is worded
   * @return the question
   */
  public PlanQuestion words(PlanWords other) {
    return new PlanQuestion(label, kind, designs, effects, powers, sizes, other, cautions);
  }

  private static void requireOneLeftOut(boolean effect, boolean power, boolean n) {
    int left = (effect ? 1 : 0) + (power ? 1 : 0) + (n ? 1 : 0);
    require(
        left != 0,
        "n, power and what is expected are all given, so that nothing is left to solve for;"
            + " leave one of them out");
    if (left > 1) {
      String missing = (n ? "n, " : "") + (power ? "power, " : "") + (effect ? "the effect, " : "");
      throw new IllegalArgumentException(
          say(
              "of n, power and what is expected two must be given, and the third is solved for;"
                  + " missing are %s",
              missing.substring(0, missing.length() - 2).replaceFirst(", (?!.*, )", " and ")));
    }
  }

  /**
   * Returns a copy with a name, which the answer uses.
   *
   * @param name what is asked about
   * @return the question with that name
   */
  public PlanQuestion named(String name) {
    return new PlanQuestion(name, kind, designs, effects, powers, sizes, words, cautions);
  }

  @Override
  public Answer ask() {
    return new PlanAnalysis(this).answer();
  }

  @Override
  public Plots plots(Answer answer) {
    return Plots.of(
        ErrorsPlot.class,
        () -> ErrorsPlots.of(answer.find(Plans.class).orElseThrow(), answer.verdict().text()));
  }
}
