package dev.tavik.study.plan;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Value;
import dev.tavik.planning.PowerMethod;
import dev.tavik.planning.RateDesign;
import dev.tavik.result.Figures;
import dev.tavik.study.plan.Plans.Plan;
import java.util.Optional;

/** Describes a plan for a test of one rate against a value. */
final class RatePlan extends PlanDescription {
  private static final double ENOUGH = 10;
  private static final long MOST_UNASKED = 20_000;

  private final RateDesign design;
  private final double against;

  RatePlan(RateDesign design) {
    super(design, new Names("rate", "expected", "expect", "the true rate"), EffectScale.RATE);
    this.design = design;
    this.against = design.hypothesis().against();
  }

  @Override
  Optional<Base> base() {
    Value stated = Value.Share.STATED.of(against);
    return Optional.of(new Base("null", "against", against, stated, Figures.exactPercent(against)));
  }

  @Override
  Value.Fields parameters() {
    return Value.fields()
        .with("against", against)
        .with("lot", design.lot())
        .with("alternative", design.alternative().id());
  }

  @Override
  boolean hasBothTheories() {
    return RateDesign.hasNormal(design.proportionTest());
  }

  @Override
  Optional<Approximation> approximation(Plan plan) {
    double fewest = plan.sizes().first() * Math.min(rarer(plan.effect()), rarer(against));
    return design.theory() == PowerMethod.EXACT
        ? Optional.empty()
        : Optional.of(
            new Approximation(fewest, ENOUGH, design.withTheory(PowerMethod.EXACT), MOST_UNASKED));
  }

  @Override
  String purpose(Plan plan) {
    return say(
            " to tell a rate of %s from %s",
            Figures.rate(plan.effect()), Figures.exactPercent(against))
        + (design.lot() == null ? "" : " in a lot of " + Figures.count(design.lot()));
  }
}
