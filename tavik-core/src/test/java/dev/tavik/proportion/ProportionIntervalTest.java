package dev.tavik.proportion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.Tally;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class ProportionIntervalTest {

  /** To n = 10⁹ and level 0.999999, against 60-digit arithmetic. */
  @Test
  void limitsAgreeWithHighPrecision() {
    RelativeErrors wilson = new RelativeErrors("wilson");
    RelativeErrors clopperPearson = new RelativeErrors("clopper-pearson");
    for (String[] row : References.of("proportion-limits.csv")) {
      Tally tally = Tally.of(Long.parseLong(row[1]), Long.parseLong(row[0]));
      double level = Double.parseDouble(row[2]);
      String at = String.join(" ", row[0], row[1], row[2]);
      compare(ProportionInterval.WILSON.of(tally, level), row, 3, wilson, at);
      compare(ProportionInterval.CLOPPER_PEARSON.of(tally, level), row, 5, clopperPearson, at);
    }
    wilson.assertBelow(3e-15, 5e-16);
    clopperPearson.assertBelow(5e-12, 5e-13);
  }

  private static void compare(
      Interval interval, String[] row, int from, RelativeErrors errors, String at) {
    errors.add(Double.parseDouble(row[from]), interval.lower(), at + " lower");
    errors.add(Double.parseDouble(row[from + 1]), interval.upper(), at + " upper");
  }

  /**
   * Newcombe 1998, "Two-sided confidence intervals for the single proportion: comparison of seven
   * methods", Statistics in Medicine 17, 857-872, table I, methods 3 and 5, level 0.95.
   */
  @ParameterizedTest
  @CsvSource({
    "81/263, 0.2553, 0.3662, 0.2527, 0.3676",
    "15/148, 0.0624, 0.1605, 0.0578, 0.1617",
    "0/20,   0.0000, 0.1611, 0.0000, 0.1684",
    "1/29,   0.0061, 0.1718, 0.0009, 0.1776"
  })
  void limitsAgreeWithNewcombe(String tally, double w1, double w2, double c1, double c2) {
    Interval wilson = ProportionInterval.WILSON.of(Tally.parse(tally), 0.95);
    Interval clopperPearson = ProportionInterval.CLOPPER_PEARSON.of(Tally.parse(tally), 0.95);
    assertThat(wilson.lower()).isCloseTo(w1, within(5e-5));
    assertThat(wilson.upper()).isCloseTo(w2, within(5e-5));
    assertThat(clopperPearson.lower()).isCloseTo(c1, within(5e-5));
    assertThat(clopperPearson.upper()).isCloseTo(c2, within(5e-5));
  }

  @ParameterizedTest
  @ValueSource(longs = {2, 9, 60, 1_000, 123_457, 1_000_000_000})
  void wilsonLimitsInvertTheScoreTest(long n) {
    for (long x = 1; x < n; x += Math.max(1, n / 17)) {
      Tally tally = Tally.of(x, n);
      for (double level : new double[] {0.8, 0.95, 0.999}) {
        Interval interval = ProportionInterval.WILSON.of(tally, level);
        for (double limit : new double[] {interval.lower(), interval.upper()}) {
          double p = ProportionTest.SCORE.of(tally, Hypothesis.twoSided(limit)).pValue();
          assertThat(p).isCloseTo(1 - level, within(1e-6 * (1 - level)));
        }
      }
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {2, 9, 60, 1_000, 123_457, 100_000_000})
  void clopperPearsonLimitsInvertTheOneSidedExactTests(long n) {
    for (long x = 1; x < n; x += Math.max(1, n / 9)) {
      Tally tally = Tally.of(x, n);
      Interval interval = ProportionInterval.CLOPPER_PEARSON.of(tally, 0.9);
      double atLower =
          ProportionTest.EXACT.of(tally, Hypothesis.greater(interval.lower())).pValue();
      double atUpper = ProportionTest.EXACT.of(tally, Hypothesis.less(interval.upper())).pValue();
      assertThat(atLower).isCloseTo(0.05, within(1e-6));
      assertThat(atUpper).isCloseTo(0.05, within(1e-6));
    }
  }

  @ParameterizedTest
  @EnumSource
  void endsOfTheScaleAreReachedExactly(ProportionInterval method) {
    for (long n : new long[] {1, 7, 400, 1_000_000_000}) {
      assertThat(method.of(Tally.of(0, n), 0.95).lower()).isEqualTo(0);
      assertThat(method.of(Tally.of(0, n), 0.95).upper()).isBetween(1e-10, 0.98);
      assertThat(method.of(Tally.of(n, n), 0.95).upper()).isEqualTo(1);
      assertThat(method.of(Tally.of(n, n), 0.95).lower()).isBetween(0.02, 1 - 1e-10);
    }
  }

  @ParameterizedTest
  @EnumSource
  void aBoundIsTheLimitOfTheIntervalWithTwiceTheErrorOutside(ProportionInterval method) {
    Tally tally = Tally.of(14, 400);
    Interval wide = method.of(tally, 0.9);
    Interval lower = method.of(tally, 0.95, Side.LOWER);
    Interval upper = method.of(tally, 0.95, Side.UPPER);
    assertThat(lower.lower()).isCloseTo(wide.lower(), within(1e-14));
    assertThat(lower.upper()).isEqualTo(1);
    assertThat(upper.upper()).isCloseTo(wide.upper(), within(1e-14));
    assertThat(upper.lower()).isEqualTo(0);
  }

  @ParameterizedTest
  @EnumSource
  void extremeLevelsEnd(ProportionInterval method) {
    for (String tally : new String[] {"1/2", "1/1000000000000", "999999999999/1000000000000"}) {
      for (double level : new double[] {1e-9, 0.5, 1 - 1e-15}) {
        Interval interval = method.of(Tally.parse(tally), level);
        assertThat(interval.lower()).isBetween(0.0, Tally.parse(tally).proportion());
        assertThat(interval.upper()).isBetween(Tally.parse(tally).proportion(), 1.0);
      }
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, 1, 95, Double.NaN})
  void levelsOutsideAreRefused(double level) {
    for (ProportionInterval method : ProportionInterval.values()) {
      assertThatIllegalArgumentException()
          .isThrownBy(() -> method.of(Tally.of(1, 2), level))
          .withMessageContaining("level must");
    }
  }

  @Test
  void idsAreThePublicOnes() {
    assertThat(Arrays.stream(ProportionInterval.values()).map(ProportionInterval::id))
        .containsExactly("wilson", "clopper-pearson");
    assertThat(ProportionInterval.values())
        .allSatisfy(
            method -> {
              assertThat(method.title()).isNotBlank();
              assertThat(method.description()).isNotBlank();
              assertThat(method.reference()).containsPattern("\\d{4}");
            });
  }
}
