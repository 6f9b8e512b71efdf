package dev.tavik.study.plan;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Value;
import dev.tavik.planning.Effect;
import dev.tavik.planning.PairedDesign;
import dev.tavik.proportion.PairedTest;
import dev.tavik.result.Figures;
import dev.tavik.study.plan.Plans.Plan;
import java.util.Optional;

/** Describes a plan for a test of pairs: the same units judged twice. */
final class PairedPlan extends PlanDescription {
  private final PairedDesign design;

  PairedPlan(PairedDesign design) {
    super(design, new Names("compare", "first only", "firstOnly", "both rates"), EffectScale.RATE);
    this.design = design;
  }

  @Override
  Optional<Base> base() {
    return Optional.of(Base.of("second only", "secondOnly", design.secondOnly()));
  }

  @Override
  Value.Fields parameters() {
    return Value.fields()
        .with("secondOnly", design.secondOnly())
        .with("alternative", design.alternative().id());
  }

  @Override
  boolean hasBothTheories() {
    return design.pairedTest() == PairedTest.MCNEMAR;
  }

  @Override
  Optional<Variation> varied(Effect stated, double effect, double factor) {
    double second = decimal(design.secondOnly() * factor);
    PairedDesign other =
        new PairedDesign(
            design.pairedTest(), design.theory(), second, design.alternative(), design.alpha());
    double first = decimal(second + (effect - design.secondOnly()));
    return Optional.of(new Variation(other, second, first));
  }

  @Override
  String purpose(Plan plan) {
    return say(
        " if %s of pairs are successes the first time only and %s the second time only",
        Figures.rate(plan.effect()), Figures.rate(design.secondOnly()));
  }
}
