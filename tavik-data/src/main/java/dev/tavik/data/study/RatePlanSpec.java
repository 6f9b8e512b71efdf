package dev.tavik.data.study;

import dev.tavik.answer.Question;
import dev.tavik.planning.Effect;
import dev.tavik.planning.EvidenceDesign;
import dev.tavik.planning.PowerDesign;
import dev.tavik.planning.PowerMethod;
import dev.tavik.planning.Precision;
import dev.tavik.planning.RateDesign;
import dev.tavik.planning.RatePrecision;
import dev.tavik.planning.Sampling;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Hypothesis;
import dev.tavik.study.plan.PrecisionQuestion;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Makes plans for one rate from their words. */
final class RatePlanSpec {
  private static final double WORST = 0.5;

  private final PlanSpec plan;
  private final QuestionArguments spec;

  RatePlanSpec(PlanSpec plan) {
    this.plan = plan;
    this.spec = plan.spec();
  }

  private List<Double> against() {
    spec.require("against", "the value that the rate is held against, such as 8%");
    return Ranges.proportions(spec, "against");
  }

  Question power() {
    List<Double> against = against();
    List<Effect> effects = plan.effects();
    List<ProportionTest> tests =
        spec.methods("tests", List.of(ProportionTest.values()), List.of(ProportionTest.SCORE));
    @Nullable PowerMethod theory = plan.theory();
    List<PowerDesign> designs = new ArrayList<>();
    for (double value : against) {
      Hypothesis hypothesis = new Hypothesis(value, plan.alternative(against, effects));
      for (double alpha : plan.alphas()) {
        for (ProportionTest test : tests) {
          PowerMethod usual = RateDesign.hasNormal(test) ? PowerMethod.NORMAL : PowerMethod.EXACT;
          designs.add(
              new RateDesign(test, theory == null ? usual : theory, hypothesis, alpha, plan.lot()));
        }
      }
    }
    return plan.plan("rate", designs, effects, "observations", List.of());
  }

  Question evidence() {
    List<Double> against = against();
    List<Effect> effects = plan.effects();
    List<PowerDesign> designs = new ArrayList<>();
    for (double value : against) {
      Hypothesis hypothesis = new Hypothesis(value, plan.alternative(against, effects));
      for (double threshold : plan.thresholds()) {
        designs.add(new EvidenceDesign(hypothesis, plan.prior(), threshold));
      }
    }
    return plan.plan("rate", designs, effects, "observations", List.of());
  }

  Question interval() {
    List<Double> expected = Ranges.proportions(spec, "expect");
    List<ProportionInterval> methods =
        spec.methods("intervals", RatePrecision.offered(), List.of(ProportionInterval.WILSON));
    Sampling sampling = new Sampling(plan.lot(), plan.number("design-effect", 1));
    List<Precision> intervals = new ArrayList<>();
    for (double rate : expected.isEmpty() ? List.of(WORST) : expected) {
      for (double level : plan.levels()) {
        for (ProportionInterval method : methods) {
          intervals.add(new RatePrecision(method, level, rate, sampling));
        }
      }
    }
    return new PrecisionQuestion(
        plan.label(),
        "rate",
        intervals,
        Ranges.proportions(spec, "half-width"),
        plan.sizes(),
        expected.isEmpty(),
        plan.words("observations"));
  }
}
