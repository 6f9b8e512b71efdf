package dev.tavik.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.bayes.BetaPrior;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.NotApplicableException;
import dev.tavik.tail.Tail;
import java.util.List;
import java.util.function.LongToDoubleFunction;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Numbers of observations against brute force: every n is tried, power by its definition. */
class SampleSizeTest {
  private static final Tail NORMAL = Tail.normal(0, 1);

  private static double rejected(double distance, double nullError, double error, double alpha) {
    double z = NORMAL.valueAbove(alpha / 2) * nullError;
    return NORMAL.upper((z - distance) / error) + NORMAL.lower((-z - distance) / error);
  }

  private static long first(LongToDoubleFunction power, double wanted) {
    long n = 1;
    while (power.applyAsDouble(n) < wanted) {
      n++;
    }
    return n;
  }

  @ParameterizedTest
  @CsvSource({
    "0.08, 0.05, 0.05, 0.9, 731",
    "0.08, 0.06, 0.05, 0.9, 1748",
    "0.08, 0.11, 0.05, 0.9, 967",
    "0.5, 0.6, 0.01, 0.8, 0",
    "0.03, 0.1, 0.1, 0.95, 0",
    "0.9, 0.99, 0.05, 0.8, 0",
    "0.3, 0.31, 0.05, 0.5, 0"
  })
  void rateByTheNormalDistribution(
      double against, double expected, double alpha, double wanted, long known) {
    double variance = expected * (1 - expected);
    long score =
        first(
            n ->
                rejected(
                    expected - against,
                    Math.sqrt(against * (1 - against) / n),
                    Math.sqrt(variance / n),
                    alpha),
            wanted);
    long wald =
        first(
            n ->
                rejected(
                    expected - against, Math.sqrt(variance / n), Math.sqrt(variance / n), alpha),
            wanted);
    Hypothesis hypothesis = Hypothesis.twoSided(against);
    assertThat(n(RateDesign.of(ProportionTest.SCORE, hypothesis, alpha), expected, wanted))
        .isEqualTo(score)
        .isEqualTo(known == 0 ? score : known);
    assertThat(n(RateDesign.of(ProportionTest.WALD, hypothesis, alpha), expected, wanted))
        .isEqualTo(wald);
  }

  private static long n(PowerDesign design, double effect, double power) {
    SampleSize size = SampleSize.of(design, effect, power);
    assertThat(design.at(size.sizes()).at(effect)).isGreaterThanOrEqualTo(power);
    return size.sizes().first();
  }

  @ParameterizedTest
  @CsvSource({
    "0.08, 0.05, 0.05, 0.8, 1059",
    "0.08, 0.045, 0.05, 0.8, 750",
    "0.4, 0.55, 0.01, 0.95, 0",
    "0.02, 0.1, 0.05, 0.9, 0"
  })
  void comparisonByTheNormalDistribution(
      double base, double other, double alpha, double wanted, long known) {
    double pooled = (base + other) / 2;
    double own = base * (1 - base) + other * (1 - other);
    long zPooled =
        first(
            n ->
                rejected(
                    other - base,
                    Math.sqrt(2 * pooled * (1 - pooled) / n),
                    Math.sqrt(own / n),
                    alpha),
            wanted);
    long zSeparate =
        first(n -> rejected(other - base, Math.sqrt(own / n), Math.sqrt(own / n), alpha), wanted);
    Hypothesis none = Hypothesis.twoSided(0);
    assertThat(n(CompareDesign.of(TwoProportionTest.Z_POOLED, base, none, alpha), other, wanted))
        .isEqualTo(zPooled)
        .isEqualTo(known == 0 ? zPooled : known);
    assertThat(n(CompareDesign.of(TwoProportionTest.Z_SEPARATE, base, none, alpha), other, wanted))
        .isEqualTo(zSeparate);
  }

