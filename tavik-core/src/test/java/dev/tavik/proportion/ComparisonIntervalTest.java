package dev.tavik.proportion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimand;
import dev.tavik.result.Estimate;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.NumberNeeded;
import dev.tavik.result.Side;
import java.util.Arrays;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ComparisonIntervalTest {
  private static ComparisonInterval byId(String quantity, String id) {
    return Arrays.stream(ComparisonInterval.values())
        .filter(method -> method.quantity().id().equals(quantity) && method.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private static double number(String written) {
    return written.equals("inf") ? Double.POSITIVE_INFINITY : Double.parseDouble(written);
  }

  @Test
  void agreesWithHighPrecisionReferences() {
    RelativeErrors closed = new RelativeErrors("closed-form limit");
    RelativeErrors searched = new RelativeErrors("searched limit");
    for (String[] row : References.of("comparison-limits.csv")) {
      Tally first = Tally.parse(row[0] + "/" + row[1]);
      Tally second = Tally.parse(row[2] + "/" + row[3]);
      String at = String.join(" ", row);
      if (row[6].equals("estimate")) {
        searched.add(
            number(row[7]),
            ComparisonEstimate.CONDITIONAL_ODDS_RATIO.of(first, second).value(),
            at);
        continue;
      }
      ComparisonInterval method = byId(row[5], row[6]);
      Interval interval = method.of(first, second, Double.parseDouble(row[4]));
      boolean search =
          (method.inverts().isPresent() && method != ComparisonInterval.DIFFERENCE_WALD)
              || row[6].equals("koopman")
              || row[6].equals("miettinen-nurminen")
              || row[6].equals("score");
      // Limits near 0 by cancellation are compared on the scale of the difference.
      compare(search ? searched : closed, number(row[7]), interval.lower(), at + " lower");
      compare(search ? searched : closed, number(row[8]), interval.upper(), at + " upper");
    }
    closed.assertBelow(1e-12, 1e-13);
    searched.assertBelow(1e-9, 1e-10);
  }

  private static void compare(RelativeErrors errors, double expected, double actual, String at) {
    if (Double.isInfinite(expected)) {
      assertThat(actual).as(at).isEqualTo(expected);
    } else {
      errors.add(Math.abs(actual - expected) / Math.max(1e-3, Math.abs(expected)), at);
    }
  }

  /**
   * Newcombe 1998, "Interval estimation for the difference between independent proportions:
   * comparison of eleven methods", Statistics in Medicine 17, 873-890, table II: methods 1, 2, 5,
   * 6, 10 and 11.
   */
  @ParameterizedTest
  @CsvSource({
    "wald, 56/70, 48/80, 0.0575, 0.3425",
    "wald-cc, 56/70, 48/80, 0.0441, 0.3559",
    "mee, 56/70, 48/80, 0.0533, 0.3377",
    "miettinen-nurminen, 56/70, 48/80, 0.0528, 0.3382",
    "newcombe, 56/70, 48/80, 0.0524, 0.3339",
    "newcombe-cc, 56/70, 48/80, 0.0428, 0.3422",
    "newcombe, 9/10, 3/10, 0.1705, 0.8090",
    "newcombe-cc, 9/10, 3/10, 0.1013, 0.8387",
    "newcombe, 6/7, 2/7, 0.0582, 0.8062",
    "newcombe-cc, 6/7, 2/7, -0.0290, 0.8423",
    "newcombe, 5/56, 0/29, -0.0381, 0.1926",
    "newcombe, 0/10, 0/20, -0.1611, 0.2775",
    "newcombe, 10/10, 0/20, 0.6791, 1.0000",
    "newcombe-cc, 10/10, 0/20, 0.6014, 1.0000",
    "newcombe, 10/10, 0/10, 0.6075, 1.0000",
    "newcombe-cc, 10/10, 0/10, 0.5128, 1.0000"
  })
  void differencesAgreeWithNewcombe(
      String method, String first, String second, double lower, double upper) {
    Interval interval =
        byId("difference", method).of(Tally.parse(first), Tally.parse(second), 0.95);
    assertThat(interval.lower()).isCloseTo(lower, within(0.5e-4));
    assertThat(interval.upper()).isCloseTo(upper, within(0.5e-4));
  }

  @Test
  void pairedAgreeWithHighPrecisionReferences() {
    RelativeErrors errors = new RelativeErrors("paired limit");
    for (String[] row : References.of("paired.csv")) {
      PairedTally tally =
          PairedTally.of(
              Long.parseLong(row[0]),
              Long.parseLong(row[1]),
              Long.parseLong(row[2]),
              Long.parseLong(row[3]));
      PairedDifferenceInterval method =
          Arrays.stream(PairedDifferenceInterval.values())
              .filter(each -> each.id().equals(row[4]))
              .findFirst()
              .orElseThrow();
      Interval interval = method.of(tally, 0.95);
      compare(errors, number(row[5]), interval.lower(), String.join(" ", row) + " lower");
      compare(errors, number(row[6]), interval.upper(), String.join(" ", row) + " upper");
    }
    errors.assertBelow(1e-11, 1e-12);
  }

  /** At a limit the test that an interval inverts gives back alpha. */
  @Test
  void meeInvertsTheScoreTest() {
    for (String[] pair : new String[][] {{"14/400", "31/410"}, {"3/12", "9/11"}, {"0/9", "4/8"}}) {
      Tally first = Tally.parse(pair[0]);
      Tally second = Tally.parse(pair[1]);
      Interval interval = ComparisonInterval.DIFFERENCE_MEE.of(first, second, 0.9);
      for (double limit : new double[] {interval.lower(), interval.upper()}) {
        assertThat(TwoProportionTest.SCORE.of(first, second, Hypothesis.twoSided(limit)).pValue())
            .isCloseTo(0.1, within(1e-9));
      }
      Interval bound = ComparisonInterval.DIFFERENCE_MEE.of(first, second, 0.9, Side.UPPER);
      assertThat(bound.lower()).isEqualTo(-1);
      assertThat(TwoProportionTest.SCORE.of(first, second, Hypothesis.less(bound.upper())).pValue())
          .isCloseTo(0.1, within(1e-9));
    }
  }

  /** The interval at level 1 - p of the test that it inverts ends exactly at the null value. */
  @ParameterizedTest
  @CsvSource({"14/400, 31/410", "3/12, 9/11", "56/70, 48/80", "900/1000, 100/1000"})
  void intervalsEndAtTheNullWhereTheirTestGivesAlpha(String one, String two) {
    Tally first = Tally.parse(one);
    Tally second = Tally.parse(two);
    for (ComparisonInterval method : ComparisonInterval.values()) {
      method
          .inverts()
          .ifPresent(
              test -> {
                double p = test.of(first, second, Hypothesis.noDifference()).pValue();
                double nothing = method.quantity() == Estimand.DIFFERENCE ? 0 : 1;
                if (p > 1e-12 && p < 1) {
                  Interval interval = method.of(first, second, 1 - p);
                  double nearer =
                      Math.abs(interval.lower() - nothing) < Math.abs(interval.upper() - nothing)
                          ? interval.lower()
                          : interval.upper();
                  assertThat(nearer)
                      .as("%s at 1 - %s", method.id(), p)
                      .isCloseTo(nothing, within(1e-4 * Math.min(1, 1e-10 / p) + 1e-8));
                }
              });
    }
  }

  @Test
  void swappedGroupsMirrorEveryInterval() {
    Tally first = Tally.of(3, 12);
    Tally second = Tally.of(9, 11);
    for (ComparisonInterval method : ComparisonInterval.values()) {
      Interval there = method.of(first, second, 0.95);
      Interval back = method.of(second, first, 0.95);
      boolean difference = method.quantity() == Estimand.DIFFERENCE;
      assertThat(back.lower())
          .as(method.id())
          .isCloseTo(difference ? -there.upper() : 1 / there.upper(), within(1e-8));
      assertThat(back.upper())
          .as(method.id())
          .isCloseTo(difference ? -there.lower() : 1 / there.lower(), within(1e-7));
    }
  }

  /**
   * Agresti and Caffo (2000) define their interval by one more success and one more failure in each
   * group: Wald's interval of 4/14 against 10/13.
   */
  @Test
  void agrestiCaffoIsWaldOfMoreTrials() {
    Interval added =
        ComparisonInterval.DIFFERENCE_AGRESTI_CAFFO.of(Tally.of(3, 12), Tally.of(9, 11), 0.95);
    Interval wald = ComparisonInterval.DIFFERENCE_WALD.of(Tally.of(4, 14), Tally.of(10, 13), 0.95);
    assertThat(added.lower()).isEqualTo(wald.lower());
    assertThat(added.upper()).isEqualTo(wald.upper());
  }

  @Test
  void estimatesAreTheirFormulas() {
    Tally first = Tally.of(14, 400);
    Tally second = Tally.of(31, 410);
    assertThat(ComparisonEstimate.DIFFERENCE.of(first, second).value())
        .isCloseTo(14 / 400.0 - 31 / 410.0, within(1e-16));
    Estimate crossProduct = ComparisonEstimate.ODDS_RATIO.of(first, second);
    assertThat(crossProduct.value()).isCloseTo(14.0 * 379 / (386.0 * 31), within(1e-15));
    assertThat(crossProduct.standardError() / crossProduct.value())
        .isCloseTo(Math.sqrt(1 / 14.0 + 1 / 386.0 + 1 / 31.0 + 1 / 379.0), within(1e-15));
    assertThat(ComparisonEstimate.RATIO.of(first, second).value())
        .isCloseTo(0.035 * 410 / 31, within(1e-15));
    assertThat(ComparisonEstimate.COHENS_H.of(first, second).value())
        .isCloseTo(
            2 * Math.asin(Math.sqrt(0.035)) - 2 * Math.asin(Math.sqrt(31 / 410.0)), within(1e-14));
    // The conditional estimate lies between 1 and the cross product.
    assertThat(ComparisonEstimate.CONDITIONAL_ODDS_RATIO.of(first, second).value())
        .isBetween(crossProduct.value(), 1.0);
    assertThat(ComparisonEstimate.CONDITIONAL_ODDS_RATIO.of(Tally.of(0, 5), second).value())
        .isEqualTo(0);
    assertThat(ComparisonEstimate.CONDITIONAL_ODDS_RATIO.of(Tally.of(0, 5), Tally.of(0, 9)).value())
        .isNaN();
  }

  @Test
  void numberNeededPassesThroughInfinityWithTheDifferenceThroughZero() {
    Interval clear =
        new Interval(
            Estimand.DIFFERENCE,
            ComparisonInterval.DIFFERENCE_NEWCOMBE,
            0.95,
            Side.TWO_SIDED,
            -0.08,
            -0.01);
    NumberNeeded certain = NumberNeeded.of(-0.04, clear);
    assertThat(certain.value()).isEqualTo(-25);
    assertThat(certain.throughInfinity()).isFalse();
    assertThat(certain.lower()).isEqualTo(-100);
    assertThat(certain.upper()).isEqualTo(-12.5);
    Interval both =
        new Interval(
            Estimand.DIFFERENCE,
            ComparisonInterval.DIFFERENCE_NEWCOMBE,
            0.95,
            Side.TWO_SIDED,
            -0.08,
            0.02);
    NumberNeeded through = NumberNeeded.of(-0.04, both);
    assertThat(through.throughInfinity()).isTrue();
    assertThat(through.lower()).isEqualTo(-12.5);
    assertThat(through.upper()).isEqualTo(50);
  }

  @Test
  void mcnemarCountsDiscordantPairsOnly() {
    PairedTally few = PairedTally.of(14, 2, 11, 211);
    PairedTally more = PairedTally.of(1400, 2, 11, 2);
    for (PairedTest test : PairedTest.values()) {
      for (Alternative alternative : Alternative.values()) {
        assertThat(test.of(few, alternative).pValue())
            .as(test.id())
            .isEqualTo(test.of(more, alternative).pValue());
      }
    }
    // 2 or fewer, or 11 or more, of 13 fair throws: 2 (1 + 13 + 78) / 2^13.
    assertThat(PairedTest.MCNEMAR_EXACT.of(few, Alternative.TWO_SIDED).pValue())
        .isCloseTo(184 / 8192.0, within(1e-15));
    assertThat(PairedTest.MCNEMAR_MID_P.of(few, Alternative.TWO_SIDED).pValue())
        .isCloseTo((184 - 78) / 8192.0, within(1e-15));
    assertThat(z(PairedTest.MCNEMAR, few, Alternative.LESS))
        .isCloseTo(-9 / Math.sqrt(13), within(1e-15));
    assertThat(z(PairedTest.MCNEMAR_CC, few, Alternative.TWO_SIDED))
        .isCloseTo(-8 / Math.sqrt(13), within(1e-15));
    assertThat(PairedTest.MCNEMAR.of(PairedTally.of(3, 0, 0, 4), Alternative.LESS).pValue())
        .isEqualTo(1);
  }

  private static double z(PairedTest test, PairedTally tally, Alternative alternative) {
    return Objects.requireNonNull(test.of(tally, alternative).statistic()).value();
  }

  @Test
  void tangoEndsAtNoDifferenceWhereMcnemarGivesAlpha() {
    PairedTally tally = PairedTally.of(14, 2, 11, 211);
    double p = PairedTest.MCNEMAR.of(tally, Alternative.TWO_SIDED).pValue();
    Interval interval = PairedDifferenceInterval.TANGO.of(tally, 1 - p);
    assertThat(interval.upper()).isCloseTo(0, within(1e-12));
    assertThat(PairedDifferenceInterval.TANGO.of(tally, 0.95, Side.LOWER).upper()).isEqualTo(1);
  }

  @Test
  void impossiblePairsAreRefused() {
    assertThatThrownBy(() -> PairedTally.of(1, -1, 0, 0))
        .hasMessageContaining("firstOnly must be between 0");
    assertThatThrownBy(() -> PairedTally.of(0, 0, 0, 0)).hasMessageContaining("pairs must be");
    assertThatThrownBy(
            () -> ComparisonInterval.DIFFERENCE_MEE.of(Tally.of(1, 2), Tally.of(1, 2), 1))
        .hasMessageContaining("level");
  }

  /** Koopman's limits by sixty digits (mpmath), where nearly all are successes, or nearly none. */
  @ParameterizedTest
  @CsvSource({
    "266925016699/266925016700, 5/5, 0.8, 0.999999999987474888, 1.32847488302498632",
    "5/5, 266925016699/266925016700, 0.8, 0.752742872882145207, 1.00000000001252511",
    "999999999998/1000000000000, 999999999990/1000000000000, 0.95, 1.00000000000145694, 1.00000000001663302",
    "3/1000000000000, 9/1000000000000, 0.95, 0.0976245596014109657, 1.13814711753479257",
    "14/400, 31/410, 0.95, 0.251975997398133911, 0.84738650690932245"
  })
  void ratiosNextToOneKeepTheirDigits(
      String first, String second, double level, double lower, double upper) {
    Interval interval =
        ComparisonInterval.RATIO_KOOPMAN.of(Tally.parse(first), Tally.parse(second), level);
    assertThat(interval.lower()).isCloseTo(lower, within(1e-12));
    assertThat(interval.upper()).isCloseTo(upper, within(1e-12));
  }
}
