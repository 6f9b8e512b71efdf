package dev.tavik.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.CrossTable;
import dev.tavik.count.Tally;
import dev.tavik.result.Estimand;
import dev.tavik.result.Interval;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BootstrapTest {
  private static Interval one(
      List<Interval> all, Estimand quantity, dev.tavik.result.Method method) {
    return all.stream()
        .filter(each -> each.quantity() == quantity && each.method() == method)
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
    Interval plain = one(found, Estimand.PROPORTION, BootstrapInterval.PERCENTILE);
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
    Interval corrected = one(found, Estimand.PROPORTION, BootstrapInterval.CORRECTED);
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
    assertThat(one(found, Estimand.DIFFERENCE, BootstrapInterval.PERCENTILE).lower())
        .isCloseTo(pairs[at][0], within(0.006));
    Interval ratio = one(found, Estimand.RATIO, BootstrapInterval.PERCENTILE);
    assertThat(ratio.lower()).isLessThan(9 / 40.0 / 0.44);
    assertThat(ratio.upper()).isGreaterThan(9 / 40.0 / 0.44);
    // One seed, one answer; swapped groups turn the ratio round.
    assertThat(Bootstrap.ofComparison(first, second, 0.9, Draws.of(200_000, 5))).isEqualTo(found);
    Interval turned =
        one(
            Bootstrap.ofComparison(second, first, 0.9, Draws.of(200_000, 8)),
            Estimand.ODDS_RATIO,
            BootstrapInterval.CORRECTED);
    assertThat(1 / turned.upper())
        .isCloseTo(
            one(found, Estimand.ODDS_RATIO, BootstrapInterval.CORRECTED).lower(), within(0.01));
  }

  /** Of two by two V is |phi|; its resamples against all that can be drawn of a small table. */
  @Test
  void resampledStrengthAgreesWithAllTables() {
    CrossTable table =
        new CrossTable(
            List.of("a", "b"), List.of("c", "d"), List.of(List.of(9L, 3L), List.of(2L, 8L)));
    List<Interval> found = Bootstrap.ofTable(table, 0.8, Draws.of(200_000, 4));
    double[] shares = {9 / 22.0, 3 / 22.0, 2 / 22.0, 8 / 22.0};
    List<double[]> all = new ArrayList<>();
    for (int a = 0; a <= 22; a++) {
      for (int b = 0; a + b <= 22; b++) {
        for (int c = 0; a + b + c <= 22; c++) {
          int d = 22 - a - b - c;
          double margins = (double) (a + b) * (c + d) * (a + c) * (b + d);
          double v = margins == 0 ? 0 : Math.abs(a * d - b * c) / Math.sqrt(margins);
          double log = LogGamma.value(23);
          int[] cells = {a, b, c, d};
          for (int i = 0; i < 4; i++) {
            log += cells[i] * Math.log(shares[i]) - LogGamma.value(cells[i] + 1.0);
          }
          all.add(new double[] {v, Math.exp(log)});
        }
      }
    }
    all.sort((one, other) -> Double.compare(one[0], other[0]));
    double sum = 0;
    int at = -1;
    while (sum < 0.1) {
      at++;
      sum += all.get(at)[1];
    }
    Interval plain = one(found, Estimand.CRAMERS_V, BootstrapInterval.PERCENTILE);
    assertThat(plain.lower()).isCloseTo(all.get(at)[0], within(0.01));
    assertThat(one(found, Estimand.CRAMERS_V, BootstrapInterval.CORRECTED).contains(0.55)).isTrue();
  }

  @Test
  void withoutVariationThereIsNoInterval() {
    assertThat(Bootstrap.ofRate(Tally.of(0, 60), 0.95, Draws.of(1000, 1))).isEmpty();
    assertThat(Bootstrap.ofComparison(Tally.of(3, 9), Tally.of(9, 9), 0.95, Draws.of(1000, 1)))
        .isEmpty();
  }
}
