package dev.tavik.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.ComparedRates;
import dev.tavik.bayes.EvidenceChances;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.FinitePopulationTest;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.tail.Tail;
import java.util.function.IntPredicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Exact power against sums over all outcomes, half-widths against the intervals themselves. */
class PowerTest {
  private static double mass(int n, int x, double p) {
    double mass = Math.pow(p, x) * Math.pow(1 - p, n - x);
    for (int i = 1; i <= x; i++) {
      mass *= (n - x + i) / (double) i;
    }
    return mass;
  }

  private static double sum(int n, double p, IntPredicate rejects) {
    double sum = 0;
    for (int x = 0; x <= n; x++) {
      sum += rejects.test(x) ? mass(n, x, p) : 0;
    }
    return sum;
  }

  @ParameterizedTest
  @EnumSource(ProportionTest.class)
  void ratesAreSumsOverCounts(ProportionTest test) {
    for (Alternative alternative : Alternative.values()) {
      Hypothesis hypothesis = new Hypothesis(0.3, alternative);
      PowerDesign design = RateDesign.of(test, hypothesis, 0.05).withTheory(PowerMethod.EXACT);
      Power near = design.at(Sizes.of(4));
      for (int n = 5; n <= 60; n++) {
        int trials = n;
        IntPredicate rejects = x -> test.of(Tally.of(x, trials), hypothesis).rejects(0.05);
        near = design.at(Sizes.of(n), near);
        for (double p : new double[] {0.02, 0.3, 0.77}) {
          assertThat(near.at(p)).isCloseTo(sum(n, p, rejects), within(1e-13));
          assertThat(design.at(Sizes.of(n)).at(p)).isEqualTo(near.at(p));
        }
        assertThat(near.size()).isCloseTo(sum(n, 0.3, rejects), within(1e-13));
      }
    }
  }

  @Test
  void lotsAreSumsOverDraws() {
    Hypothesis hypothesis = Hypothesis.twoSided(0.2);
    RateDesign design =
        new RateDesign(ProportionTest.EXACT, PowerMethod.EXACT, hypothesis, 0.1, 50L);
    for (int n : new int[] {5, 17, 40}) {
      Tail draws = Tail.hypergeometric(50, 22, n);
      double sum = 0;
      for (int x = 0; x <= Math.min(n, 22); x++) {
        sum +=
            FinitePopulationTest.EXACT.of(Tally.of(x, n), 50, hypothesis).rejects(0.1)
                ? draws.between(x, x)
                : 0;
      }
      assertThat(design.at(Sizes.of(n)).at(0.44)).isCloseTo(sum, within(1e-13));
    }
  }

  @ParameterizedTest
  @EnumSource(PairedTest.class)
  void pairsAreSumsOverFourOutcomes(PairedTest test) {
    double first = 0.25;
    double second = 0.1;
    for (Alternative alternative : Alternative.values()) {
      PowerDesign design = new PairedDesign(test, PowerMethod.EXACT, second, alternative, 0.1);
      for (int n : new int[] {3, 12, 40}) {
        double sum = 0;
        for (int b = 0; b <= n; b++) {
          for (int c = 0; b + c <= n; c++) {
            boolean rejects =
                test.of(new PairedTally(0, b, c, n - b - c), alternative).rejects(0.1);
            sum += rejects ? mass(n, b, first) * mass(n - b, c, second / (1 - first)) : 0;
          }
        }
        assertThat(design.at(Sizes.of(n)).at(first)).isCloseTo(sum, within(1e-13));
      }
    }
  }

  /** Connor's closed form (1987), with one tail and the second neglected. */
  @Test
  void pairsByTheNormalDistribution() {
    double z = Tail.normal(0, 1).valueAbove(0.025) * Math.sqrt(0.08);
    double other = Tail.normal(0, 1).valueAbove(0.2) * Math.sqrt(0.08 - 0.04 * 0.04);
    long n = (long) Math.ceil(Math.pow((z + other) / 0.04, 2));
    PowerDesign design =
        new PairedDesign(PairedTest.MCNEMAR, PowerMethod.NORMAL, 0.02, Alternative.TWO_SIDED, 0.05);
    assertThat(SampleSize.of(design, 0.06, 0.8).sizes()).isEqualTo(Sizes.of(n));
  }

  @ParameterizedTest
  @ValueSource(ints = {20, 80, 333})
  void evidenceIsAsTheBayesianViewHasIt(int n) {
    for (Alternative alternative : Alternative.values()) {
      Hypothesis hypothesis = new Hypothesis(0.2, alternative);
      BetaPrior prior = new BetaPrior(2, 3);
      Power power = new EvidenceDesign(hypothesis, prior, 3).at(Sizes.of(n));
      EvidenceChances.Planned chances = EvidenceChances.planned(n, hypothesis, prior, 3);
      assertThat(power.at(0.3)).isCloseTo(chances.under(0.3).forAlternative(), within(1e-12));
      assertThat(power.at(0.2)).isCloseTo(chances.underNull().forNull(), within(1e-12));
      assertThat(power.size()).isCloseTo(chances.underNull().forAlternative(), within(1e-12));
    }
  }

