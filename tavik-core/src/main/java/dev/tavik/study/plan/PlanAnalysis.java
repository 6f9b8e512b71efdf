package dev.tavik.study.plan;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.ComparedEvidenceDesign;
import dev.tavik.planning.Design;
import dev.tavik.planning.DetectableEffect;
import dev.tavik.planning.Effect;
import dev.tavik.planning.Evidence;
import dev.tavik.planning.PairedDesign;
import dev.tavik.planning.Power;
import dev.tavik.planning.RateDesign;
import dev.tavik.planning.SampleSize;
import dev.tavik.planning.Sizes;
import dev.tavik.planning.TableDesign;
import dev.tavik.planning.Theory;
import dev.tavik.planning.TrendDesign;
import dev.tavik.result.Caution;
import dev.tavik.result.DeclinedException;
import dev.tavik.result.Figures;
import dev.tavik.result.Refusal;
import dev.tavik.study.plan.Plans.Line;
import dev.tavik.study.plan.Plans.Plan;
import dev.tavik.study.plan.Plans.Varied;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Works out every combination of a plan. */
record PlanAnalysis(PlanQuestion asked) {
  /** By how much a true alpha may be above the one that was asked for. */
  private static final double TOLERATED = 1.1;

  private static final double[] VARIED = {0.75, 0.9, 1.1, 1.25};

  /** So many successes and failures a normal approximation wants, of one rate and of each group. */
  private static final double ENOUGH_OF_RATE = 10;

  private static final double ENOUGH_OF_GROUPS = 5;

  /** Beyond these sizes an exact plan isn't made unasked. */
  private static final long MOST_UNASKED_OF_RATE = 20_000;

  private static final long MOST_UNASKED_OF_GROUPS = 3000;

  /** What the exact plans beside those by the normal distribution may take together. */
  private static final double UNASKED_SECONDS = 2;

  Answer answer() {
    List<Line> lines = new ArrayList<>();
    for (Design design : asked.designs()) {
      if (asked.effects().isEmpty()) {
        detectable(design, lines);
      } else {
        asked.effects().forEach(effect -> lines.addAll(lines(design, effect)));
      }
    }
    if (lines.stream().allMatch(line -> line.plan() == null)) {
      throw new IllegalArgumentException(
          "there is no plan: " + PlanSentences.refusal(lines.get(0)));
    }
    return Answer.to(asked, "plan", asked.label())
        .add(Finding.fact("for", new Value.Words(asked.kind())))
        .add(
            Finding.fact(
                "solvedFor",
                new Value.Words(
                    asked.effects().isEmpty()
                        ? "effect"
                        : asked.powers().isEmpty() ? "power" : "n")))
        .add(new Plans(asked, lines))
        .cautions(cautions(lines))
        .concluded(
            Verdict.of(new PlanSentences(asked.words()).conclusion(asked, lines)).inOwnWords());
  }

  private List<Line> lines(Design design, Effect stated) {
    double effect;
    try {
      effect = stated.from(base(design));
      requireEffect(design, effect);
    } catch (IllegalArgumentException e) {
      // One of many combinations that makes no sense costs its line, the only one the plan.
      if (asked.designs().size() * asked.effects().size() == 1) {
        throw e;
      }
      return List.of(refused(design, Double.NaN, null, String.valueOf(e.getMessage())));
    }
    List<Line> lines = new ArrayList<>();
    for (long n : asked.sizes()) {
      lines.add(line(design, stated, null, () -> given(design, effect, design.sizes((double) n))));
    }
    for (double power : asked.sizes().isEmpty() ? asked.powers() : List.<Double>of()) {
      lines.add(line(design, stated, power, () -> solved(design, effect, power)));
    }
    return lines;
  }

  /** What an effect is stated from: the base rate or the null value. */
  static double base(Design design) {
    if (design instanceof RateDesign rate) {
      return rate.hypothesis().against();
    }
    if (design instanceof CompareDesign comparison) {
      return comparison.base();
    }
    if (design instanceof Evidence) {
      return design.effects().none();
    }
    return design instanceof PairedDesign pairs ? pairs.secondOnly() : 0;
  }

  private static void requireEffect(Design design, double effect) {
    if (design instanceof TrendDesign) {
      return;
    }
    // Where the null value itself is expected, evidence for it is planned.
    if (design instanceof Evidence && effect == design.effects().none()) {
      return;
    }
    boolean margin = design instanceof CompareDesign comparison && comparison.equivalence() != null;
    if (!margin) {
      design
          .effects()
          .require(
              design instanceof TableDesign ? "w" : "the expected rate",
              effect,
              design.alternative());
    } else if (!(effect > design.effects().least() && effect < design.effects().most())) {
      throw new IllegalArgumentException(
          say(
              "an expected rate of %s lies beyond the margin; equivalence can't be shown",
              Figures.exactPercent(effect)));
    }
  }

