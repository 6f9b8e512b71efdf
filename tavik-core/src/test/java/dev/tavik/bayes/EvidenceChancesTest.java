package dev.tavik.bayes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EvidenceChancesTest {
  /** With a uniform prior every count has chance 1/(n + 1) under the alternative. */
  @ParameterizedTest
  @CsvSource({"12, 0.25, 3", "40, 0.05, 10", "7, 0.5, 1.5"})
  void chancesAreSumsOfRationalNumbers(int n, String written, double threshold) {
    BigDecimal p = new BigDecimal(written);
    BigDecimal q = BigDecimal.ONE.subtract(p);
    BigDecimal limit = BigDecimal.valueOf(threshold);
    BigDecimal[] under = {BigDecimal.ZERO, BigDecimal.ZERO};
    BigDecimal each = BigDecimal.ONE.divide(BigDecimal.valueOf(n + 1L), MathContext.DECIMAL128);
    int reached = 0;
    BigInteger ways = BigInteger.ONE;
    for (int x = 0; x <= n; x++) {
      BigDecimal mass = new BigDecimal(ways).multiply(p.pow(x)).multiply(q.pow(n - x));
      if (each.compareTo(mass.multiply(limit)) >= 0) {
        under[0] = under[0].add(mass);
        reached++;
      } else if (mass.compareTo(each.multiply(limit)) >= 0) {
        under[1] = under[1].add(mass);
      }
      ways = ways.multiply(BigInteger.valueOf(n - x)).divide(BigInteger.valueOf(x + 1L));
    }
    var planned =
        EvidenceChances.planned(
            n, Hypothesis.twoSided(p.doubleValue()), BetaPrior.UNIFORM, threshold);
    EvidenceChances none = planned.underNull();
    assertThat(none.forAlternative()).isCloseTo(under[0].doubleValue(), within(1e-13));
    assertThat(none.forNull()).isCloseTo(under[1].doubleValue(), within(1e-13));
    assertThat(planned.underAlternative().forAlternative())
        .isCloseTo(reached / (n + 1.0), within(1e-12));
    assertThat(planned.under(p.doubleValue())).isEqualTo(none);
  }

  /** A true hypothesis is spoken against k times with a chance of at most 1/k. */
  @ParameterizedTest
  @CsvSource({"200, 0.05, less", "200, 0.05, greater", "3000, 0.3, two-sided"})
  void misleadingIsAsRareAsItMustBe(int n, double against, String side) {
    for (double threshold : new double[] {3, 20, 150}) {
      var planned =
          EvidenceChances.planned(
              n, new Hypothesis(against, Alternative.of(side)), new BetaPrior(2, 5), threshold);
      EvidenceChances none = planned.underNull();
      EvidenceChances some = planned.underAlternative();
      assertThat(none.forAlternative()).isLessThan(1 / threshold);
      assertThat(some.forNull()).isLessThan(1 / threshold);
      assertThat(none.forAlternative() + none.neither() + none.forNull())
          .isCloseTo(1, within(1e-11));
      assertThat(some.forAlternative() + some.neither() + some.forNull())
          .isCloseTo(1, within(1e-11));
    }
  }

  /**
   * With a direction too, by going through all counts: each has its own Bayes factor and chance.
   */
  @ParameterizedTest
  @CsvSource({
    "30, 0.2, less, 3",
    "30, 0.2, greater, 5",
    "400, 0.05, less, 20",
    "400, 0.6, greater, 3",
    "50, 0.5, two-sided, 3",
    "9, 0.9, greater, 2"
  })
  void directionsAreSummedOverAllCounts(int n, double against, String side, double threshold) {
    Alternative alternative = Alternative.of(side);
    Hypothesis hypothesis = new Hypothesis(against, alternative);
    BetaPrior prior = new BetaPrior(2, 3);
    var planned = EvidenceChances.planned(n, hypothesis, prior, threshold);
    BinomialDistribution null0 = BinomialDistribution.of(n, against);
    BinomialDistribution other = BinomialDistribution.of(n, 0.37);
    double[][] sums = new double[3][3];
    for (int x = 0; x <= n; x++) {
      double log = RateBayesFactor.log(Tally.of(x, n), hypothesis, prior);
      int category = log >= Math.log(threshold) ? 0 : log <= -Math.log(threshold) ? 1 : 2;
      sums[0][category] += null0.probability(x);
      sums[1][category] += other.probability(x);
      // A Bayes factor is what the alternative makes of the null's chance.
      sums[2][category] += Math.exp(log) * null0.probability(x);
    }
    EvidenceChances[] chances = {
      planned.underNull(), planned.under(0.37), planned.underAlternative()
    };
    for (double rate : new double[] {0.004, 0.03, 0.8, 0.97}) {
      assertKeepsItsDigits(
          planned.under(rate), BinomialDistribution.of(n, rate), hypothesis, prior, threshold);
    }
    for (int i = 0; i < chances.length; i++) {
      assertThat(chances[i].forAlternative()).isCloseTo(sums[i][0], within(1e-11));
      assertThat(chances[i].forNull()).isCloseTo(sums[i][1], within(1e-11));
      assertThat(chances[i].neither()).isCloseTo(sums[i][2], within(1e-11));
    }
  }

  /** Also of outcomes that such a rate hardly ever brings. */
  private static void assertKeepsItsDigits(
      EvidenceChances chances,
      BinomialDistribution outcomes,
      Hypothesis hypothesis,
      BetaPrior prior,
      double threshold) {
    int n = outcomes.getNumberOfTrials();
    double[] sums = new double[3];
    for (int x = 0; x <= n; x++) {
      double log = RateBayesFactor.log(Tally.of(x, n), hypothesis, prior);
      int category = log >= Math.log(threshold) ? 0 : log <= -Math.log(threshold) ? 1 : 2;
      sums[category] += Math.exp(outcomes.logProbability(x));
    }
    double[] found = {chances.forAlternative(), chances.forNull(), chances.neither()};
    for (int i = 0; i < 3; i++) {
      assertThat(found[i])
          .as("%s at %s, %s", hypothesis, outcomes.getProbabilityOfSuccess(), i)
          .isCloseTo(sums[i], within(1e-9 * sums[i]));
    }
  }

  @Test
  void whatCannotBePlannedIsRefused() {
    Hypothesis hypothesis = Hypothesis.twoSided(0.05);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> EvidenceChances.planned(0, hypothesis, BetaPrior.UNIFORM, 20))
        .withMessageContaining("from 1 to 100000");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> EvidenceChances.planned(9, hypothesis, BetaPrior.UNIFORM, 1))
        .withMessageContaining("above 1");
  }
}
