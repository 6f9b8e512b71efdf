package dev.tavik.study.plan;

import dev.tavik.answer.Value;
import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.Design;
import dev.tavik.planning.Evidence;
import dev.tavik.planning.EvidenceDesign;
import dev.tavik.planning.PairedDesign;
import dev.tavik.planning.RateDesign;
import dev.tavik.planning.Sizes;
import dev.tavik.planning.TableDesign;
import dev.tavik.planning.TrendDesign;
import dev.tavik.study.parts.Priors;
import dev.tavik.study.plan.Plans.Line;
import dev.tavik.study.plan.Plans.Plan;
import org.jspecify.annotations.Nullable;

/** What machines see of the lines of a plan. */
final class PlanFigures {
  private PlanFigures() {}

  static Value of(Line line, PlanWords words) {
    Design design = line.design();
    Value.Fields fields = design(design).with("power", line.wanted());
    Plan plan = line.plan();
    if (plan == null) {
      if (!Double.isNaN(line.expected()) && !(design instanceof TrendDesign)) {
        fields.with(effectName(design), line.expected());
      }
      return fields.with("refused", line.refused());
    }
    fields.and(plan(design, plan, words));
    Plan exact = line.exact();
    if (exact != null) {
      fields.with("exact", plan(design, exact, words));
    }
    return fields
        .with("sensitivity", Value.list(line.sensitivity(), each -> varied(design, each)))
        .with("sentence", line.sentence());
  }

  private static Value.Fields design(Design design) {
    Value.Fields fields =
        Value.fields().with("test", design.test()).with("method", design.theory().id());
    if (design instanceof RateDesign rate) {
      fields.with("against", rate.hypothesis().against()).with("lot", rate.lot());
    } else if (design instanceof CompareDesign comparison) {
      comparison(fields, comparison);
    } else if (design instanceof PairedDesign pairs) {
      fields.with("secondOnly", pairs.secondOnly());
    } else if (design instanceof TableDesign table) {
      fields.with("df", (long) table.df());
    } else if (design instanceof TrendDesign trend) {
      fields
          .with("rates", Value.numbers(trend.rates()))
          .with("scores", Value.numbers(trend.scores()));
    } else if (design instanceof Evidence evidence) {
      fields
          .with(evidence instanceof EvidenceDesign ? "against" : "base", design.effects().none())
          .and(Priors.fields(evidence.prior()))
          .with("threshold", evidence.threshold());
    }
    if (!(design instanceof TableDesign)) {
      fields.with("alternative", design.alternative().id());
    }
    return fields.with("alpha", design.alpha());
  }

  private static void comparison(Value.Fields fields, CompareDesign design) {
    fields.with("base", design.base()).with("allocation", design.allocation());
    Double margin = design.equivalence();
    double against = design.hypothesis().against();
    if (margin != null) {
      fields.with("show", "equivalent").with("margin", margin);
    } else if (against != 0) {
      fields.with("show", "noninferior").with("margin", Math.abs(against));
    }
  }

  private static String effectName(Design design) {
    return design instanceof TableDesign
        ? "w"
        : design instanceof PairedDesign ? "firstOnly" : "expect";
  }

  private static Value.Fields plan(Design design, Plan plan, PlanWords words) {
    Value.Fields fields = Value.fields();
    if (!(design instanceof TrendDesign)) {
      fields.with(effectName(design), plan.effect());
    }
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

  private static Value varied(Design design, Plans.Varied varied) {
    Value.Fields fields = Value.fields();
    if (varied.base() != null) {
      fields.with(design instanceof PairedDesign ? "secondOnly" : "base", varied.base());
    }
    return fields
        .with(effectName(design), varied.effect())
        .with("attainedPower", varied.power())
        .with("n", sizes(varied.needed()));
  }
}
