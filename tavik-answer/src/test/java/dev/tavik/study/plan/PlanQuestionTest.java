package dev.tavik.study.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.ComparedEvidenceDesign;
import dev.tavik.planning.Effect;
import dev.tavik.planning.PairedDesign;
import dev.tavik.planning.PowerDesign;
import dev.tavik.planning.PowerMethod;
import dev.tavik.planning.RateDesign;
import dev.tavik.planning.RatePrecision;
import dev.tavik.planning.SampleSize;
import dev.tavik.planning.Sampling;
import dev.tavik.planning.Sizes;
import dev.tavik.planning.TableDesign;
import dev.tavik.planning.TrendDesign;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.study.plan.Plans.Plan;
import dev.tavik.study.plan.Plans.PlanLine;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class PlanQuestionTest {
  private static final CompareDesign KILNS =
      CompareDesign.of(TwoProportionTest.Z_POOLED, 0.08, Hypothesis.twoSided(0), 0.05);

  private static List<PlanLine> lines(Answer answer) {
    return answer.find(Plans.class).orElseThrow().lines();
  }

  private static Plan plan(PlanLine line) {
    return Objects.requireNonNull(line.plan());
  }

  static Stream<Arguments> designs() {
    return Stream.of(
        Arguments.of(KILNS, Effect.rate(0.045), List.of(0.06, 0.072, 0.088, 0.1)),
        Arguments.of(
            KILNS, new Effect(Effect.Measure.RATIO, 0.5), List.of(0.06, 0.072, 0.088, 0.1)),
        Arguments.of(
            RateDesign.of(ProportionTest.SCORE, Hypothesis.twoSided(0.08), 0.05),
            Effect.rate(0.05),
            List.of()),
        Arguments.of(new TableDesign(6, 0.05, 2), Effect.cohensW(0.2), List.of()),
        Arguments.of(
            new PairedDesign(
                PairedTest.MCNEMAR, PowerMethod.NORMAL, 0.02, Alternative.TWO_SIDED, 0.05),
            Effect.rate(0.06),
            List.of(0.015, 0.018, 0.022, 0.025)));
  }

  /** Each line of what if is the same question asked about another truth. */
  @ParameterizedTest
  @MethodSource("designs")
  void whatIfIsTheSameQuestionElsewhere(PowerDesign design, Effect effect, List<Double> bases) {
    PlanLine line =
        lines(PlanQuestion.forSizes(design, List.of(effect), List.of(0.8)).ask()).get(0);
    assertThat(line.sensitivity()).hasSize(4);
    for (int i = 0; i < 4; i++) {
      Plans.Varied varied = line.sensitivity().get(i);
      PowerDesign other = design;
      if (!bases.isEmpty()) {
        assertThat(varied.base()).isEqualTo(bases.get(i));
        other =
            design instanceof CompareDesign comparison
                ? comparison.withBase(bases.get(i))
                : new PairedDesign(
                    PairedTest.MCNEMAR,
                    PowerMethod.NORMAL,
                    bases.get(i),
                    Alternative.TWO_SIDED,
                    0.05);
      }
      assertThat(varied.power()).isEqualTo(other.at(plan(line).sizes()).at(varied.effect()));
      assertThat(varied.needed()).isEqualTo(SampleSize.of(other, varied.effect(), 0.8).sizes());
    }
    // A ratio is kept, a rate keeps its distance.
    if (effect.measure() == Effect.Measure.RATIO) {
      assertThat(line.sensitivity().get(0).effect()).isCloseTo(0.03, within(1e-15));
    }
  }

  @Test
  void highRatesAreVariedAsLowOnesAre() {
    CompareDesign sound =
        CompareDesign.of(TwoProportionTest.Z_POOLED, 0.99, Hypothesis.twoSided(0), 0.05);
    PlanLine line =
        lines(PlanQuestion.forSizes(sound, List.of(Effect.rate(0.96)), List.of(0.8)).ask()).get(0);
    assertThat(line.sensitivity())
        .extracting(Plans.Varied::base)
        .containsExactly(0.9925, 0.991, 0.989, 0.9875);
  }

  /** The smallest effect of some sizes needs just these sizes. */
  @Test
  void nPowerAndEffectAreOneEquation() {
    Answer sizes = PlanQuestion.forSizes(KILNS, List.of(Effect.rate(0.045)), List.of(0.8)).ask();
    Plan first = plan(lines(sizes).get(0));
    Answer power = PlanQuestion.forPower(KILNS, List.of(Effect.rate(0.045)), List.of(750L)).ask();
    assertThat(plan(lines(power).get(0)).power()).isEqualTo(first.power());
    Answer effects = PlanQuestion.forEffects(KILNS, List.of(first.power()), List.of(750L)).ask();
    assertThat(lines(effects)).hasSize(2);
    assertThat(plan(lines(effects).get(0)).effect()).isCloseTo(0.045, within(1e-11));
    assertThat(effects.verdict().text())
        .startsWith("750 observations in each group (1,500 in all) find");
  }

  @Test
  void poorApproximationsHaveTheExactPlanBeside() {
    RateDesign design = RateDesign.of(ProportionTest.SCORE, Hypothesis.less(0.02), 0.05);
    Answer answer = PlanQuestion.forSizes(design, List.of(Effect.rate(0.005)), List.of(0.8)).ask();
    SampleSize exact = SampleSize.of(design.withTheory(PowerMethod.EXACT), 0.005, 0.8);
    Plan beside = Objects.requireNonNull(lines(answer).get(0).exact());
    assertThat(beside.sizes()).isEqualTo(exact.sizes());
    assertThat(beside.holdsFrom()).isEqualTo(exact.holdsFrom());
    assertThat(answer.cautions())
        .extracting(Caution::code)
        .containsOnly(Caution.Code.FEW_SUCCESSES);
    assertThat(answer.verdict().text()).contains("By exact power");
    Answer enough = PlanQuestion.forSizes(design, List.of(Effect.rate(0.0199)), List.of(0.8)).ask();
    assertThat(enough.cautions()).isEmpty();
    assertThat(lines(enough).get(0).exact()).isNull();
  }

  @Test
  void swingingPowerIsTold() {
    PowerDesign design = RateDesign.of(ProportionTest.EXACT, Hypothesis.twoSided(0.08), 0.05);
    Answer answer = PlanQuestion.forSizes(design, List.of(Effect.rate(0.05)), List.of(0.9)).ask();
    assertThat(answer.cautions()).extracting(Caution::code).containsExactly(Caution.Code.SAW_TOOTH);
    assertThat(plan(lines(answer).get(0)).alpha()).isLessThanOrEqualTo(0.05);
    assertThat(answer.verdict().text()).contains("has an exact power of 90.1%");
  }

  @Test
  void whatCantBeReachedIsToldInItsPlace() {
    PowerDesign lot =
        new RateDesign(
            ProportionTest.SCORE, PowerMethod.NORMAL, Hypothesis.twoSided(0.5), 0.05, 30L);
    Answer answer =
        PlanQuestion.forSizes(lot, List.of(Effect.rate(0.51), Effect.rate(0.9)), List.of(0.8))
            .ask();
    assertThat(lines(answer).get(0).plan()).isNull();
    assertThat(lines(answer).get(0).refused()).contains("not reached even with 29");
    assertThat(plan(lines(answer).get(1)).sizes().first()).isLessThan(30);
    PlanQuestion trend =
        PlanQuestion.forEffects(
            new TrendDesign(List.of(0.1, 0.2), List.of(1.0, 2.0), Alternative.TWO_SIDED, 0.05),
            List.of(0.8),
            List.of(100L));
    assertThatIllegalArgumentException()
        .isThrownBy(trend::ask)
        .withMessage(
            "there is no plan: trend has no single effect to search for; give what is expected");
  }

  @Test
  void evidenceForEqualityIsPlannedToo() {
    PowerDesign design = new ComparedEvidenceDesign(0.3, BetaPrior.UNIFORM, 3, 2);
    Answer answer =
        PlanQuestion.forPower(design, List.of(Effect.rate(0.3), Effect.rate(0.6)), List.of(60L))
            .words(new PlanWords("tiles", "kiln", null))
            .ask();
    assertThat(lines(answer).get(0).sentence())
        .startsWith("With 60 tiles from the first kiln and 120 from the second (180 in all)")
        .contains("reaches 3 for equal rates", "misleads as strongly, for the alternative,");
    assertThat(lines(answer).get(1).sentence()).contains("reaches 3 for a difference");
  }

  @Test
  void exactlyOneThingIsLeftOut() {
    List<Effect> effects = List.of(Effect.rate(0.05));
    assertThatThrownBy(() -> PlanQuestion.forSizes(KILNS, effects, List.of()))
        .hasMessageContaining("missing are n and power");
    assertThatThrownBy(() -> PlanQuestion.forSizes(KILNS, effects, List.of(0.05)))
        .hasMessageContaining("power must be above alpha, 0.05, got 0.05");
    assertThatThrownBy(() -> PlanQuestion.forPower(KILNS, effects, List.of(0L)))
        .hasMessageContaining("n must be from 1 to");
    assertThatThrownBy(
            () -> PlanQuestion.forSizes(KILNS, List.of(Effect.rate(0.08)), List.of(0.8)).ask())
        .hasMessageContaining("is the null value itself, 8%");
  }

  /** 400 answers of 40 % are 1,000 invitations, not one more. */
  @Test
  void invitationsAreRoundedUpOnce() {
    assertThat(new PlanWords("people", "", 0.4).invited(400)).isEqualTo(1000);
    assertThat(new PlanWords("people", "", 0.4).invited(401)).isEqualTo(1003);
    assertThat(new PlanWords("people", "", 1.0).invited(7)).isEqualTo(7);
    Answer answer =
        new PrecisionQuestion(
                "",
                "rate",
                List.of(
                    new RatePrecision(ProportionInterval.WALD, 0.95, 0.5, new Sampling(900L, 1))),
                List.of(0.03),
                List.of(),
                true,
                new PlanWords("people", "", 0.4))
            .ask();
    Precisions.PlannedPrecision line = answer.find(Precisions.class).orElseThrow().lines().get(0);
    assertThat(line.sizes()).isEqualTo(Sizes.of(489));
    assertThat(answer.cautions())
        .extracting(Caution::code)
        .containsExactly(Caution.Code.TOO_FEW_TO_INVITE);
    assertThat(line.sensitivity())
        .extracting(Precisions.Varied::rate)
        .containsExactly(0.25, 0.375, 0.625, 0.75);
  }
}
