package dev.tavik.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Decidable;
import dev.tavik.association.Shares;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.CrossTable;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Adjustment;
import dev.tavik.result.Alternative;
import dev.tavik.study.Gate.State;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.rate.RateSettings;
import dev.tavik.study.shares.SharesQuestion;
import dev.tavik.study.tail.TailQuestion;
import dev.tavik.tail.Tail;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/** A gate stops where a null is rejected, and says where no outcome could have been. */
class GateTest {
  private static final double ALPHA = 0.05;

  private static boolean decidable(Answer answer) {
    return answer.find(Decidable.class).orElseThrow().possible();
  }

  @Test
  void ratesAreDecidableWhereSomeCountRejects() {
    for (long n = 1; n <= 12; n++) {
      for (Alternative side : Alternative.values()) {
        for (double against : new double[] {0.05, 0.3, 0.5}) {
          long trials = n;
          boolean any =
              LongStream.rangeClosed(0, n)
                  .anyMatch(
                      x ->
                          RateQuestion.of(Tally.of(x, trials), against)
                              .alternative(side)
                              .tests(ProportionTest.EXACT)
                              .ask()
                              .test(ProportionTest.EXACT)
                              .rejects(ALPHA));
          RateQuestion asked =
              RateQuestion.of(Tally.of(1, n), against)
                  .alternative(side)
                  .tests(ProportionTest.EXACT);
          assertThat(decidable(asked.ask())).as(n + " " + side + " " + against).isEqualTo(any);
        }
      }
    }
  }

  @Test
  void comparisonsAreDecidableWhereSomeTableRejects() {
    for (long m = 1; m <= 6; m++) {
      for (long n = 1; n <= 6; n++) {
        boolean any = false;
        for (long x = 0; x <= m; x++) {
          for (long y = 0; y <= n; y++) {
            any |=
                CompareQuestion.of(Tally.of(x, m), Tally.of(y, n))
                    .tests(TwoProportionTest.FISHER)
                    .ask()
                    .test(TwoProportionTest.FISHER)
                    .rejects(ALPHA);
          }
        }
        Answer answer =
            CompareQuestion.of(Tally.of(1, m), Tally.of(0, n))
                .tests(TwoProportionTest.FISHER)
                .ask();
        assertThat(decidable(answer)).as(m + " and " + n).isEqualTo(any);
      }
    }
  }

  @Test
  void pairsAndSharesAndTablesAreDecidableWhereOneRejects() {
    for (long n = 1; n <= 10; n++) {
      long pairs = n;
      boolean any =
          LongStream.rangeClosed(0, n)
              .anyMatch(
                  b ->
                      PairedTest.MCNEMAR_EXACT
                          .of(PairedTally.of(0, b, pairs - b, 0), Alternative.TWO_SIDED)
                          .rejects(ALPHA));
      assertThat(decidable(PairedQuestion.of(PairedTally.of(n - 1, 1, 0, 0)).ask())).isEqualTo(any);
      // With equal shares of two the exact test is the sign test: 2 / 2^n for all of one kind.
      Answer shares =
          SharesQuestion.of(CategoryCounts.of(List.of("a", "b"), List.of(n, 0L)), Shares.equal(2))
              .ask();
      assertThat(decidable(shares))
          .as("shares of " + n)
          .isEqualTo(2 / Math.pow(2, (double) n) <= ALPHA);
      // Margins n, n and n, n: the ends have probability 1 / C(2n, n) each.
      CrossTable table = CrossTable.of(new long[][] {{n, 0}, {0, n}});
      assertThat(decidable(CrossQuestion.of(table).ask()))
          .as("table of " + n)
          .isEqualTo(CrossQuestion.of(table).ask().test().rejects(ALPHA));
    }
  }

  @Test
  void aClaimToBeShownStopsWhereItIsNot() {
    CompareQuestion kilns = CompareQuestion.of(Tally.of(14, 400), Tally.of(31, 410));
    assertThat(Gate.of(kilns.ask()).state()).isEqualTo(State.STOPPED);
    assertThat(Gate.of(kilns.equivalent(0.1).ask()).state()).isEqualTo(State.OPEN);
    assertThat(Gate.of(kilns.equivalent(0.01).ask()).state()).isEqualTo(State.STOPPED);
    assertThat(Gate.of(kilns.equivalent(0.01).ask()).reason()).contains("not shown");
    assertThat(Gate.of(kilns.noninferior(0.05, Alternative.LESS).ask()).state())
        .isEqualTo(State.OPEN);
    assertThat(Gate.of(CompareQuestion.of(Tally.of(1, 3), Tally.of(2, 3)).ask()).state())
        .isEqualTo(State.UNDECIDED);
  }

  /** One group by itself would be rejected; after Holm's adjustment over both it isn't. */
  @Test
  void groupsAndStudiesAreHeldByAdjustedValues() {
    Map<String, Tally> groups = new LinkedHashMap<>();
    groups.put("North", Tally.of(9, 300));
    groups.put("South", Tally.of(15, 300));
    RateQuestion rates = RateQuestion.of(groups, RateSettings.against(0.0575));
    assertThat(rates.ask().parts().get(0).test().rejects(ALPHA)).isTrue();
    assertThat(Gate.of(rates.ask()).state()).isEqualTo(State.OPEN);
    RateQuestion north = RateQuestion.of(Tally.of(9, 300), 0.0575).named("North");
    RateQuestion south = RateQuestion.of(Tally.of(15, 300), 0.0575);
    assertThat(Gate.of(north.ask()).state()).isEqualTo(State.STOPPED);
    assertThat(Gate.of(new Study("two", List.of(north, south)).ask()).state())
        .isEqualTo(State.OPEN);
    Study apart = new Study("two", List.of(north, south), List.of("a", "b"), Adjustment.HOLM);
    assertThat(Gate.of(apart.ask()).reason()).contains("1 of 2 tests", "North");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Gate.of(TailQuestion.leaving(Tail.binomial(40, 0.05), 0.05).ask()))
        .withMessageContaining("has none");
  }
}
