package dev.tavik.proportion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What exact methods promise whatever the truth is, summed over all outcomes. */
class GuaranteesTest {
  private static final double[] ALPHAS = {0.01, 0.05, 0.1, 0.5};

  /** An exact test rejects a true null no more often than alpha, at any common proportion. */
  @ParameterizedTest
  @EnumSource(
      value = TwoProportionTest.class,
      names = {"FISHER", "FISHER_DOUBLED", "BARNARD", "BOSCHLOO"})
  void exactTestsKeepTheirSize(TwoProportionTest test) {
    int n1 = 7;
    int n2 = 9;
    for (Alternative alternative : Alternative.values()) {
      double[][] pValues = new double[n1 + 1][n2 + 1];
      for (int x = 0; x <= n1; x++) {
        for (int y = 0; y <= n2; y++) {
          pValues[x][y] =
              test.of(Tally.of(x, n1), Tally.of(y, n2), new Hypothesis(0, alternative)).pValue();
        }
      }
      for (double alpha : ALPHAS) {
        for (double p = 0.01; p < 1; p += 0.01) {
          double size = 0;
          for (int x = 0; x <= n1; x++) {
            for (int y = 0; y <= n2; y++) {
              size += pValues[x][y] <= alpha ? mass(n1, x, p) * mass(n2, y, p) : 0;
            }
          }
          assertThat(size)
              .as("%s, %s, alpha %s, p %s", test.id(), alternative.id(), alpha, p)
              .isLessThanOrEqualTo(alpha * (1 + 1e-9));
        }
      }
    }
  }

  private static double mass(int n, int x, double p) {
    double result = 1;
    for (int i = 1; i <= x; i++) {
      result = result * (n - x + i) / i;
    }
    return result * Math.pow(p, x) * Math.pow(1 - p, n - x);
  }

  /** Fisher's p-value is the largest of a conditional test's; letting the margin vary can't add. */
  @ParameterizedTest
  @CsvSource({"4, 4", "6, 9", "10, 3"})
  void boschlooIsNeverAboveFisher(int n1, int n2) {
    for (int x = 0; x <= n1; x++) {
      for (int y = 0; y <= n2; y++) {
        for (Alternative alternative : Alternative.values()) {
          Hypothesis hypothesis = new Hypothesis(0, alternative);
          Tally first = Tally.of(x, n1);
          Tally second = Tally.of(y, n2);
          assertThat(TwoProportionTest.BOSCHLOO.of(first, second, hypothesis).pValue())
              .isLessThanOrEqualTo(
                  TwoProportionTest.FISHER.of(first, second, hypothesis).pValue() * (1 + 1e-7));
        }
      }
    }
  }

  /** The same question, asked the other way round, has the same answer. */
  @ParameterizedTest
  @EnumSource(TwoProportionTest.class)
  void groupsAndOutcomesMayBeExchanged(TwoProportionTest test) {
    Tally first = Tally.of(4, 19);
    Tally second = Tally.of(13, 27);
    Tally firstFailures = Tally.of(first.failures(), first.trials());
    Tally secondFailures = Tally.of(second.failures(), second.trials());
    double against = test.knows(0.1) ? 0.1 : 0;
    for (Alternative alternative : Alternative.values()) {
      Alternative opposite =
          switch (alternative) {
            case TWO_SIDED -> Alternative.TWO_SIDED;
            case LESS -> Alternative.GREATER;
            case GREATER -> Alternative.LESS;
          };
      double p = test.of(first, second, new Hypothesis(against, alternative)).pValue();
      Hypothesis turned = new Hypothesis(-against, opposite);
      assertThat(test.of(second, first, turned).pValue()).isCloseTo(p, within(1e-9));
      assertThat(test.of(firstFailures, secondFailures, turned).pValue())
          .isCloseTo(p, within(1e-9));
    }
  }

  /**
   * Given both margins, the exact interval holds the true odds ratio at least as often as it says.
   */
  @Test
  void conditionalExactIntervalsCover() {
    int n1 = 9;
    int n2 = 11;
    for (int successes = 1; successes < n1 + n2; successes++) {
      for (double logOdds = -4; logOdds <= 4; logOdds += 0.25) {
        double covered = 0;
        double whole = 0;
        for (int x = Math.max(0, successes - n2); x <= Math.min(n1, successes); x++) {
          Interval interval =
              ComparisonInterval.ODDS_RATIO_CONDITIONAL_EXACT.of(
                  Tally.of(x, n1), Tally.of(successes - x, n2), 0.9);
          double weight = ways(n1, x) * ways(n2, successes - x) * Math.exp(logOdds * x);
          whole += weight;
          covered += interval.contains(Math.exp(logOdds)) ? weight : 0;
        }
        assertThat(covered / whole)
            .as("s %s, log odds %s", successes, logOdds)
            .isGreaterThan(0.9 - 1e-9);
      }
    }
  }

  private static double ways(int n, int k) {
    double ways = 1;
    for (int i = 1; i <= k; i++) {
      ways *= (n - k + i) / (double) i;
    }
    return ways;
  }

  /** Of b + c fair throws: every number of discordant pairs to forty, all outcomes gone through. */
  @Test
  void exactMcnemarIsTheBinomialTestOfAFairCoin() {
    for (int discordant = 1; discordant <= 40; discordant++) {
      RationalBinomial fair = new RationalBinomial(discordant, "0.5");
      for (int b = 0; b <= discordant; b++) {
        PairedTally tally = PairedTally.of(7, b, discordant - b, 5);
        for (Alternative alternative : Alternative.values()) {
          assertThat(PairedTest.MCNEMAR_EXACT.of(tally, alternative).pValue())
              .isCloseTo(fair.pValue(ProportionTest.EXACT, b, alternative), within(1e-13));
          assertThat(PairedTest.MCNEMAR_MID_P.of(tally, alternative).pValue())
              .isCloseTo(fair.pValue(ProportionTest.MID_P, b, alternative), within(1e-13));
        }
      }
    }
  }

  /**
   * A level nearer to 1 never gives a narrower interval, a larger sample with the same rates no
   * wider one.
   */
  @Test
  void intervalsWidenWithTheLevelAndNarrowWithTheSample() {
    Tally first = Tally.of(6, 30);
    Tally second = Tally.of(15, 40);
    Tally moreFirst = Tally.of(60, 300);
    Tally moreSecond = Tally.of(150, 400);
    for (ComparisonInterval method : ComparisonInterval.values()) {
      Interval narrow = method.of(first, second, 0.8);
      Interval wide = method.of(first, second, 0.99);
      Interval large = method.of(moreFirst, moreSecond, 0.99);
      assertThat(wide.lower()).as(method.id()).isLessThan(narrow.lower());
      assertThat(wide.upper()).as(method.id()).isGreaterThan(narrow.upper());
      assertThat(large.lower()).as(method.id()).isGreaterThan(wide.lower());
      assertThat(large.upper()).as(method.id()).isLessThan(wide.upper());
    }
  }
}
