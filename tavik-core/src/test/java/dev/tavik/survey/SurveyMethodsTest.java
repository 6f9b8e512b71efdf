package dev.tavik.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.tail.Tail;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Tests and intervals of designed samples: each interval gives back alpha in its own test. */
class SurveyMethodsTest {
  private static DesignedProportion proportion(double value, double error, double df) {
    return new DesignedProportion(
        value,
        1 - value,
        Math.round(400 * value),
        400,
        error,
        error / value / (1 - value),
        350,
        df);
  }

  @ParameterizedTest
  @EnumSource(SurveyInterval.class)
  void limitsGiveBackAlpha(SurveyInterval method) {
    for (double[] each : new double[][] {{0.31, 0.04, 44}, {0.02, 0.011, 9}, {0.93, 0.02, 3}}) {
      DesignedProportion proportion = proportion(each[0], each[1], each[2]);
      for (Side side : Side.values()) {
        Interval interval = method.of(proportion, 0.95, side);
        double[] limits = {interval.lower(), interval.upper()};
        for (int end = 0; end < 2; end++) {
          Alternative alternative = end == 0 ? Alternative.GREATER : Alternative.LESS;
          boolean open = side == (end == 0 ? Side.UPPER : Side.LOWER);
          if (open || limits[end] <= 0 || limits[end] >= 1) {
            continue;
          }
          double tail = side == Side.TWO_SIDED ? 0.025 : 0.05;
          double p =
              method
                  .inverts()
                  .map(
                      test ->
                          test.of(
                                  proportion,
                                  new Hypothesis(
                                      limits[alternative == Alternative.LESS ? 1 : 0], alternative),
                                  tail)
                              .pValue())
                  .orElseGet(() -> score(proportion, limits, alternative, tail));
          assertThat(p).as("%s %s %s", method, side, alternative).isCloseTo(tail, within(1e-9));
        }
      }
    }
  }

  /** Wilson's limits keep what the score test of as many trials does. */
  private static double score(
      DesignedProportion proportion, double[] limits, Alternative alternative, double tail) {
    double against = limits[alternative == Alternative.LESS ? 1 : 0];
    double trials = proportion.binomialTrials(tail);
    double z = (proportion.value() - against) / Math.sqrt(against * (1 - against) / trials);
    return Tail.normal(0, 1).upper(Math.abs(z));
  }

  /** x = 14 of 40 trials exactly: the limits are Clopper and Pearson's, whose tails are sums. */
  @Test
  void kornGraubardOfWholeNumbersIsClopperPearson() {
    // A variance of p(1 - p)/40, and so many degrees of freedom that t is the same.
    DesignedProportion proportion =
        new DesignedProportion(0.35, 0.65, 35, 100, Math.sqrt(0.35 * 0.65 / 40), 0.2, 100, 99);
    assertThat(proportion.binomialTrials(0.025)).isCloseTo(40, within(1e-10));
    Interval interval = SurveyInterval.KORN_GRAUBARD.of(proportion, 0.95, Side.TWO_SIDED);
    assertThat(binomialTail(14, 40, interval.lower(), true)).isCloseTo(0.025, within(1e-9));
    assertThat(binomialTail(14, 40, interval.upper(), false)).isCloseTo(0.025, within(1e-9));
  }

  private static double binomialTail(int x, int n, double p, boolean upper) {
    double sum = 0;
    double mass = Math.pow(1 - p, n);
    for (int k = 0; k <= n; k++) {
      sum += upper == (k >= x) || k == x ? mass : 0;
      mass *= (double) (n - k) / (k + 1) * p / (1 - p);
    }
    return sum;
  }

  /** Few degrees of freedom count as fewer trials, a design effect below 1 not as more rows. */
  @Test
  void effectiveTrialsAreCutAtTheRows() {
    double few = proportion(0.3, 0.04, 6).binomialTrials(0.025);
    double many = proportion(0.3, 0.04, 399).binomialTrials(0.025);
    double ratio = Tail.t(399).valueAbove(0.025) / Tail.t(6).valueAbove(0.025);
    assertThat(many).isCloseTo(0.21 / 0.0016, within(1e-9));
    assertThat(few).isCloseTo(many * ratio * ratio, within(1e-9));
    assertThat(proportion(0.3, 0.001, 399).binomialTrials(0.025)).isEqualTo(400);
  }

