package dev.tavik.proportion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class ProportionTestTest {
  private static final double LN_10 = Math.log(10);
  private static final List<Alternative> ORDER =
      List.of(Alternative.LESS, Alternative.GREATER, Alternative.TWO_SIDED);

  /** Every x of every n to 60, against the sum of exact rational probabilities. */
  @ParameterizedTest
  @ValueSource(strings = {"0.001", "0.05", "0.3", "0.5", "0.999"})
  void exactTestSumsRationalProbabilities(String against) {
    RelativeErrors errors = new RelativeErrors("exact p-value against " + against);
    BigInteger denominator = BigInteger.valueOf(1000);
    BigInteger success = new BigDecimal(against).movePointRight(3).toBigIntegerExact();
    BigInteger failure = denominator.subtract(success);
    for (int n = 1; n <= 60; n++) {
      BigInteger[] masses = new BigInteger[n + 1];
      BigInteger choose = BigInteger.ONE;
      for (int x = 0; x <= n; x++) {
        masses[x] = choose.multiply(success.pow(x)).multiply(failure.pow(n - x));
        choose = choose.multiply(BigInteger.valueOf(n - x)).divide(BigInteger.valueOf(x + 1));
      }
      BigDecimal all = new BigDecimal(denominator.pow(n));
      for (int x = 0; x <= n; x++) {
        for (Alternative alternative : Alternative.values()) {
          BigDecimal expected =
              new BigDecimal(sum(masses, x, alternative)).divide(all, MathContext.DECIMAL128);
          Hypothesis hypothesis = new Hypothesis(Double.parseDouble(against), alternative);
          TestResult result = ProportionTest.EXACT.of(Tally.of(x, n), hypothesis);
          errors.add(expected.doubleValue(), result.pValue(), x + "/" + n + " " + alternative.id());
        }
      }
    }
    errors.assertBelow(1e-12, 2e-13);
  }

  private static BigInteger sum(BigInteger[] masses, int x, Alternative alternative) {
    BigInteger tie = BigInteger.valueOf(10_000_000);
    BigInteger limit = masses[x].multiply(tie.add(BigInteger.ONE));
    BigInteger sum = BigInteger.ZERO;
    for (int k = 0; k < masses.length; k++) {
      boolean counts =
          switch (alternative) {
            case LESS -> k <= x;
            case GREATER -> k >= x;
            case TWO_SIDED -> masses[k].multiply(tie).compareTo(limit) <= 0;
          };
      sum = counts ? sum.add(masses[k]) : sum;
    }
    return sum;
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
        z.add(Double.parseDouble(row[3]), byScore.statistic().value(), at);
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
      TestResult result = test.of(Tally.of(20, 400), Hypothesis.twoSided(0.05));
      assertThat(result.pValue()).as(test.id()).isEqualTo(1);
    }
    TestResult score =
        ProportionTest.SCORE.of(Tally.of(300_000_000, 1_000_000_000), Hypothesis.less(0.3));
    assertThat(score.statistic().value()).isZero();
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
        .containsExactly("score", "exact");
    assertThat(ProportionTest.values())
        .allSatisfy(
            test -> {
              assertThat(test.description()).isNotBlank();
              assertThat(test.reference()).containsPattern("\\d{4}");
            });
  }
}