  @FunctionalInterface
  private interface Solving {
    Plan plan();
  }

  private Line line(Design design, Effect stated, @Nullable Double wanted, Solving solving) {
    Plan plan;
    try {
      plan = solving.plan();
    } catch (DeclinedException | ArithmeticException e) {
      return refused(design, stated.from(base(design)), wanted, Refusal.reason(e));
    }
    return line(design, wanted, plan, sensitivity(design, stated, wanted, plan));
  }

  private static Line refused(Design design, double expected, @Nullable Double wanted, String why) {
    return new Line(design, expected, wanted, null, why, null, List.of(), "");
  }

  private Line line(Design design, @Nullable Double wanted, Plan plan, List<Varied> sensitivity) {
    Plan exact = exactly(design, wanted, plan);
    PlanSentences sentences = new PlanSentences(asked.words());
    if (exact != null && !exact.sizes().equals(plan.sizes()) && fewest(design, plan) < 1) {
      // Of less than one the normal distribution knows nothing; the exact number leads.
      String sentence =
          sentences.of(exactDesign(design), exact) + " " + sentences.besideExact(plan, exact);
      return new Line(design, plan.effect(), wanted, plan, "", exact, sensitivity, sentence);
    }
    String sentence = sentences.of(design, plan);
    return new Line(
        design,
        plan.effect(),
        wanted,
        plan,
        "",
        exact,
        sensitivity,
        exact == null ? sentence : sentence + " " + sentences.beside(plan, exact));
  }

  private static Plan given(Design design, double effect, Sizes sizes) {
    Power power = design.at(sizes);
    return new Plan(effect, sizes, sizes, power.at(effect), power.size());
  }

  private static Plan solved(Design design, double effect, double power) {
    return solved(design, effect, SampleSize.of(design, effect, power));
  }

  private static Plan solved(Design design, double effect, SampleSize size) {
    Power attained = design.at(size.sizes());
    return new Plan(effect, size.sizes(), size.holdsFrom(), attained.at(effect), attained.size());
  }

  private void detectable(Design design, List<Line> lines) {
    for (long n : asked.sizes()) {
      Sizes sizes = design.sizes((double) n);
      for (double power : asked.powers()) {
        try {
          for (double effect : DetectableEffect.of(design, sizes, power)) {
            lines.add(line(design, power, given(design, effect, sizes), List.of()));
          }
        } catch (DeclinedException | ArithmeticException e) {
          lines.add(refused(design, Double.NaN, power, Refusal.reason(e)));
        }
      }
    }
  }

  /** Where the normal approximation is poor, the exact plan of the same test. */
  private @Nullable Plan exactly(Design design, @Nullable Double wanted, Plan plan) {
    if (!poor(design, plan)) {
      return null;
    }
    boolean groups = design instanceof CompareDesign;
    if (plan.sizes().total() > (groups ? MOST_UNASKED_OF_GROUPS : MOST_UNASKED_OF_RATE)) {
      return null;
    }
    Design exact = exactDesign(design);
    try {
      if (wanted != null && asked.sizes().isEmpty()) {
        SampleSize size = SampleSize.of(exact, plan.effect(), wanted, UNASKED_SECONDS / lines());
        return solved(exact, plan.effect(), size);
      }
    } catch (DeclinedException | IllegalArgumentException | ArithmeticException e) {
      // Too long to be searched unasked: then the exact power of the same number.
    }
    try {
      return given(exact, plan.effect(), plan.sizes());
    } catch (DeclinedException | IllegalArgumentException | ArithmeticException e) {
      // A lot whose null isn't a whole number of units has no exact test.
      return null;
    }
  }

  private double lines() {
    return (double) asked.designs().size()
        * Math.max(1, asked.effects().size())
        * Math.max(1, asked.powers().size())
        * Math.max(1, asked.sizes().size());
  }

  private static Design exactDesign(Design design) {
    return design instanceof RateDesign rate
        ? rate.withTheory(Theory.EXACT)
        : design instanceof PairedDesign pairs
            ? pairs.withTheory(Theory.EXACT)
            : ((CompareDesign) design).withTheory(Theory.EXACT);
  }

  static boolean poor(Design design, Plan plan) {
    return fewest(design, plan)
        < (design instanceof CompareDesign ? ENOUGH_OF_GROUPS : ENOUGH_OF_RATE) * (1 - 1e-12);
  }

