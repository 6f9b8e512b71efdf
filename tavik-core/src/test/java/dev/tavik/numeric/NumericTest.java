package dev.tavik.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NumericTest {

  /** Both agree where the library's own error, 4·10⁻¹² for n ≤ 10⁵, lets them. */
  @ParameterizedTest
  @CsvSource({"50, 0.02", "400, 0.05", "400, 0.93", "10000, 0.3", "100000, 0.001", "99999, 0.5"})
  void binomialTailsAgreeWithAnotherDistribution(int n, double p) {
    Binomial ours = new Binomial(n, DecimalFraction.exactly(p));
    BinomialDistribution theirs = BinomialDistribution.of(n, p);
    double deviation = Math.sqrt(ours.variance());
    for (int away = -30; away <= 30; away++) {
      int x = (int) Math.round(n * p + away * deviation / 2);
      if (x < 0 || x > n || theirs.cumulativeProbability(x) < 1e-280) {
        continue;
      }
      assertRelative(Math.exp(ours.logLower(x)), theirs.cumulativeProbability(x), 2e-11);
      assertRelative(Math.exp(ours.logUpper(x + 1)), theirs.survivalProbability(x), 2e-11);
      assertRelative(Math.exp(ours.logMass(x)), theirs.probability(x), 2e-11);
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 31, 32, 33, 1_000, 1_000_000_007})
  void probabilitiesOfNeighboursHaveTheRightRatio(long n) {
    for (double p : new double[] {0.001, 0.3, 0.999}) {
      Binomial binomial = new Binomial(n, DecimalFraction.of(p));
      long mode = binomial.mode();
      for (long x = Math.max(0, mode - 3); x < Math.min(n, mode + 3); x++) {
        double ratio = Math.exp(binomial.logMass(x + 1) - binomial.logMass(x));
        double expected = (double) (n - x) / (x + 1) * p / (1 - p);
        assertThat(ratio).isCloseTo(expected, within(1e-10 * expected));
      }
    }
  }

  @Test
  void tailsBesideAPointAddUpToOne() {
    Binomial binomial = new Binomial(1_000_000, DecimalFraction.of(0.3));
    for (long x = 298_000; x < 302_000; x += 123) {
      double both = Math.exp(binomial.logLower(x)) + Math.exp(binomial.logUpper(x + 1));
      assertThat(both).isCloseTo(1, within(1e-14));
    }
    assertThat(binomial.logLower(-1)).isEqualTo(Double.NEGATIVE_INFINITY);
    assertThat(binomial.logUpper(1_000_001)).isEqualTo(Double.NEGATIVE_INFINITY);
    assertThat(binomial.logLower(1_000_000)).isZero();
    assertThat(binomial.logUpper(0)).isZero();
    assertThat(binomial.logMass(-1)).isEqualTo(Double.NEGATIVE_INFINITY);
  }

  @Test
  void endsOfAProbabilityClassEncloseTheMode() {
    Binomial binomial = new Binomial(60, DecimalFraction.of(0.3));
    for (long x = 0; x <= 60; x++) {
      double limit = binomial.logMass(x) + 1e-9;
      long below = binomial.lastBelowModeAtMost(limit);
      long above = binomial.firstAboveModeAtMost(limit);
      for (long k = 0; k <= 60; k++) {
        boolean inTails = k <= below || k >= above;
        boolean improbable = binomial.logMass(k) <= limit;
        assertThat(inTails).as("x = %d, k = %d", x, k).isEqualTo(improbable || k == x);
        if (x == binomial.mode()) {
          break;
        }
      }
    }
  }

  @Test
  void normalTailAndQuantileInvertOneAnother() {
    NormalDistribution theirs = NormalDistribution.of(0, 1);
    for (double z = -8; z <= 37; z += 0.37) {
      double tail = Math.exp(Normal.logUpper(z));
      assertRelative(tail, theirs.survivalProbability(z), 1e-12);
      if (z > -5) {
        assertThat(Normal.upperQuantile(tail)).isCloseTo(z, within(1e-9));
      }
    }
    assertThat(Normal.upperQuantile(0.025)).isEqualTo(1.959963984540054, within(1e-15));
    assertThat(Normal.logUpper(Double.POSITIVE_INFINITY)).isEqualTo(Double.NEGATIVE_INFINITY);
    assertThat(Normal.logUpper(Double.NEGATIVE_INFINITY)).isZero();
  }

  /** P(Z > z) = φ(z)/z (1 - 1/z² + 3/z⁴ - 15/z⁶ + 105/z⁸ - …), an alternating bound. */
  @ParameterizedTest
  @ValueSource(doubles = {40, 1e3, 1e6, 1e9})
  void theNormalTailKeepsItsLogarithm(double z) {
    double square = z * z;
    double series =
        1
            - 1 / square
            + 3 / Math.pow(square, 2)
            - 15 / Math.pow(square, 3)
            + 105 / Math.pow(square, 4);
    double expected = -0.5 * square - Math.log(z) - 0.5 * Math.log(2 * Math.PI) + Math.log(series);
    assertThat(Normal.logUpper(z)).isCloseTo(expected, within(1e-14 * square));
  }

  @Test
  void logarithmsAddAndComplement() {
    assertThat(LogSpace.add(Math.log(0.2), Math.log(0.3))).isCloseTo(Math.log(0.5), within(1e-15));
    assertThat(LogSpace.add(Double.NEGATIVE_INFINITY, -3)).isEqualTo(-3);
    assertThat(LogSpace.add(Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY))
        .isEqualTo(Double.NEGATIVE_INFINITY);
    assertThat(LogSpace.complement(Math.log(0.75))).isCloseTo(Math.log(0.25), within(1e-15));
    assertThat(LogSpace.complement(-1e-300)).isCloseTo(Math.log(1e-300), within(1e-12));
    assertThat(LogSpace.complement(-800)).isEqualTo(0);
    assertThat(LogSpace.complement(0)).isEqualTo(Double.NEGATIVE_INFINITY);
  }

  @ParameterizedTest
  @ValueSource(strings = {"0.05", "0.3", "0.999", "0.1", "1e-9"})
  void decimalsAreKeptToTwiceTheDigits(String text) {
    DecimalFraction fraction = DecimalFraction.of(Double.parseDouble(text));
    BigDecimal kept = new BigDecimal(fraction.value()).add(new BigDecimal(fraction.remainder()));
    BigDecimal decimal = new BigDecimal(text);
    assertThat(kept.subtract(decimal).abs()).isLessThan(decimal.multiply(new BigDecimal("1e-31")));
    assertThat(fraction.complement()).isEqualTo(BigDecimal.ONE.subtract(decimal).doubleValue());
  }

  private static void assertRelative(double actual, double expected, double tolerance) {
    assertThat(actual).isCloseTo(expected, within(tolerance * expected));
  }
}
