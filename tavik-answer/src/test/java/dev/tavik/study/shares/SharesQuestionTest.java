package dev.tavik.study.shares;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution.Code;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Condition;
import dev.tavik.association.Shares;
import dev.tavik.association.SharesInterval;
import dev.tavik.association.SharesTest;
import dev.tavik.count.CategoryCounts;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SharesQuestionTest {
  private static SharesQuestion glazes(String shares, long... counts) {
    return SharesQuestion.of(
        CategoryCounts.of(
            List.of("ash", "celadon", "iron"), List.of(counts[0], counts[1], counts[2])),
        Shares.parse(List.of(shares.split(","))));
  }

  private static List<Code> codes(Answer answer) {
    return answer.cautions().stream().map(caution -> caution.code()).toList();
  }

  @Test
  void theVerdictNamesWhatStandsOutOrCannotBeExcluded() {
    assertThat(glazes("40%,30%,30%", 31, 22, 17).ask().verdict().text())
        .containsSubsequence(
            "iron below (24.3% against 30.0%)", "shares from 14.3% to 38.2%", "p = 0.568, pearson");
    assertThat(glazes("4:3:3", 310, 320, 70).named("Boxes").ask().verdict().text())
        .startsWith(
            "Boxes: the counts don't follow the claimed shares: ash above (44.3% against 40.0%)")
        .contains("iron below (10.0% against 30.0%) stand out, after adjustment for 3 categories");
  }

  private static double figure(Answer answer, String layer, int category) {
    return answer.find(Cells.class).orElseThrow().figure(layer, category, 0);
  }

  @Test
  void residualsAreAdjustedByHolm() {
    Answer answer = glazes("4:3:3", 310, 320, 70).ask();
    assertThat(figure(answer, "adjustedPValues", 2)).isLessThan(1e-20);
    // Of the three p-values the largest stays as it is: two normal tails of the adjusted residual.
    double z = Math.abs(figure(answer, "adjustedResiduals", 0));
    assertThat(figure(answer, "adjustedPValues", 0))
        .isCloseTo(
            2
                * (1
                    - org.apache.commons.statistics.distribution.NormalDistribution.of(0, 1)
                        .cumulativeProbability(z)),
            within(1e-12));
    assertThat(answer.estimates().get(3).value())
        .isCloseTo(
            Math.sqrt(
                IntStream.range(0, 3).mapToDouble(i -> figure(answer, "contributions", i)).sum()
                    / 700),
            within(1e-14));
  }

  @Test
  void smallExpectedCountsPreferTheExactTest() {
    Answer few = glazes("80%,15%,5%", 10, 5, 3).ask();
    assertThat(few.verdict().test().orElseThrow().id()).isEqualTo("exact-multinomial");
    assertThat(few.conditions().get(0).state()).isEqualTo(Condition.State.NOT_MET);
    assertThat(few.conditions().get(0).detail()).contains("celadon (2.70)", "iron (0.900)");
    Answer approximate =
        glazes("80%,15%,5%", 10, 5, 3)
            .settings(SharesSettings.usual().tests(List.of(SharesTest.PEARSON)))
            .ask();
    // The approximation was asked for alone, and is shown, but the verdict doesn't rest on it.
    assertThat(approximate.tests()).hasSize(2);
    assertThat(approximate.verdict().test().orElseThrow().id()).isEqualTo("exact-multinomial");
  }

  @Test
  void contradictionsAndSeparateIntervalsAreTold() {
    assertThat(
            codes(
                glazes("4:3:3", 31, 22, 17)
                    .settings(SharesSettings.usual().intervals(List.of(SharesInterval.WILSON)))
                    .ask()))
        .contains(Code.ONE_AT_A_TIME);
    assertThat(codes(glazes("4:3:3", 31, 22, 17).settings(SharesSettings.usual().level(0.9)).ask()))
        .contains(Code.LEVEL_ALPHA);
    for (long ash = 10; ash <= 60; ash++) {
      Answer answer = glazes("4:3:3", ash, 30, 70 - ash).ask();
      boolean outside = false;
      for (int i = 0; i < 3; i++) {
        outside |=
            !answer
                .intervals(SharesInterval.GOODMAN)
                .get(i)
                .contains(((SharesQuestion) answer.question()).claimed().share(i));
      }
      assertThat(codes(answer).contains(Code.TEST_AND_INTERVAL))
          .as("%s ash", ash)
          .isEqualTo(outside != answer.test().rejects(0.05));
    }
  }

  @Test
  void methodsThatDeclineAreNamed() {
    Answer large = glazes("4:3:3", 4_000_000, 3_000_000, 3_010_000).ask();
    assertThat(large.refusals())
        .extracting(refusal -> refusal.method().id())
        .contains("exact-multinomial");
    assertThat(large.verdict().test().orElseThrow().id()).isEqualTo("pearson");
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                glazes("4:3:3", 4_000_000, 3_000_000, 3_010_000)
                    .settings(SharesSettings.usual().tests(List.of(SharesTest.EXACT_MULTINOMIAL)))
                    .ask())
        .withMessageContaining("none of the methods");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> glazes("1:1", 3, 4, 5))
        .withMessageContaining("3 categories");
  }
}
