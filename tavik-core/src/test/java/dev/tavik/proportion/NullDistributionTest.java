package dev.tavik.proportion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.Tally;
import dev.tavik.proportion.NullDistribution.Point;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.HypergeometricDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is drawn of a null: heights, and the tails that make up the p-value. */
class NullDistributionTest {
  private static double area(NullDistribution drawn) {
    return drawn.lower().area() + drawn.upper().area();
  }

  /** The area below straight lines from point to point. */
  private static double below(List<Point> points) {
    double area = 0;
    for (int i = 1; i < points.size(); i++) {
      Point one = points.get(i - 1);
      Point other = points.get(i);
      area += (other.count() - one.count()) * (one.height() + other.height()) / 2;
    }
    return area;
  }

  @ParameterizedTest
  @CsvSource({"31, 400, 0.05", "3, 20, 0.4", "12, 30, 0.4", "0, 12, 0.25", "90, 100, 0.5"})
  void exactHeightsAreTheBinomials(int successes, int trials, String against) {
    RationalBinomial rational = new RationalBinomial(trials, against);
    Tally tally = Tally.of(successes, trials);
    double p = Double.parseDouble(against);
    double mean = trials * p;
    double reach = 4.2 * Math.sqrt(mean * (1 - p)) + 1;
    for (Alternative alternative : Alternative.values()) {
      NullDistribution drawn =
          NullDistribution.of(ProportionTest.EXACT, tally, new Hypothesis(p, alternative))
              .orElseThrow();
      assertThat(drawn.discrete()).isTrue();
      long from = Math.round(Math.max(0, Math.floor(mean - reach)));
      long to = Math.round(Math.min(trials, Math.ceil(mean + reach)));
      List<Point> wanted = new ArrayList<>();
      for (long count = from; count <= to; count++) {
        wanted.add(new Point(count, rational.mass((int) count)));
      }
      if (successes > to) {
        wanted.addAll(List.of(new Point(to, 0), new Point(successes, 0)));
      }
      assertThat(drawn.points()).hasSameSizeAs(wanted);
      for (int i = 0; i < wanted.size(); i++) {
        assertThat(drawn.points().get(i).count()).isEqualTo(wanted.get(i).count());
        assertThat(drawn.points().get(i).height()).isCloseTo(wanted.get(i).height(), within(1e-13));
      }
      assertThat(area(drawn))
          .isCloseTo(rational.pValue(ProportionTest.EXACT, successes, alternative), within(1e-13));
      if (alternative != Alternative.GREATER && successes < mean) {
        assertThat(drawn.lower().end()).isEqualTo(successes);
      }
      if (alternative == Alternative.GREATER) {
        assertThat(drawn.upper().end()).isEqualTo(successes);
        assertThat(drawn.lower().area()).isZero();
      }
      if (alternative == Alternative.LESS) {
        assertThat(drawn.upper().area()).isZero();
      }
    }
  }

  @Test
  void ofManyCountsAnOutlineIsKept() {
    NullDistribution drawn =
        NullDistribution.of(
                ProportionTest.EXACT, Tally.of(400_000, 1_000_000), Hypothesis.twoSided(0.5))
            .orElseThrow();
    List<Point> points = drawn.points();
    // 4.2 standard deviations of 500 to each side, every tenth of the 4,202 counts.
    assertThat(points.get(0)).isEqualTo(new Point(400_000, 0));
    assertThat(points.get(1)).isEqualTo(new Point(497_899, 0));
    assertThat(points.get(2).count()).isEqualTo(497_899);
    assertThat(points.get(3).count()).isEqualTo(497_909);
    assertThat(points.get(points.size() - 1).count()).isEqualTo(502_099);
    assertThat(points).hasSize(2 + 421);
    assertThat(below(points)).isCloseTo(1, within(3e-5));
  }

