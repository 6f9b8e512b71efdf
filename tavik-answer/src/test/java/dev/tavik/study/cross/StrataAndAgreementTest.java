package dev.tavik.study.cross;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution.Code;
import dev.tavik.answer.Condition;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Verdict.Decision;
import dev.tavik.association.StratifiedTest;
import dev.tavik.association.StrengthInterval;
import dev.tavik.association.TableTest;
import dev.tavik.association.TestOptions;
import dev.tavik.count.CrossTable;
import dev.tavik.count.MatchedTallies;
import dev.tavik.count.PairedTally;
import dev.tavik.count.SquareTable;
import dev.tavik.count.StratifiedTables;
import dev.tavik.count.StratifiedTables.Stratum;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.study.Gate;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.cross.CrossSettings.RowPairs;
import dev.tavik.study.paired.MatchedQuestion;
import dev.tavik.study.paired.PairedQuestion;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class StrataAndAgreementTest {
  private static final CrossTable KILNS =
      new CrossTable(
          List.of("North", "South", "Tunnel"),
          List.of("sound", "crazed", "cracked", "warped"),
          List.of(
              List.of(355L, 32L, 8L, 8L),
              List.of(322L, 33L, 37L, 16L),
              List.of(331L, 25L, 21L, 8L)));

  private static StratifiedTables strata(Stratum... strata) {
    return new StratifiedTables(
        List.of("North", "South"), List.of("cracked", "sound"), List.of(strata));
  }

  private static Stratum stratum(String name, String first, String second) {
    return new Stratum(name, Tally.parse(first), Tally.parse(second));
  }

  @Test
  void differencesWithinStrataAreWordedWithTheCommonOddsRatio() {
    Answer answer =
        StrataQuestion.of(
                strata(stratum("ash", "16/403", "53/408"), stratum("iron", "12/212", "29/191")))
            .ask();
    assertThat(answer.verdict().text())
        .startsWith(
            "within strata, North and South differ: the odds of cracked for North are 0.298")
        .contains("times those for South (95% interval 0.", "mantel-haenszel test at alpha 0.05.");
    assertThat(answer.test(StratifiedTest.BRESLOW_DAY).rejects(0.05)).isFalse();
    assertThat(answer.conditions().get(0).state()).isEqualTo(Condition.State.MET);
    assertThat(answer.cautions()).isEmpty();
    List<Estimate> estimates = answer.estimates();
    assertThat(estimates).extracting(each -> each.label()).contains("ash", "iron", "all strata");
    assertThat(
            answer.interval(ComparisonInterval.ODDS_RATIO_SCORE).contains(estimates.get(1).value()))
        .isTrue();
    assertThat(
            answer
                .interval(StrengthInterval.MANTEL_HAENSZEL)
                .contains(answer.estimate(Estimand.COMMON_ODDS_RATIO).value()))
        .isTrue();
  }

  @Test
  void strataThatDifferOrTurnRoundAreCautioned() {
    Answer opposite =
        StrataQuestion.of(
                strata(stratum("ash", "10/100", "40/100"), stratum("iron", "40/100", "10/100")))
            .ask();
    assertThat(opposite.cautions())
        .extracting(caution -> caution.code())
        .containsExactly(Code.STRATA_DIFFER);
    assertThat(opposite.verdict().decision()).isEqualTo(Decision.NOT_REJECTED);
    assertThat(opposite.test(StratifiedTest.BRESLOW_DAY).rejects(0.05)).isTrue();
    Answer turned =
        StrataQuestion.of(
                strata(stratum("ash", "2/100", "40/900"), stratum("iron", "300/900", "40/100")))
            .ask();
    assertThat(turned.estimates().get(3).value()).isGreaterThan(1);
    assertThat(turned.estimate(Estimand.COMMON_ODDS_RATIO).value()).isLessThan(1);
    assertThat(turned.cautions().get(0).message()).contains("reverse the association");
  }

  @Test
  void oneStratumHasNoHomogeneityAndNoneIsRefused() {
    Answer one = StrataQuestion.of(strata(stratum("ash", "3/9", "8/11"))).ask();
    assertThat(one.refusals())
        .extracting(each -> each.method().id() + " " + each.code())
        .containsExactly("breslow-day ONE_INFORMATIVE_STRATUM");
    assertThat(one.conditions().get(0).state()).isEqualTo(Condition.State.NOT_MET);
    Answer empty = StrataQuestion.of(strata(stratum("ash", "0/9", "4/11"))).ask();
    assertThat(empty.intervals(StrengthInterval.MANTEL_HAENSZEL)).isEmpty();
    assertThat(empty.estimate(Estimand.COMMON_ODDS_RATIO).value()).isZero();
    StrataQuestion nothing = StrataQuestion.of(strata(stratum("ash", "0/9", "0/11")));
    assertThatIllegalArgumentException()
        .isThrownBy(nothing::ask)
        .withMessageContaining("no stratum has units of both cracked and sound");
  }

  private static SquareTable grades(long a, long b, long c, long d) {
    return new SquareTable(List.of("sound", "cracked"), List.of(List.of(a, b), List.of(c, d)));
  }

  @ParameterizedTest
  @CsvSource({
    "178, 28, 7, 41, REJECTED, MET",
    "178, 18, 3, 41, REJECTED, NOT_MET",
    "178, 12, 14, 41, NOT_REJECTED, MET",
    "178, 3, 2, 41, NOT_REJECTED, NOT_MET"
  })
  void agreementIsWordedAndItsConditionChecked(
      long a, long b, long c, long d, Decision decision, Condition.State state) {
    Answer answer = AgreementQuestion.of("Ann", "Ben", grades(a, b, c, d)).ask();
    assertThat(answer.verdict().text()).startsWith("Ann and Ben agree on ");
    assertThat(answer.verdict().decision()).isEqualTo(decision);
    assertThat(answer.conditions().get(0).state()).isEqualTo(state);
    assertThat(answer.estimate(Estimand.PROPORTION).value())
        .isCloseTo((double) (a + d) / (a + b + c + d), within(1e-15));
    // Weights make no difference to two levels.
    assertThat(
            AgreementQuestion.of("Ann", "Ben", grades(a, b, c, d))
                .settings(CrossSettings.usual().ordered(Ordered.BOTH))
                .ask()
                .estimates())
        .extracting(each -> each.quantity())
        .containsExactly(Estimand.PROPORTION, Estimand.KAPPA);
  }

  @Test
  void severalJudgementsNameThePairsThatDiffer() {
    MatchedTallies judged =
        new MatchedTallies(
            List.of("Ann", "Ben", "Cleo"),
            Map.of(
                List.of(true, true, true), 20L,
                List.of(true, false, false), 30L,
                List.of(false, true, false), 6L,
                List.of(false, false, true), 5L,
                List.of(false, false, false), 139L));
    Answer answer = MatchedQuestion.of(judged).ask();
    assertThat(answer.verdict().text())
        .startsWith(
            "the 3 judgements of the same 200 units differ: Ann 12.0 points higher than Ben,")
        .contains("Ann 12.5 points higher than Cleo, after adjustment for 3 pairs");
    String figures = answer.figures(Detail.FINDINGS).text();
    assertThat(figures).contains("Ann", "Cleo", "cochran-q", "mcnemar", "0.125");
    assertThat(answer.conditions().get(0).state()).isEqualTo(Condition.State.MET);
  }

  /** Each two rows as tables of their own, with Holm's factor for the smallest. */
  @Test
  void rowsAreComparedInPairs() {
    CrossSettings compared = CrossSettings.usual().rowPairs(RowPairs.COMPARED);
    List<RowPair> pairs = new RowComparison(KILNS, compared).pairs();
    assertThat(CrossQuestion.of(KILNS).settings(compared).ask().reading(Detail.FINDINGS).toString())
        .contains("Each two rows; p adjusted by Holm's method", "North, South");
    assertThat(pairs).hasSize(3);
    CrossTable first =
        new CrossTable(KILNS.rows().subList(0, 2), KILNS.columns(), KILNS.cells().subList(0, 2));
    double alone = TableTest.PEARSON.of(first).pValue();
    assertThat(pairs.get(0).test().pValue()).isEqualTo(alone);
    assertThat(Objects.requireNonNull(pairs.get(0).test().adjusted()).pValue())
        .isCloseTo(3 * alone, within(1e-15));
    // Columns that neither row has are left out of a pair; rows in one column only don't differ.
    CrossTable sparse =
        new CrossTable(
            List.of("a", "b", "c"),
            List.of("x", "y"),
            List.of(List.of(5L, 0L), List.of(7L, 0L), List.of(1L, 9L)));
    List<RowPair> few = new RowComparison(sparse, compared).pairs();
    assertThat(few.get(0).test().pValue()).isEqualTo(1);
    assertThat(few.get(1).test().method().id()).isEqualTo("fisher");
  }

  @ParameterizedTest
  @EnumSource(Ordered.class)
  void orderDecidesWhatIsAskedFirst(Ordered ordered) {
    Answer answer = CrossQuestion.of(KILNS).settings(CrossSettings.usual().ordered(ordered)).ask();
    boolean both = ordered == Ordered.BOTH;
    assertThat(answer.verdict().test().orElseThrow().id()).isEqualTo(both ? "linear" : "pearson");
    assertThat(answer.estimates().stream().anyMatch(each -> each.quantity() == Estimand.GAMMA))
        .isEqualTo(both);
    assertThat(Ordered.of(ordered.id())).isEqualTo(ordered);
    assertThat(answer.estimates().get(0).quantity()).isEqualTo(Estimand.CRAMERS_V);
  }

  @Test
  void twoByTwoCarriesItsComparison() {
    CrossTable table =
        new CrossTable(
            List.of("North", "South"),
            List.of("cracked", "sound"),
            List.of(List.of(14L, 386L), List.of(31L, 379L)));
    Answer within = CrossQuestion.of(table).settings(CrossSettings.usual().alpha(0.01)).ask();
    Answer own =
        CompareQuestion.of(Tally.of(14, 400), Tally.of(31, 410))
            .groups("North", "South")
            .alpha(0.01)
            .ask();
    for (Estimand quantity : List.of(Estimand.DIFFERENCE, Estimand.RATIO, Estimand.ODDS_RATIO)) {
      assertThat(within.estimate(quantity)).isEqualTo(own.estimate(quantity));
    }
    assertThat(within.interval(ComparisonInterval.DIFFERENCE_MEE))
        .isEqualTo(own.interval(ComparisonInterval.DIFFERENCE_MEE));
    assertThat(CrossQuestion.of(KILNS).ask().estimates())
        .noneMatch(each -> each.quantity() == Estimand.DIFFERENCE);
    assertThat(
            CrossQuestion.of(KILNS)
                .settings(
                    CrossSettings.usual()
                        .tests(List.of(TableTest.PEARSON, TableTest.FISHER))
                        .options(TestOptions.usual().budget(0.001)))
                .ask()
                .refusals())
        .extracting(each -> each.method().id())
        .containsExactly("fisher");
  }

  /** The same counts of the same units are one question: paired columns, or a square table. */
  @Test
  void pairsAndSquaresRestOnOneRule() {
    for (long one = 0; one <= 16; one++) {
      for (long other = 0; other <= 16; other++) {
        Answer paired = PairedQuestion.of(PairedTally.of(20, one, other, 10)).ask();
        SquareTable table =
            new SquareTable(List.of("a", "b"), List.of(List.of(20L, one), List.of(other, 10L)));
        Answer square = AgreementQuestion.of("First", "Second", table).ask();
        assertThat(square.test().pValue())
            .as(one + " and " + other)
            .isCloseTo(paired.test().pValue(), within(1e-12));
        assertThat(Gate.of(square).state()).isEqualTo(Gate.of(paired).state());
      }
    }
  }
}
