package dev.tavik.study.plan;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Value;
import dev.tavik.count.Names;
import dev.tavik.phrase.PlanVerdicts;
import dev.tavik.planning.BayesFactorDesign;
import dev.tavik.planning.Effect;
import dev.tavik.planning.EvidenceDesign;
import dev.tavik.result.Figures;
import dev.tavik.study.parts.Priors;
import dev.tavik.study.plan.Plans.Plan;
import java.util.Optional;

/** Describes a plan for the Bayes factor of one rate to reach a threshold. */
class EvidencePlan extends PlanDescription {
  private final BayesFactorDesign design;

  EvidencePlan(EvidenceDesign design) {
    this(design, new Names("rate", "expected", "expect", "the true rate"));
  }

  EvidencePlan(BayesFactorDesign design, Names names) {
    super(design, names, EffectScale.RATE);
    this.design = design;
  }

  @Override
  Optional<Base> base() {
    Value stated = Value.Share.STATED.of(none());
    return Optional.of(new Base("null", "against", none(), stated, Figures.rate(none())));
  }

  @Override
  final Value.Fields parameters() {
    Base base = base().orElseThrow();
    return Value.fields()
        .with(base.key(), base.rate())
        .and(Priors.fields(design.prior()))
        .with("threshold", design.threshold())
        .with("alternative", design.alternative().id());
  }

  @Override
  final Optional<Double> threshold() {
    return Optional.of(design.threshold());
  }

  @Override
  public final String test(boolean several) {
    return say(
        "Bayes factor, prior %s, threshold %s; exact",
        design.prior(), Figures.plain(design.threshold()));
  }

  @Override
  public final String theory(boolean swings) {
    return "";
  }

  /** Whether the null value itself is expected, so that evidence for it is planned. */
  final boolean isForNull(double effect) {
    return effect == none();
  }

  @Override
  final void requireEffect(double effect) {
    if (!isForNull(effect)) {
      super.requireEffect(effect);
    }
  }

  @Override
  Optional<Variation> varied(Effect stated, double effect, double factor) {
    return isForNull(effect) ? Optional.empty() : super.varied(stated, effect, factor);
  }

  @Override
  final String sentence(String sizes, Plan plan) {
    return PlanVerdicts.evidenceProtocol(
        sizes,
        nullInWords(),
        design.prior().toString(),
        design.threshold(),
        purpose(plan),
        isForNull(plan.effect()) ? null : nullTruth(),
        plan.alpha());
  }

  String nullInWords() {
    return "a rate of " + Figures.exactPercent(none());
  }

  String nullTruth() {
    return "the rate is " + Figures.exactPercent(none());
  }

  @Override
  String purpose(Plan plan) {
    String alternative =
        switch (design.alternative()) {
          case TWO_SIDED -> "another rate";
          case LESS -> "a lower rate";
          case GREATER -> "a higher rate";
        };
    return PlanVerdicts.evidence(
        isForNull(plan.effect()) ? "that rate" : alternative,
        plan.power(),
        PlanVerdicts.rates(plan.effect(), null));
  }
}
