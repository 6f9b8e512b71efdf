package dev.tavik.data.study;

import dev.tavik.answer.Question;
import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.ComparedEvidenceDesign;
import dev.tavik.planning.DifferencePrecision;
import dev.tavik.planning.Effect;
import dev.tavik.planning.PairedDesign;
import dev.tavik.planning.PowerDesign;
import dev.tavik.planning.PowerMethod;
import dev.tavik.planning.Precision;
import dev.tavik.planning.Sampling;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Proportion;
import dev.tavik.study.plan.PrecisionQuestion;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Makes plans for two rates, or for pairs, from their words. */
final class ComparePlanSpec {
  private static final double WORST = 0.5;
  private static final String BASE = "the rate of the group to compare with, such as 8%";

  private final PlanSpec plan;
  private final QuestionArguments spec;

  ComparePlanSpec(PlanSpec plan) {
    this.plan = plan;
    this.spec = plan.spec();
  }

  private List<TwoProportionTest> tests(boolean margin) {
    List<TwoProportionTest> offered =
        Arrays.stream(TwoProportionTest.values())
            .filter(test -> test != TwoProportionTest.BARNARD)
            .toList();
    return spec.methods(
        "tests", offered, List.of(margin ? TwoProportionTest.SCORE : TwoProportionTest.Z_POOLED));
  }

  Question power() {
    spec.require("base", BASE);
    List<Double> bases = Ranges.proportions(spec, "base");
    List<Effect> effects = plan.effects();
    @Nullable String shown = spec.text("show");
    @Nullable String written = spec.text("margin");
    ComparisonGoal goal = shown == null ? ComparisonGoal.DIFFERENCE : ComparisonGoal.of(shown);
    if ((goal == ComparisonGoal.DIFFERENCE) != (written == null)) {
      throw new SpecException(
          written == null
              ? spec.say("{show} %s needs {margin}, such as 3%%", goal.id())
              : spec.name("margin") + " needs " + spec.name("show") + " noninferior or equivalent");
    }
    double margin = written == null ? 0 : Proportion.parse(spec.name("margin"), written);
    Hypothesis hypothesis = hypothesis(goal, margin, bases, effects);
    @Nullable PowerMethod theory = plan.theory();
    List<PowerDesign> designs = new ArrayList<>();
    for (double base : bases) {
      for (double alpha : plan.alphas()) {
        for (TwoProportionTest test : tests(goal != ComparisonGoal.DIFFERENCE)) {
          PowerMethod usual =
              CompareDesign.hasNormal(test) ? PowerMethod.NORMAL : PowerMethod.EXACT;
          designs.add(
              new CompareDesign(
                  test,
                  theory == null ? usual : theory,
                  base,
                  hypothesis,
                  goal == ComparisonGoal.EQUIVALENT ? margin : null,
                  alpha,
                  plan.number("allocation", 1)));
        }
      }
    }
    return plan.plan("compare", designs, effects, "observations", List.of());
  }

  Question evidence() {
    spec.require("base", BASE);
    List<PowerDesign> designs = new ArrayList<>();
    for (double base : Ranges.proportions(spec, "base")) {
      for (double threshold : plan.thresholds()) {
        designs.add(
            new ComparedEvidenceDesign(
                base, plan.prior(), threshold, plan.number("allocation", 1)));
      }
    }
    return plan.plan("compare", designs, plan.effects(), "observations", List.of());
  }

  /** Not lower by the margin, or, where the alternative is less, not higher. */
  private Hypothesis hypothesis(
      ComparisonGoal goal, double margin, List<Double> bases, List<Effect> effects) {
    if (goal == ComparisonGoal.DIFFERENCE) {
      return new Hypothesis(0, plan.alternative(bases, effects));
    }
    @Nullable String alternative = spec.text("alternative");
    spec.check(
        !Alternative.TWO_SIDED.id().equals(alternative),
        "{alternative} two-sided doesn't go with {show} %s, which is about one side; leave it"
            + " out, or say less or greater",
        goal.id());
    if (goal == ComparisonGoal.EQUIVALENT || spec.has("sides")) {
      if (alternative != null || spec.has("sides")) {
        throw spec.refusal(
            "%s doesn't go with {show} %s%s",
            spec.name(spec.has("sides") ? "sides" : "alternative"),
            goal.id(),
            goal == ComparisonGoal.EQUIVALENT
                ? ", which looks to both sides"
                : "; say with " + spec.name("alternative") + " less that low is good");
      }
      return Hypothesis.twoSided(0);
    }
    return alternative != null && Alternative.of(alternative) == Alternative.LESS
        ? Hypothesis.less(margin)
        : Hypothesis.greater(-margin);
  }

  Question interval() {
    List<Double> bases = Ranges.proportions(spec, "base");
    List<Effect> effects = plan.effects();
    boolean worst = bases.isEmpty() && effects.isEmpty();
    spec.check(
        bases.isEmpty() == effects.isEmpty(),
        "an interval of a difference is planned for both rates, {base} and {expect}, or for"
            + " neither, the worst case");
    List<ComparisonInterval> offered =
        List.of(ComparisonInterval.DIFFERENCE_NEWCOMBE, ComparisonInterval.DIFFERENCE_WALD);
    List<ComparisonInterval> methods =
        spec.methods("intervals", offered, List.of(ComparisonInterval.DIFFERENCE_NEWCOMBE));
    Sampling sampling = new Sampling(plan.lot(), plan.number("design-effect", 1));
    List<Precision> intervals = new ArrayList<>();
    for (double base : worst ? List.of(WORST) : bases) {
      for (Effect effect : worst ? List.of(Effect.rate(WORST)) : effects) {
        for (double level : plan.levels()) {
          for (ComparisonInterval method : methods) {
            intervals.add(
                new DifferencePrecision(
                    method,
                    level,
                    base,
                    effect.from(base),
                    plan.number("allocation", 1),
                    sampling));
          }
        }
      }
    }
    return new PrecisionQuestion(
        plan.label(),
        "compare",
        intervals,
        Ranges.proportions(spec, "half-width"),
        plan.sizes(),
        worst,
        plan.words("observations"));
  }

  Question pairs() {
    spec.required(
        "second-only", "the rate of pairs with a success the second time only, such as 2%");
    List<Double> seconds = Ranges.proportions(spec, "second-only");
    List<Effect> effects =
        Ranges.proportions(spec, "first-only").stream().map(Effect::rate).toList();
    List<PairedTest> tests =
        spec.methods("tests", List.of(PairedTest.values()), List.of(PairedTest.MCNEMAR));
    @Nullable PowerMethod theory = plan.theory();
    List<PowerDesign> designs = new ArrayList<>();
    for (double second : seconds) {
      for (double alpha : plan.alphas()) {
        for (PairedTest test : tests) {
          PowerMethod usual = test == PairedTest.MCNEMAR ? PowerMethod.NORMAL : PowerMethod.EXACT;
          designs.add(
              new PairedDesign(
                  test,
                  theory == null ? usual : theory,
                  second,
                  plan.alternative(seconds, effects),
                  alpha));
        }
      }
    }
    return plan.plan("compare", designs, effects, "pairs", List.of());
  }
}
