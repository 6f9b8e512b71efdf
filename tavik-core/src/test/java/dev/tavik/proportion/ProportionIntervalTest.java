package dev.tavik.proportion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.Tally;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
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

  /** The other intervals to n = 10⁹, against 60-digit arithmetic after their definitions. */
  @Test
  void otherLimitsAgreeWithHighPrecision() {
    Map<String, RelativeErrors> closed = new TreeMap<>();
    Map<String, RelativeErrors> searched = new TreeMap<>();
    for (String[] row : References.of("proportion-more-limits.csv")) {
      ProportionInterval method = byId(row[0]);
      Tally tally = Tally.of(Long.parseLong(row[2]), Long.parseLong(row[1]));
      boolean bySearch = List.of("mid-p", "jeffreys", "likelihood").contains(row[0]);
      RelativeErrors errors =
          (bySearch ? searched : closed).computeIfAbsent(row[0], RelativeErrors::new);
      compare(method.of(tally, Double.parseDouble(row[3])), row, 4, errors, String.join(" ", row));
    }
    assertThat(closed).hasSize(4);
    assertThat(searched).hasSize(3);
    closed.values().forEach(errors -> errors.assertBelow(1e-12, 1e-13));
    searched.values().forEach(errors -> errors.assertBelow(1e-9, 1e-10));
  }

  private static ProportionInterval byId(String id) {
    return Arrays.stream(ProportionInterval.values())
        .filter(method -> method.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  /**
   * Newcombe 1998, "Two-sided confidence intervals for the single proportion: comparison of seven
   * methods", Statistics in Medicine 17, 857-872, table I, level 0.95, methods 3 to 7.
   */
  @ParameterizedTest
  @CsvSource({
    "wilson, 81/263, 0.2553, 0.3662",
    "wilson, 15/148, 0.0624, 0.1605",
    "wilson, 0/20, 0.0000, 0.1611",
    "wilson, 1/29, 0.0061, 0.1718",
    "wilson-cc, 81/263, 0.2535, 0.3682",
    "wilson-cc, 15/148, 0.0598, 0.1644",
    "wilson-cc, 0/20, 0.0000, 0.2005",
    "wilson-cc, 1/29, 0.0018, 0.1963",
    "clopper-pearson, 81/263, 0.2527, 0.3676",
    "clopper-pearson, 15/148, 0.0578, 0.1617",
    "clopper-pearson, 0/20, 0.0000, 0.1684",
    "clopper-pearson, 1/29, 0.0009, 0.1776",
    "mid-p, 81/263, 0.2544, 0.3658",
    "mid-p, 15/148, 0.0601, 0.1581",
    "mid-p, 0/20, 0.0000, 0.1391",
    "mid-p, 1/29, 0.0017, 0.1585",
    "likelihood, 81/263, 0.2542, 0.3655",
    "likelihood, 15/148, 0.0596, 0.1567",
    "likelihood, 0/20, 0.0000, 0.0916",
    "likelihood, 1/29, 0.0020, 0.1432"
  })
  void limitsAgreeWithNewcombe(String method, String tally, double lower, double upper) {
    Interval interval = byId(method).of(Tally.parse(tally), 0.95);
    assertThat(interval.lower()).isCloseTo(lower, within(5.1e-5));
    assertThat(interval.upper()).isCloseTo(upper, within(5.1e-5));
  }

  /** At level 1 - alpha the limits are where the inverted test's p-value passes alpha. */
  @ParameterizedTest
  @EnumSource
  void limitsInvertTheirTest(ProportionInterval method) {
    if (method.inverts().isEmpty() || method == ProportionInterval.BLAKER) {
      return;
    }
    ProportionTest test = method.inverts().get();
    for (String tally : new String[] {"2/9", "14/400", "399/400", "61000/123457"}) {
      Interval interval = method.of(Tally.parse(tally), 0.9);
      for (double limit : new double[] {interval.lower(), interval.upper()}) {
        if (limit > 0 && limit < 1) {
          double p = test.of(Tally.parse(tally), Hypothesis.twoSided(limit)).pValue();
          assertThat(p).as(method.id() + " " + tally).isCloseTo(0.1, within(1e-8));
        }
      }
    }
  }

  /**
   * Nothing outside Blaker's limits is accepted, their insides are, and they never pass Clopper's.
   */
  @ParameterizedTest
  @ValueSource(strings = {"1/5", "3/10", "0/12", "12/12", "7/40", "38/40", "14/400", "200/400"})
  void blakerLimitsEncloseWhatItsTestAccepts(String written) {
    Tally tally = Tally.parse(written);
    for (double level : new double[] {0.8, 0.95, 0.99}) {
      Interval blaker = ProportionInterval.BLAKER.of(tally, level);
      Interval clopper = ProportionInterval.CLOPPER_PEARSON.of(tally, level);
      assertThat(blaker.lower()).isGreaterThanOrEqualTo(clopper.lower());
      assertThat(blaker.upper()).isLessThanOrEqualTo(clopper.upper());
      double above = 1 - blaker.upper();
      // A millionth away from the limits, beyond the reach of the test's tolerance on ties.
      for (double share = 1e-6; share < 1; share = share < 0.01 ? 10 * share : share + 0.003) {
        assertAccepted(tally, blaker.lower() * (1 - share), level, false);
        assertAccepted(tally, blaker.upper() + above * share, level, false);
      }
      assertAccepted(tally, blaker.lower() * (1 + 1e-9), level, true);
      assertAccepted(tally, 1 - (1 - blaker.upper()) * (1 + 1e-9), level, true);
    }
  }

  private static void assertAccepted(Tally tally, double p, double level, boolean accepted) {
    if (p > 0 && p < 1) {
      double alpha = 1 - level;
      double pValue = ProportionTest.EXACT_BLAKER.of(tally, Hypothesis.twoSided(p)).pValue();
      assertThat(accepted ? pValue * (1 + 1e-6) >= alpha : pValue <= alpha)
          .as("%s at %s, level %s: p-value %s", tally, p, level, pValue)
          .isTrue();
    }
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
      assertThat(method.of(Tally.of(n, n), 0.95).upper()).isEqualTo(1);
      if (method != ProportionInterval.WALD) {
        assertThat(method.of(Tally.of(0, n), 0.95).upper()).isBetween(1e-10, 1.0);
        assertThat(method.of(Tally.of(n, n), 0.95).lower()).isBetween(0.0, 1 - 1e-10);
      }
    }
  }

  @ParameterizedTest
  @EnumSource
  void aBoundIsTheLimitOfTheIntervalWithTwiceTheErrorOutside(ProportionInterval method) {
    Tally tally = Tally.of(14, 400);
    if (method == ProportionInterval.BLAKER) {
      assertThat(method.of(tally, 0.95, Side.UPPER).upper())
          .isEqualTo(ProportionInterval.CLOPPER_PEARSON.of(tally, 0.95, Side.UPPER).upper());
      return;
    }
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
        assertThat(interval.lower()).isBetween(0.0, interval.upper());
        assertThat(interval.upper()).isLessThanOrEqualTo(1);
        assertThat(level < 0.5 || interval.contains(Tally.parse(tally).proportion())).isTrue();
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
        .containsExactly(
            "wald",
            "wald-cc",
            "wilson",
            "wilson-cc",
            "agresti-coull",
            "clopper-pearson",
            "mid-p",
            "jeffreys",
            "blaker",
            "likelihood");
    assertThat(ProportionInterval.values())
        .allSatisfy(
            method -> {
              assertThat(method.title()).isNotBlank();
              assertThat(method.reference()).containsPattern("\\d{4}");
            });
  }
}
