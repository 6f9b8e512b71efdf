package dev.tavik.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.Tally;
import dev.tavik.result.Interval;
import dev.tavik.result.Quantity;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BootstrapTest {
  private static Interval one(List<Interval> all, Quantity quantity, String method) {
    return all.stream()
        .filter(each -> each.quantity() == quantity && each.method().equals(method))
        .findFirst()
        .orElseThrow();
  }

  /** Resampling a proportion is binomial: percentiles are those of that distribution. */
  @ParameterizedTest
  @CsvSource({"14, 400, 0.95", "31, 410, 0.9", "7, 20, 0.8", "5000, 10000, 0.99"})
  void percentilesOfARateAreBinomial(long x, long n, double level) {
    Tally tally = Tally.of(x, n);
    List<Interval> found = Bootstrap.ofRate(tally, level, Draws.of(200_000, 3));
    BinomialDistribution resampled = BinomialDistribution.of((int) n, tally.proportion());
    Interval plain = one(found, Quantity.PROPORTION, Bootstrap.PERCENTILE);
    double step = Math.max(1, 0.05 * Math.sqrt(resampled.getVariance()));
    assertThat(plain.lower() * n)
        .isCloseTo(resampled.inverseCumulativeProbability((1 - level) / 2), within(step));
    assertThat(plain.upper() * n)
        .isCloseTo(resampled.inverseSurvivalProbability((1 - level) / 2), within(step));
    // The correction by its formula, with the distribution's own share below the estimate.
    NormalDistribution normal = NormalDistribution.of(0, 1);
    double bias =
        normal.inverseCumulativeProbability(
            resampled.cumulativeProbability((int) x - 1) + 0.5 * resampled.probability((int) x));
    double p = tally.proportion();
    double acceleration = (1 - 2 * p) / (6 * Math.sqrt(n * p * (1 - p)));
    double deviate = normal.inverseCumulativeProbability((1 - level) / 2);
    double low = bias + (bias + deviate) / (1 - acceleration * (bias + deviate));
    Interval corrected = one(found, Quantity.PROPORTION, Bootstrap.CORRECTED);
    assertThat(corrected.lower() * n)
        .isCloseTo(
            resampled.inverseCumulativeProbability(normal.cumulativeProbability(low)),
            within(step));
  }

  /** Against the plain way to do it: all pairs of outcomes, sorted with their probabilities. */
  @Test
  void comparisonsAgreeWithAllPairsOfOutcomes() {
    Tally first = Tally.of(9, 40);
    Tally second = Tally.of(22, 50);
    List<Interval> found = Bootstrap.ofComparison(first, second, 0.9, Draws.of(200_000, 5));
    assertThat(found).hasSize(6);
    BinomialDistribution ones = BinomialDistribution.of(40, first.proportion());
    BinomialDistribution twos = BinomialDistribution.of(50, second.proportion());
    double[][] pairs = new double[41 * 51][2];
    for (int i = 0; i <= 40; i++) {
      for (int j = 0; j <= 50; j++) {
        pairs[i * 51 + j] =
            new double[] {i / 40.0 - j / 50.0, ones.probability(i) * twos.probability(j)};
      }
    }
    Arrays.sort(pairs, (a, b) -> Double.compare(a[0], b[0]));
    double sum = 0;
    int at = -1;
    while (sum < 0.05) {
      at++;
      sum += pairs[at][1];
    }
    assertThat(one(found, Quantity.DIFFERENCE, Bootstrap.PERCENTILE).lower())
        .isCloseTo(pairs[at][0], within(0.006));
    Interval ratio = one(found, Quantity.RATIO, Bootstrap.PERCENTILE);
    assertThat(ratio.lower()).isLessThan(9 / 40.0 / 0.44);
    assertThat(ratio.upper()).isGreaterThan(9 / 40.0 / 0.44);
    // One seed, one answer; swapped groups turn the ratio round.
    assertThat(Bootstrap.ofComparison(first, second, 0.9, Draws.of(200_000, 5))).isEqualTo(found);
    Interval turned =
        one(
            Bootstrap.ofComparison(second, first, 0.9, Draws.of(200_000, 8)),
            Quantity.ODDS_RATIO,
            Bootstrap.CORRECTED);
    assertThat(1 / turned.upper())
        .isCloseTo(one(found, Quantity.ODDS_RATIO, Bootstrap.CORRECTED).lower(), within(0.01));
  }

  @Test
  void withoutVariationThereIsNoInterval() {
    assertThat(Bootstrap.ofRate(Tally.of(0, 60), 0.95, Draws.of(1000, 1))).isEmpty();
    assertThat(Bootstrap.ofComparison(Tally.of(3, 9), Tally.of(9, 9), 0.95, Draws.of(1000, 1)))
        .isEmpty();
  }
}
