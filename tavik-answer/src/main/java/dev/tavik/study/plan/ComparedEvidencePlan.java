package dev.tavik.study.plan;

import dev.tavik.phrase.PlanVerdicts;
import dev.tavik.planning.ComparedEvidenceDesign;
import dev.tavik.planning.Effect;
import dev.tavik.result.Figures;
import dev.tavik.study.plan.Plans.Plan;
import java.util.Optional;

/** Describes a plan for the Bayes factor of two rates to reach a threshold. */
final class ComparedEvidencePlan extends EvidencePlan {
  private final ComparedEvidenceDesign design;

  ComparedEvidencePlan(ComparedEvidenceDesign design) {
    super(design, ComparePlan.NAMES);
    this.design = design;
  }

  @Override
  Optional<Base> base() {
    return Optional.of(Base.of("base", "base", design.base()));
  }

  @Override
  public int points() {
    return GROUPS_POINTS;
  }

  @Override
  Optional<Variation> varied(Effect stated, double effect, double factor) {
    if (isForNull(effect)) {
      return Optional.empty();
    }
    double base = scaled(design.base(), factor);
    double other = again(stated, design.base(), effect, base);
    ComparedEvidenceDesign varied =
        new ComparedEvidenceDesign(base, design.prior(), design.threshold(), design.allocation());
    return Optional.of(new Variation(varied, base, other));
  }

  @Override
  String nullInWords() {
    return "equal rates";
  }

  @Override
  String nullTruth() {
    return "both rates are " + Figures.exactPercent(none());
  }

  @Override
  String purpose(Plan plan) {
    return PlanVerdicts.evidence(
        isForNull(plan.effect()) ? "equal rates" : "a difference",
        plan.power(),
        PlanVerdicts.rates(none(), plan.effect()));
  }
}
