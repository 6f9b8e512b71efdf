package dev.tavik.study.plan;

import dev.tavik.answer.Value;
import dev.tavik.planning.PowerDesign;
import dev.tavik.planning.Sizes;
import dev.tavik.study.plan.Plans.Plan;
import dev.tavik.study.plan.Plans.PlanLine;
import org.jspecify.annotations.Nullable;

/** The figures of a plan's lines, for programs. */
final class PlanFigures {
  private PlanFigures() {}

  static Value of(PlanLine line, PlanWords words) {
    PowerDesign design = line.design();
    PlanDescription description = line.description();
    Value.Fields fields =
        Value.fields()
            .with("test", design.test())
            .with("method", design.theory().id())
            .and(description.parameters())
            .with("alpha", design.alpha())
            .with("power", line.wanted());
    Plan plan = line.plan();
    if (plan == null) {
      if (!Double.isNaN(line.expected())) {
        effect(fields, description, line.expected());
      }
      return fields.with("refused", line.refused());
    }
    fields.and(plan(description, plan, words));
    Plan exact = line.exact();
    if (exact != null) {
      fields.with("exact", plan(description, exact, words));
    }
    return fields
        .with("sensitivity", Value.list(line.sensitivity(), each -> varied(description, each)))
        .with("sentence", line.sentence());
  }

  private static void effect(Value.Fields fields, PlanDescription description, double effect) {
    if (!description.names().effect().isEmpty()) {
      fields.with(description.names().effectKey(), effect);
    }
  }

  private static Value.Fields plan(PlanDescription description, Plan plan, PlanWords words) {
    Value.Fields fields = Value.fields();
    effect(fields, description, plan.effect());
    fields.with("n", sizes(plan.sizes())).with("total", plan.sizes().total());
    if (words.response() != null) {
      fields.with("invite", invited(plan.sizes(), words));
    }
    return fields
        .with("attainedPower", plan.power())
        .with("attainedAlpha", plan.alpha())
        .with("holdsFrom", sizes(plan.holdsFrom()));
  }

  static long invited(Sizes sizes, PlanWords words) {
    return sizes.groups().stream().mapToLong(words::invited).sum();
  }

  static Value sizes(@Nullable Sizes sizes) {
    return sizes == null ? Value.none() : Value.counts(sizes.groups());
  }

  private static Value varied(PlanDescription description, Plans.Varied varied) {
    Value.Fields fields = Value.fields();
    Double base = varied.base();
    if (base != null) {
      fields.with(description.base().orElseThrow().key(), base);
    }
    return fields
        .with(description.names().effectKey(), varied.effect())
        .with("attainedPower", varied.power())
        .with("n", sizes(varied.needed()));
  }
}
