package dev.tavik.study.plan;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Value;
import dev.tavik.phrase.PlanVerdicts;
import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.ComparedEvidenceDesign;
import dev.tavik.planning.Effect;
import dev.tavik.planning.EvidenceDesign;
import dev.tavik.planning.PairedDesign;
import dev.tavik.planning.PowerDesign;
import dev.tavik.planning.PowerMethod;
import dev.tavik.planning.RateDesign;
import dev.tavik.planning.TableDesign;
import dev.tavik.planning.TrendDesign;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.study.plan.Plans.Plan;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Everything about a plan that differs between the kinds of plans: what its parameters are called,
 * how an effect is stated and varied, and the sentence for a protocol. Each kind is one class.
 */
abstract class PlanDescription {
  /** Points of a curve: enough to show how exact power swings, and fewer where it takes long. */
  private static final int SMOOTH_POINTS = 240;

  private static final int EXACT_POINTS = 1200;
  static final int GROUPS_POINTS = 80;

  private final PowerDesign design;
  private final Names names;
  private final EffectScale scale;

  PlanDescription(PowerDesign design, Names names, EffectScale scale) {
    this.design = design;
    this.names = names;
    this.scale = scale;
  }

  /**
   * The words in which kinds of plans differ.
   *
   * @param kind the word after {@code plan} on the command line
   * @param effect the heading of the column of effects; empty where the design says it all
   * @param effectKey the key of an effect, for machines
   * @param varied what is varied to see how much depends on it
   */
  record Names(String kind, String effect, String effectKey, String varied) {}

  /** The base rate that an effect is stated from. */
  record Base(String heading, String key, double rate, Value value, String text) {
    static Base of(String heading, String key, double rate) {
      return new Base(heading, key, rate, Value.Share.RATE.of(rate), Figures.rate(rate));
    }
  }

  /** A value and the heading of its column. */
  record Told(String heading, Value value) {}

  /** The plan under a slightly different truth; the base is null if it is unchanged. */
  record Variation(PowerDesign design, @Nullable Double base, double effect) {}

  /**
   * How good the normal approximation is.
   *
   * @param fewest the fewest successes or failures that are expected in a group
   * @param enough how many make it good enough
   * @param exact the same test by exact power
   * @param mostUnasked the largest total for which the exact plan is made without being asked for
   */
  record Approximation(double fewest, double enough, PowerDesign exact, long mostUnasked) {
    boolean isPoor() {
      return fewest < enough * (1 - 1e-12);
    }
  }

  /**
   * Describes a design.
   *
   * @param design the design of a plan
   * @return its description
   */
  public static PlanDescription of(PowerDesign design) {
    if (design instanceof RateDesign rate) {
      return new RatePlan(rate);
    } else if (design instanceof CompareDesign comparison) {
      return new ComparePlan(comparison);
    } else if (design instanceof PairedDesign pairs) {
      return new PairedPlan(pairs);
    } else if (design instanceof TableDesign table) {
      return new TablePlan(table);
    } else if (design instanceof TrendDesign trend) {
      return new TrendPlan(trend);
    } else if (design instanceof EvidenceDesign evidence) {
      return new EvidencePlan(evidence);
    }
    return new ComparedEvidencePlan((ComparedEvidenceDesign) design);
  }

  /** The base that an effect is stated from; empty where there is none. */
  Optional<Base> base() {
    return Optional.empty();
  }

  /** The parameters that only this kind has, for machines. */
  abstract Value.Fields parameters();

  /** The purpose of the test, as the end of a sentence. */
  abstract String purpose(Plan plan);

  final Names names() {
    return names;
  }

  /**
   * How effects are written.
   *
   * @return rates or w
   */
  public final EffectScale scale() {
    return scale;
  }

  /**
   * An effect and its base in the words of a picture.
   *
   * @param effect a rate, or w
   * @return such as {@code 5% against 8%} or {@code w = 0.2}
   */
  public String text(double effect) {
    return scale.text(effect) + base().map(each -> " against " + each.text()).orElse("");
  }

  /**
   * The effect where the null is true.
   *
   * @return a rate, or 0
   */
  public double none() {
    return design.effects().none();
  }

  /**
   * The number of points with which power over n is drawn.
   *
   * @return fewer where exact power takes long
   */
  public int points() {
    return design.theory() == PowerMethod.NORMAL ? SMOOTH_POINTS : EXACT_POINTS;
  }