  @ParameterizedTest
  @CsvSource({"31, 400, 0.05", "12, 400, 0.05", "0, 400, 0.05", "399, 400, 0.05"})
  void scoreHeightsAreTheNormals(int successes, int trials, double against) {
    Tally tally = Tally.of(successes, trials);
    double mean = trials * against;
    NormalDistribution normal = NormalDistribution.of(mean, Math.sqrt(mean * (1 - against)));
    double sd = normal.getStandardDeviation();
    double away = Math.abs(successes - mean);
    for (Alternative alternative : Alternative.values()) {
      Hypothesis hypothesis = new Hypothesis(against, alternative);
      NullDistribution drawn =
          NullDistribution.of(ProportionTest.SCORE, tally, hypothesis).orElseThrow();
      assertThat(drawn.discrete()).isFalse();
      int drawnHere = 0;
      for (Point point : drawn.points()) {
        if (Math.abs(point.count() - mean) < 4.2 * sd + 1e-9 && point.height() > 0) {
          assertThat(point.height()).isCloseTo(normal.density(point.count()), within(1e-12));
          drawnHere++;
        }
      }
      assertThat(drawnHere).isEqualTo(401);
      assertThat(below(drawn.points())).isCloseTo(1, within(1e-4));
      double first = drawn.points().get(0).count();
      double last = drawn.points().get(drawn.points().size() - 1).count();
      assertThat(first).isCloseTo(Math.min(successes, mean - 4.2 * sd), within(1e-9));
      assertThat(last).isCloseTo(Math.max(successes, mean + 4.2 * sd), within(1e-9));
      double p = ProportionTest.SCORE.of(tally, hypothesis).pValue();
      assertThat(area(drawn)).isCloseTo(p, within(1e-14));
      boolean both = alternative == Alternative.TWO_SIDED;
      assertThat(drawn.lower().end()).isCloseTo(both ? mean - away : successes, within(1e-9));
      assertThat(drawn.upper().end()).isCloseTo(both ? mean + away : successes, within(1e-9));
      assertThat(drawn.lower().area())
          .isCloseTo(
              alternative == Alternative.GREATER
                  ? 0
                  : normal.cumulativeProbability(drawn.lower().end()),
              within(1e-13));
    }
  }

  @Test
  void otherTestsHaveNoSuchPicture() {
    Tally tally = Tally.of(3, 20);
    assertThat(NullDistribution.of(ProportionTest.WALD, tally, Hypothesis.less(0.4))).isEmpty();
    assertThatThrownBy(() -> NullDistribution.of(ProportionTest.EXACT, tally, Hypothesis.less(1)))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("against");
    assertThat(NullDistribution.of(TwoProportionTest.SCORE, tally, tally, Alternative.LESS))
        .isEmpty();
    for (TwoProportionTest test : TwoProportionTest.values()) {
      assertThat(NullDistribution.of(test, Tally.of(0, 4), Tally.of(0, 9), Alternative.LESS))
          .isEmpty();
    }
  }

  @ParameterizedTest
  @CsvSource({"3, 40, 11, 50", "16, 403, 53, 408", "1, 1, 0, 1", "9, 10, 1, 30", "0, 30, 30, 30"})
  void groupsHaveTheirConditionalDistributionOrTheNormal(int x, int n1, int y, int n2) {
    Tally first = Tally.of(x, n1);
    Tally second = Tally.of(y, n2);
    HypergeometricDistribution given = HypergeometricDistribution.of(n1 + n2, x + y, n1);
    double pooled = (x + y) / (double) (n1 + n2);
    double error = 100 * Math.sqrt(pooled * (1 - pooled) * (1.0 / n1 + 1.0 / n2));
    double difference = 100 * (x / (double) n1 - y / (double) n2);
    for (Alternative alternative : Alternative.values()) {
      Hypothesis hypothesis = new Hypothesis(0, alternative);
      NullDistribution exact =
          NullDistribution.of(TwoProportionTest.FISHER, first, second, alternative).orElseThrow();
      double reach = 4.2 * Math.sqrt(given.getVariance()) + 1;
      List<Point> masses = exact.points().stream().filter(point -> point.height() > 0).toList();
      assertThat(masses.get(0).count())
          .isEqualTo(Math.max(given.getSupportLowerBound(), Math.floor(given.getMean() - reach)));
      assertThat(masses.get(masses.size() - 1).count())
          .isEqualTo(Math.min(given.getSupportUpperBound(), Math.ceil(given.getMean() + reach)));
      for (Point point : masses) {
        assertThat(point.height()).isCloseTo(given.probability((int) point.count()), within(1e-11));
      }
      assertThat(masses.stream().mapToDouble(Point::height).sum()).isCloseTo(1, within(1e-4));
      assertThat(area(exact))
          .isCloseTo(
              TwoProportionTest.FISHER.of(first, second, hypothesis).pValue(), within(1e-12));
      NullDistribution normal =
          NullDistribution.of(TwoProportionTest.Z_POOLED, first, second, alternative).orElseThrow();
      assertThat(below(normal.points())).isCloseTo(1, within(1e-4));
      assertThat(area(normal))
          .isCloseTo(
              TwoProportionTest.Z_POOLED.of(first, second, hypothesis).pValue(), within(1e-13));
      assertThat(normal.points())
          .anySatisfy(
              point -> {
                assertThat(point.count()).isCloseTo(0, within(1e-12));
                assertThat(point.height())
                    .isCloseTo(1 / (error * Math.sqrt(2 * Math.PI)), within(1e-12));
              });
      assertThat(alternative == Alternative.LESS ? normal.lower().end() : normal.upper().end())
          .isCloseTo(
              alternative == Alternative.TWO_SIDED ? Math.abs(difference) : difference,
              within(1e-12));
    }
  }

