package dev.tavik.study.plan;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Value;
import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.Effect;
import dev.tavik.planning.PowerMethod;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Figures;
import dev.tavik.study.plan.Plans.Plan;
import java.util.Optional;

/** Describes a plan for a test of two rates: a difference, non-inferiority or equivalence. */
final class ComparePlan extends PlanDescription {
  static final Names NAMES = new Names("compare", "expected", "expect", "the base rate");

  /** Points of a curve of Boschloo's power, which takes longest of all. */
  private static final int BOSCHLOO_POINTS = 25;

  private static final double ENOUGH = 5;
  private static final long MOST_UNASKED = 3000;

  private final CompareDesign design;

  ComparePlan(CompareDesign design) {
    super(design, NAMES, EffectScale.RATE);
    this.design = design;
  }

  @Override
  Optional<Base> base() {
    return Optional.of(Base.of("base", "base", design.base()));
  }

  @Override
  Value.Fields parameters() {
    Value.Fields fields =
        Value.fields().with("base", design.base()).with("allocation", design.allocation());
    Double margin = design.equivalence();
    double against = design.hypothesis().against();
    if (margin != null) {
      fields.with("show", "equivalent").with("margin", margin);
    } else if (against != 0) {
      fields.with("show", "noninferior").with("margin", Math.abs(against));
    }
    return fields.with("alternative", design.alternative().id());
  }

  @Override
  public double none() {
    double none = super.none();
    return Double.isNaN(none) ? design.base() : none;
  }

  @Override
  public int points() {
    boolean boschloo = design.twoProportionTest() == TwoProportionTest.BOSCHLOO;
    return design.theory() == PowerMethod.NORMAL
        ? super.points()
        : boschloo ? BOSCHLOO_POINTS : GROUPS_POINTS;
  }

  @Override
  boolean hasBothTheories() {
    return CompareDesign.hasNormal(design.twoProportionTest());
  }

  @Override
  void requireEffect(double effect) {
    if (!isSeveralTests()) {
      super.requireEffect(effect);
    } else if (!(effect > design.effects().least() && effect < design.effects().most())) {
      throw new IllegalArgumentException(
          say(
              "an expected rate of %s lies beyond the margin; equivalence can't be shown",
              Figures.exactPercent(effect)));
    }
  }

  @Override
  Optional<Approximation> approximation(Plan plan) {
    double ofFirst = plan.sizes().first() * rarer(design.base());
    double ofSecond = plan.sizes().groups().get(1) * rarer(plan.effect());
    return design.theory() == PowerMethod.EXACT
        ? Optional.empty()
        : Optional.of(
            new Approximation(
                Math.min(ofFirst, ofSecond),
                ENOUGH,
                design.withTheory(PowerMethod.EXACT),
                MOST_UNASKED));
  }

  @Override
  Optional<Variation> varied(Effect stated, double effect, double factor) {
    double base = scaled(design.base(), factor);
    double other = again(stated, design.base(), effect, base);
    return Optional.of(new Variation(design.withBase(base), base, other));
  }

  @Override
  String testInWords() {
    return isSeveralTests()
        ? "two one-sided tests (" + design.test() + "), each"
        : super.testInWords();
  }

  @Override
  boolean isSeveralTests() {
    return design.equivalence() != null;
  }

  @Override
  String purpose(Plan plan) {
    Double margin = design.equivalence();
    double against = design.hypothesis().against();
    String rates = say("%s and %s", Figures.rate(design.base()), Figures.rate(plan.effect()));
    if (margin != null) {
      return say(
          " to show that the rates differ by less than %s, if the rates are %s",
          Figures.shortPoints(margin), rates);
    }
    return against == 0
        ? " to find a difference between rates of " + rates
        : say(
            " to show that the second rate is less than %s %s the first, if the rates are %s",
            Figures.shortPoints(Math.abs(against)), against < 0 ? "below" : "above", rates);
  }
}
