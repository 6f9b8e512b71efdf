package dev.tavik.plot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.answer.Answer;
import dev.tavik.bayes.BetaPosterior;
import dev.tavik.count.CrossTable;
import dev.tavik.count.NamedTally;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.Effect;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.plan.PlanQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.tail.TailQuestion;
import dev.tavik.tail.Tail;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What pictures show is what the answer says. */
class PlotTest {
  private static final Tally NORTH = Tally.of(14, 400);
  private static final Tally SOUTH = Tally.of(31, 410);

  private static CompareQuestion kilns() {
    return CompareQuestion.of(new NamedTally("North", NORTH), new NamedTally("South", SOUTH));
  }

  private static RateQuestion rate(ProportionTest test, Alternative alternative) {
    RateQuestion question = RateQuestion.of(NORTH, 0.05).alternative(alternative);
    return question.settings(question.settings().tests(List.of(test)));
  }

  /** The tails that are shaded make up the p-value. */
  private static void areaIsPValue(Answer answer, double accuracy) {
    NullPlot plot = answer.plot(NullPlot.class).orElseThrow();
    double p = answer.test().pValue();
    assertThat(plot.lower().area() + plot.upper().area()).isCloseTo(p, within(accuracy * p));
    assertThat(plot.points()).isSortedAccordingTo((a, b) -> Double.compare(a.count(), b.count()));
  }

  @ParameterizedTest
  @EnumSource(Alternative.class)
  void theShadedAreaIsThePValue(Alternative alternative) {
    areaIsPValue(rate(ProportionTest.SCORE, alternative).ask(), 1e-10);
    areaIsPValue(rate(ProportionTest.EXACT, alternative).ask(), 1e-10);
    for (TwoProportionTest test : List.of(TwoProportionTest.Z_POOLED, TwoProportionTest.FISHER)) {
      CompareQuestion question = kilns().alternative(alternative);
      areaIsPValue(question.settings(question.settings().tests(List.of(test))).ask(), 1e-9);
    }
    for (PairedTest test : List.of(PairedTest.MCNEMAR, PairedTest.MCNEMAR_EXACT)) {
      PairedQuestion question =
          PairedQuestion.of(new PairedTally(14, 9, 2, 211)).alternative(alternative);
      areaIsPValue(question.settings(question.settings().tests(List.of(test))).ask(), 1e-9);
    }
  }

  @Test
  void theIntervalsOfAPictureAreThoseOfTheAnswer() {
    Answer answer = kilns().alternative(Alternative.LESS).ask();
    IntervalPlot plot = answer.plot(IntervalPlot.class).orElseThrow();
    assertThat(plot.panels())
        .extracting(IntervalPlot.Panel::scale)
        .startsWith(Scale.PERCENT, Scale.POINTS);
    assertThat(plot.panels().get(1).rows())
        .extracting(IntervalPlot.Row::interval)
        .isSubsetOf(answer.intervals());
    assertThat(plot.panels().get(1).rows().get(0).estimate())
        .isCloseTo(14 / 400.0 - 31 / 410.0, within(1e-15));
    assertThat(answer.plot(SequencePlot.class)).isEmpty();
  }

  @Test
  void eachSliceHoldsATwentiethOfTheBelief() {
    Answer answer = RateQuestion.of(NORTH, 0.05).bayes(BayesSettings.usual()).ask();
    BeliefPlot plot = answer.plot(BeliefPlot.class).orElseThrow();
    BetaPosterior after = BetaPosterior.of(15, 387);
    List<Double> cuts = plot.after().cuts();
    for (int k = 1; k < cuts.size() - 2; k++) {
      assertThat(after.inside(cuts.get(k), cuts.get(k + 1))).isCloseTo(0.05, within(1e-7));
    }
    assertThat(after.inside(plot.after().lower(), plot.after().upper()))
        .isCloseTo(0.95, within(1e-10));
    double times = after.logDensity(0.05) - BetaPosterior.of(1, 1).logDensity(0.05);
    assertThat(plot.held().times()).isCloseTo(Math.exp(times), within(1e-9));
  }

  @Test
  void aFollowedRateEndsAtTheRateOfAll() {
    OutcomeSequence order = OutcomeSequence.of(List.of(true, false, false, true, false));
    Answer answer = RateQuestion.of(Tally.of(2, 5), 0.3).following(order).ask();
    SequencePlot plot = answer.plot(SequencePlot.class).orElseThrow();
    assertThat(plot.rates()).extracting(SequencePlot.Rate::rate).startsWith(1.0).endsWith(2 / 5.0);
    assertThat(plot.logs()).hasSize(5);
    assertThat(RateQuestion.of(NORTH, 0.05).ask().plot(SequencePlot.class)).isEmpty();
    assertThat(RateQuestion.of(NORTH, 0.05).ask().plot(BeliefPlot.class)).isEmpty();
    Answer inLot = RateQuestion.of(NORTH, 0.05).lot(5_000).ask();
    assertThatIllegalArgumentException()
        .isThrownBy(() -> inLot.plot(NullPlot.class))
        .withMessageContaining("leave the lot out");
  }

  /**
   * Where nothing is there the test rejects in alpha of all results, else in as many as its power.
   */
  @Test
  void bothWorldsAreCutWhereTheTestRejects() {
    CompareDesign design =
        CompareDesign.of(TwoProportionTest.Z_POOLED, 0.08, Hypothesis.noDifference(), 0.05);
    Answer answer = PlanQuestion.forPower(design, List.of(Effect.rate(0.05)), List.of(1059L)).ask();
    ErrorsPlot plot = answer.plot(ErrorsPlot.class).orElseThrow();
    double power = design.at(design.sizes(1059)).at(0.05);
    assertThat(rejected(plot.worlds().get(0))).isCloseTo(0.05, within(1e-3));
    assertThat(rejected(plot.worlds().get(1))).isCloseTo(power, within(1e-3));
  }

  private static double rejected(ErrorsPlot.World world) {
    return world.parts().stream()
        .filter(ErrorsPlot.Part::rejected)
        .mapToDouble(ErrorsPlot.Part::share)
        .sum();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 20, 400})
  void theBarsOfADistributionOfCountsAddUp(long trials) {
    Answer answer = TailQuestion.beyond(Tail.binomial(trials, 0.05), 1).ask();
    DensityPlot plot = answer.plot(DensityPlot.class).orElseThrow();
    assertThat(plot.outline().stream().mapToDouble(NullPlot.Point::height).sum())
        .isCloseTo(1, within(2e-3));
    assertThat(plot.shaded().get(0).outline()).isSubsetOf(plot.outline());
  }

  @Test
  void theCellsOfATableAreItsCounts() {
    CrossTable table =
        new CrossTable(
            List.of("North", "South"),
            List.of("sound", "cracked"),
            List.of(List.of(386L, 14L), List.of(379L, 31L)));
    TablePlot plot = CrossQuestion.of(table).ask().plot(TablePlot.class).orElseThrow();
    assertThat(plot.total()).isEqualTo(810);
    assertThat(plot.share(0, 1)).isEqualTo(14 / 400.0);
    assertThat(plot.cells().get(1).get(1).residual())
        .isCloseTo(-plot.cells().get(0).get(1).residual(), within(1e-12));
    assertThat(plot.cells().get(1).get(1).standsOut()).isTrue();
  }
}
