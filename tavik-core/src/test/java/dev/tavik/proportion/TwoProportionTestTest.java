package dev.tavik.proportion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.Tally;
import dev.tavik.proofs.KeptValues;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimate;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class TwoProportionTestTest {
  private static final double LN_10 = Math.log(10);
  private static final KeptValues KEPT = KeptValues.of("fisher-two-rates.txt");

  private static TwoProportionTest byId(String id) {
    return Arrays.stream(TwoProportionTest.values())
        .filter(test -> test.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void agreesWithHighPrecisionReferences() {
    RelativeErrors statistics = new RelativeErrors("statistic");
    RelativeErrors pValues = new RelativeErrors("p-value");
    RelativeErrors beyond = new RelativeErrors("log10 p-value beyond 1e-300");
    for (String[] row : References.of("comparison-tests.csv")) {
      Hypothesis hypothesis = new Hypothesis(Double.parseDouble(row[4]), Alternative.of(row[5]));
      TestResult result =
          byId(row[6])
              .of(
                  Tally.parse(row[0] + "/" + row[1]),
                  Tally.parse(row[2] + "/" + row[3]),
                  hypothesis);
      String at = String.join(" ", row);
      statistics.add(
          Double.parseDouble(row[7]), Objects.requireNonNull(result.statistic()).value(), at);
      BigDecimal expected = new BigDecimal(row[8]);
      if (expected.doubleValue() < -300) {
        beyond.add(expected.doubleValue(), result.log10PValue(), at);
      } else {
        BigDecimal difference = new BigDecimal(result.log10PValue()).subtract(expected);
        pValues.add(Math.abs(Math.expm1(LN_10 * difference.doubleValue())), at);
      }
    }
    statistics.assertBelow(1e-13, 1e-14);
    pValues.assertBelow(1e-11, 1e-12);
    beyond.assertBelow(1e-13, 1e-14);
  }

  @Test
  void fisherAgreesWithCountsOfTablesForEverySmallTable() {
    RelativeErrors errors = new RelativeErrors("Fisher's p-value");
    for (int n1 = 1; n1 <= 12; n1++) {
      for (int n2 = 1; n2 <= 12; n2++) {
        for (int s = 0; s <= n1 + n2; s++) {
          BigInteger[] ways = ways(n1, n2, s);
          for (int x = Math.max(0, s - n2); x <= Math.min(n1, s); x++) {
            for (Alternative alternative : Alternative.values()) {
              checkFisher(errors, ways, Tally.of(x, n1), Tally.of(s - x, n2), alternative);
            }
          }
        }
      }
    }
    errors.assertBelow(2e-13, 2e-14);
  }

  /** Where all counts are summed and where both tails are, near the mean and far from it. */
  @ParameterizedTest
  @CsvSource({
    "300, 200, 90, 54, 70", "400, 400, 5, 0, 5", "1500, 1500, 1200, 560, 700",
    "2500, 1200, 1500, 1000, 1090", "40, 3000, 1500, 5, 31", "2000, 2000, 2000, 850, 1003"
  })
  void fisherAgreesWithCountsOfTablesForLargeTables(int n1, int n2, int s, int from, int to) {
    RelativeErrors errors = new RelativeErrors("Fisher's p-value");
    BigInteger[][] made = new BigInteger[1][];
    for (int x = from; x <= to; x += Math.max(1, (to - from) / 12)) {
      for (Alternative alternative : Alternative.values()) {
        Tally one = Tally.of(x, n1);
        Tally two = Tally.of(s - x, n2);
        for (TwoProportionTest test : FISHERS) {
          String at = String.join(" ", test.id(), one.toString(), two.toString(), alternative.id());
          int successes = x;
          double expected =
              KEPT.value(
                  at,
                  () -> {
                    made[0] = made[0] == null ? ways(n1, n2, s) : made[0];
                    return byCounting(test, made[0], successes, alternative);
                  });
          errors.add(expected, test.of(one, two, new Hypothesis(0, alternative)).pValue(), at);
        }
      }
    }
    errors.assertBelow(1e-11, 1e-12);
  }

  private static final List<TwoProportionTest> FISHERS =
      List.of(
          TwoProportionTest.FISHER,
          TwoProportionTest.FISHER_DOUBLED,
          TwoProportionTest.FISHER_MID_P);

  private static void checkFisher(
      RelativeErrors errors, BigInteger[] ways, Tally one, Tally two, Alternative alternative) {
    for (TwoProportionTest test : FISHERS) {
      errors.add(
          byCounting(test, ways, (int) one.successes(), alternative),
          test.of(one, two, new Hypothesis(0, alternative)).pValue(),
          one + " " + two + " " + alternative.id() + " " + test.id());
    }
  }

  private static double byCounting(
      TwoProportionTest test, BigInteger[] ways, int x, Alternative alternative) {
    BigInteger lower = sum(ways, 0, x);
    BigInteger upper = sum(ways, x, ways.length - 1);
    BigInteger all = sum(ways, 0, ways.length - 1);
    if (test == TwoProportionTest.FISHER_MID_P) {
      BigInteger midLower = lower.shiftLeft(1).subtract(ways[x]);
      BigInteger midUpper = upper.shiftLeft(1).subtract(ways[x]);
      BigInteger mid =
          switch (alternative) {
            case LESS -> midLower;
            case GREATER -> midUpper;
            case TWO_SIDED -> midLower.min(midUpper).shiftLeft(1).min(all.shiftLeft(1));
          };
      return over(mid, all.shiftLeft(1));
    }
    if (alternative != Alternative.TWO_SIDED) {
      return over(alternative == Alternative.LESS ? lower : upper, all);
    }
    BigInteger noMoreProbable =
        Arrays.stream(ways)
            .filter(way -> way.compareTo(ways[x]) <= 0)
            .reduce(BigInteger.ZERO, BigInteger::add);
    return over(
        test == TwoProportionTest.FISHER ? noMoreProbable : lower.min(upper).shiftLeft(1).min(all),
        all);
  }

  /**
   * In how many ways x of the first and s - x of the second group can be successes, for every x.
   */
  private static BigInteger[] ways(int n1, int n2, int s) {
    BigInteger[] ways = new BigInteger[n1 + 1];
    for (int x = 0; x <= n1; x++) {
      ways[x] = choose(n1, x).multiply(choose(n2, s - x));
    }
    return ways;
  }

  private static BigInteger choose(int n, int k) {
    if (k < 0 || k > n) {
      return BigInteger.ZERO;
    }
    BigInteger result = BigInteger.ONE;
    for (int i = 1; i <= k; i++) {
      result = result.multiply(BigInteger.valueOf(n - k + i)).divide(BigInteger.valueOf(i));
    }
    return result;
  }

  private static BigInteger sum(BigInteger[] ways, int from, int to) {
    return Arrays.stream(ways, from, to + 1).reduce(BigInteger.ZERO, BigInteger::add);
  }

  private static double over(BigInteger part, BigInteger all) {
    return new BigDecimal(part).divide(new BigDecimal(all), MathContext.DECIMAL64).doubleValue();
  }

  @ParameterizedTest
  @EnumSource(
      value = TwoProportionTest.class,
      names = {"BARNARD", "BOSCHLOO"})
  void unconditionalTestsAreTheLargestChanceOfWhatIsAsExtreme(TwoProportionTest test) {
    for (int[] sizes : new int[][] {{1, 1}, {2, 5}, {4, 4}, {5, 3}, {7, 6}, {3, 9}}) {
      for (int x1 = 0; x1 <= sizes[0]; x1++) {
        for (int x2 = 0; x2 <= sizes[1]; x2++) {
          for (Alternative alternative : Alternative.values()) {
            Tally first = Tally.of(x1, sizes[0]);
            Tally second = Tally.of(x2, sizes[1]);
            double found = test.of(first, second, new Hypothesis(0, alternative)).pValue();
            assertThat(found)
                .as("%s of %s against %s, %s", test.id(), first, second, alternative.id())
                .isCloseTo(byGrid(test, first, second, alternative), within(1e-9));
          }
        }
      }
    }
  }

  /**
   * All tables are gone through; the largest of 500 grid points is refined between its neighbours.
   */
  private static double byGrid(
      TwoProportionTest test, Tally first, Tally second, Alternative alternative) {
    int n1 = (int) first.trials();
    int n2 = (int) second.trials();
    double[][] ways = new double[n1 + 1][n2 + 1];
    double observed = extremeness(test, first, second, alternative);
    for (int x = 0; x <= n1; x++) {
      for (int y = 0; y <= n2; y++) {
        double each = extremeness(test, Tally.of(x, n1), Tally.of(y, n2), alternative);
        if (each >= observed - 1e-7 * Math.abs(observed) - 1e-12) {
          ways[x][y] = choose(n1, x).multiply(choose(n2, y)).doubleValue();
        }
      }
    }
    double best = 0;
    double at = 0;
    double step = 1 / 500.0;
    for (int i = 0; i <= 500; i++) {
      double value = chance(ways, i * step);
      if (value > best) {
        best = value;
        at = i * step;
      }
    }
    for (; step > 1e-9; step /= 2) {
      for (double near : new double[] {Math.max(0, at - step), Math.min(1, at + step)}) {
        double value = chance(ways, near);
        if (value > best) {
          best = value;
          at = near;
        }
      }
    }
    return best;
  }

  private static double extremeness(
      TwoProportionTest test, Tally first, Tally second, Alternative alternative) {
    if (test == TwoProportionTest.BOSCHLOO) {
      return -TwoProportionTest.FISHER.of(first, second, new Hypothesis(0, alternative)).pValue();
    }
    TestResult.Statistic z =
        TwoProportionTest.Z_POOLED.of(first, second, Hypothesis.noDifference()).statistic();
    double value = z == null ? 0 : z.value();
    return switch (alternative) {
      case LESS -> -value;
      case GREATER -> value;
      case TWO_SIDED -> Math.abs(value);
    };
  }

  private static double chance(double[][] ways, double p) {
    int n = ways.length - 1 + ways[0].length - 1;
    double sum = 0;
    for (int x = 0; x < ways.length; x++) {
      for (int y = 0; y < ways[0].length; y++) {
        sum += ways[x][y] * Math.pow(p, x + y) * Math.pow(1 - p, n - x - y);
      }
    }
    return sum;
  }

  @Test
  void unconditionalTestsNameTheProportionAndStandBelowFisher() {
    Tally first = Tally.of(14, 400);
    Tally second = Tally.of(31, 410);
    Hypothesis less = Hypothesis.less(0);
    TestResult boschloo = TwoProportionTest.BOSCHLOO.of(first, second, less);
    assertThat(boschloo.pValue())
        .isLessThan(TwoProportionTest.FISHER.of(first, second, less).pValue());
    assertThat(boschloo.nuisance()).isBetween(0.0, 1.0);
    // Swapped groups with the opposite direction are the same question.
    assertThat(TwoProportionTest.BARNARD.of(first, second, less).pValue())
        .isCloseTo(
            TwoProportionTest.BARNARD.of(second, first, Hypothesis.greater(0)).pValue(),
            within(1e-10));
  }

  @Test
  void unconditionalTestsStayRightFarOutAndDeclineBeyondTheirBudget() {
    // With all of one group and none of the other, only these one or two tables are as extreme: the
    // chance is p^150 (1 - p)^150 (twice, two-sided), largest at one half.
    Tally all = Tally.of(150, 150);
    Tally none = Tally.of(0, 150);
    for (TwoProportionTest test : List.of(TwoProportionTest.BARNARD, TwoProportionTest.BOSCHLOO)) {
      TestResult result = test.of(all, none, Hypothesis.noDifference());
      assertThat(result.log10PValue()).isCloseTo(-299 * Math.log10(2), within(1e-9));
      assertThat(result.nuisance()).isCloseTo(0.5, within(1e-4));
      assertThatThrownBy(
              () -> test.of(Tally.of(9, 60_000), Tally.of(1, 60_000), Hypothesis.noDifference()))
          .isInstanceOf(NotApplicableException.class)
          .hasMessageStartingWith("too-many-for-unconditional (100000, ");
    }
  }

  /** Beyond what doubles hold, against every table as extreme, added up as logarithms. */
  @ParameterizedTest
  @CsvSource({
    "BARNARD, 476/480, 1/470, TWO_SIDED", "BARNARD, 476/480, 1/470, GREATER",
    "BARNARD, 3/500, 440/445, LESS", "BOSCHLOO, 476/480, 1/470, TWO_SIDED",
    "BOSCHLOO, 476/480, 1/470, GREATER", "BOSCHLOO, 3/500, 440/445, LESS",
    "BOSCHLOO, 0/500, 440/445, TWO_SIDED"
  })
  void unconditionalTestsAddUpWhatIsAsExtremeFarOut(
      TwoProportionTest test, String one, String other, Alternative alternative) {
    Tally first = Tally.parse(one);
    Tally second = Tally.parse(other);
    int n1 = (int) first.trials();
    int n2 = (int) second.trials();
    double observed = farOut(test, first, second, alternative);
    double[] ways = new double[n1 + n2 + 1];
    Arrays.fill(ways, Double.NEGATIVE_INFINITY);
    for (int x = 0; x <= n1; x++) {
      for (int y = 0; y <= n2; y++) {
        Tally here = Tally.of(x, n1);
        Tally there = Tally.of(y, n2);
        // Nothing nearer is as extreme as what is asked here.
        if (Math.abs(here.proportion() - there.proportion()) > 0.9
            && farOut(test, here, there, alternative) >= observed - 1e-7) {
          double log = logChoose(n1, x) + logChoose(n2, y);
          double larger = Math.max(ways[x + y], log);
          ways[x + y] = larger + Math.log1p(Math.exp(Math.min(ways[x + y], log) - larger));
        }
      }
    }
    double from = 0.01;
    double to = 0.99;
    // One peak here: all that is as extreme has nearly the same total, or mirrors it.
    while (to - from > 1e-9) {
      double left = from + (to - from) * 0.382;
      double right = from + (to - from) * 0.618;
      if (logChance(ways, left) < logChance(ways, right)) {
        from = left;
      } else {
        to = right;
      }
    }
    TestResult result = test.of(first, second, new Hypothesis(0, alternative));
    assertThat(result.log10PValue()).isLessThan(-261);
    assertThat(result.log10PValue() * LN_10).isCloseTo(logChance(ways, from), within(1e-6));
    assertThat(result.nuisance()).isCloseTo(from, within(1e-4));
  }

  private static double farOut(
      TwoProportionTest test, Tally first, Tally second, Alternative alternative) {
    return test == TwoProportionTest.BOSCHLOO
        ? -LN_10
            * TwoProportionTest.FISHER
                .of(first, second, new Hypothesis(0, alternative))
                .log10PValue()
        : extremeness(test, first, second, alternative);
  }

  private static double logChance(double[] ways, double p) {
    double[] logs = new double[ways.length];
    for (int s = 0; s < ways.length; s++) {
      logs[s] = ways[s] + s * Math.log(p) + (ways.length - 1 - s) * Math.log1p(-p);
    }
    double largest = Arrays.stream(logs).max().orElseThrow();
    return largest + Math.log(Arrays.stream(logs).map(log -> Math.exp(log - largest)).sum());
  }

  private static double logChoose(int n, int k) {
    return LogGamma.value(n + 1.0) - LogGamma.value(k + 1.0) - LogGamma.value(n - k + 1.0);
  }

  @ParameterizedTest
  @CsvSource({"0/9, 0/20", "9/9, 20/20"})
  void sameOutcomeThroughoutSaysNothing(String first, String second) {
    for (TwoProportionTest test : TwoProportionTest.values()) {
      for (Alternative alternative : Alternative.values()) {
        TestResult result =
            test.of(Tally.parse(first), Tally.parse(second), new Hypothesis(0, alternative));
        boolean signedRoot = test == TwoProportionTest.LIKELIHOOD_RATIO;
        boolean midP = test == TwoProportionTest.FISHER_MID_P;
        assertThat(result.pValue())
            .as("%s, %s", test.id(), alternative.id())
            .isCloseTo(
                (signedRoot || midP) && alternative != Alternative.TWO_SIDED ? 0.5 : 1,
                within(1e-12));
      }
    }
  }

  @Test
  void onlySomeTestsKnowOtherNullDifferences() {
    for (TwoProportionTest test : TwoProportionTest.values()) {
      if (test.knows(0.02)) {
        assertThat(test.of(Tally.of(3, 9), Tally.of(4, 9), Hypothesis.less(0.02)).pValue())
            .isBetween(0.0, 1.0);
      } else {
        assertThatThrownBy(() -> test.of(Tally.of(3, 9), Tally.of(4, 9), Hypothesis.less(0.02)))
            .isInstanceOf(NotApplicableException.class)
            .hasMessage("only-no-difference");
      }
    }
    assertThatThrownBy(
            () ->
                TwoProportionTest.SCORE.of(
                    Tally.of(3, 9), Tally.of(4, 9), Hypothesis.twoSided(Math.nextUp(1.0))))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("between -1 and 1");
  }

  @Test
  void homogeneityOfTwoGroupsIsTheSquareOfZ() {
    Tally first = Tally.of(16, 403);
    Tally second = Tally.of(53, 408);
    TestResult pair = TwoProportionTest.Z_POOLED.of(first, second, Hypothesis.noDifference());
    TestResult pearson = HomogeneityTest.PEARSON.of(List.of(first, second));
    assertThat(pearson.pValue()).isCloseTo(pair.pValue(), within(1e-14));
    assertThat(HomogeneityTest.LIKELIHOOD_RATIO.of(List.of(first, second)).pValue())
        .isCloseTo(
            TwoProportionTest.LIKELIHOOD_RATIO
                .of(first, second, Hypothesis.noDifference())
                .pValue(),
            within(1e-14));
  }

  @Test
  void homogeneityOfSeveralGroupsIsChiSquare() {
    List<Tally> groups = List.of(Tally.of(16, 403), Tally.of(53, 408), Tally.of(29, 385));
    double common = 98 / 1196.0;
    double sum = 0;
    for (Tally group : groups) {
      double expected = group.trials() * common;
      double away = group.successes() - expected;
      sum += away * away / expected + away * away / (group.trials() * (1 - common));
    }
    TestResult result = HomogeneityTest.PEARSON.of(groups);
    assertThat(Objects.requireNonNull(result.statistic()).value()).isCloseTo(sum, within(1e-10));
    assertThat(result.df()).isEqualTo(2.0);
    assertThat(result.pValue())
        .isCloseTo(ChiSquaredDistribution.of(2).survivalProbability(sum), within(1e-15));
    // With two degrees of freedom the tail is exactly e^(-x/2), however far out.
    TestResult far =
        HomogeneityTest.PEARSON.of(
            List.of(Tally.of(0, 2000), Tally.of(2000, 2000), Tally.of(0, 2000)));
    assertThat(far.log10PValue()).isCloseTo(-3000 / LN_10, within(1e-9));
    assertThat(HomogeneityTest.PEARSON.of(List.of(Tally.of(0, 3), Tally.of(0, 4))).pValue())
        .isEqualTo(1);
  }

  @Test
  void homogeneityNeedsTwoGroups() {
    assertThatThrownBy(() -> HomogeneityTest.PEARSON.of(List.of(Tally.of(3, 9))))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("at least two, got 1");
    assertThat(HomogeneityTest.values())
        .extracting(test -> test.info().id())
        .containsExactly("pearson", "likelihood-ratio");
  }

  /**
   * Whole numbers whose products pass what a long holds are still taken from each other exactly.
   */
  @Test
  void differencesOfTheLargestTalliesKeepTheirDigits() {
    long n = 1_000_000_000_000L;
    long x = 300_000_000_000L;
    Tally first = Tally.of(x + 1, n);
    Tally second = Tally.of(x - 6, n - 20);
    BigDecimal difference =
        BigDecimal.valueOf(x + 1)
            .multiply(BigDecimal.valueOf(n - 20))
            .subtract(BigDecimal.valueOf(x - 6).multiply(BigDecimal.valueOf(n)));
    double expected = difference.doubleValue() / n / (n - 20);
    assertThat(ComparisonEstimate.DIFFERENCE.of(first, second).value())
        .isCloseTo(expected, within(1e-12 * Math.abs(expected)));
    double error = Math.sqrt(0.3 * 0.7 * 2 / n);
    assertThat(
            Objects.requireNonNull(
                    TwoProportionTest.Z_POOLED
                        .of(first, second, Hypothesis.noDifference())
                        .statistic())
                .value())
        .isCloseTo(expected / error, within(1e-9 * Math.abs(expected / error)));
  }

  /** At the conditional estimate the observed count is the mean, and the variance its precision. */
  @ParameterizedTest
  @CsvSource({"3/40, 11/50", "9/10, 1/30", "16/403, 53/408", "1/2, 1/2", "7/7, 3/9", "0/7, 3/9"})
  void theConditionalOddsRatioExpectsWhatWasObserved(String one, String other) {
    Tally first = Tally.parse(one);
    Tally second = Tally.parse(other);
    int s = (int) (first.successes() + second.successes());
    BigInteger[] ways = ways((int) first.trials(), (int) second.trials(), s);
    Estimate found = ComparisonEstimate.CONDITIONAL_ODDS_RATIO.of(first, second);
    if (first.failures() == 0 || first.successes() == 0) {
      assertThat(found.value()).isEqualTo(first.failures() == 0 ? Double.POSITIVE_INFINITY : 0);
      assertThat(found.standardError()).isNaN();
      return;
    }
    double most = Arrays.stream(ways).mapToDouble(BigInteger::doubleValue).max().orElseThrow();
    double[] sums = new double[3];
    for (int x = 0; x < ways.length; x++) {
      double weight =
          ways[x].doubleValue() / most * Math.pow(found.value(), x - (double) first.successes());
      double away = x - (double) first.successes();
      sums[0] += weight;
      sums[1] += weight * away;
      sums[2] += weight * away * away;
    }
    double mean = sums[1] / sums[0];
    double variance = sums[2] / sums[0] - mean * mean;
    assertThat(mean).isCloseTo(0, within(1e-9));
    assertThat(found.standardError())
        .isCloseTo(found.value() / Math.sqrt(variance), within(1e-9 * found.value()));
    for (ComparisonEstimate estimate : ComparisonEstimate.values()) {
      assertThat(estimate.of(first, second).quantity()).isEqualTo(estimate.quantity());
    }
  }
}
