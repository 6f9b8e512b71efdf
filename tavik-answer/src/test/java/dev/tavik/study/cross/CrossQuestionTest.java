package dev.tavik.study.cross;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution.Code;
import dev.tavik.answer.Cells;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Verdict.Decision;
import dev.tavik.association.TableTest;
import dev.tavik.count.CrossTable;
import dev.tavik.result.Estimand;
import dev.tavik.result.TestResult;
import java.util.Arrays;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CrossQuestionTest {
  private static final CrossTable KILNS =
      new CrossTable(
          List.of("North", "South", "Tunnel"),
          List.of("sound", "crazed", "cracked", "warped"),
          List.of(
              List.of(355L, 32L, 8L, 8L),
              List.of(322L, 33L, 37L, 16L),
              List.of(331L, 25L, 21L, 8L)));

  private static CrossTable twoByTwo(long a, long b, long c, long d) {
    return new CrossTable(
        List.of("early", "late"),
        List.of("cracked", "sound"),
        List.of(List.of(a, b), List.of(c, d)));
  }

  private static List<Code> codes(Answer answer) {
    return answer.cautions().stream().map(caution -> caution.code()).toList();
  }

  @Test
  void theVerdictNamesTheCellsThatStandOut() {
    assertThat(CrossQuestion.of(KILNS).ask().verdict().text())
        .containsSubsequence(
            "South x cracked above (37, expected 22.5)",
            "North x cracked below (8, expected 22.2)",
            "South x sound below (322, expected 344)",
            "12 cells; Cramer's V 0.10; p = 0.000333, pearson test at alpha 0.05.");
    assertThat(CrossQuestion.of(twoByTwo(12, 5, 7, 9)).ask().verdict().text())
        .contains("early x cracked above (12, expected 9.79); Cramer's V 0.27");
    assertThat(CrossQuestion.of(twoByTwo(40, 10, 10, 40)).ask().verdict().text())
        .startsWith("rows and columns are associated: early x cracked above (40, expected 25.0);");
  }

  private static DoubleStream figures(Answer answer, String layer) {
    Cells cells = answer.find(Cells.class).orElseThrow();
    return IntStream.range(0, 12).mapToDouble(i -> cells.figure(layer, i / 4, i % 4));
  }

  /** Holm's adjustment over all cells: the k-th smallest of m times m - k + 1, never falling. */
  @Test
  void residualsAreAdjustedForTheNumberOfCells() {
    Answer answer = CrossQuestion.of(KILNS).ask();
    double[] raw =
        figures(answer, "adjustedResiduals")
            .map(z -> 2 * NormalDistribution.of(0, 1).survivalProbability(Math.abs(z)))
            .sorted()
            .toArray();
    double[] adjusted = figures(answer, "adjustedPValues").sorted().toArray();
    double floor = 0;
    for (int k = 0; k < raw.length; k++) {
      floor = Math.min(1, Math.max(floor, raw[k] * (raw.length - k)));
      assertThat(adjusted[k]).as("rank %s", k).isCloseTo(floor, within(1e-12));
    }
    assertThat(Arrays.stream(adjusted).filter(p -> p <= 0.05).count()).isEqualTo(3);
  }

  /**
   * Margins fix the sums: residuals of a row, weighted, cancel, and contributions make chi-square.
   */
  @Test
  void cellsAddUpToTheirMargins() {
    Answer answer = CrossQuestion.of(KILNS).ask();
    Cells cells = answer.find(Cells.class).orElseThrow();
    double chiSquare = 0;
    for (int i = 0; i < 3; i++) {
      double expected = 0;
      for (int j = 0; j < 4; j++) {
        expected += cells.figure("expected", i, j);
        chiSquare += cells.figure("contributions", i, j);
      }
      assertThat(expected).isCloseTo((double) KILNS.rowTotal(i), within(1e-10));
    }
    TestResult.Statistic pearson = answer.tests().get(0).statistic();
    assertThat(pearson).isNotNull();
    assertThat(chiSquare).isCloseTo(pearson == null ? 0 : pearson.value(), within(1e-10));
  }

  @ParameterizedTest
  @CsvSource({
    "12, 5, 7, 9, pearson, MET",
    "3, 1, 1, 9, fisher, NOT_MET",
    "100, 0, 90, 2, fisher, NOT_MET",
    "100, 8, 90, 12, pearson, MET"
  })
  void smallExpectedCountsPreferTheExactTest(
      long a, long b, long c, long d, String preferred, Condition.State state) {
    Answer answer = CrossQuestion.of(twoByTwo(a, b, c, d)).ask();
    assertThat(answer.verdict().test().orElseThrow().id()).isEqualTo(preferred);
    assertThat(answer.test().method().id()).isEqualTo(preferred);
    assertThat(answer.conditions().get(0).state()).isEqualTo(state);
    assertThat(codes(answer).contains(Code.FEW_SUCCESSES))
        .isEqualTo(state == Condition.State.NOT_MET);
  }

  @Test
  void smallCellsAreNamed() {
    CrossTable sparse =
        new CrossTable(
            List.of("a", "b"), List.of("x", "y"), List.of(List.of(1L, 9L), List.of(2L, 30L)));
    assertThat(CrossQuestion.of(sparse).ask().conditions().get(0).detail())
        .startsWith("under 5 are 2 of 4: a x x (0.714), b x x (2.29)");
  }

  @Test
  void strengthIsGivenInSeveralMeasures() {
    assertThat(CrossQuestion.of(KILNS).ask().estimates())
        .extracting(estimate -> estimate.quantity())
        .containsExactly(
            Estimand.CRAMERS_V,
            Estimand.CRAMERS_V_CORRECTED,
            Estimand.CONTINGENCY,
            Estimand.COHENS_W,
            Estimand.LAMBDA,
            Estimand.LAMBDA,
            Estimand.THEILS_U,
            Estimand.THEILS_U);
    assertThat(CrossQuestion.of(twoByTwo(12, 5, 7, 9)).ask().estimates().get(0).quantity())
        .isEqualTo(Estimand.PHI);
  }

  @Test
  void emptyLevelsRefusalsAndSettingsAreTold() {
    Answer answer =
        CrossQuestion.of(KILNS, List.of("East"), List.of("cracked+warped=bent"))
            .tests(TableTest.values())
            .ask();
    assertThat(codes(answer)).contains(Code.EMPTY_GROUP, Code.LEVELS_MERGED);
    assertThat(answer.refusals())
        .extracting(refusal -> refusal.method().id() + " " + refusal.code())
        .containsExactly(
            "n-1 NOT_TWO_BY_TWO", "yates NOT_TWO_BY_TWO", "trend UNORDERED", "linear UNORDERED");
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                CrossQuestion.of(KILNS)
                    .settings(CrossSettings.usual().tests(List.of(TableTest.YATES)))
                    .ask())
        .withMessageContaining("yates is for tables of two rows and two columns only");
    assertThatIllegalArgumentException().isThrownBy(() -> CrossSettings.usual().alpha(1));
    assertThat(
            CrossQuestion.of(KILNS)
                .settings(CrossSettings.usual().alpha(0.0001))
                .ask()
                .verdict()
                .decision())
        .isEqualTo(Decision.NOT_REJECTED);
  }
}
