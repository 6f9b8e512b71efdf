package dev.tavik.proportion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Normal;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class FinitePopulationTestTest {
  private static final List<Alternative> ORDER =
      List.of(Alternative.LESS, Alternative.GREATER, Alternative.TWO_SIDED);

  /** Every sample of every lot to 18 units, against numbers of ways. */
  @Test
  void exactTestCountsWays() {
    RelativeErrors errors = new RelativeErrors("hypergeometric p-values");
    for (int lot = 2; lot <= 18; lot++) {
      for (int marked = 1; marked < lot; marked++) {
        for (int n = 1; n < lot; n++) {
          for (int x = Math.max(0, n + marked - lot); x <= Math.min(n, marked); x++) {
            for (Alternative alternative : Alternative.values()) {
              Hypothesis hypothesis = new Hypothesis((double) marked / lot, alternative);
              TestResult result = FinitePopulationTest.EXACT.of(Tally.of(x, n), lot, hypothesis);
              double expected = pValue(lot, marked, n, x, alternative);
              errors.add(
                  expected,
                  result.pValue(),
                  String.format(Locale.ROOT, "%d/%d, %d of %d", x, n, marked, lot));
            }
          }
        }
      }
    }
    errors.assertBelow(1e-12, 1e-13);
  }

  private static double pValue(int lot, int marked, int n, int x, Alternative alternative) {
    BigInteger tie = BigInteger.valueOf(10_000_000);
    BigInteger limit = ways(lot, marked, n, x).multiply(tie.add(BigInteger.ONE));
    BigInteger sum = BigInteger.ZERO;
    for (int k = 0; k <= n; k++) {
      boolean counts =
          switch (alternative) {
            case LESS -> k <= x;
            case GREATER -> k >= x;
            case TWO_SIDED -> ways(lot, marked, n, k).multiply(tie).compareTo(limit) <= 0;
          };
      sum = counts ? sum.add(ways(lot, marked, n, k)) : sum;
    }
    return new BigDecimal(sum)
        .divide(new BigDecimal(choose(lot, n)), MathContext.DECIMAL128)
        .doubleValue();
  }

  private static BigInteger ways(int lot, int marked, int n, int x) {
    return choose(marked, x).multiply(choose(lot - marked, n - x));
  }

  private static BigInteger choose(int n, int k) {
    if (k < 0 || k > n) {
      return BigInteger.ZERO;
    }
    BigInteger ways = BigInteger.ONE;
    for (int i = 1; i <= k; i++) {
      ways = ways.multiply(BigInteger.valueOf(n - k + i)).divide(BigInteger.valueOf(i));
    }
    return ways;
  }

  /** Lots to 10⁹ units, against 60-digit arithmetic. */
  @Test
  void exactTestKeepsItsDigitsInLargeLots() {
    RelativeErrors errors = new RelativeErrors("hypergeometric p-values of large lots");
    for (String[] row : References.of("lot-tests.csv")) {
      long lot = Long.parseLong(row[0]);
      Tally sample = Tally.of(Long.parseLong(row[3]), Long.parseLong(row[2]));
      double against = Double.parseDouble(row[1]) / lot;
      for (int i = 0; i < ORDER.size(); i++) {
        TestResult result =
            FinitePopulationTest.EXACT.of(sample, lot, new Hypothesis(against, ORDER.get(i)));
        BigDecimal expected = new BigDecimal(row[4 + i]);
        double difference = new BigDecimal(result.log10PValue()).subtract(expected).doubleValue();
        errors.add(
            Math.abs(Math.expm1(difference * Math.log(10))),
            String.join(" ", row) + " " + ORDER.get(i).id());
      }
    }
    errors.assertBelow(1e-10, 1e-11);
  }

  /** Every number of marked units is asked; the limits must be the outermost ones not rejected. */
  @ParameterizedTest
  @ValueSource(doubles = {0.8, 0.95, 0.99})
  void exactLimitsAreTheOutermostNumbersNotRejected(double level) {
    int lot = 40;
    for (int n : new int[] {1, 7, 25, 39}) {
      for (int x = 0; x <= n; x++) {
        Interval interval =
            LotInterval.CLOPPER_PEARSON.of(Tally.of(x, n), lot, level, Side.TWO_SIDED);
        int lower = lot;
        int upper = 0;
        for (int marked = x; marked <= lot - (n - x); marked++) {
          double tail = (1 - level) / 2 * (1 + 1e-9);
          lower = above(lot, marked, n, x) > tail ? Math.min(lower, marked) : lower;
          upper = below(lot, marked, n, x) > tail ? Math.max(upper, marked) : upper;
        }
        assertThat(interval.lower()).as("%d/%d", x, n).isEqualTo((double) lower / lot);
        assertThat(interval.upper()).as("%d/%d", x, n).isEqualTo((double) upper / lot);
      }
    }
  }

  private static double above(int lot, int marked, int n, int x) {
    return pValue(lot, marked, n, x, Alternative.GREATER);
  }

  private static double below(int lot, int marked, int n, int x) {
    return pValue(lot, marked, n, x, Alternative.LESS);
  }

  @Test
  void wilsonLimitsInvertTheCorrectedScoreTest() {
    double z = Normal.upperQuantile(0.025);
    for (String written : new String[] {"14/400", "1/30", "29/30", "200/400"}) {
      Tally sample = Tally.parse(written);
      long lot = 1_000;
      Interval interval = LotInterval.WILSON.of(sample, lot, 0.95, Side.TWO_SIDED);
      double n = sample.trials();
      for (double p : new double[] {interval.lower(), interval.upper()}) {
        double error = Math.sqrt(p * (1 - p) / n * (lot - n) / (lot - 1));
        assertThat(Math.abs(sample.proportion() - p) / error).isCloseTo(z, within(1e-10));
      }
      Interval endless = ProportionInterval.WILSON.of(sample, 0.95);
      assertThat(interval.upper() - interval.lower()).isLessThan(endless.upper() - endless.lower());
    }
  }

  @Test
  void scoreHasTheFinitePopulationCorrection() {
    TestResult lot = FinitePopulationTest.SCORE.of(Tally.of(14, 400), 1_000, Hypothesis.less(0.05));
    TestResult endless = ProportionTest.SCORE.of(Tally.of(14, 400), Hypothesis.less(0.05));
    double correction = Math.sqrt(600.0 / 999);
    assertThat(Objects.requireNonNull(lot.statistic()).value() * correction)
        .isCloseTo(Objects.requireNonNull(endless.statistic()).value(), within(1e-13));
  }

  @ParameterizedTest
  @EnumSource
  void aVastLotIsLikeNone(Alternative alternative) {
    long lot = Tally.MAX_TRIALS;
    for (FinitePopulationTest test : FinitePopulationTest.values()) {
      for (long x : new long[] {0, 3, 9, 20}) {
        Hypothesis hypothesis = new Hypothesis(0.1, alternative);
        double expected =
            ProportionTest.valueOf(test.name()).of(Tally.of(x, 60), hypothesis).pValue();
        assertThat(test.of(Tally.of(x, 60), lot, hypothesis).pValue())
            .isCloseTo(expected, within(1e-8 * expected));
      }
    }
  }

  @ParameterizedTest
  @EnumSource
  void criticalCountsAreThoseThatAreRejected(Alternative alternative) {
    for (FinitePopulationTest test : FinitePopulationTest.values()) {
      Hypothesis hypothesis = new Hypothesis(0.2, alternative);
      CriticalCounts counts = test.criticalCounts(15, 40, hypothesis, 0.05);
      double size = 0;
      for (int x = 0; x <= 15; x++) {
        boolean rejected = test.of(Tally.of(x, 15), 40, hypothesis).rejects(0.05);
        boolean inRegion =
            (counts.atMost() != null && x <= counts.atMost())
                || (counts.atLeast() != null && x >= counts.atLeast());
        assertThat(inRegion).isEqualTo(rejected);
        size +=
            rejected
                ? new BigDecimal(ways(40, 8, 15, x))
                    .divide(new BigDecimal(choose(40, 15)), MathContext.DECIMAL128)
                    .doubleValue()
                : 0;
      }
      assertThat(counts.size()).isCloseTo(size, within(1e-13));
    }
  }

  @Test
  void lotsThatFitNotAreRefused() {
    Tally sample = Tally.of(2, 60);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> FinitePopulationTest.EXACT.of(sample, 60, Hypothesis.less(0.05)))
        .withMessageContaining("lot must be larger than the sample (60)");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> FinitePopulationTest.SCORE.of(sample, 510, Hypothesis.less(0.05)))
        .withMessageContaining("did you mean 25/510 or 26/510?");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> LotInterval.WILSON.of(sample, 500, 95, Side.LOWER))
        .withMessageContaining("did you mean 95%?");
  }

  @Test
  void formsForALotGoByTheNamesOfTheEndless() {
    for (ProportionTest test : ProportionTest.values()) {
      if (test == ProportionTest.SCORE || test == ProportionTest.EXACT) {
        assertThat(FinitePopulationTest.inLot(test).info().id()).isEqualTo(test.id());
        assertThat(FinitePopulationTest.inLot(test).info().description())
            .isNotEqualTo(test.description());
      } else {
        assertThatThrownBy(() -> FinitePopulationTest.inLot(test))
            .isInstanceOf(NotApplicableException.class)
            .hasMessage("no-lot-test (" + test.id() + ")");
      }
    }
    for (ProportionInterval interval : ProportionInterval.values()) {
      if (interval == ProportionInterval.WILSON || interval == ProportionInterval.CLOPPER_PEARSON) {
        assertThat(LotInterval.inLot(interval).info().id()).isEqualTo(interval.id());
        assertThat(LotInterval.inLot(interval).info().title()).isEqualTo(interval.title());
      } else {
        assertThatThrownBy(() -> LotInterval.inLot(interval))
            .isInstanceOf(NotApplicableException.class)
            .hasMessage("no-lot-interval (" + interval.id() + ")");
      }
    }
  }
}
