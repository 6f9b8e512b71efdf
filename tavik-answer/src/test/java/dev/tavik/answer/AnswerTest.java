package dev.tavik.answer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.tavik.association.Shares;
import dev.tavik.association.SharesTest;
import dev.tavik.association.TableTest;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.CrossTable;
import dev.tavik.count.NamedTally;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimand;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Side;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.shares.SharesQuestion;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** One shape of answer: the same words read every question's. */
class AnswerTest {
  private static final Tally NORTH = Tally.of(14, 400);
  private static final Tally SOUTH = Tally.of(31, 410);

  static Stream<Arguments> answers() {
    return Stream.of(
        Arguments.of(
            RateQuestion.of(NORTH, 0.05).bayes(BayesSettings.usual()).ask(),
            ProportionTest.EXACT,
            ProportionTest.EXACT.of(NORTH, Hypothesis.twoSided(0.05)).pValue()),
        Arguments.of(
            CompareQuestion.of(NORTH, SOUTH).ask(),
            TwoProportionTest.FISHER,
            TwoProportionTest.FISHER.of(NORTH, SOUTH, Hypothesis.noDifference()).pValue()),
        Arguments.of(
            PairedQuestion.of(PairedTally.of(49, 3, 10, 178)).ask(),
            PairedTest.MCNEMAR,
            PairedTest.MCNEMAR.of(PairedTally.of(49, 3, 10, 178), Alternative.TWO_SIDED).pValue()),
        Arguments.of(
            SharesQuestion.of(
                    CategoryCounts.of(List.of("ash", "iron", "cobalt"), List.of(31L, 22L, 17L)),
                    Shares.ratio(4, 3, 3))
                .ask(),
            SharesTest.PEARSON,
            SharesTest.PEARSON
                .of(
                    CategoryCounts.of(List.of("ash", "iron", "cobalt"), List.of(31L, 22L, 17L)),
                    Shares.ratio(4, 3, 3))
                .pValue()),
        Arguments.of(
            CrossQuestion.of(CrossTable.of(new long[][] {{12, 5}, {7, 9}})).ask(),
            TableTest.PEARSON,
            TableTest.PEARSON.of(CrossTable.of(new long[][] {{12, 5}, {7, 9}})).pValue()));
  }

  @ParameterizedTest
  @MethodSource("answers")
  void everyAnswerIsReadByTheSameWords(Answer answer, Method method, double pValue) {
    assertThat(answer.test(method).pValue()).isEqualTo(pValue);
    assertThat(answer.tests()).extracting(test -> test.method()).contains(method);
    assertThat(answer.test().method()).isEqualTo(answer.verdict().test().orElseThrow());
    assertThat(answer.verdict().text()).isNotBlank();
    assertThat(answer.conditions()).isNotEmpty();
    assertThat(answer.estimates()).isNotEmpty();
    assertThat(answer.find(Tests.class)).isPresent();
    assertThat(answer.find(Failure.class)).isEmpty();
    assertThatThrownBy(() -> answer.findings().clear())
        .isInstanceOf(UnsupportedOperationException.class);
    assertThat(answer).hasToString(answer.verdict().text());
  }

  @Test
  void testsAndIntervalsAreFoundByTheirMethods() {
    Answer answer = RateQuestion.of(NORTH, 0.05).alternative(Alternative.LESS).ask();
    assertThat(answer.interval(ProportionInterval.WILSON))
        .isEqualTo(ProportionInterval.WILSON.of(NORTH, 0.95));
    assertThat(answer.interval(ProportionInterval.WILSON, Side.UPPER))
        .isEqualTo(ProportionInterval.WILSON.of(NORTH, 0.95, Side.UPPER));
    assertThat(answer.intervals(ProportionInterval.WILSON)).hasSize(2);
    assertThat(answer.estimate(Estimand.PROPORTION).value()).isEqualTo(14.0 / 400);
    assertThatThrownBy(() -> answer.test(ProportionTest.MID_P))
        .isInstanceOf(NoSuchElementException.class)
        .hasMessageContaining("mid-p")
        .hasMessageContaining("exact");
    assertThatThrownBy(() -> answer.interval(ProportionInterval.JEFFREYS))
        .isInstanceOf(NoSuchElementException.class)
        .hasMessageContaining("jeffreys");
    assertThatThrownBy(() -> answer.estimate(Estimand.ODDS_RATIO))
        .isInstanceOf(NoSuchElementException.class)
        .hasMessageContaining("odds-ratio");
  }