  /**
   * The fewest successes or failures expected, of pairs the discordant ones, where power rests on
   * the normal distribution.
   */
  static double fewest(Design design, Plan plan) {
    if (design.theory() == Theory.EXACT) {
      return Double.POSITIVE_INFINITY;
    }
    double effect = plan.effect();
    long n = plan.sizes().first();
    if (design instanceof RateDesign rate) {
      return n * Math.min(rarer(effect), rarer(rate.hypothesis().against()));
    }
    if (design instanceof CompareDesign comparison) {
      return Math.min(n * rarer(comparison.base()), plan.sizes().groups().get(1) * rarer(effect));
    }
    return Double.POSITIVE_INFINITY;
  }

  private static double rarer(double rate) {
    return Math.min(rate, 1 - rate);
  }

  private List<Varied> sensitivity(
      Design design, Effect stated, @Nullable Double wanted, Plan plan) {
    boolean forNull = design instanceof Evidence && plan.effect() == design.effects().none();
    if (design instanceof TrendDesign || forNull) {
      return List.of();
    }
    List<Varied> varied = new ArrayList<>();
    for (double factor : VARIED) {
      tried(design, stated, wanted, plan, factor).ifPresent(varied::add);
    }
    return varied;
  }

  /** Nothing where rates so far away don't exist, or would take too long. */
  private static Optional<Varied> tried(
      Design design, Effect stated, @Nullable Double wanted, Plan plan, double factor) {
    try {
      return Optional.of(varied(design, stated, wanted, plan, factor));
    } catch (DeclinedException | IllegalArgumentException | ArithmeticException e) {
      return Optional.empty();
    }
  }

  private static Varied varied(
      Design design, Effect stated, @Nullable Double wanted, Plan plan, double factor) {
    Design other = design;
    Double base = null;
    double effect = plan.effect();
    if (design instanceof CompareDesign comparison) {
      base = scaled(comparison.base(), factor);
      other = comparison.withBase(base);
      effect = again(stated, comparison.base(), effect).from(base);
    } else if (design instanceof ComparedEvidenceDesign evidence) {
      base = scaled(evidence.base(), factor);
      other =
          new ComparedEvidenceDesign(
              base, evidence.prior(), evidence.threshold(), evidence.allocation());
      effect = again(stated, evidence.base(), effect).from(base);
    } else if (design instanceof PairedDesign pairs) {
      base = decimal(pairs.secondOnly() * factor);
      other =
          new PairedDesign(
              pairs.pairedTest(), pairs.theory(), base, pairs.alternative(), pairs.alpha());
      effect = decimal(base + (effect - pairs.secondOnly()));
    } else {
      double none = design.effects().none();
      effect = decimal(none + (effect - none) * factor);
    }
    requireEffect(other, effect);
    return new Varied(
        base,
        effect,
        other.at(plan.sizes()).at(effect),
        wanted != null && design.swing() == 0
            ? SampleSize.of(other, effect, wanted).sizes()
            : null);
  }

  /** A rate scaled, near 1 what it lacks: 99% is varied as 1% is. */
  private static double scaled(double base, double factor) {
    return decimal(base <= 0.5 ? base * factor : 1 - (1 - base) * factor);
  }

  /** From another base, a rate that was stated as such keeps its distance. */
  private static Effect again(Effect stated, double base, double effect) {
    return stated.measure() == Effect.Measure.PROPORTION
        ? new Effect(Effect.Measure.DIFFERENCE, decimal(effect - base))
        : stated;
  }

  /** Without the noise of the last places. */
  private static double decimal(double value) {
    return Double.parseDouble(Figures.significant(value, 12));
  }

  private List<Caution> cautions(List<Line> lines) {
    List<Caution> cautions = new ArrayList<>(asked.cautions());
    for (Line line : lines) {
      Plan plan = line.plan();
      if (plan == null) {
        continue;
      }
      if (poor(line.design(), plan)) {
        cautions.add(PlanSentences.poor(line, plan));
        break;
      }
    }
    lines.stream()
        .filter(line -> line.trueAlpha() > TOLERATED * line.design().alpha())
        .findFirst()
        .ifPresent(line -> cautions.add(PlanSentences.trueAlpha(line)));
    lines.stream()
        .flatMap(line -> Stream.ofNullable(line.plan()))
        .filter(plan -> !plan.holdsFrom().equals(plan.sizes()))
        .findFirst()
        .ifPresent(plan -> cautions.add(new PlanSentences(asked.words()).sawTooth(plan)));
    return cautions;
  }
}
