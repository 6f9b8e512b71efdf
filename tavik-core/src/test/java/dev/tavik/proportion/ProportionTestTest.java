package dev.tavik.proportion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class ProportionTestTest {
  private static final double LN_10 = Math.log(10);
  private static final List<Alternative> ORDER =
      List.of(Alternative.LESS, Alternative.GREATER, Alternative.TWO_SIDED);

  /**
   * Every x of every n to 60 and every exact test, against sums of exact rational probabilities.
   */
  @ParameterizedTest
  @ValueSource(strings = {"0.001", "0.05", "0.3", "0.5", "0.999"})
  void exactTestsSumRationalProbabilities(String against) {
    RelativeErrors errors = new RelativeErrors("exact p-values against " + against);
    for (int n = 1; n <= 60; n++) {
      RationalBinomial rational = new RationalBinomial(n, against);
      for (int x = 0; x <= n; x++) {
        for (Alternative alternative : Alternative.values()) {
          Hypothesis hypothesis = new Hypothesis(Double.parseDouble(against), alternative);
          for (ProportionTest test : RationalBinomial.EXACT_TESTS) {
            TestResult result = test.of(Tally.of(x, n), hypothesis);
            double expected = rational.pValue(test, x, alternative);
            errors.add(
                expected,
                result.pValue(),
                String.format(Locale.ROOT, "%s %d/%d %s", test.id(), x, n, alternative.id()));
          }
        }
      }
    }
    errors.assertBelow(1e-12, 2e-13);
  }

  /** The other tests to n = 10⁶, against 60-digit arithmetic after their definitions. */
  @Test
  void variantsAgreeWithHighPrecision() {
    RelativeErrors near = new RelativeErrors("p-values of the other tests");
    RelativeErrors far = new RelativeErrors("their logarithms below 1e-300");
    for (String[] row : References.of("proportion-variants.csv")) {
      ProportionTest test = byId(row[0]);
      Tally tally = Tally.of(Long.parseLong(row[3]), Long.parseLong(row[1]));
      for (int i = 0; i < ORDER.size(); i++) {
        Hypothesis hypothesis = new Hypothesis(Double.parseDouble(row[2]), ORDER.get(i));
        String at = String.join(" ", row[0], row[1], row[2], row[3], ORDER.get(i).id());
        compare(row[4 + i], test.of(tally, hypothesis), near, far, at);
      }
    }
    near.assertBelow(5e-12, 5e-13);
    far.assertBelow(1e-14, 1e-15);
  }

  private static ProportionTest byId(String id) {
    return Arrays.stream(ProportionTest.values())
        .filter(test -> test.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void waldHasNoStatisticWithoutVariance() {
    for (String tally : new String[] {"0/30", "30/30"}) {
      TestResult result = ProportionTest.WALD.of(Tally.parse(tally), Hypothesis.twoSided(0.3));
      assertThat(result.statistic()).isNull();
      assertThat(result.pValue()).isEqualTo(1);
    }
  }

  @Test
  void theCorrectionNeverPassesZeroTwoSidedAndMayOneSided() {
    Tally tally = Tally.of(9, 30);
    assertThat(z(tally, Hypothesis.twoSided(0.31))).isZero();
    assertThat(z(tally, Hypothesis.less(0.31))).isPositive();
    assertThat(z(tally, Hypothesis.greater(0.29))).isNegative();
  }

  private static double z(Tally tally, Hypothesis hypothesis) {
    TestResult result = ProportionTest.SCORE_CC.of(tally, hypothesis);
    return Objects.requireNonNull(result.statistic()).value();
  }

  /**
   * Every count is asked; the rejected ones must be those of the region, and their mass its size.
   */
  @ParameterizedTest
  @EnumSource
  void criticalCountsAreThoseThatAreRejected(ProportionTest test) {
    for (int n : new int[] {1, 2, 17, 40}) {
      for (String against : new String[] {"0.05", "0.5", "0.7"}) {
        RationalBinomial rational = new RationalBinomial(n, against);
        for (Alternative alternative : Alternative.values()) {
          for (double alpha : new double[] {0.001, 0.05, 0.3}) {
            Hypothesis hypothesis = new Hypothesis(Double.parseDouble(against), alternative);
            CriticalCounts counts = test.criticalCounts(n, hypothesis, alpha);
            double size = 0;
            for (int x = 0; x <= n; x++) {
              boolean rejected = test.of(Tally.of(x, n), hypothesis).rejects(alpha);
              boolean inRegion =
                  (counts.atMost() != null && x <= counts.atMost())
                      || (counts.atLeast() != null && x >= counts.atLeast());
              boolean degenerate = test == ProportionTest.WALD && (x == 0 || x == n);
              assertThat(inRegion && !degenerate)
                  .as("%s %d/%d %s %s", test.id(), x, n, hypothesis, alpha)
                  .isEqualTo(rejected);
              size += rejected ? rational.mass(x) : 0;
            }
            assertThat(counts.size()).isCloseTo(size, within(1e-12));
            assertThat(test.exactness() == dev.tavik.result.Exactness.EXACT && size > alpha)
                .isFalse();
          }
        }
      }
    }
  }

  /** To n = 10⁹ and beyond 10⁻³⁰⁰, against 60-digit arithmetic. */
  @Test
  void bothTestsKeepTheirDigitsFarOut() {
    RelativeErrors z = new RelativeErrors("z");
    RelativeErrors score = new RelativeErrors("score p-value");
    RelativeErrors exact = new RelativeErrors("exact p-value");
    RelativeErrors beyond = new RelativeErrors("logarithm below 1e-300");
    for (String[] row : References.of("proportion-tests.csv")) {
      Tally tally = Tally.of(Long.parseLong(row[2]), Long.parseLong(row[0]));
      for (int i = 0; i < ORDER.size(); i++) {
        Hypothesis hypothesis = new Hypothesis(Double.parseDouble(row[1]), ORDER.get(i));
        String at = String.join(" ", row[0], row[1], row[2], ORDER.get(i).id());
        TestResult byScore = ProportionTest.SCORE.of(tally, hypothesis);
        z.add(Double.parseDouble(row[3]), Objects.requireNonNull(byScore.statistic()).value(), at);
        compare(row[4 + i], byScore, score, beyond, at);
        compare(row[7 + i], ProportionTest.EXACT.of(tally, hypothesis), exact, beyond, at);
      }
    }
    z.assertBelow(1e-15, 3e-16);
    score.assertBelow(1e-12, 1e-13);
    exact.assertBelow(5e-12, 5e-13);
    beyond.assertBelow(1e-14, 1e-15);
  }

  private static void compare(
      String log10, TestResult result, RelativeErrors near, RelativeErrors far, String at) {
    BigDecimal expected = new BigDecimal(log10);
    if (expected.doubleValue() < -300) {
      far.add(expected.doubleValue(), result.log10PValue(), at);
    } else {
      // A difference of logarithms is a relative error; subtracted before rounding to a double.
      BigDecimal difference = new BigDecimal(result.log10PValue()).subtract(expected);
      near.add(Math.abs(Math.expm1(LN_10 * difference.doubleValue())), at);
      assertThat(result.pValue())
          .as(at)
          .isCloseTo(Math.pow(10, result.log10PValue()), within(1e-12 * result.pValue()));
    }
  }

  @Test
  void observedEqualToExpectedGivesExactlyZero() {
    for (ProportionTest test : ProportionTest.values()) {
      TestResult result = test.of(Tally.of(200, 400), Hypothesis.twoSided(0.5));
      assertThat(result.pValue()).as(test.id()).isEqualTo(1);
    }
    TestResult score =
        ProportionTest.SCORE.of(Tally.of(300_000_000, 1_000_000_000), Hypothesis.less(0.3));
    assertThat(Objects.requireNonNull(score.statistic()).value()).isZero();
    assertThat(score.pValue()).isEqualTo(0.5);
  }

  @ParameterizedTest
  @EnumSource
  void successesAndFailuresChangePlaces(ProportionTest test) {
    for (int x = 0; x <= 40; x++) {
      TestResult successes = test.of(Tally.of(x, 40), Hypothesis.less(0.3));
      TestResult failures = test.of(Tally.of(40 - x, 40), Hypothesis.greater(0.7));
      assertThat(successes.pValue())
          .isCloseTo(failures.pValue(), within(1e-12 * failures.pValue()));
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, 1, -0.1, 5, Double.NaN, Double.POSITIVE_INFINITY})
  void nullValuesOutsideAreRefused(double against) {
    for (ProportionTest test : ProportionTest.values()) {
      assertThatIllegalArgumentException()
          .isThrownBy(() -> test.of(Tally.of(1, 2), Hypothesis.less(against)))
          .withMessageContaining("against must");
    }
  }

  @Test
  void idsAreThePublicOnes() {
    assertThat(Arrays.stream(ProportionTest.values()).map(ProportionTest::id))
        .containsExactly(
            "score",
            "score-cc",
            "wald",
            "exact",
            "exact-doubled",
            "exact-blaker",
            "mid-p",
            "likelihood-ratio");
    assertThat(ProportionTest.values())
        .allSatisfy(
            test -> {
              assertThat(test.description()).isNotBlank();
              assertThat(test.reference()).containsPattern("\\d{4}");
            });
  }
}
