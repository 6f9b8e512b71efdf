package dev.tavik.study.plan;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Value;
import dev.tavik.planning.TableDesign;
import dev.tavik.result.Figures;
import dev.tavik.study.plan.Plans.Plan;
import java.util.Optional;

/** Describes a plan for a chi-square test, of a table or of shares against claimed ones. */
final class TablePlan extends PlanDescription {
  private final int df;
  private final double alpha;

  TablePlan(TableDesign design) {
    super(design, new Names("table", "w", "w", "w"), EffectScale.W);
    this.df = design.df();
    this.alpha = design.alpha();
  }

  @Override
  Value.Fields parameters() {
    return Value.fields().with("df", (long) df);
  }

  @Override
  Optional<Told> parameter() {
    return Optional.of(new Told("df", new Value.Words(String.valueOf(df))));
  }

  @Override
  public String test(boolean several) {
    return say("chi-square, df %s at alpha %s", df, Figures.plain(alpha));
  }

  @Override
  public String theory(boolean swings) {
    return ", by the noncentral chi-square distribution";
  }

  @Override
  String testInWords() {
    return say("a chi-square test with %d degree%s of freedom", df, df == 1 ? "" : "s");
  }

  @Override
  String purpose(Plan plan) {
    return " to find an effect of " + text(plan.effect());
  }
}