  /** With no success the upper limit is where all trials fail with the chance of the tail. */
  @Test
  void noneHasAnUpperLimitByTheBinomial() {
    DesignedProportion none =
        new DesignedProportion(0, 1, 0, 60, 0, Double.POSITIVE_INFINITY, 48, 59);
    Interval interval = SurveyInterval.KORN_GRAUBARD.of(none, 0.95, Side.TWO_SIDED);
    assertThat(interval.lower()).isZero();
    assertThat(interval.upper()).isCloseTo(1 - Math.pow(0.025, 1.0 / 48), within(1e-12));
    TestResult test = SurveyTest.KORN_GRAUBARD.of(none, Hypothesis.less(interval.upper()), 0.025);
    assertThat(test.pValue()).isCloseTo(0.025, within(1e-10));
    assertThatExceptionOfType(NotApplicableException.class)
        .isThrownBy(() -> SurveyInterval.LOGIT.of(none, 0.95, Side.TWO_SIDED))
        .withMessage("all-or-none-for-limits");
    assertThatExceptionOfType(NotApplicableException.class)
        .isThrownBy(() -> SurveyTest.T_LOGIT.of(none, Hypothesis.less(0.1), 0.05))
        .withMessage("all-or-none");
    // A variance of zero is no knowledge: neither a statistic nor limits of no length.
    assertThatExceptionOfType(NotApplicableException.class)
        .isThrownBy(() -> SurveyTest.T.of(none, Hypothesis.less(0.1), 0.05))
        .withMessage("no-variance");
    assertThatExceptionOfType(NotApplicableException.class)
        .isThrownBy(() -> SurveyInterval.WALD.of(none, 0.95, Side.TWO_SIDED))
        .withMessage("no-variance-for-limits");
    DesignedProportion alike = new DesignedProportion(0.5, 0.5, 30, 60, 0, 0, 48, 19);
    assertThatExceptionOfType(NotApplicableException.class)
        .isThrownBy(() -> SurveyInterval.LOGIT.of(alike, 0.95, Side.TWO_SIDED))
        .withMessage("no-variance-for-limits");
    DesignedComparison half =
        new DesignedComparison(none, proportion(0.4, 0.03, 20), 0.03, 1, 1, 20);
    for (SurveyComparisonTest each : SurveyComparisonTest.values()) {
      assertThatExceptionOfType(NotApplicableException.class)
          .isThrownBy(() -> each.of(half, Hypothesis.twoSided(0)));
    }
  }

  /** One row that outweighs all: the upper limit is nearer to 1 than a number can tell. */
  @Test
  void aLimitTooNearToAnEndIsThatEnd() {
    DesignedProportion heavy =
        new DesignedProportion(0.9995, 0.0005, 100, 200, 0.0005, 0.9, 1.004, 199);
    Interval interval = SurveyInterval.KORN_GRAUBARD.of(heavy, 0.95, Side.TWO_SIDED);
    assertThat(interval.lower()).isBetween(0.0, 0.9995);
    assertThat(interval.upper()).isBetween(0.9995, 1.0);
    DesignedProportion one = new DesignedProportion(1 - 1e-5, 1e-5, 199, 200, 1e-5, 1, 1.0, 199);
    assertThat(SurveyInterval.KORN_GRAUBARD.of(one, 0.95, Side.TWO_SIDED).upper()).isEqualTo(1);
  }

  private static DesignedComparison compared(double one, double two) {
    return new DesignedComparison(
        proportion(one, 0.03, 20), proportion(two, 0.04, 20), 0.045, 0.2, 0.3, 20);
  }

  @ParameterizedTest
  @EnumSource(SurveyComparisonInterval.class)
  void limitsOfComparisonsGiveBackAlpha(SurveyComparisonInterval method) {
    DesignedComparison compared = compared(0.4, 0.25);
    Interval interval = method.of(compared, 0.9, Side.TWO_SIDED);
    // The half width over the standard error is the t that leaves the tail.
    double scale =
        method == SurveyComparisonInterval.WALD
            ? (interval.upper() - interval.lower()) / 2 / 0.045
            : Math.log(interval.upper() / interval.lower())
                / 2
                / (method == SurveyComparisonInterval.LOG_RATIO ? 0.2 : 0.3);
    assertThat(Tail.t(20).upper(scale)).isCloseTo(0.05, within(1e-10));
    TestResult test = method.inverts().of(compared, Hypothesis.noDifference());
    assertThat(test.rejects(0.1))
        .isEqualTo(!interval.contains(method == SurveyComparisonInterval.WALD ? 0 : 1));
    assertThat(test.df()).isEqualTo(20);
  }