  /**
   * The test, in the words of a picture.
   *
   * @param several whether there are several tests, so that none is named
   * @return such as {@code two-sided z-pooled at alpha 0.05}
   */
  public String test(boolean several) {
    String test = several ? "tests" : design.test();
    return say("%s %s at alpha %s", sided(), test, Figures.plain(design.alpha()));
  }

  /**
   * How power is computed, in the words of a picture.
   *
   * @param swings whether it is drawn over n
   * @return such as {@code , by the normal distribution}
   */
  public String theory(boolean swings) {
    return design.theory() == PowerMethod.NORMAL
        ? ", by the normal distribution"
        : swings ? ", exact: it swings because counts are whole numbers" : ", exact";
  }

  private String sided() {
    return design.alternative() == Alternative.TWO_SIDED ? "two-sided" : "one-sided";
  }

  /** The threshold of a Bayes factor, if one is planned in place of a test. */
  Optional<Double> threshold() {
    return Optional.empty();
  }

  final String power() {
    return threshold().isPresent() ? "chance" : "power";
  }

  /**
   * The name of a picture's axis of power.
   *
   * @return such as {@code Power}
   */
  public final String powerAxis() {
    return threshold().isPresent() ? "Chance to reach the threshold" : "Power";
  }

  /** The heading of the column of how often a true null is rejected. */
  final String alphaHeading() {
    return threshold().isPresent() ? "misled" : "true alpha";
  }

  /** How strict the test is. */
  final Told strictness() {
    return threshold()
        .map(each -> new Told("threshold", Value.number(each)))
        .orElseGet(() -> new Told("alpha", Value.number(design.alpha())));
  }

  /** A parameter that every line of a plan tells, besides the base. */
  Optional<Told> parameter() {
    return Optional.empty();
  }

  /** Whether this test has power by the normal distribution and exactly. */
  boolean hasBothTheories() {
    return false;
  }

  /**
   * The test, with the kind of power where it has two.
   *
   * @return such as {@code score, exact}
   */
  public final String testName() {
    boolean exact = hasBothTheories() && design.theory() == PowerMethod.EXACT;
    return design.test() + (exact ? ", exact" : "");
  }

  /** Refuses an effect that the design can't have. */
  void requireEffect(double effect) {
    design.effects().require(scale.subject(), effect, design.alternative());
  }

  /** How good the normal approximation is, where power rests on one that may be poor. */
  Optional<Approximation> approximation(Plan plan) {
    return Optional.empty();
  }

  /**
   * The plan under a truth that differs by a factor; empty if nothing can be varied.
   *
   * @throws IllegalArgumentException if there are no such rates
   */
  Optional<Variation> varied(Effect stated, double effect, double factor) {
    double other = decimal(none() + (effect - none()) * factor);
    return Optional.of(new Variation(design, null, other));
  }

  /** Scales a base rate; above one half its complement is scaled, so that 99% varies as 1% does. */
  static double scaled(double base, double factor) {
    return decimal(base <= 0.5 ? base * factor : 1 - (1 - base) * factor);
  }

  /** With another base, a rate that was stated as such keeps its difference from it. */
  static double again(Effect stated, double base, double effect, double otherBase) {
    boolean rate = stated.measure() == Effect.Measure.PROPORTION;
    Effect.Measure distance = Effect.Measure.DIFFERENCE;
    return (rate ? new Effect(distance, decimal(effect - base)) : stated).from(otherBase);
  }

  /** Rounds away the noise of the last digits. */
  static double decimal(double value) {
    return Double.parseDouble(Figures.significant(value, 12));
  }

  static double rarer(double rate) {
    return Math.min(rate, 1 - rate);
  }

  /** The sentence for a protocol; sizes are in words. */
  String sentence(String sizes, Plan plan) {
    return PlanVerdicts.protocol(
        sizes,
        testInWords(),
        design.alpha(),
        isSeveralTests(),
        design.theory() == PowerMethod.EXACT,
        plan.power(),
        purpose(plan));
  }

  String testInWords() {
    return "a " + sided() + " test (" + design.test() + ")";
  }

  boolean isSeveralTests() {
    return false;
  }

  static String percents(List<Double> rates) {
    return String.join(", ", rates.stream().map(Figures::exactPercent).toList());
  }
}