  @ParameterizedTest
  @CsvSource({"9, 9, 3", "14, 14, 2", "20, 11, 5", "5, 30, 1.5", "40, 40, 4"})
  void evidenceOfTwoIsASumOverPairs(int first, int second, double threshold) {
    BetaPrior prior = new BetaPrior(1, 2);
    Power power = new ComparedEvidenceDesign(0.3, prior, threshold, 1).at(Sizes.of(first, second));
    double[] expected = new double[3];
    for (int x = 0; x <= first; x++) {
      for (int y = 0; y <= second; y++) {
        double log =
            ComparedRates.logBayesFactor(
                Tally.of(x, first), Tally.of(y, second), Alternative.TWO_SIDED, prior);
        double atNull = mass(first, x, 0.3) * mass(second, y, 0.3);
        if (log >= Math.log(threshold)) {
          expected[0] += mass(first, x, 0.3) * mass(second, y, 0.6);
          expected[1] += atNull;
        } else if (log <= -Math.log(threshold)) {
          expected[2] += atNull;
        }
      }
    }
    assertThat(power.at(0.6)).isCloseTo(expected[0], within(1e-12));
    assertThat(power.size()).isCloseTo(expected[1], within(1e-12));
    assertThat(power.at(0.3)).isCloseTo(expected[2], within(1e-12));
  }

  /** With equal true rates a margin is missed on either side as often. */
  @Test
  void equivalenceMissesOnBothSides() {
    Tail normal = Tail.normal(0, 1);
    double error = Math.sqrt(2 * 0.3 * 0.7 / 200);
    CompareDesign design =
        new CompareDesign(
            TwoProportionTest.Z_SEPARATE,
            PowerMethod.NORMAL,
            0.3,
            Hypothesis.twoSided(0),
            0.1,
            0.05,
            1);
    double missed = normal.upper(0.1 / error - normal.valueAbove(0.05));
    assertThat(design.at(Sizes.of(200, 200)).at(0.3)).isCloseTo(1 - 2 * missed, within(1e-13));
  }

  /** Power of a margin at the margin is alpha, and exact power is near the normal one. */
  @Test
  void marginsAreTheNullOfNonInferiority() {
    CompareDesign design =
        CompareDesign.of(TwoProportionTest.SCORE, 0.3, Hypothesis.less(0.1), 0.05);
    assertThat(design.at(Sizes.of(150, 150)).at(0.4)).isCloseTo(0.05, within(1e-3));
    assertThat(design.withTheory(PowerMethod.EXACT).at(Sizes.of(150, 150)).at(0.3))
        .isCloseTo(design.at(Sizes.of(150, 150)).at(0.3), within(0.02));
  }

  @ParameterizedTest
  @CsvSource({"WILSON", "WALD", "AGRESTI_COULL", "CLOPPER_PEARSON", "JEFFREYS"})
  void halfWidthsAreThoseOfTheIntervals(ProportionInterval interval) {
    Interval limits = interval.of(Tally.of(30, 120), 0.9);
    RatePrecision precision = new RatePrecision(interval, 0.9, 0.25, Sampling.simple());
    assertThat(precision.halfWidth(Sizes.of(120)))
        .isCloseTo((limits.upper() - limits.lower()) / 2, within(1e-10));
    long n = SampleSize.of(precision, 0.04).sizes().first();
    assertThat(precision.halfWidth((double) n)).isLessThanOrEqualTo(0.04);
    assertThat(precision.halfWidth(n - 1.0)).isGreaterThan(0.04);
  }

  @ParameterizedTest
  @EnumSource(
      value = ComparisonInterval.class,
      names = {"DIFFERENCE_WALD", "DIFFERENCE_NEWCOMBE"})
  void halfWidthsOfDifferences(ComparisonInterval interval) {
    Interval limits = interval.of(Tally.of(12, 80), Tally.of(40, 160), 0.95);
    DifferencePrecision precision =
        new DifferencePrecision(interval, 0.95, 0.25, 0.15, 0.5, Sampling.simple());
    assertThat(precision.halfWidth(Sizes.of(160, 80)))
        .isCloseTo((limits.upper() - limits.lower()) / 2, within(1e-12));
  }

  /** Cochran's n/(1 + (n - 1)/N) for a finite population, times the design effect. */
  @Test
  void populationsAndClustersChangeTheNumber() {
    double z = Tail.normal(0, 1).valueAbove(0.025);
    double simple = 1.5 * z * z * 0.25 / (0.05 * 0.05);
    RatePrecision precision =
        new RatePrecision(ProportionInterval.WALD, 0.95, 0.5, new Sampling(2000L, 1.5));
    assertThat(SampleSize.of(precision, 0.05).sizes().first())
        .isEqualTo((long) Math.ceil(simple / (1 + (simple - 1) / 2000)));
    assertThat(precision.halfWidth(2000.0)).isZero();
  }
}