  @Test
  void wholeDifferenceIsTestedAtItsLimit() {
    Interval interval = SurveyComparisonInterval.WALD.of(compared(0.4, 0.25), 0.95, Side.LOWER);
    assertThat(
            SurveyComparisonTest.T_DIFFERENCE
                .of(compared(0.4, 0.25), Hypothesis.greater(interval.lower()))
                .pValue())
        .isCloseTo(0.05, within(1e-10));
    assertThatExceptionOfType(NotApplicableException.class)
        .isThrownBy(
            () -> SurveyComparisonTest.T_LOG_ODDS.of(compared(0.4, 0.25), Hypothesis.greater(0.1)))
        .withMessage("only-equal-rates");
  }

  /** Where rows are drawn simply at random, the covariance is the multinomial one. */
  @ParameterizedTest
  @CsvSource({"200, 0.4, 0.3, 0.3", "57, 0.1, 0.2, 0.7", "1000, 0.333, 0.333, 0.334"})
  void raoScottOfMultinomialCovarianceIsPearson(long rows, double a, double b, double c) {
    double[] expected = {a, b, c};
    double[] away = {0.04, -0.03, -0.01};
    double[][] covariance = new double[3][3];
    for (int i = 0; i < 3; i++) {
      for (int j = 0; j < 3; j++) {
        covariance[i][j] = ((i == j ? expected[i] : 0) - expected[i] * expected[j]) / rows;
      }
    }
    DesignedDeviation deviation =
        DesignedDeviation.of(rows, away, expected, covariance, new int[] {0, 1}, 1e7);
    double pearson =
        rows * Stream.of(0, 1, 2).mapToDouble(i -> away[i] * away[i] / expected[i]).sum();
    assertThat(deviation.effects()).isCloseTo(2, within(1e-12));
    assertThat(deviation.squaredEffects()).isCloseTo(2, within(1e-12));
    assertThat(deviation.wald()).isCloseTo(pearson, within(1e-10 * pearson));
    TestResult first = SurveyTableTest.RAO_SCOTT_MEAN.of(deviation);
    assertThat(Objects.requireNonNull(first.statistic()).value())
        .isCloseTo(pearson, within(1e-12 * pearson));
    // Two degrees of freedom: the tail is e^(-x/2).
    assertThat(first.pValue()).isCloseTo(Math.exp(-pearson / 2), within(1e-12));
    for (SurveyTableTest test : SurveyTableTest.values()) {
      // With so many clusters F is chi-square over its degrees of freedom.
      assertThat(test.of(deviation).pValue())
          .as(test.id())
          .isCloseTo(Math.exp(-pearson / 2), within(1e-5));
    }
  }

  /** One free deviation: F is the square of t. */
  @Test
  void oneDeviationIsTestedByItsSquare() {
    double error = 0.03;
    double[] away = {0.07, -0.07};
    double[][] covariance = {{error * error, -error * error}, {-error * error, error * error}};
    DesignedDeviation deviation =
        DesignedDeviation.of(300, away, new double[] {0.4, 0.6}, covariance, new int[] {0}, 17);
    double p = 2 * Tail.t(17).upper(0.07 / 0.03);
    assertThat(SurveyTableTest.RAO_SCOTT.of(deviation).pValue()).isCloseTo(p, within(1e-12));
    assertThat(SurveyTableTest.WALD_F.of(deviation).pValue()).isCloseTo(p, within(1e-12));
    DesignedDeviation flat =
        DesignedDeviation.of(
            300, away, new double[] {0.4, 0.6}, new double[2][2], new int[] {0}, 17);
    assertThatExceptionOfType(NotApplicableException.class)
        .isThrownBy(() -> SurveyTableTest.RAO_SCOTT.of(flat))
        .withMessage("no-variance");
    assertThatExceptionOfType(NotApplicableException.class)
        .isThrownBy(() -> SurveyTableTest.WALD_F.of(flat))
        .withMessageStartingWith("too-few-clusters (");
  }
}
