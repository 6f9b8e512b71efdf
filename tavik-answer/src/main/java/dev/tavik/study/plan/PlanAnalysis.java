package dev.tavik.study.plan;

import dev.tavik.answer.Answer;
import dev.tavik.answer.AnswerKind;
import dev.tavik.answer.Caution;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.PlanVerdicts;
import dev.tavik.phrase.RefusalPhrases;
import dev.tavik.planning.DetectableEffect;
import dev.tavik.planning.Effect;
import dev.tavik.planning.Power;
import dev.tavik.planning.PowerDesign;
import dev.tavik.planning.SampleSize;
import dev.tavik.planning.Sizes;
import dev.tavik.result.NotApplicableException;
import dev.tavik.study.plan.PlanDescription.Approximation;
import dev.tavik.study.plan.Plans.Plan;
import dev.tavik.study.plan.Plans.PlanLine;
import dev.tavik.study.plan.Plans.Varied;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Works out every combination of a plan. */
record PlanAnalysis(PlanQuestion asked) {
  /** Factor by which a true alpha may exceed the chosen one. */
  private static final double TOLERATED = 1.1;

  private static final double[] VARIED = {0.75, 0.9, 1.1, 1.25};

  /** Time limit in seconds for all exact plans beside those by the normal distribution. */
  private static final double UNASKED_SECONDS = 2;