  /** The second group follows from the first before it is rounded. */
  @Test
  void unequalGroupsAreRoundedUpApart() {
    CompareDesign design =
        new CompareDesign(
            TwoProportionTest.Z_POOLED,
            PowerMethod.NORMAL,
            0.08,
            Hypothesis.twoSided(0),
            null,
            0.05,
            2.5);
    Sizes sizes = SampleSize.of(design, 0.045, 0.8).sizes();
    double unrounded = 400;
    while (design.smooth(unrounded, 0.045) < 0.8) {
      unrounded += 1e-4;
    }
    assertThat(sizes.groups())
        .containsExactly((long) Math.ceil(unrounded), (long) Math.ceil(2.5 * unrounded));
    assertThat(design.at(sizes).at(0.045)).isGreaterThanOrEqualTo(0.8);
  }

  @ParameterizedTest
  @CsvSource({"6, 0.2, 0.05, 0.9, 436", "1, 0.3, 0.01, 0.8, 0", "3, 0.1, 0.05, 0.95, 0"})
  void tables(int df, double w, double alpha, double wanted, long known) {
    TableDesign design = new TableDesign(df, alpha, Double.POSITIVE_INFINITY);
    double critical = Tail.chiSquare(df).valueAbove(alpha);
    long brute = first(n -> Tail.chiSquare(df, n * w * w).upper(critical), wanted);
    assertThat(n(design, w, wanted)).isEqualTo(brute).isEqualTo(known == 0 ? brute : known);
  }

  /** Chi-square with one degree of freedom is a squared normal deviate. */
  @Test
  void oneDegreeOfFreedomIsATwoSidedTest() {
    Power power = new TableDesign(1, 0.05, Double.POSITIVE_INFINITY).at(Sizes.of(100));
    for (double w : new double[] {0.05, 0.2, 0.5}) {
      double z = NORMAL.valueAbove(0.025);
      assertThat(power.at(w))
          .isCloseTo(NORMAL.upper(z - 10 * w) + NORMAL.lower(-z - 10 * w), within(1e-13));
    }
  }

  /** With two groups the trend is the pooled z test. */
  @Test
  void aTrendOfTwoIsAComparison() {
    TrendDesign trend =
        new TrendDesign(List.of(0.08, 0.05), List.of(1.0, 5.0), Alternative.TWO_SIDED, 0.05);
    SampleSize size = SampleSize.of(trend, 0, 0.8);
    assertThat(size.sizes()).isEqualTo(Sizes.equal(2, 1059));
    CompareDesign pair =
        CompareDesign.of(TwoProportionTest.Z_POOLED, 0.08, Hypothesis.twoSided(0), 0.05);
    assertThat(trend.at(Sizes.of(300, 300)).at(0))
        .isCloseTo(pair.at(Sizes.of(300, 300)).at(0.05), within(1e-14));
  }

  static Stream<Arguments> swinging() {
    Hypothesis none = Hypothesis.twoSided(0);
    return Stream.of(
        Arguments.of(rate(ProportionTest.EXACT, Hypothesis.less(0.05)), 0.01, 0.8),
        Arguments.of(rate(ProportionTest.EXACT, Hypothesis.twoSided(0.08)), 0.05, 0.9),
        Arguments.of(rate(ProportionTest.SCORE, Hypothesis.twoSided(0.08)), 0.11, 0.9),
        Arguments.of(rate(ProportionTest.MID_P, Hypothesis.greater(0.02)), 0.05, 0.8),
        Arguments.of(rate(ProportionTest.WALD, Hypothesis.twoSided(0.3)), 0.45, 0.85),
        Arguments.of(compare(TwoProportionTest.FISHER, none), 0.12, 0.8),
        Arguments.of(compare(TwoProportionTest.BOSCHLOO, Hypothesis.less(0)), 0.05, 0.9),
        Arguments.of(compare(TwoProportionTest.SCORE, Hypothesis.less(0.2)), 0.3, 0.8),
        Arguments.of(
            new PairedDesign(
                PairedTest.MCNEMAR_EXACT, PowerMethod.EXACT, 0.05, Alternative.TWO_SIDED, 0.05),
            0.2,
            0.8),
        Arguments.of(
            new EvidenceDesign(Hypothesis.twoSided(0.2), BetaPrior.UNIFORM, 10), 0.35, 0.8),
        Arguments.of(new EvidenceDesign(Hypothesis.twoSided(0.2), BetaPrior.UNIFORM, 5), 0.2, 0.8));
  }

