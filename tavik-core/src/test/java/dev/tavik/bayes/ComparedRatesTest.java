package dev.tavik.bayes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.Tally;
import dev.tavik.proofs.KeptValues;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimand;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ComparedRatesTest {
  private static final MathContext DIGITS = new MathContext(60);
  private static final KeptValues KEPT = KeptValues.of("compared-rates.txt");

  private static BigInteger ways(long n, long k) {
    BigInteger product = BigInteger.ONE;
    for (long j = 0; j < k; j++) {
      product = product.multiply(BigInteger.valueOf(n - j)).divide(BigInteger.valueOf(j + 1));
    }
    return product;
  }

  /**
   * A proportion with whole parameters a, b is the a-th smallest of a + b - 1 uniform numbers, so
   * that the first exceeds the second where at least a2 of the second's numbers lie below it: a
   * matter of counting.
   */
  private static BigDecimal firstAbove(long a1, long b1, long a2, long b2) {
    long m = a2 + b2 - 1;
    BigInteger sum = BigInteger.ZERO;
    for (long k = a2; k <= m; k++) {
      sum = sum.add(ways(a1 - 1 + k, k).multiply(ways(b1 - 1 + m - k, m - k)));
    }
    return new BigDecimal(sum).divide(new BigDecimal(ways(a1 + b1 - 1 + m, m)), DIGITS);
  }

  @ParameterizedTest
  @CsvSource({
    "14, 400, 31, 410",
    "0, 10, 0, 12",
    "12, 12, 3, 9",
    "0, 60, 5, 60",
    "7, 8, 7, 8",
    "1, 2, 2, 3",
    "3, 300, 290, 300",
    "290, 300, 3, 300",
    "90, 300, 70, 300"
  })
  void wholeParametersGiveRationalNumbers(long x1, long n1, long x2, long n2) {
    Tally first = Tally.of(x1, n1);
    Tally second = Tally.of(x2, n2);
    BigDecimal above = firstAbove(x1 + 1, n1 - x1 + 1, x2 + 1, n2 - x2 + 1);
    BigDecimal below = firstAbove(x2 + 1, n2 - x2 + 1, x1 + 1, n1 - x1 + 1);
    double expected = above.doubleValue();
    ComparedRates rates = ComparedRates.of(BetaPrior.UNIFORM, first, second);
    for (Estimand measure : ComparedRates.MEASURES) {
      double none = measure == Estimand.DIFFERENCE ? 0 : 1;
      assertThat(rates.above(measure, none))
          .as(measure.id())
          .isCloseTo(expected, within(1e-12 * expected));
    }
    // With uniform priors every count has the same chance: 1/(n1 + 1)(n2 + 1) against the chance
    // of the table given its margins, divided by n1 + n2 + 1.
    BigDecimal two =
        new BigDecimal(ways(n1 + n2, x1 + x2))
            .divide(new BigDecimal(ways(n1, x1).multiply(ways(n2, x2))), DIGITS)
            .multiply(BigDecimal.valueOf(n1 + n2 + 1))
            .divide(BigDecimal.valueOf((n1 + 1) * (n2 + 1)), DIGITS);
    assertFactor(first, second, Alternative.TWO_SIDED, two);
    assertFactor(
        first, second, Alternative.GREATER, two.multiply(above).multiply(BigDecimal.valueOf(2)));
    assertFactor(
        first, second, Alternative.LESS, two.multiply(below).multiply(BigDecimal.valueOf(2)));
  }

  private static void assertFactor(
      Tally first, Tally second, Alternative alternative, BigDecimal expected) {
    double factor =
        Math.exp(ComparedRates.logBayesFactor(first, second, alternative, BetaPrior.UNIFORM));
    assertThat(factor)
        .as(alternative.id())
        .isCloseTo(expected.doubleValue(), within(2e-12 * expected.doubleValue()));
  }

  private static double kept(
      Estimand measure, double value, BetaDistribution first, BetaDistribution second) {
    String key =
        String.join(
            " ",
            measure.id(),
            Double.toString(value),
            "beta " + first.getAlpha() + " " + first.getBeta(),
            "beta " + second.getAlpha() + " " + second.getBeta());
    return KEPT.value(key, () -> twin(measure, value, first, second));
  }

  /** The double integral the plain way: a fine grid over the second, the first's tail for each. */
  private static double twin(
      Estimand measure, double value, BetaDistribution first, BetaDistribution second) {
    int steps = 60_000;
    double from = second.inverseCumulativeProbability(1e-11);
    double width = (second.inverseSurvivalProbability(1e-11) - from) / steps;
    double sum = 0;
    for (int i = 0; i < steps; i++) {
      double low = from + i * width;
      double high = low + width;
      double y = low + width / 2;
      double x =
          switch (measure) {
            case DIFFERENCE -> y + value;
            case RATIO -> y * value;
            default -> value * y / (1 - y + value * y);
          };
      sum += second.probability(low, high) * first.survivalProbability(x);
    }
    return sum;
  }

  @ParameterizedTest
  @CsvSource({"14, 400, 31, 410, 1, 1", "3, 10, 8, 12, 2, 5", "2, 9, 5, 11, 0.5, 0.5"})
  void probabilitiesAgreeWithAPlainIntegral(
      long x1, long n1, long x2, long n2, double a, double b) {
    ComparedRates rates = ComparedRates.of(new BetaPrior(a, b), Tally.of(x1, n1), Tally.of(x2, n2));
    BetaDistribution first = BetaDistribution.of(a + x1, b + n1 - x1);
    BetaDistribution second = BetaDistribution.of(a + x2, b + n2 - x2);
    double[][] values = {{-0.4, -0.07, -0.02, 0, 0.01, 0.3}, {0.2, 0.7, 1.5, 4}, {0.1, 0.5, 2, 9}};
    for (int i = 0; i < values.length; i++) {
      Estimand measure = ComparedRates.MEASURES.get(i);
      for (double value : values[i]) {
        assertThat(rates.above(measure, value))
            .as("%s %s", measure.id(), value)
            .isCloseTo(kept(measure, value, first, second), within(2e-9));
      }
    }
    assertThat(rates.inside(Estimand.DIFFERENCE, -0.4, 0.01))
        .isCloseTo(
            kept(Estimand.DIFFERENCE, -0.4, first, second)
                - kept(Estimand.DIFFERENCE, 0.01, first, second),
            within(2e-9));
  }

  @ParameterizedTest
  @CsvSource({
    "14, 400, 31, 410, 1, 1, 0.95",
    "0, 10, 0, 12, 1, 1, 0.95",
    "0, 60, 5, 60, 0.5, 0.5, 0.95",
    "60, 60, 55, 60, 0.1, 0.1, 0.95",
    "1, 3, 2, 3, 2, 30, 0.95",
    "0, 9, 9, 9, 1, 1, 0.95",
    "400, 400, 0, 400, 1, 1, 0.95",
    "3, 1000000000000, 9, 1000000000000, 1, 1, 0.95",
    "52000, 1000000, 51000, 1000000, 1, 1, 0.95",
    "1, 1, 1, 117, 1, 1, 0.8",
    "500000000, 1000000000, 500010000, 1000000000, 1, 1, 0.95"
  })
  void limitsHaveTheirTailsAndMirrorEachOther(
      long x1, long n1, long x2, long n2, double a, double b, double level) {
    BetaPrior prior = new BetaPrior(a, b);
    ComparedRates rates = ComparedRates.of(prior, Tally.of(x1, n1), Tally.of(x2, n2));
    ComparedRates swapped = ComparedRates.of(prior, Tally.of(x2, n2), Tally.of(x1, n1));
    for (Estimand measure : ComparedRates.MEASURES) {
      boolean difference = measure == Estimand.DIFFERENCE;
      Credible equal = rates.equalTailed(measure, level);
      assertThat(1 - rates.above(measure, equal.lower())).isCloseTo((1 - level) / 2, within(1e-10));
      assertThat(rates.above(measure, equal.upper())).isCloseTo((1 - level) / 2, within(1e-10));
      assertThat(rates.above(measure, rates.median(measure))).isCloseTo(0.5, within(1e-10));
      double mirrored = swapped.equalTailed(measure, level).lower();
      double upper = difference ? -mirrored : 1 / mirrored;
      assertThat(equal.upper()).isCloseTo(upper, within(1e-9 * Math.abs(upper)));
      Credible highest = rates.highestDensity(measure, level);
      assertThat(rates.inside(measure, highest.lower(), highest.upper()))
          .isCloseTo(level, within(1e-9));
      assertThat(highest.upper() - highest.lower())
          .isLessThanOrEqualTo((equal.upper() - equal.lower()) * (1 + 1e-9));
      if (highest.lower() > (difference ? -1 : 0)) {
        double density = rates.density(measure, highest.lower());
        assertThat(rates.density(measure, highest.upper()))
            .isCloseTo(density, within(1e-4 * density));
      }
    }
  }

  /**
   * Where a large sample lies far inside the belief of a small one, on either side of what is
   * common: the factor of a direction is the undirected one times twice the probability of the
   * side.
   */
  @ParameterizedTest
  @CsvSource({
    "718, 719, 936110108, 990542069",
    "9, 9, 100000000, 990542069",
    "3, 9, 900000000000, 1000000000000",
    "40, 41, 7, 1000000000",
    "1, 300, 250, 300"
  })
  void aDirectedFactorHasTheProbabilityOfItsSide(long x1, long n1, long x2, long n2) {
    Tally one = Tally.of(x1, n1);
    Tally two = Tally.of(x2, n2);
    BetaPrior prior = BetaPrior.UNIFORM;
    double both = ComparedRates.logBayesFactor(one, two, Alternative.TWO_SIDED, prior);
    double less = ComparedRates.logBayesFactor(one, two, Alternative.LESS, prior);
    double greater = ComparedRates.logBayesFactor(one, two, Alternative.GREATER, prior);
    double below = ComparedRates.of(prior, two, one).above(Estimand.DIFFERENCE, 0);
    double above = ComparedRates.of(prior, one, two).above(Estimand.DIFFERENCE, 0);
    assertThat(less).isCloseTo(Math.log(2 * below) + both, within(1e-9 * Math.abs(less)));
    assertThat(greater).isCloseTo(Math.log(2 * above) + both, within(1e-9 * Math.abs(greater)));
  }

  /** Of two uniform proportions everything is a matter of triangles. */
  @Test
  void beforeTheDataUniformProportionsAreASquare() {
    ComparedRates rates = ComparedRates.before(BetaPrior.UNIFORM);
    for (double d : new double[] {-0.7, -0.2, 0, 0.3, 0.9}) {
      double above = d < 0 ? 1 - (1 + d) * (1 + d) / 2 : (1 - d) * (1 - d) / 2;
      assertThat(rates.above(Estimand.DIFFERENCE, d)).isCloseTo(above, within(1e-12));
      assertThat(rates.density(Estimand.DIFFERENCE, d)).isCloseTo(1 - Math.abs(d), within(1e-11));
    }
    for (double r : new double[] {0.1, 0.8, 1, 2.5, 40}) {
      double above = r < 1 ? 1 - r / 2 : 1 / (2 * r);
      assertThat(rates.above(Estimand.RATIO, r)).isCloseTo(above, within(1e-12));
      assertThat(rates.density(Estimand.RATIO, r))
          .isCloseTo(r < 1 ? 0.5 : 1 / (2 * r * r), within(1e-11));
      assertThat(rates.above(Estimand.ODDS_RATIO, r))
          .isCloseTo(r == 1 ? 0.5 : 1 - r * below(r), within(1e-11));
    }
    assertThat(rates.mean(Estimand.DIFFERENCE)).isZero();
    assertThat(rates.mean(Estimand.RATIO)).isInfinite();
    assertThat(rates.mean(Estimand.ODDS_RATIO)).isInfinite();
    assertThatIllegalArgumentException()
        .isThrownBy(() -> ComparedRates.before(new BetaPrior(1, 0.05)))
        .withMessageContaining("from 0.1");
  }

  /** P(odds ratio ≤ r)/r of two uniform proportions: ∫ q/(1 - q + rq) dq over the second. */
  private static double below(double r) {
    return (r - 1 - Math.log(r)) / ((r - 1) * (r - 1));
  }

  /** Small regions in either tail keep their digits, and those of the swapped rates mirror them. */
  @Test
  void regionsInTheTailsKeepTheirDigits() {
    BetaPrior prior = BetaPrior.UNIFORM;
    ComparedRates rates = ComparedRates.of(prior, Tally.of(14, 400), Tally.of(31, 410));
    ComparedRates swapped = ComparedRates.of(prior, Tally.of(31, 410), Tally.of(14, 400));
    double[][] ends = {{0.05, 0.06}, {-0.3, -0.15}, {0.1, 0.9}, {-0.9, -0.2}, {-0.05, -0.03}};
    for (double[] end : ends) {
      double inside = rates.inside(Estimand.DIFFERENCE, end[0], end[1]);
      assertThat(inside).isPositive();
      assertThat(swapped.inside(Estimand.DIFFERENCE, -end[1], -end[0]))
          .isCloseTo(inside, within(1e-9 * inside));
      double width = (end[1] - end[0]) / 2_000;
      double sum = 0;
      for (int i = 0; i < 2_000; i++) {
        sum += width * rates.density(Estimand.DIFFERENCE, end[0] + (i + 0.5) * width);
      }
      assertThat(inside).isCloseTo(sum, within(2e-3 * sum));
    }
  }

  /** With whole parameters of the prior too, the marginal chances are rational. */
  @ParameterizedTest
  @CsvSource({
    "3, 300, 290, 300, 1, 1",
    "290, 300, 3, 300, 2, 3",
    "3, 300, 290, 300, 4, 1",
    "6, 500, 490, 500, 1, 1",
    "30, 90, 80, 90, 2, 3",
    "2, 40, 37, 41, 3, 2",
    "14, 60, 20, 50, 5, 2"
  })
  void directionsAgainstTheDataKeepTheirDigits(long x1, long n1, long x2, long n2, long a, long b) {
    BetaPrior prior = new BetaPrior(a, b);
    Tally first = Tally.of(x1, n1);
    Tally second = Tally.of(x2, n2);
    BigDecimal two =
        beta(a + x1, b + n1 - x1)
            .multiply(beta(a + x2, b + n2 - x2))
            .divide(beta(a, b).multiply(beta(a + x1 + x2, b + n1 + n2 - x1 - x2)), DIGITS);
    BigDecimal above = firstAbove(a + x1, b + n1 - x1, a + x2, b + n2 - x2);
    BigDecimal below = firstAbove(a + x2, b + n2 - x2, a + x1, b + n1 - x1);
    BigDecimal twice = BigDecimal.valueOf(2);
    assertFactor(prior, first, second, Alternative.TWO_SIDED, two);
    assertFactor(prior, first, second, Alternative.GREATER, two.multiply(above).multiply(twice));
    assertFactor(prior, first, second, Alternative.LESS, two.multiply(below).multiply(twice));
  }

  /** B(a, b) of whole numbers. */
  private static BigDecimal beta(long a, long b) {
    return BigDecimal.ONE.divide(
        new BigDecimal(ways(a + b - 2, a - 1).multiply(BigInteger.valueOf(a + b - 1))), DIGITS);
  }

  private static void assertFactor(
      BetaPrior prior, Tally first, Tally second, Alternative alternative, BigDecimal expected) {
    double log = ComparedRates.logBayesFactor(first, second, alternative, prior);
    double ratio = expected.divide(new BigDecimal(Math.exp(log)), DIGITS).doubleValue();
    assertThat(ratio).as(alternative.id()).isCloseTo(1, within(1e-11 * Math.max(1, Math.abs(log))));
  }

  /** Where the density is highest at an end of the scale, the interval begins or ends there. */
  @ParameterizedTest
  @CsvSource({
    "0.3, 9, 9, 0, 9, DIFFERENCE, 1",
    "0.3, 0, 9, 9, 9, DIFFERENCE, -1",
    "1, 0, 9, 5, 9, RATIO, 0",
    "0.3, 0, 9, 2, 9, RATIO, 0",
    "1, 0, 9, 9, 9, ODDS_RATIO, 0"
  })
  void theShortestIntervalMayEndWhereTheScaleDoes(
      double parameter, long x1, long n1, long x2, long n2, Estimand measure, double end) {
    BetaPrior prior = new BetaPrior(parameter, parameter);
    ComparedRates rates = ComparedRates.of(prior, Tally.of(x1, n1), Tally.of(x2, n2));
    Credible highest = rates.highestDensity(measure, 0.9);
    assertThat(end == 1 ? highest.upper() : highest.lower()).isEqualTo(end);
    double inner = end == 1 ? highest.lower() : highest.upper();
    double outside = end == 1 ? 1 - rates.above(measure, inner) : rates.above(measure, inner);
    assertThat(outside).isCloseTo(0.1, within(1e-9));
  }

  /** A density is what its probability grows by; a mean the sum of what is above. */
  @Test
  void densitiesAndMeansBelongToTheProbabilities() {
    ComparedRates rates = ComparedRates.of(BetaPrior.UNIFORM, Tally.of(30, 200), Tally.of(41, 180));
    for (Estimand measure : ComparedRates.MEASURES) {
      double from = measure == Estimand.DIFFERENCE ? -1 : 0;
      double to = measure == Estimand.DIFFERENCE ? 1 : 12;
      int steps = 4000;
      double h = (to - from) / steps;
      double mean = from;
      for (int i = 0; i < steps; i++) {
        mean += h * rates.above(measure, from + (i + 0.5) * h);
      }
      assertThat(rates.mean(measure)).as(measure.id()).isCloseTo(mean, within(1e-5));
      double at = rates.median(measure);
      double grown = (rates.above(measure, at - 1e-4) - rates.above(measure, at + 1e-4)) / 2e-4;
      assertThat(rates.density(measure, at)).isCloseTo(grown, within(1e-4 * grown));
    }
    ComparedRates none = ComparedRates.of(BetaPrior.UNIFORM, Tally.of(3, 9), Tally.of(0, 9));
    assertThat(none.mean(Estimand.RATIO)).isInfinite();
    assertThat(none.mean(Estimand.ODDS_RATIO)).isInfinite();
    ComparedRates all = ComparedRates.of(BetaPrior.UNIFORM, Tally.of(9, 9), Tally.of(3, 9));
    assertThat(all.mean(Estimand.ODDS_RATIO)).isInfinite();
    // E(p₁) E(1/p₂) of betas with 10, 1 and 4, 7.
    assertThat(all.mean(Estimand.RATIO)).isCloseTo(10.0 / 11 * (10.0 / 3), within(1e-14));
  }

  @Test
  void whatHasNoMeaningIsRefused() {
    Tally tally = Tally.of(3, 9);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> ComparedRates.of(new BetaPrior(0.01, 1), tally, tally))
        .withMessageContaining("from 0.1");
    ComparedRates rates = ComparedRates.of(BetaPrior.UNIFORM, tally, tally);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> rates.inside(Estimand.DIFFERENCE, 0.2, -0.2))
        .withMessageContaining("upwards");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> rates.equalTailed(Estimand.RATIO, 1))
        .withMessageContaining("level");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> rates.median(Estimand.COHENS_H))
        .withMessageContaining("cohens-h");
  }
}