  @Test
  void manyGroupsAreParts() {
    List<NamedTally> kilns =
        List.of(
            new NamedTally("North", NORTH),
            new NamedTally("South", SOUTH),
            new NamedTally("Tunnel", Tally.of(29, 385)));
    Answer answer = CompareQuestion.of(kilns, CompareSettings.usual()).ask();
    assertThat(answer.parts()).hasSize(3);
    assertThat(answer.parts())
        .allSatisfy(
            pair ->
                assertThat(pair.interval(ComparisonInterval.DIFFERENCE_MEE).level())
                    .isEqualTo(0.95));
    assertThat(answer.find(SubAnswers.class).orElseThrow().names())
        .containsExactly("North minus South", "North minus Tunnel", "South minus Tunnel");
  }

  @Test
  void methodsThatDeclineAreRefusalsInTheirPlace() {
    Answer answer =
        CompareQuestion.of(Tally.of(1, 100_000), Tally.of(9, 100_000))
            .tests(TwoProportionTest.BARNARD, TwoProportionTest.FISHER)
            .ask();
    assertThat(answer.refusals()).extracting(each -> each.method().id()).contains("barnard");
    assertThat(answer.refusals().get(0).code())
        .isEqualTo(NotApplicableReason.TOO_MANY_FOR_UNCONDITIONAL);
    assertThat(answer.tests()).extracting(test -> test.method().id()).containsExactly("fisher");
  }

  /** What machines see are the figures; keys keep their order, and no figure is NaN. */
  @ParameterizedTest
  @MethodSource("answers")
  void figuresAreATreeOfKeys(Answer answer, Method method, double pValue) {
    List<String> keys = keys(answer.figures(Detail.EVERY_ROW));
    assertThat(keys).startsWith("question", "label").endsWith("conclusion");
    assertThat(keys).containsSubsequence("estimates", "tests", "intervals", "cautions");
    assertThat(numbers(answer.figures(Detail.EVERY_ROW))).isNotEmpty().doesNotContain(Double.NaN);
    assertThat(numbers(answer.figures(Detail.EVERY_ROW))).contains(pValue);
  }

  private static List<String> keys(Value value) {
    if (value.bare() instanceof Map<?, ?> fields) {
      return fields.keySet().stream().map(String::valueOf).toList();
    }
    return value.bare() instanceof List<?> values ? keys((Value) values.get(0)) : List.of();
  }

  private static List<Double> numbers(Value value) {
    Object bare = value.bare();
    if (bare instanceof Map<?, ?> fields) {
      return fields.values().stream().flatMap(each -> numbers((Value) each).stream()).toList();
    }
    if (bare instanceof List<?> values) {
      return values.stream().flatMap(each -> numbers((Value) each).stream()).toList();
    }
    return bare instanceof Double number ? List.of(number) : List.of();
  }

  @Test
  void columnsHaveKeysOfTheirHeadings() {
    Sheet sheet =
        Sheet.of("lines", "Lines", Column.words("kiln"), Column.numbers("true size").ifItFits())
            .row("North", Value.Share.FINE.of(0.049));
    assertThat(keys(sheet.figures())).containsExactly("kiln", "trueSize");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> sheet.row("North"))
        .withMessageContaining("2 cells, got 1");
  }
}