  private static PowerDesign rate(ProportionTest test, Hypothesis hypothesis) {
    return RateDesign.of(test, hypothesis, 0.05).withTheory(PowerMethod.EXACT);
  }

  private static PowerDesign compare(TwoProportionTest test, Hypothesis hypothesis) {
    return CompareDesign.of(test, 0.3, hypothesis, 0.05).withTheory(PowerMethod.EXACT);
  }

  /** Every number is looked at, also far beyond where the search ended. */
  @ParameterizedTest
  @MethodSource("swinging")
  void theSmallestAndTheLastingNumber(PowerDesign design, double effect, double wanted) {
    SampleSize found = SampleSize.of(design, effect, wanted);
    long reach = 2 * found.holdsFrom().first() + 20;
    long first = 0;
    long lastShort = 0;
    for (long n = 1; n <= reach; n++) {
      boolean reached = design.at(design.sizes((double) n)).at(effect) >= wanted;
      first = reached && first == 0 ? n : first;
      lastShort = reached ? lastShort : n;
    }
    assertThat(found.sizes().first()).isEqualTo(first);
    assertThat(found.holdsFrom().first()).isEqualTo(Math.max(first, lastShort + 1));
  }

  /** A search that starts well below, quicker by its neighbours, finds what every n would. */
  @Test
  void largerSearchesStartBelow() {
    PowerDesign design = rate(ProportionTest.EXACT, Hypothesis.twoSided(0.08));
    SampleSize found = SampleSize.of(design, 0.065, 0.9);
    long first = 0;
    long lastShort = 0;
    for (long n = 1; n <= 5000; n++) {
      boolean reached = design.at(Sizes.of(n)).at(0.065) >= 0.9;
      first = reached && first == 0 ? n : first;
      lastShort = reached ? lastShort : n;
    }
    assertThat(found.sizes().first()).isEqualTo(first);
    assertThat(found.holdsFrom().first()).isEqualTo(lastShort + 1);
  }

  @Test
  void aLotEndsTheSearch() {
    RateDesign design =
        new RateDesign(
            ProportionTest.SCORE, PowerMethod.NORMAL, Hypothesis.twoSided(0.08), 0.05, 800L);
    double n = (double) n(design, 0.05, 0.9);
    // In a lot n tells as much as n(N - 1)/(N - n) without one.
    assertThat(n * 799.0 / (800.0 - n)).isGreaterThanOrEqualTo(730.0);
    assertThat((n - 1) * 799.0 / (801.0 - n)).isLessThan(731.0);
    assertThatThrownBy(() -> SampleSize.of(design, 0.0799, 0.9))
        .isInstanceOf(NotApplicableException.class)
        .hasMessage("out-of-reach (799)");
  }

  @ParameterizedTest
  @MethodSource("effects")
  void effectsGiveBackTheirPower(PowerDesign design, Sizes sizes, double power, int many) {
    List<Double> effects = DetectableEffect.of(design, sizes, power);
    assertThat(effects).hasSize(many);
    for (double effect : effects) {
      assertThat(design.at(sizes).at(effect)).isCloseTo(power, within(1e-10));
    }
  }

