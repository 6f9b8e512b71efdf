package dev.tavik.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.Tally;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Hypothesis;
import dev.tavik.simulation.Performance.Coverage;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class PerformanceTest {
  /**
   * Brown, Cai and DasGupta 2001, Statistical Science 16, 101-133: the standard interval at 95 %.
   */
  @ParameterizedTest
  @CsvSource({
    "17, 0.5, 0.951",
    "40, 0.5, 0.919",
    "30, 0.2, 0.946",
    "98, 0.2, 0.928",
    "100, 0.106, 0.952",
    "100, 0.107, 0.911"
  })
  void coverageOfTheStandardIntervalIsAsPublished(long n, double p, double published) {
    assertThat(Performance.ofRate(n).of(ProportionInterval.WALD, 0.95, p).coverage())
        .isCloseTo(published, within(0.0005));
  }

  /** An interval that inverts a test misses where the test rejects. */
  @ParameterizedTest
  @CsvSource({"30, 0.05", "50, 0.2", "41, 0.5"})
  void intervalsMissWhereTheirTestsReject(long n, double p) {
    Performance performance = Performance.ofRate(n);
    assertThat(performance.of(ProportionInterval.WILSON, 0.95, p).coverage())
        .isCloseTo(
            1 - performance.rejects(ProportionTest.SCORE, Hypothesis.twoSided(p), 0.05, p),
            within(1e-12));
    assertThat(performance.of(ProportionInterval.CLOPPER_PEARSON, 0.95, p).coverage())
        .isCloseTo(
            1 - performance.rejects(ProportionTest.EXACT_DOUBLED, Hypothesis.twoSided(p), 0.05, p),
            within(1e-12));
  }

  @ParameterizedTest
  @EnumSource(ProportionInterval.class)
  void coverageIsTheSumOverAllOutcomes(ProportionInterval method) {
    BinomialDistribution outcomes = BinomialDistribution.of(23, 0.13);
    double within = 0;
    double below = 0;
    double length = 0;
    for (int x = 0; x <= 23; x++) {
      var interval = method.of(Tally.of(x, 23), 0.9);
      double chance = outcomes.probability(x);
      within += interval.lower() <= 0.13 && 0.13 <= interval.upper() ? chance : 0;
      below += interval.upper() < 0.13 ? chance : 0;
      length += chance * (interval.upper() - interval.lower());
    }
    Coverage coverage = Performance.ofRate(23).of(method, 0.9, 0.13);
    assertThat(coverage.coverage()).isCloseTo(within, within(1e-12));
    assertThat(coverage.below()).isCloseTo(below, within(1e-12));
    assertThat(coverage.above()).isCloseTo(1 - within - below, within(1e-12));
    assertThat(coverage.length()).isCloseTo(length, within(1e-12));
  }

  /** Exact methods keep their promise wherever one looks. */
  @Test
  void exactMethodsKeepTheirLevel() {
    Performance performance = Performance.ofRate(37);
    Performance two = Performance.ofComparison(11, 14);
    for (double p = 0.02; p < 1; p += 0.07) {
      assertThat(performance.of(ProportionInterval.CLOPPER_PEARSON, 0.95, p).coverage())
          .isGreaterThanOrEqualTo(0.95);
      assertThat(performance.of(ProportionInterval.BLAKER, 0.95, p).coverage())
          .isGreaterThanOrEqualTo(0.95);
      assertThat(performance.rejects(ProportionTest.EXACT, Hypothesis.twoSided(p), 0.05, p))
          .isLessThanOrEqualTo(0.05);
      assertThat(two.rejects(TwoProportionTest.FISHER, Hypothesis.noDifference(), 0.05, p, p))
          .isLessThanOrEqualTo(0.05);
      assertThat(two.of(ComparisonInterval.ODDS_RATIO_CONDITIONAL_EXACT, 0.95, p, 0.5).coverage())
          .isGreaterThanOrEqualTo(0.95);
    }
  }

  @Test
  void comparisonsAreSummedOverPairs() {
    Performance performance = Performance.ofComparison(9, 12);
    BinomialDistribution ones = BinomialDistribution.of(9, 0.3);
    BinomialDistribution twos = BinomialDistribution.of(12, 0.6);
    double within = 0;
    double rejected = 0;
    for (int x = 0; x <= 9; x++) {
      for (int y = 0; y <= 12; y++) {
        Tally one = Tally.of(x, 9);
        Tally two = Tally.of(y, 12);
        double chance = ones.probability(x) * twos.probability(y);
        var interval = ComparisonInterval.DIFFERENCE_NEWCOMBE.of(one, two, 0.95);
        within += interval.lower() <= -0.3 && -0.3 <= interval.upper() ? chance : 0;
        rejected +=
            TwoProportionTest.Z_POOLED.of(one, two, Hypothesis.noDifference()).rejects(0.05)
                ? chance
                : 0;
      }
    }
    assertThat(performance.of(ComparisonInterval.DIFFERENCE_NEWCOMBE, 0.95, 0.3, 0.6).coverage())
        .isCloseTo(within, within(1e-12));
    assertThat(
            performance.rejects(
                TwoProportionTest.Z_POOLED, Hypothesis.noDifference(), 0.05, 0.3, 0.6))
        .isCloseTo(rejected, within(1e-12));
    assertThat(performance.of(ComparisonInterval.RATIO_KOOPMAN, 0.95, 0.3, 0.6).length())
        .isInfinite();
  }

  /** At n = 9000 each, Newcombe's interval has its level; half a per mille is three errors. */
  @Test
  void largeGroupsAreDrawn() {
    Performance performance = Performance.ofComparison(9000, 9000);
    assertThat(performance.draws(0.3, 0.3)).isTrue();
    assertThat(Performance.ofComparison(40, 60).draws(0.3, 0.3)).isFalse();
    assertThat(performance.of(ComparisonInterval.DIFFERENCE_NEWCOMBE, 0.95, 0.3, 0.3).coverage())
        .isCloseTo(0.95, within(0.003));
    assertThat(
            performance.rejects(
                TwoProportionTest.Z_POOLED, Hypothesis.noDifference(), 0.05, 0.3, 0.3))
        .isCloseTo(0.05, within(0.003));
  }

  @Test
  void whatTakesTooLongIsRefused() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Performance.ofRate(0))
        .withMessageContaining("from 1 to 20000");
  }
}
