package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.DetectableEffect;
import dev.tavik.planning.Effect;
import dev.tavik.planning.PowerMethod;
import dev.tavik.planning.SampleSize;
import dev.tavik.planning.Sizes;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.report.Report;
import dev.tavik.result.Hypothesis;
import dev.tavik.study.plan.PlanQuestion;
import dev.tavik.study.plan.PlanWords;
import java.io.PrintStream;
import java.util.List;
import java.util.Locale;

/**
 * Harrowmere wants to try a slower firing on one kiln: how many tiles of the old firing and of the
 * new settle whether fewer crack, and what could be found with the tiles of one day?
 */
public final class HowManyTiles {
  private HowManyTiles() {}

  /**
   * Plans the trial.
   *
   * @param arguments the tiles that one day gives of each firing; 400 without
   */
  public static void main(String[] arguments) {
    plan(arguments.length > 0 ? Long.parseLong(arguments[0]) : 400, System.out);
  }

  static SampleSize plan(long day, PrintStream out) {
    CompareDesign cracks =
        CompareDesign.of(TwoProportionTest.Z_POOLED, 0.08, Hypothesis.twoSided(0), 0.05);

    SampleSize needed = SampleSize.of(cracks, 0.045, 0.8);
    Answer plan =
        PlanQuestion.forSizes(cracks, List.of(Effect.rate(0.05), Effect.rate(0.045)), List.of(0.8))
            .words(new PlanWords("tiles", "firing", null))
            .ask();
    out.print(Report.TEXT.of(plan, Detail.FINDINGS));

    CompareDesign exact =
        CompareDesign.of(TwoProportionTest.FISHER, 0.08, Hypothesis.twoSided(0), 0.05)
            .withTheory(PowerMethod.EXACT);
    out.printf(
        Locale.ROOT,
        "%nWith %d tiles of each firing Fisher's exact test has a power of %.1f%% to find a fall to"
            + " 4.5%%,%nand rejects a true null in %.1f%%.%n",
        needed.sizes().first(),
        100 * exact.at(needed.sizes()).at(0.045),
        100 * exact.at(needed.sizes()).size());

    List<Double> found = DetectableEffect.of(cracks, Sizes.of(day, day), 0.8);
    out.printf(
        Locale.ROOT,
        "One day's %d and %d would find no less than a fall to %.1f%% or a rise to %.1f%%.%n",
        day,
        day,
        100 * found.get(0),
        100 * found.get(1));
    return needed;
  }
}