  static Stream<Arguments> effects() {
    return Stream.of(
        Arguments.of(
            RateDesign.of(ProportionTest.SCORE, Hypothesis.twoSided(0.08), 0.05),
            Sizes.of(731),
            0.9,
            2),
        Arguments.of(rate(ProportionTest.EXACT, Hypothesis.less(0.08)), Sizes.of(300), 0.8, 1),
        // So few can't find a rate that is too low.
        Arguments.of(rate(ProportionTest.EXACT, Hypothesis.twoSided(0.08)), Sizes.of(20), 0.9, 1),
        Arguments.of(
            compare(TwoProportionTest.FISHER, Hypothesis.twoSided(0)), Sizes.of(60, 60), 0.8, 2),
        Arguments.of(new TableDesign(6, 0.05, Double.POSITIVE_INFINITY), Sizes.of(436), 0.9, 1),
        Arguments.of(
            new PairedDesign(
                PairedTest.MCNEMAR, PowerMethod.NORMAL, 0.02, Alternative.GREATER, 0.05),
            Sizes.of(300),
            0.8,
            1));
  }

  @ParameterizedTest
  @CsvSource({
    "DIFFERENCE, -0.03, 0.05",
    "RATIO, 0.75, 0.06",
    "ODDS_RATIO, 2, 0.14814814814814814",
    "PROPORTION, 0.11, 0.11"
  })
  void effectsAreStatedInSeveralMeasures(Effect.Measure measure, double value, double rate) {
    assertThat(new Effect(measure, value).from(0.08)).isCloseTo(rate, within(1e-15));
  }

  @Test
  void impossibleEffectsAreRefused() {
    assertThatThrownBy(() -> new Effect(Effect.Measure.RATIO, 13).from(0.08))
        .hasMessageContaining("gives a rate of 1.04");
    assertThatThrownBy(
            () ->
                RateDesign.of(ProportionTest.SCORE, Hypothesis.less(0.08), 0.05)
                    .effects()
                    .require("expect", 0.1, Alternative.LESS))
        .hasMessageContaining(
            "expect 10% lies above the null value 8%, but the alternative is less");
    assertThatThrownBy(
            () ->
                new TrendDesign(List.of(0.1, 0.1), List.of(1.0, 2.0), Alternative.TWO_SIDED, 0.05))
        .hasMessageContaining("no trend");
  }

  /** Three points lower, six tenths, odds and the rate itself are one effect, in each measure. */
  @Test
  void anEffectIsTheSameInEveryMeasure() {
    CompareDesign two = CompareDesign.of(TwoProportionTest.Z_POOLED, 0.08);
    RateDesign one = RateDesign.of(ProportionTest.EXACT, Hypothesis.twoSided(0.08), 0.05);
    for (PowerDesign design : List.of(two, one)) {
      Sizes sizes = design.sizes(700);
      double power = design.at(sizes).at(0.05);
      for (Effect effect :
          List.of(
              Effect.secondRate(0.05),
              Effect.difference(-0.03),
              Effect.ratio(0.625),
              Effect.oddsRatio(0.05 / 0.95 / (0.08 / 0.92)))) {
        assertThat(design.power(sizes, effect)).as("%s", effect).isCloseTo(power, within(1e-12));
        Sizes enough = design.sizeFor(effect, 0.9);
        assertThat(design.power(enough, effect)).as("%s", effect).isGreaterThanOrEqualTo(0.9);
        Sizes fewer = design.sizes(enough.first() - 1.0);
        assertThat(design.power(fewer, effect)).as("%s", effect).isLessThan(0.9);
      }
    }
    TableDesign table = new TableDesign(4, 0.05, Double.POSITIVE_INFINITY);
    assertThat(table.power(Sizes.of(200), Effect.cohensW(0.3)))
        .isEqualTo(table.at(Sizes.of(200)).at(0.3));
    assertThatThrownBy(() -> two.power(Sizes.of(400, 400), Effect.cohensW(0.3)))
        .hasMessage("an effect of z-pooled must be a rate, difference, ratio or odds ratio, got w");
    assertThatThrownBy(() -> table.sizeFor(Effect.difference(0.03), 0.9))
        .hasMessageContaining("must be Cohen's w, got difference");
    assertThatThrownBy(() -> two.sizeFor(Effect.difference(-0.09), 0.9))
        .hasMessageContaining("doesn't lie between 0 and 1");
  }
}
