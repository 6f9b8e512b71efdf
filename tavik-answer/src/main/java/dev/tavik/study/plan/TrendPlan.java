package dev.tavik.study.plan;

import dev.tavik.answer.Value;
import dev.tavik.planning.Effect;
import dev.tavik.planning.TrendDesign;
import dev.tavik.study.plan.Plans.Plan;
import java.util.Optional;

/** Describes a plan for a test of a trend, whose rates are all that is expected. */
final class TrendPlan extends PlanDescription {
  private final TrendDesign design;

  TrendPlan(TrendDesign design) {
    super(design, new Names("table", "", "expect", "the true rate"), EffectScale.RATE);
    this.design = design;
  }

  @Override
  Value.Fields parameters() {
    return Value.fields()
        .with("rates", Value.numbers(design.rates()))
        .with("scores", Value.numbers(design.scores()))
        .with("alternative", design.alternative().id());
  }

  @Override
  public String text(double effect) {
    return percents(design.rates());
  }

  @Override
  void requireEffect(double effect) {
    // The design has checked its rates.
  }

  @Override
  Optional<Variation> varied(Effect stated, double effect, double factor) {
    return Optional.empty();
  }

  @Override
  String purpose(Plan plan) {
    return " if the rates are " + percents(design.rates()).replaceFirst(", (?!.*, )", " and ");
  }
}
