package dev.tavik.study.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution.Code;
import dev.tavik.answer.Question;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Verdict.Decision;
import dev.tavik.count.NamedTally;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimand;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.result.WorkingStep;
import dev.tavik.study.Study;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.paired.PairedSettings;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CompareQuestionTest {
  private static CompareQuestion kilns(String first, String second) {
    return CompareQuestion.of(Tally.parse(first), Tally.parse(second)).groups("North", "South");
  }

  private static List<Code> codes(Answer answer) {
    return answer.cautions().stream().map(caution -> caution.code()).toList();
  }

  @Test
  void theVerdictNamesDirectionSizeAndLevel() {
    CompareQuestion cracks = kilns("14/400", "31/410");
    assertThat(cracks.ask().verdict().text())
        .isEqualTo(
            "North and South differ: North 3.5% (14 of 400), South 7.6% (31 of 410), North lower by"
                + " 0.94 to 7.4 percentage points (95% Mee interval); p = 0.0116, z-pooled test at"
                + " alpha 0.05. North looks lower; the two-sided test asked only whether they"
                + " differ.");
    assertThat(cracks.alternative(Alternative.LESS).ask().verdict().text())
        .startsWith("North is lower than South: ")
        .contains("North lower by at least 1.5 percentage points (95% Mee upper bound)")
        .endsWith("z-pooled test at alpha 0.05.");
    assertThat(kilns("14/400", "20/410").named("Cracks").ask().verdict().text())
        .contains("anything from North lower by 4.3 to North higher by 1.5 percentage points")
        .doesNotContain("no difference");
    assertThat(cracks.against(-0.02).alternative(Alternative.LESS).ask().verdict().decision())
        .isEqualTo(Decision.NOT_REJECTED);
    assertThat(
            cracks
                .intervals(ComparisonInterval.RATIO_LOG, ComparisonInterval.ODDS_RATIO_WOOLF)
                .ask()
                .verdict()
                .text())
        .contains("the rate of North 0.250 to 0.857 times that of South (95% log interval)");
  }

  @ParameterizedTest
  @CsvSource({
    "14/400, 31/410, GREATER, OTHER_DIRECTION",
    "1/20, 6/21, TWO_SIDED, FEW_SUCCESSES",
    "0/20, 0/21, TWO_SIDED, ALL_OR_NONE",
    "12/20, 0/21, TWO_SIDED, ZERO_CELL",
    "14/400, 26/400, TWO_SIDED, NEAR_ALPHA",
    "14/400, 27/410, TWO_SIDED, TESTS_DISAGREE"
  })
  void cautionsHaveCodes(String first, String second, Alternative alternative, Code code) {
    assertThat(codes(kilns(first, second).alternative(alternative).ask())).contains(code);
  }

  @Test
  void anOrdinaryComparisonHasNoCautions() {
    assertThat(kilns("14/400", "31/410").ask().cautions()).isEmpty();
  }

  @Test
  void levelMarginAndClippingAreToldToo() {
    CompareQuestion cracks = kilns("14/400", "31/410");
    assertThat(codes(cracks.level(0.99).ask())).contains(Code.LEVEL_ALPHA);
    CompareSettings large = CompareSettings.usual().margin(0.1);
    assertThat(
            codes(
                CompareQuestion.of(
                        List.of(
                            new NamedTally("A", Tally.of(14, 400)),
                            new NamedTally("B", Tally.of(31, 410))),
                        large)
                    .ask()))
        .contains(Code.WITHIN_MARGIN);
    assertThat(codes(kilns("0/3", "3/3").intervals(ComparisonInterval.DIFFERENCE_WALD_CC).ask()))
        .doesNotContain(Code.CLIPPED_LIMIT);
    assertThat(codes(kilns("1/4", "4/4").intervals(ComparisonInterval.DIFFERENCE_WALD).ask()))
        .contains(Code.CLIPPED_LIMIT);
    // 56/70 against 48/80 at a level where Fisher and the conditional interval part ways.
    assertThat(codes(kilns("0/9", "4/8").ask())).contains(Code.TEST_AND_INTERVAL);
  }

  @Test
  void methodsFollowTheExpectedCounts() {
    Answer many = kilns("14/400", "31/410").ask();
    assertThat(many.verdict().test().orElseThrow().id()).isEqualTo("z-pooled");
    assertThat(many.verdict().interval().orElseThrow().id()).isEqualTo("mee");
    Answer few = kilns("2/20", "9/21").ask();
    assertThat(few.verdict().test().orElseThrow().id()).isEqualTo("z-pooled");
    Answer fewer = kilns("1/20", "6/21").ask();
    assertThat(fewer.verdict().test().orElseThrow().id()).isEqualTo("fisher");
    assertThat(fewer.verdict().grounds()).contains("only 3.41 successes");
    Answer chosen =
        kilns("1/20", "6/21").tests(TwoProportionTest.BARNARD, TwoProportionTest.BOSCHLOO).ask();
    assertThat(chosen.verdict().test().orElseThrow().id()).isEqualTo("barnard");
    assertThat(chosen.test().nuisance()).isNotNull();
  }

  /** Two one-sided tests at alpha reject both exactly where the 1 - 2 alpha interval is inside. */
  @Test
  void equivalenceIsTheIntervalInsideTheMargin() {
    for (double margin = 0.01; margin < 0.12; margin += 0.005) {
      Answer answer = kilns("14/400", "31/410").equivalent(margin).ask();
      Interval interval =
          ComparisonInterval.DIFFERENCE_MEE.of(Tally.of(14, 400), Tally.of(31, 410), 0.9);
      boolean inside = interval.lower() > -margin && interval.upper() < margin;
      assertThat(answer.test().rejects(0.05)).as("margin %s", margin).isEqualTo(inside);
      assertThat(answer.interval(ComparisonInterval.DIFFERENCE_MEE).level()).isEqualTo(0.9);
      List<TestResult> oneSided =
          answer.findAll(Tests.class).stream()
              .filter(tests -> tests.key().equals("oneSidedTests"))
              .findFirst()
              .orElseThrow()
              .results();
      assertThat(oneSided).hasSize(4);
      assertThat(answer.tests().get(0).pValue())
          .isEqualTo(Math.max(oneSided.get(0).pValue(), oneSided.get(1).pValue()));
      assertThat(answer.verdict().rejectionWanted()).isTrue();
    }
  }

  /** The test of non-inferiority rejects exactly where the one-sided bound is inside the margin. */
  @Test
  void nonInferiorityIsTheBoundInsideTheMargin() {
    for (double margin = 0.005; margin < 0.12; margin += 0.005) {
      Answer high = kilns("14/400", "31/410").noninferior(margin, Alternative.GREATER).ask();
      double lower =
          ComparisonInterval.DIFFERENCE_MEE
              .of(Tally.of(14, 400), Tally.of(31, 410), 0.95, Side.LOWER)
              .lower();
      assertThat(high.test().rejects(0.05)).isEqualTo(lower > -margin);
      // Where low is good, North is not inferior, whatever the margin.
      Answer low = kilns("14/400", "31/410").noninferior(margin, Alternative.LESS).ask();
      assertThat(low.test().rejects(0.05)).isTrue();
      assertThat(low.verdict().text()).contains("non-inferior to South (higher by less than");
    }
  }

  @Test
  void testsThatKnowNoMarginAreRefusedInTheirPlace() {
    Answer answer =
        kilns("14/400", "31/410")
            .tests(TwoProportionTest.values())
            .noninferior(0.05, Alternative.GREATER)
            .ask();
    assertThat(answer.tests())
        .extracting(each -> each.method().id())
        .containsExactly("z-separate", "score");
    assertThat(answer.refusals()).hasSize(8);
    assertThatIllegalArgumentException()
        .isThrownBy(
            () -> kilns("14/400", "31/410").tests(TwoProportionTest.FISHER).against(0.02).ask())
        .withMessageContaining("fisher tests the null of no difference only");
  }

  @Test
  void contradictorySettingsAreRefused() {
    CompareSettings usual = CompareSettings.usual();
    assertThatIllegalArgumentException().isThrownBy(() -> usual.against(1));
    assertThatIllegalArgumentException().isThrownBy(() -> usual.margin(0));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> usual.noninferior(0.03, Alternative.TWO_SIDED))
        .withMessageContaining("needs a direction");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> usual.alternative(Alternative.LESS).equivalent(0.03))
        .withMessageContaining("leave the alternative out");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> usual.against(0.02).equivalent(0.03))
        .withMessageContaining("the margin is the null value");
  }

  @Test
  void workingEndsInTheAnswersOwnNumbers() {
    Answer answer =
        kilns("14/400", "31/410")
            .tests(TwoProportionTest.values())
            .intervals(
                List.of(
                        ComparisonInterval.DIFFERENCE_WALD,
                        ComparisonInterval.DIFFERENCE_WALD_CC,
                        ComparisonInterval.DIFFERENCE_AGRESTI_CAFFO,
                        ComparisonInterval.DIFFERENCE_NEWCOMBE,
                        ComparisonInterval.DIFFERENCE_NEWCOMBE_CC)
                    .toArray(ComparisonInterval[]::new))
            .ask();
    assertThat(answer.working())
        .extracting(working -> working.method().id())
        .containsExactly(
            "z-pooled",
            "z-pooled-cc",
            "z-separate",
            "score",
            "wald",
            "wald-cc",
            "agresti-caffo",
            "newcombe",
            "newcombe-cc");
    assertThat(step(answer, 0, "pooled standard error").value()).isEqualTo("0.01609802291");
    assertThat(step(answer, 0, "pooled standard error").reason())
        .contains("Pooled, because")
        .contains("SE = 0.01596583974");
    assertThat(step(answer, 4, "separate standard error").reason()).contains("Separate, because");
    for (int i = 0; i < 5; i++) {
      Interval interval = answer.intervals().get(i);
      assertThat(Double.parseDouble(step(answer, 4 + i, "lower limit").value()))
          .isCloseTo(interval.lower(), within(1e-9));
      assertThat(Double.parseDouble(step(answer, 4 + i, "upper limit").value()))
          .isCloseTo(interval.upper(), within(1e-9));
    }
    // The substituted line of Wald's limit, redone: d - h.
    String[] sum = step(answer, 4, "lower limit").substituted().split(" - ", -1);
    assertThat(Double.parseDouble(sum[0]) - Double.parseDouble(sum[1]))
        .isCloseTo(answer.intervals().get(0).lower(), within(1e-9));
  }

  private static WorkingStep step(Answer answer, int working, String name) {
    return answer.working().get(working).steps().stream()
        .filter(step -> step.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  /** Every pair of groups of six and seven: whatever contradicts the verdict's test is told. */
  @Test
  void noContradictionGoesUntold() {
    for (int x = 0; x <= 6; x++) {
      for (int y = 0; y <= 7; y++) {
        Answer answer = kilns(x + "/6", y + "/7").ask();
        boolean rejects = answer.test().rejects(0.05);
        boolean contradiction =
            answer.intervals().stream()
                .filter(each -> each.quantity() != Estimand.NUMBER_NEEDED)
                .anyMatch(
                    each ->
                        each.contains(each.quantity() == Estimand.DIFFERENCE ? 0 : 1) == rejects);
        assertThat(codes(answer).contains(Code.TEST_AND_INTERVAL))
            .as("%d/6 and %d/7", x, y)
            .isEqualTo(contradiction);
      }
    }
  }

  private static final List<NamedTally> GROUPS =
      List.of(
          new NamedTally("North", Tally.of(16, 403)),
          new NamedTally("South", Tally.of(53, 408)),
          new NamedTally("Tunnel", Tally.of(29, 385)));

  @Test
  void severalGroupsAreAdjustedByHolm() {
    Answer answer = CompareQuestion.of(GROUPS, CompareSettings.usual()).ask();
    assertThat(answer.parts())
        .extracting(pair -> ((CompareQuestion) pair.question()).order())
        .containsExactly("North minus South", "North minus Tunnel", "South minus Tunnel");
    double[] raw =
        answer.parts().stream().mapToDouble(pair -> pair.tests().get(0).pValue()).toArray();
    double[] adjusted =
        answer.parts().stream()
            .mapToDouble(pair -> Objects.requireNonNull(pair.tests().get(0).adjusted()).pValue())
            .toArray();
    // Smallest times three, middle times two, largest once, each no less than the one before.
    assertThat(adjusted[0]).isCloseTo(3 * raw[0], within(1e-12));
    assertThat(adjusted[2]).isCloseTo(2 * raw[2], within(1e-12));
    assertThat(adjusted[1]).isCloseTo(Math.max(raw[1], adjusted[2]), within(1e-12));
    assertThat(answer.verdict().text())
        .startsWith("the 3 groups differ (pearson chi-square, p = 1.47e-5, alpha 0.05).")
        .contains("North against South: North lower by 5.3 to 13.0 percentage points")
        .contains("p-values, not intervals, adjusted by Holm's method for 3 pairs");
  }

  @Test
  void aBaselineIsTheSecondOfEveryPair() {
    CompareQuestion question =
        CompareQuestion.of(GROUPS, CompareSettings.usual()).baseline("South");
    assertThat(question.ask().parts())
        .extracting(pair -> ((CompareQuestion) pair.question()).order())
        .containsExactly("North minus South", "Tunnel minus South");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> question.baseline("East"))
        .withMessageContaining("North, South, Tunnel");
  }

  @Test
  void whatHolmTakesAwayIsTold() {
    List<NamedTally> close =
        List.of(
            new NamedTally("A", Tally.of(20, 400)),
            new NamedTally("B", Tally.of(36, 400)),
            new NamedTally("C", Tally.of(28, 400)));
    Answer pair = CompareQuestion.of(close, CompareSettings.usual()).ask().parts().get(0);
    assertThat(pair.test().rejects(0.05)).isTrue();
    assertThat(codes(pair)).contains(Code.ADJUSTED_AWAY);
  }

  private static final PairedTally INSPECTORS = PairedTally.of(49, 3, 10, 178);

  @Test
  void pairsAreJudgedByTheDiscordantOnes() {
    Answer answer = PairedQuestion.of("Ann", "Ben", INSPECTORS).ask();
    assertThat(answer.verdict().decision()).isEqualTo(Decision.NOT_REJECTED);
    assertThat(answer.test().method()).isEqualTo(PairedTest.MCNEMAR_EXACT);
    assertThat(answer.verdict().interval()).contains(PairedDifferenceInterval.TANGO);
    assertThat(answer.verdict().text())
        .contains("same 240 units Ann 21.7%, Ben 24.6%", "Ann lower by 6.4 to Ann higher by 0.032");
    assertThat(answer.cautions())
        .extracting(caution -> caution.code())
        .contains(Code.FEW_SUCCESSES);
    Answer less =
        PairedQuestion.of("Ann", "Ben", INSPECTORS)
            .settings(
                PairedSettings.usual()
                    .alternative(Alternative.LESS)
                    .tests(List.of(PairedTest.values()))
                    .intervals(List.of(PairedDifferenceInterval.values())))
            .ask();
    assertThat(less.verdict().text()).startsWith("Ann is lower than Ben: ");
    assertThat(less.working())
        .extracting(working -> working.method().id())
        .containsExactly("mcnemar", "mcnemar-cc", "wald", "bonett-price");
    assertThat(less.tests()).hasSize(4);
  }

  @ParameterizedTest
  @CsvSource({
    "9, 0, 0, 4, TWO_SIDED, ALL_OR_NONE",
    "9, 1, 6, 4, TWO_SIDED, FEW_SUCCESSES",
    "9, 1, 6, 4, GREATER, OTHER_DIRECTION"
  })
  void pairedCautionsHaveCodes(
      long both, long first, long second, long neither, Alternative alternative, Code code) {
    Answer answer =
        PairedQuestion.of("Ann", "Ben", PairedTally.of(both, first, second, neither))
            .settings(PairedSettings.usual().alternative(alternative))
            .ask();
    assertThat(answer.cautions()).extracting(caution -> caution.code()).contains(code);
  }

  @Test
  void manyQuestionsOfOneStudyAreToldOfChance() {
    Question one = kilns("14/400", "31/410");
    assertThat(new Study("two", List.of(one, one)).ask().cautions()).isEmpty();
    List<Question> three = List.of(one, one, one);
    List<String> together = List.of("", "", "");
    assertThat(new Study("three", three).ask().cautions()).isEmpty();
    assertThat(new Study("three", three, together, Adjustment.NONE).ask().cautions())
        .extracting(caution -> caution.code())
        .containsExactly(Code.MANY_TESTS);
  }
}
