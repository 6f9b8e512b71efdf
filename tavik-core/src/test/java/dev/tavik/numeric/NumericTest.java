package dev.tavik.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
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

  /** A decimal that a person writes has the parts that decimal arithmetic gives it. */
  @Test
  void decimalsAreReadAsTheyAreWritten() {
    Random random = new Random(3);
    for (int i = 0; i < 20_000; i++) {
      int digits = 1 + random.nextInt(9);
      BigDecimal written =
          BigDecimal.valueOf(1 + random.nextInt((int) Math.pow(10, digits) - 1), digits);
      double value = written.doubleValue();
      DecimalFraction read = DecimalFraction.of(value);
      double complement = BigDecimal.ONE.subtract(written).doubleValue();
      assertThat(read.remainder()).isEqualTo(written.subtract(new BigDecimal(value)).doubleValue());
      assertThat(read.complement()).isEqualTo(complement);
      assertThat(DecimalFraction.complement(value)).isEqualTo(complement);
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

  @ParameterizedTest
  @CsvSource({"1, 3.84", "1, 900", "2, 40", "3, 0.01", "7, 12", "10, 1200", "99, 60", "99, 400"})
  void chiSquareTailsAgreeWithAnotherDistribution(double df, double x) {
    assertRelative(
        Math.exp(ChiSquare.logUpper(x, df)),
        ChiSquaredDistribution.of(df).survivalProbability(x),
        1e-11);
  }

  /**
   * With an even number 2m of degrees of freedom the tail is e^(-x/2) Σ (x/2)^k / k!, k below m.
   */
  @Test
  void chiSquareTailsKeepTheirLogarithmFarOut() {
    for (double x : new double[] {1_500, 4_000, 1e5, 1e9}) {
      assertThat(ChiSquare.logUpper(x, 2)).isCloseTo(-x / 2, within(1e-12 * x));
      double half = x / 2;
      double sum = Math.log1p(half + half * half / 2);
      assertThat(ChiSquare.logUpper(x, 6)).isCloseTo(sum - half, within(1e-12 * x));
      // One degree of freedom is the square of a normal deviate.
      assertThat(ChiSquare.logUpper(x, 1))
          .isCloseTo(Math.log(2) + Normal.logUpper(Math.sqrt(x)), within(1e-12 * x));
    }
    assertThat(ChiSquare.logUpper(0, 3)).isZero();
  }

  /** Against the definition: C(n₁, x) C(n₂, s - x) ψˣ, all counts gone through. */
  @ParameterizedTest
  @CsvSource({"5, 7, 4, 0.3", "5, 7, 9, 2.5", "12, 3, 6, 40", "1, 1, 1, 1", "30, 25, 20, 0.001"})
  void noncentralCountsFollowTheirDefinition(int first, int second, int successes, double odds) {
    int least = Math.max(0, successes - second);
    int greatest = Math.min(first, successes);
    double[] weights = new double[greatest + 1];
    double total = 0;
    double mean = 0;
    double square = 0;
    for (int x = least; x <= greatest; x++) {
      weights[x] = choose(first, x) * choose(second, successes - x) * Math.pow(odds, x);
      total += weights[x];
      mean += x * weights[x];
      square += (double) x * x * weights[x];
    }
    double below = 0;
    double u = Math.log(odds);
    for (int x = least; x <= greatest; x++) {
      ConditionalTail tail = new ConditionalTail(x, first, second, successes).at(u);
      assertRelative(Math.exp(tail.lower(1).value()), (below + weights[x]) / total, 1e-12);
      assertRelative(Math.exp(tail.lower(0.5).value()), (below + weights[x] / 2) / total, 1e-12);
      double above = IntStream.rangeClosed(x, greatest).mapToDouble(k -> weights[k]).sum();
      assertRelative(Math.exp(tail.upper(1).value()), above / total, 1e-12);
      assertThat(tail.away()).isCloseTo(mean / total - x, within(1e-12));
      assertThat(tail.variance())
          .isCloseTo(square / total - Math.pow(mean / total, 2), within(1e-10));
      // A slope is what a step to either side finds.
      double step = 1e-5;
      ConditionalTail other = new ConditionalTail(x, first, second, successes);
      double rise = other.at(u + step).upper(0.5).value() - other.at(u - step).upper(0.5).value();
      assertThat(tail.upper(0.5).slope()).isCloseTo(rise / (2 * step), within(1e-8));
      below += weights[x];
    }
  }

  /** As doubles within half a unit, and as whole numbers the same for equal products. */
  @Test
  void logarithmsOfFactorialsAddUp() {
    LogFactorials factorials = new LogFactorials(10_000);
    BigDecimal product = BigDecimal.ONE;
    for (int k = 2; k <= 170; k++) {
      product = product.multiply(BigDecimal.valueOf(k));
      assertRelative(factorials.log(k), Math.log(product.doubleValue()), 1e-14);
    }
    // Stirling's series to its fourth term.
    double n = 10_000;
    double stirling =
        (n + 0.5) * Math.log(n)
            - n
            + 0.5 * Math.log(2 * Math.PI)
            + 1 / (12 * n)
            - 1 / (360 * n * n * n);
    assertRelative(factorials.log(10_000), stirling, 1e-15);
    // 6! · 7! = 10!, and 3! · 5! = 6!: equal products, equal lengths.
    assertThat(factorials.exact(6) + factorials.exact(7)).isEqualTo(factorials.exact(10));
    assertThat(factorials.exact(3) + factorials.exact(5)).isEqualTo(factorials.exact(6));
    assertThat(factorials.exact(23) / LogFactorials.UNIT)
        .isCloseTo(factorials.log(23), within(1e-10));
  }

  private static double choose(int n, int k) {
    double result = 1;
    for (int i = 1; i <= k; i++) {
      result = result * (n - k + i) / i;
    }
    return result;
  }

  /**
   * Both forms meet where they change over, and the series keeps digits that the logarithm loses.
   */
  @Test
  void devianceKeepsItsDigitsNearTheMean() {
    for (double mean : new double[] {3, 1e4, 1e9}) {
      for (double share : new double[] {1e-9, 1e-3, 0.1, 0.2, 0.22, 0.5, 3}) {
        double x = mean * (1 + share);
        BigDecimal exact = series(mean, x - mean);
        double half = Deviance.half(x, mean, x - mean);
        assertRelative(half, exact.doubleValue(), 1e-12);
      }
    }
  }

  /** x ln(x/m) - (x - m) with u = (x-m)/(x+m): ln(x/m) = 2(u + u³/3 + …), in sixty digits. */
  private static BigDecimal series(double mean, double deviation) {
    MathContext digits = new MathContext(60);
    BigDecimal m = new BigDecimal(mean);
    BigDecimal d = new BigDecimal(deviation);
    BigDecimal x = m.add(d);
    BigDecimal u = d.divide(x.add(m), digits);
    BigDecimal sum = BigDecimal.ZERO;
    BigDecimal power = u;
    for (int j = 1; j < 400; j += 2) {
      sum = sum.add(power.divide(BigDecimal.valueOf(j), digits), digits);
      power = power.multiply(u, digits).multiply(u, digits);
    }
    return x.multiply(sum).multiply(BigDecimal.valueOf(2)).subtract(d, digits);
  }

  private static void assertRelative(double actual, double expected, double tolerance) {
    assertThat(actual).isCloseTo(expected, within(tolerance * expected));
  }

  /** x, df, ln of the lower tail, ln of the upper: mpmath, in {@code chi_square.py}. */
  @ParameterizedTest
  @CsvFileSource(resources = "chi-square-tails.csv")
  void chiSquareTailsAgreeWithFortyDigits(double x, double df, double lower, double upper) {
    assertTail(ChiSquare.logLower(x, df), lower);
    assertTail(ChiSquare.logUpper(x, df), upper);
  }

  /** n, p, x, ln P(X ≤ x), ln P(X ≥ x): mpmath, in {@code binomial.py}. */
  @ParameterizedTest
  @CsvFileSource(resources = "binomial-tails.csv")
  void binomialTailsAgreeWithFortyDigits(long n, double p, long x, double lower, double upper) {
    Binomial binomial = new Binomial(n, DecimalFraction.of(p));
    assertTail(binomial.logLower(x), lower);
    assertTail(binomial.logUpper(x), upper);
  }

  /** The tail to 10⁻¹² of itself while it is a number, then its logarithm. */
  private static void assertTail(double found, double expected) {
    double allowed = expected > -690 ? 1e-12 : 1e-14 * -expected;
    assertThat(found).isCloseTo(expected, within(Math.max(allowed, 1e-300)));
  }

  /**
   * ∫ exp(-A e^-t - b t) dt = A^-b Γ(b): on one side it falls like a step, on the other slowly; few
   * values are asked for, wherever the search starts.
   */
  @ParameterizedTest
  @CsvSource({"44.5, 1000", "44.5, 1e-3", "25, 1", "-3, 20", "300, 1e-6"})
  void anIntegralWithUnlikeSidesIsFoundFromAnywhere(double start, double width) {
    double a = 1e12;
    double b = 1 / 3.0;
    AtomicInteger asked = new AtomicInteger();
    double log =
        PeakIntegral.log(
            t -> {
              asked.incrementAndGet();
              return -a * Math.exp(-t) - b * t;
            },
            start,
            width);
    assertThat(log).isCloseTo(LogGamma.value(b) - b * Math.log(a), within(1e-12));
    assertThat(asked).hasValueLessThan(5_000);
  }
}