  Answer answer() {
    List<PlanLine> lines = new ArrayList<>();
    for (PowerDesign design : asked.designs()) {
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
    Plans plans = new Plans(asked, lines);
    return Answer.to(asked, AnswerKind.PLAN, asked.label())
        .add(Finding.fact("for", new Value.Words(asked.kind())))
        .add(
            Finding.fact(
                "solvedFor",
                new Value.Words(
                    asked.effects().isEmpty()
                        ? "effect"
                        : asked.powers().isEmpty() ? "power" : "n")))
        .add(plans)
        .addAll(PlanCurves.of(plans))
        .cautions(cautions(lines))
        .concluded(
            Verdict.of(new PlanSentences(asked.words()).conclusion(asked, lines)).inOwnWords());
  }

  private List<PlanLine> lines(PowerDesign design, Effect stated) {
    PlanDescription description = PlanDescription.of(design);
    double effect;
    try {
      effect = stated.from(design.statedFrom());
      description.requireEffect(effect);
    } catch (IllegalArgumentException e) {
      // An impossible combination among many costs only its line; the only one is refused.
      if (asked.designs().size() * asked.effects().size() == 1) {
        throw e;
      }
      return List.of(refused(design, Double.NaN, null, String.valueOf(e.getMessage())));
    }
    List<PlanLine> lines = new ArrayList<>();
    for (long n : asked.sizes()) {
      lines.add(line(design, stated, null, () -> given(design, effect, design.sizes((double) n))));
    }
    for (double power : asked.sizes().isEmpty() ? asked.powers() : List.<Double>of()) {
      lines.add(line(design, stated, power, () -> solved(design, effect, power)));
    }
    return lines;
  }

  @FunctionalInterface
  private interface Solving {
    Plan plan();
  }

  private PlanLine line(
      PowerDesign design, Effect stated, @Nullable Double wanted, Solving solving) {
    Plan plan;
    try {
      plan = solving.plan();
    } catch (NotApplicableException | ArithmeticException e) {
      double expected = stated.from(design.statedFrom());
      return refused(design, expected, wanted, RefusalPhrases.of(e));
    }
    return line(design, wanted, plan, sensitivity(design, stated, wanted, plan));
  }

  private static PlanLine refused(
      PowerDesign design, double expected, @Nullable Double wanted, String why) {
    return new PlanLine(design, expected, wanted, null, why, null, List.of(), "");
  }

  private PlanLine line(
      PowerDesign design, @Nullable Double wanted, Plan plan, List<Varied> sensitivity) {
    PlanDescription description = PlanDescription.of(design);
    Approximation approximation = poor(description, plan).orElse(null);
    Plan exact = approximation == null ? null : exactly(approximation, wanted, plan);
    PlanSentences sentences = new PlanSentences(asked.words());
    if (approximation != null
        && exact != null
        && !exact.sizes().equals(plan.sizes())
        && approximation.fewest() < 1) {
      String sentence = sentences.led(PlanDescription.of(approximation.exact()), exact, plan);
      return new PlanLine(design, plan.effect(), wanted, plan, "", exact, sensitivity, sentence);
    }
    String sentence = sentences.of(description, plan, exact);
    return new PlanLine(design, plan.effect(), wanted, plan, "", exact, sensitivity, sentence);
  }

  private static Plan given(PowerDesign design, double effect, Sizes sizes) {
    Power power = design.at(sizes);
    return new Plan(effect, sizes, sizes, power.at(effect), power.size());
  }

  private static Plan solved(PowerDesign design, double effect, double power) {
    return solved(design, effect, SampleSize.of(design, effect, power));
  }

  private static Plan solved(PowerDesign design, double effect, SampleSize size) {
    Power attained = design.at(size.sizes());
    return new Plan(effect, size.sizes(), size.holdsFrom(), attained.at(effect), attained.size());
  }

  private void detectable(PowerDesign design, List<PlanLine> lines) {
    for (long n : asked.sizes()) {
      Sizes sizes = design.sizes((double) n);
      for (double power : asked.powers()) {
        try {
          for (double effect : DetectableEffect.of(design, sizes, power)) {
            lines.add(line(design, power, given(design, effect, sizes), List.of()));
          }
        } catch (NotApplicableException | ArithmeticException e) {
          lines.add(refused(design, Double.NaN, power, RefusalPhrases.of(e)));
        }
      }
    }
  }

  /** The exact plan of the same test, where it doesn't take long. */
  private @Nullable Plan exactly(Approximation poor, @Nullable Double wanted, Plan plan) {
    if (plan.sizes().total() > poor.mostUnasked()) {
      return null;
    }
    PowerDesign exact = poor.exact();
    try {
      if (wanted != null && asked.sizes().isEmpty()) {
        SampleSize size = SampleSize.of(exact, plan.effect(), wanted, UNASKED_SECONDS / lines());
        return solved(exact, plan.effect(), size);
      }
    } catch (NotApplicableException | IllegalArgumentException | ArithmeticException e) {
      // Too slow to be searched unasked: the exact power of the same number is computed instead.
    }
    try {
      return given(exact, plan.effect(), plan.sizes());
    } catch (NotApplicableException | IllegalArgumentException | ArithmeticException e) {
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

  private static Optional<Approximation> poor(PlanDescription description, Plan plan) {
    return description.approximation(plan).filter(Approximation::isPoor);
  }

  private List<Varied> sensitivity(
      PowerDesign design, Effect stated, @Nullable Double wanted, Plan plan) {
    List<Varied> varied = new ArrayList<>();
    for (double factor : VARIED) {
      tried(design, stated, wanted, plan, factor).ifPresent(varied::add);
    }
    return varied;
  }

  /** Empty if such rates don't exist or would take too long. */
  private static Optional<Varied> tried(
      PowerDesign design, Effect stated, @Nullable Double wanted, Plan plan, double factor) {
    try {
      return PlanDescription.of(design)
          .varied(stated, plan.effect(), factor)
          .map(variation -> varied(variation, wanted, plan));
    } catch (NotApplicableException | IllegalArgumentException | ArithmeticException e) {
      return Optional.empty();
    }
  }

  private static Varied varied(
      PlanDescription.Variation variation, @Nullable Double wanted, Plan plan) {
    PowerDesign design = variation.design();
    double effect = variation.effect();
    PlanDescription.of(design).requireEffect(effect);
    return new Varied(
        variation.base(),
        effect,
        design.at(plan.sizes()).at(effect),
        wanted != null && design.swing() == 0
            ? SampleSize.of(design, effect, wanted).sizes()
            : null);
  }

  private List<Caution> cautions(List<PlanLine> lines) {
    List<Caution> cautions = new ArrayList<>(asked.cautions());
    for (PlanLine line : lines) {
      Plan plan = line.plan();
      if (plan == null) {
        continue;
      }
      if (poor(line.description(), plan).isPresent()) {
        double expected = line.description().approximation(plan).orElseThrow().fewest();
        cautions.add(PlanVerdicts.poor(expected, line.exact() != null));
        break;
      }
    }
    lines.stream()
        .filter(line -> line.trueAlpha() > TOLERATED * line.design().alpha())
        .findFirst()
        .ifPresent(
            line -> cautions.add(PlanVerdicts.trueAlpha(line.trueAlpha(), line.design().alpha())));
    lines.stream()
        .flatMap(line -> Stream.ofNullable(line.plan()))
        .filter(plan -> !plan.holdsFrom().equals(plan.sizes()))
        .findFirst()
        .ifPresent(plan -> cautions.add(new PlanSentences(asked.words()).sawTooth(plan)));
    return cautions;
  }
}
