package dev.tavik.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.association.Shares;
import dev.tavik.association.TableTest;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.CrossTable;
import dev.tavik.count.NamedTally;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.study.assess.AssessQuestion;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.rate.EvidenceForecastQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.rate.RateSettings;
import dev.tavik.study.shares.SharesQuestion;
import dev.tavik.study.tail.TailQuestion;
import dev.tavik.tail.Tail;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The same words choose the same things of every question, and nothing is changed in place. */
class InferenceOptionsTest {
  private static final Tally NORTH = Tally.of(14, 400);
  private static final Tally SOUTH = Tally.of(31, 410);

  static Stream<InferenceQuestion<?, ?, ?, ?>> questions() {
    return Stream.of(
        RateQuestion.of(NORTH, 0.05),
        RateQuestion.of(Map.of("North", NORTH), RateSettings.against(0.05)),
        CompareQuestion.of(NORTH, SOUTH),
        CompareQuestion.of(
            List.of(
                new NamedTally("a", NORTH), new NamedTally("b", SOUTH), new NamedTally("c", NORTH)),
            CompareSettings.usual()),
        PairedQuestion.of(PairedTally.of(49, 3, 10, 178)),
        SharesQuestion.of(
            CategoryCounts.of(List.of("ash", "iron"), List.of(31L, 22L)), Shares.of(0.5, 0.5)));
  }

  @ParameterizedTest
  @MethodSource("questions")
  void alphaAndLevelBelongTogether(InferenceQuestion<?, ?, ?, ?> question) {
    assertThat(question.settings().alpha()).isEqualTo(0.05);
    assertThat(question.settings().level()).isEqualTo(0.95);
    InferenceQuestion<?, ?, ?, ?> strict = (InferenceQuestion<?, ?, ?, ?>) question.alpha(0.01);
    assertThat(strict.settings().level()).isEqualTo(0.99);
    assertThat(strict.settings().levelMatchesAlpha()).isTrue();
    InferenceQuestion<?, ?, ?, ?> apart = (InferenceQuestion<?, ?, ?, ?>) strict.level(0.9);
    assertThat(apart.settings().level()).isEqualTo(0.9);
    assertThat(apart.settings().alpha()).isEqualTo(0.01);
    assertThat(apart.settings().levelMatchesAlpha()).isFalse();
    assertThat(question.settings().alpha()).as("left as it was").isEqualTo(0.05);
    for (double wrong : new double[] {0, 1, -0.1, 5, Double.NaN}) {
      assertThatIllegalArgumentException()
          .isThrownBy(() -> question.alpha(wrong))
          .withMessageContaining("alpha must lie strictly between 0 and 1");
      assertThatIllegalArgumentException()
          .isThrownBy(() -> question.level(wrong))
          .withMessageContaining("level");
    }
  }

  @ParameterizedTest
  @MethodSource("questions")
  void methodsAreChosenOnceEachInTheirOrder(InferenceQuestion<?, ?, ?, ?> question) {
    chosen(question);
  }

  /** Binds the methods of the question, whatever they are. */
  private static <Q, S extends InferenceSettings<S, T, I>, T extends Method, I extends Method>
      void chosen(InferenceQuestion<Q, S, T, I> question) {
    List<T> tests = question.settings().tests();
    List<I> intervals = question.settings().intervals();
    S turned =
        question
            .settings()
            .tests(List.of(tests.get(1), tests.get(0), tests.get(1)))
            .intervals(List.of(intervals.get(0), intervals.get(0)));
    assertThat(turned.tests()).containsExactly(tests.get(1), tests.get(0));
    assertThat(turned.intervals()).containsExactly(intervals.get(0));
    assertThat(question.settings().tests()).isEqualTo(tests);
    Q usual = question.settings(turned.tests(List.of()).intervals(List.of()));
    assertThat(usual).as("none chosen").isEqualTo(question).hasSameHashCodeAs(question);
    assertThat(question.settings(turned)).as("others chosen").isNotEqualTo(question);
  }

  @Test
  void equivalenceMatchesAnIntervalOfTwiceAlpha() {
    CompareQuestion question = CompareQuestion.of(NORTH, SOUTH).equivalent(0.08);
    assertThat(question.settings().level()).isEqualTo(0.9);
    assertThat(question.alpha(0.01).settings().level()).isEqualTo(0.98);
  }

  @Test
  void methodsAreAssessedOfAsManyRatesAsThereAreSizes() {
    AssessQuestion one = AssessQuestion.rate(40, List.of(0.05)).alpha(0.01);
    assertThat(one.level()).isEqualTo(0.99);
    assertThat(one.tests(List.of(ProportionTest.MID_P)).tests())
        .containsExactly(ProportionTest.MID_P);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> one.intervals(List.of(ComparisonInterval.DIFFERENCE_MEE)))
        .withMessage("intervals must be of one rate, got mee");
    AssessQuestion two = AssessQuestion.compare(40, 60, List.of(0.05, 0.1));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> two.tests(List.of(ProportionTest.MID_P)))
        .withMessage("tests must be of two rates, got mid-p");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> AssessQuestion.compare(40, 60, List.of(0.05)))
        .withMessageContaining("a rate each");
    assertThat(two.named("Kilns").ask().label()).isEqualTo("Kilns");
  }

  @Test
  void otherQuestionsAreMadeByPlainWordsToo() {
    assertThat(
            CrossQuestion.of(CrossTable.of(new long[][] {{12, 5}, {7, 9}}))
                .tests(TableTest.FISHER)
                .alpha(0.1)
                .level(0.8)
                .ask()
                .test(TableTest.FISHER)
                .pValue())
        .isEqualTo(TableTest.FISHER.of(CrossTable.of(new long[][] {{12, 5}, {7, 9}})).pValue());
    assertThat(TailQuestion.beyond(Tail.normal(0, 1), 1.96).ask().verdict().text())
        .contains("1.96");
    assertThat(TailQuestion.between(Tail.normal(0, 1), -1, 1).ask().verdict().text())
        .contains("0.683");
    assertThat(TailQuestion.leaving(Tail.normal(0, 1), 0.025).named("z").ask().label())
        .isEqualTo("z");
    EvidenceForecastQuestion outlook =
        EvidenceForecastQuestion.of(Hypothesis.less(0.05), 200L, 400L)
            .threshold(10)
            .expecting(0.03);
    assertThat(outlook.planned()).containsExactly(200L, 400L);
    assertThat(outlook.ask().verdict().text()).isNotBlank();
    assertThatIllegalArgumentException().isThrownBy(() -> outlook.expecting(3));
  }

  /** The closed form is what the interval's own limits come from, where nothing was clipped. */
  @ParameterizedTest
  @MethodSource("closedForms")
  void closedFormsAreTheirIntervals(ProportionInterval method) {
    for (long x = 5; x <= 35; x += 5) {
      Tally tally = Tally.of(x, 40);
      var closed = method.centred((double) x, 40.0, 0.95).orElseThrow();
      var interval = method.of(tally, 0.95);
      assertThat(closed.centre() - closed.halfWidth()).isCloseTo(interval.lower(), within(1e-14));
      assertThat(closed.centre() + closed.halfWidth()).isCloseTo(interval.upper(), within(1e-14));
    }
    assertThat(ProportionInterval.JEFFREYS.centred(3.0, 9.0, 0.95)).isEmpty();
  }

  static Stream<ProportionInterval> closedForms() {
    return Stream.of(
        ProportionInterval.WALD, ProportionInterval.WILSON, ProportionInterval.AGRESTI_COULL);
  }
}