  /** Every table with these margins is asked whether it is rejected. */
  @ParameterizedTest
  @CsvSource({
    "3, 40, 11, 50, 0.05",
    "16, 403, 53, 408, 0.01",
    "1, 1, 0, 1, 0.05",
    "9, 10, 1, 30, 0.3",
    "2, 6, 1, 9, 0.6"
  })
  void rejectionBeginsWhereTheTestRejects(int x, int n1, int y, int n2, double alpha) {
    Tally first = Tally.of(x, n1);
    Tally second = Tally.of(y, n2);
    int all = x + y;
    double pooled = all / (double) (n1 + n2);
    double error = 100 * Math.sqrt(pooled * (1 - pooled) * (1.0 / n1 + 1.0 / n2));
    NormalDistribution normal = NormalDistribution.of(0, error);
    for (Alternative alternative : Alternative.values()) {
      Hypothesis hypothesis = new Hypothesis(0, alternative);
      List<Double> wanted = new ArrayList<>();
      boolean before = alternative != Alternative.GREATER;
      for (int k = Math.max(0, all - n2); k <= Math.min(n1, all) + 1; k++) {
        boolean inside = k <= Math.min(n1, all);
        boolean rejected =
            inside
                ? TwoProportionTest.FISHER
                    .of(Tally.of(k, n1), Tally.of(all - k, n2), hypothesis)
                    .rejects(alpha)
                : alternative != Alternative.LESS;
        if (inside && rejected && !before) {
          wanted.add((double) k);
        } else if (!rejected && before && k > Math.max(0, all - n2)) {
          wanted.add(k - 1.0);
        }
        before = rejected;
      }
      assertThat(
              NullDistribution.critical(
                  TwoProportionTest.FISHER, first, second, alternative, alpha))
          .as("%s of %s, %s", alternative, first, second)
          .isEqualTo(wanted);
      List<Double> ends =
          NullDistribution.critical(TwoProportionTest.Z_POOLED, first, second, alternative, alpha);
      assertThat(ends).hasSize(alternative == Alternative.TWO_SIDED ? 2 : 1);
      double least = ends.get(0);
      double most = ends.get(ends.size() - 1);
      double beyond =
          (alternative == Alternative.GREATER ? 0 : normal.cumulativeProbability(least))
              + (alternative == Alternative.LESS ? 0 : normal.survivalProbability(most));
      assertThat(beyond).isCloseTo(alpha, within(1e-12));
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {1, 2, 3, 6, 40})
  void chiSquareIsDrawnWithItsUpperTail(double df) {
    ChiSquaredDistribution wanted = ChiSquaredDistribution.of(df);
    for (double observed : new double[] {0.5, 7, 300}) {
      NullDistribution drawn = NullDistribution.chiSquare(observed, df);
      double highest = Math.max(1.15 * observed, df + 5 * Math.sqrt(2 * df));
      assertThat(drawn.discrete()).isFalse();
      assertThat(drawn.points()).hasSize(400);
      assertThat(drawn.points().get(0).count()).isCloseTo(highest / 400, within(1e-12));
      assertThat(drawn.points().get(399).count()).isCloseTo(highest, within(1e-12));
      for (Point point : drawn.points()) {
        assertThat(point.height()).isCloseTo(wanted.density(point.count()), within(1e-12));
      }
      assertThat(drawn.lower().area()).isZero();
      assertThat(drawn.upper().end()).isEqualTo(observed);
      assertThat(drawn.upper().area())
          .isCloseTo(wanted.survivalProbability(observed), within(1e-14));
    }
    for (double alpha : new double[] {0.999, 0.5, 0.05, 1e-6}) {
      double above = NullDistribution.chiSquareAbove(alpha, df);
      assertThat(wanted.survivalProbability(above)).isCloseTo(alpha, within(1e-9));
    }
  }
}
