package dev.tavik.association;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import dev.tavik.count.CrossTable;
import dev.tavik.count.PairedTally;
import dev.tavik.count.SquareTable;
import dev.tavik.numeric.NoncentralChiSquare;
import dev.tavik.proportion.PairedTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class StrengthTest {
  /** Kilns by grade, sizes by delivery, and one with empty cells. */
  private static final List<String> TABLES =
      List.of(
          "355 32 8 8;322 33 37 16;331 25 21 8",
          "28 24;60 42;150 55;250 93;146 27",
          "9 0 1;3 8 0;0 4 12;1 2 5");

  private static double[][] counts(String cells) {
    return Arrays.stream(cells.split(";"))
        .map(row -> Arrays.stream(row.split(" ")).mapToDouble(Double::parseDouble).toArray())
        .toArray(double[][]::new);
  }

  private static List<List<Long>> longs(double[][] counts) {
    return Arrays.stream(counts)
        .map(row -> Arrays.stream(row).mapToObj(x -> (long) x).toList())
        .toList();
  }

  private static CrossTable table(double[][] counts) {
    return new CrossTable(
        IntStream.range(0, counts.length).mapToObj(i -> "r" + i).toList(),
        IntStream.range(0, counts[0].length).mapToObj(j -> "c" + j).toList(),
        longs(counts));
  }

  private static double[][] turned(double[][] counts) {
    double[][] turned = new double[counts[0].length][counts.length];
    for (int i = 0; i < counts.length; i++) {
      for (int j = 0; j < counts[0].length; j++) {
        turned[j][i] = counts[i][j];
      }
    }
    return turned;
  }

  /** Each measure by its plain definition, pair by pair or guess by guess. */
  private static double defined(AssociationMeasure measure, double[][] counts) {
    return switch (measure) {
      case PHI ->
          (counts[0][0] * counts[1][1] - counts[0][1] * counts[1][0])
              / Math.sqrt(row(counts, 0) * row(counts, 1))
              / Math.sqrt(row(turned(counts), 0) * row(turned(counts), 1));
      case LAMBDA_COLUMNS -> lambda(counts);
      case LAMBDA_ROWS -> lambda(turned(counts));
      case THEILS_U_COLUMNS -> uncertainty(counts);
      case THEILS_U_ROWS -> uncertainty(turned(counts));
      case GAMMA -> pairs(counts)[0] / pairs(counts)[1];
      case KENDALLS_TAU_B -> pairs(counts)[0] / Math.sqrt(pairs(counts)[2] * pairs(counts)[3]);
      case SOMERS_D_COLUMNS -> pairs(counts)[0] / pairs(counts)[2];
      case SOMERS_D_ROWS -> pairs(counts)[0] / pairs(counts)[3];
      default -> throw new IllegalArgumentException(measure.name());
    };
  }

  private static double row(double[][] counts, int i) {
    return Arrays.stream(counts[i]).sum();
  }

  private static double lambda(double[][] counts) {
    double total = Arrays.stream(counts).mapToDouble(row -> Arrays.stream(row).sum()).sum();
    double most =
        Arrays.stream(turned(counts)).mapToDouble(c -> Arrays.stream(c).sum()).max().orElse(0);
    double best = Arrays.stream(counts).mapToDouble(r -> Arrays.stream(r).max().orElse(0)).sum();
    return (best - most) / (total - most);
  }

  private static double entropy(double... counts) {
    double total = Arrays.stream(counts).sum();
    return -Arrays.stream(counts)
        .filter(x -> x > 0)
        .map(x -> x / total * Math.log(x / total))
        .sum();
  }

  private static double uncertainty(double[][] counts) {
    double rows = entropy(Arrays.stream(counts).mapToDouble(r -> Arrays.stream(r).sum()).toArray());
    double columns =
        entropy(Arrays.stream(turned(counts)).mapToDouble(r -> Arrays.stream(r).sum()).toArray());
    double both = entropy(Arrays.stream(counts).flatMapToDouble(Arrays::stream).toArray());
    return (rows + columns - both) / columns;
  }

  /** P - Q, P + Q, and the pairs not tied in rows and in columns. */
  private static double[] pairs(double[][] counts) {
    double[] sums = new double[4];
    for (int i = 0; i < counts.length; i++) {
      for (int j = 0; j < counts[0].length; j++) {
        for (int k = 0; k < counts.length; k++) {
          for (int l = 0; l < counts[0].length; l++) {
            double pairs = counts[i][j] * counts[k][l];
            int order = Integer.signum(k - i) * Integer.signum(l - j);
            sums[0] += order * pairs;
            sums[1] += Math.abs(order) * pairs;
            sums[2] += k == i ? 0 : pairs;
            sums[3] += l == j ? 0 : pairs;
          }
        }
      }
    }
    return sums;
  }

  /**
   * The standard error of the delta method, √(Σp g² - (Σp g)²)/√N, with the gradient by differences
   * of the definition.
   */
  private static double deltaMethod(double[][] counts, ToDoubleFunction<double[][]> measure) {
    double total = Arrays.stream(counts).mapToDouble(row -> Arrays.stream(row).sum()).sum();
    double mean = 0;
    double square = 0;
    for (int i = 0; i < counts.length; i++) {
      for (int j = 0; j < counts[0].length; j++) {
        if (counts[i][j] > 0) {
          double step = 1e-4 * counts[i][j];
          double[][] changed = Arrays.stream(counts).map(double[]::clone).toArray(double[][]::new);
          changed[i][j] += step;
          double above = measure.applyAsDouble(changed);
          changed[i][j] -= 2 * step;
          double gradient = (above - measure.applyAsDouble(changed)) / (2 * step) * total;
          mean += counts[i][j] / total * gradient;
          square += counts[i][j] / total * gradient * gradient;
        }
      }
    }
    return Math.sqrt((square - mean * mean) / total);
  }

  @ParameterizedTest
  @EnumSource(
      value = AssociationMeasure.class,
      names = {"CRAMERS_V", "CRAMERS_V_CORRECTED", "CONTINGENCY", "COHENS_W"},
      mode = EnumSource.Mode.EXCLUDE)
  void valuesAndStandardErrorsFollowFromTheDefinition(AssociationMeasure measure) {
    List<String> tables =
        measure == AssociationMeasure.PHI ? List.of("12 5;7 9", "14 386;31 379") : TABLES;
    for (String cells : tables) {
      double[][] counts = counts(cells);
      Estimate estimate = measure.of(table(counts));
      assertThat(estimate.value())
          .as("%s of %s", measure, cells)
          .isCloseTo(defined(measure, counts), within(1e-13));
      double error = deltaMethod(counts, changed -> defined(measure, changed));
      if (error > 1e-9) {
        assertThat(estimate.standardError())
            .as("standard error of %s of %s", measure, cells)
            .isCloseTo(error, within(1e-6 * error));
        Interval interval = measure.interval(table(counts), 0.9).orElseThrow();
        double reach = NormalDistribution.of(0, 1).inverseCumulativeProbability(0.95) * error;
        assertThat(interval.upper())
            .isCloseTo(
                Math.min(measure.quantity().greatest(), estimate.value() + reach), within(1e-6));
        assertThat(interval.lower())
            .isCloseTo(
                Math.max(measure.quantity().least(), estimate.value() - reach), within(1e-6));
      }
    }
  }

  /** A perfect order, none, and the reverse. */
  @Test
  void measuresOfOrderReachTheirEnds() {
    for (AssociationMeasure measure : AssociationMeasure.values()) {
      if (measure.ofOrder()) {
        assertThat(measure.of(table(counts("9 0 0;0 5 0;0 0 7"))).value())
            .isCloseTo(1, within(1e-14));
        assertThat(measure.of(table(counts("0 0 9;0 5 0;7 0 0"))).value())
            .isCloseTo(-1, within(1e-14));
        assertThat(measure.of(table(counts("4 8;5 10;6 12"))).value()).isZero();
        assertThat(measure.interval(table(counts("9 0 0;0 5 0;0 0 7")), 0.95)).isEmpty();
      }
    }
    assertThatIllegalArgumentException()
        .isThrownBy(() -> AssociationMeasure.GAMMA.interval(table(counts("1 2;3 4")), 1));
  }

  /** At either limit the observed chi-square stands at the tail it should. */
  @ParameterizedTest
  @CsvSource({
    "355 32 8 8;322 33 37 16;331 25 21 8, 0.95",
    "28 24;60 42;150 55;250 93;146 27, 0.99",
    "12 5;7 9, 0.8",
    "300 20;10 400, 0.95",
    "3000000 20;10 4000000, 0.95"
  })
  void intervalsOfChiSquareInvertTheNoncentralDistribution(String cells, double level) {
    CrossTable table = table(counts(cells));
    double n = table.total();
    double df = (table.rows().size() - 1.0) * (table.columns().size() - 1);
    double w = AssociationMeasure.COHENS_W.of(table).value();
    Interval interval = AssociationMeasure.COHENS_W.interval(table, level).orElseThrow();
    double tail = (1 - level) / 2;
    double low = n * interval.lower() * interval.lower();
    double high = n * interval.upper() * interval.upper();
    if (interval.lower() > 0) {
      assertThat(NoncentralChiSquare.upper(n * w * w, df, low)).isCloseTo(tail, within(1e-9));
    }
    assertThat(NoncentralChiSquare.lower(n * w * w, df, high)).isCloseTo(tail, within(1e-9));
    Interval v = AssociationMeasure.CRAMERS_V.interval(table, level).orElseThrow();
    double shorter = Math.min(table.rows().size(), table.columns().size()) - 1.0;
    assertThat(v.lower()).isCloseTo(interval.lower() / Math.sqrt(shorter), within(1e-12));
    assertThat(v.upper()).isLessThanOrEqualTo(1).isGreaterThanOrEqualTo(v.lower());
    assertThat(AssociationMeasure.CRAMERS_V_CORRECTED.interval(table, level)).isEmpty();
  }

  /** Bergsma's formula from sums over the cells, and where nothing is left of it. */
  @ParameterizedTest
  @CsvSource({
    "12 5;7 9",
    "14 386;31 379",
    "30 10 5;12 25 8;4 9 30;2 2 2",
    "5 5;5 5",
    "9 1 1 1 1;1 9 2 2 2",
    "3 0 0;0 3 0;0 0 3",
    "1 0;0 1",
    "2 0;0 1",
    "10 11;11 10"
  })
  void theCorrectedVIsItsFormula(String cells) {
    double[][] counts = counts(cells);
    int r = counts.length;
    int c = counts[0].length;
    double n = Arrays.stream(counts).flatMapToDouble(Arrays::stream).sum();
    double square = -1;
    for (double[] row : counts) {
      for (int j = 0; j < c; j++) {
        int column = j;
        double both =
            Arrays.stream(row).sum()
                * Arrays.stream(counts).mapToDouble(each -> each[column]).sum();
        square += row[j] * row[j] / both;
      }
    }
    double left = square - (r - 1) * (c - 1) / (n - 1);
    double rows = r - Math.pow(r - 1, 2) / (n - 1);
    double columns = c - Math.pow(c - 1, 2) / (n - 1);
    double shorter = Math.min(rows, columns) - 1;
    double expected = left <= 1e-15 || shorter <= 0 ? 0 : Math.sqrt(left / shorter);
    assertThat(AssociationMeasure.CRAMERS_V_CORRECTED.of(table(counts)).value())
        .isCloseTo(expected, within(1e-12));
  }

  /**
   * Values to 18 digits by summing the Poisson mixture with forty digits (mpmath); the two tails
   * add up to 1, and without noncentrality it is chi-square.
   */
  @ParameterizedTest
  @CsvSource({
    "2.431, 1, 0.5, 0.79119218084596507, 0.20880781915403493",
    "10, 3, 8, 0.49735172634520952, 0.50264827365479048",
    "100, 3, 60, 0.983842442264779576, 0.0161575577352204241",
    "300, 1, 250, 0.934365911537965373, 0.0656340884620346272",
    "420, 30, 300, 0.99190479120176715, 0.00809520879823285035",
    "1100, 1, 1000, 0.938641767341756339, 0.0613582326582436611",
    "4000, 7, 4200, 0.0538394840465134644, 0.946160515953486536",
    "9000, 3, 9100, 0.295943903210616222, 0.704056096789383778"
  })
  void noncentralTailsAreRight(double x, double df, double lambda, double lower, double upper) {
    assertThat(NoncentralChiSquare.lower(x, df, lambda)).isCloseTo(lower, within(3e-12 * lower));
    assertThat(NoncentralChiSquare.upper(x, df, lambda)).isCloseTo(upper, within(3e-12 * upper));
    assertThat(NoncentralChiSquare.upper(x, df, 0))
        .isCloseTo(ChiSquaredDistribution.of(df).survivalProbability(x), within(1e-13));
  }

  private static SquareTable square(double[][] counts) {
    return new SquareTable(
        IntStream.range(0, counts.length).mapToObj(i -> "l" + i).toList(), longs(counts));
  }

  private static double kappa(Agreement agreement, double[][] counts) {
    double total = Arrays.stream(counts).mapToDouble(row -> Arrays.stream(row).sum()).sum();
    double observed = 0;
    double expected = 0;
    for (int i = 0; i < counts.length; i++) {
      for (int j = 0; j < counts.length; j++) {
        double apart = Math.abs(i - j) / (counts.length - 1.0);
        double weight =
            switch (agreement) {
              case KAPPA -> i == j ? 1 : 0;
              case LINEAR -> 1 - apart;
              case QUADRATIC -> 1 - apart * apart;
            };
        observed += weight * counts[i][j] / total;
        expected += weight * row(counts, i) * row(turned(counts), j) / total / total;
      }
    }
    return (observed - expected) / (1 - expected);
  }

  @ParameterizedTest
  @EnumSource(Agreement.class)
  void agreementAndItsStandardErrorFollowFromTheDefinition(Agreement agreement) {
    for (String cells :
        List.of("178 8 1 1;1 21 0 1;1 1 14 0;1 0 0 12", "40 9;6 45", "11 3 2;4 9 5;0 6 10")) {
      double[][] counts = counts(cells);
      Estimate estimate = agreement.of(square(counts));
      double error = deltaMethod(counts, changed -> kappa(agreement, changed));
      assertThat(estimate.value()).isCloseTo(kappa(agreement, counts), within(1e-14));
      assertThat(estimate.standardError()).isCloseTo(error, within(1e-6 * error));
      assertThat(agreement.interval(square(counts), 0.95).orElseThrow().contains(estimate.value()))
          .isTrue();
    }
    assertThat(agreement.of(square(counts("5 0;0 7"))).value()).isEqualTo(1);
    assertThat(agreement.interval(square(counts("5 0;0 7")), 0.95)).isEmpty();
    assertThat(agreement.of(square(counts("5 0;0 0"))).value()).isNaN();
  }

  /** Two levels agree with McNemar's z²; three with the sum over pairs. */
  @Test
  void symmetryIsItsFormula() {
    assertThat(SquareTest.BOWKER.of(square(counts("178 8;3 21"))).statistic())
        .satisfies(statistic -> assertThat(statistic).isNotNull())
        .extracting(statistic -> statistic == null ? 0 : statistic.value())
        .isEqualTo(25 / 11.0);
    var three = SquareTest.BOWKER.of(square(counts("20 5 0;2 30 0;0 0 9")));
    assertThat(three.df()).isEqualTo(1);
    var none = SquareTest.BOWKER.of(square(counts("20 0;0 9")));
    assertThat(none.pValue()).isEqualTo(1);
    assertThat(none.statistic()).isNull();
  }

  /** Every table with the same exchanges, counted as whole numbers. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "20 5;0 10",
        "20 5;1 10",
        "3 7;7 3",
        "5 9;2 8",
        "4 3 1;0 5 2;6 2 4",
        "1 4 0;0 2 8;5 1 0",
        "0 1 2 0;3 0 0 4;0 5 0 1;2 2 6 0",
        "9 12;30 4"
      })
  void exactSymmetrySumsTheTablesNoMoreProbable(String cells) {
    SquareTable square = square(counts(cells));
    List<long[]> pairs = new ArrayList<>();
    for (int i = 0; i < square.levels().size(); i++) {
      for (int j = 0; j < i; j++) {
        pairs.add(new long[] {square.count(i, j), square.count(i, j) + square.count(j, i)});
      }
    }
    BigInteger observed = BigInteger.ONE;
    BigInteger all = BigInteger.ONE;
    for (long[] pair : pairs) {
      observed = observed.multiply(choose(pair[1], pair[0]));
      all = all.shiftLeft((int) pair[1]);
    }
    BigInteger sum = noMoreProbable(pairs, 0, BigInteger.ONE, observed);
    double exact =
        new BigDecimal(sum).divide(new BigDecimal(all), MathContext.DECIMAL64).doubleValue();
    assertThat(SquareTest.EXACT_SYMMETRY.of(square).pValue())
        .isCloseTo(exact, withinPercentage(1e-10));
  }

  private static BigInteger noMoreProbable(
      List<long[]> pairs, int from, BigInteger ways, BigInteger observed) {
    if (from == pairs.size()) {
      return ways.compareTo(observed) <= 0 ? ways : BigInteger.ZERO;
    }
    BigInteger sum = BigInteger.ZERO;
    for (long x = 0; x <= pairs.get(from)[1]; x++) {
      BigInteger more = ways.multiply(choose(pairs.get(from)[1], x));
      sum = sum.add(noMoreProbable(pairs, from + 1, more, observed));
    }
    return sum;
  }

  private static BigInteger choose(long n, long k) {
    BigInteger ways = BigInteger.ONE;
    for (long i = 0; i < k; i++) {
      ways = ways.multiply(BigInteger.valueOf(n - i)).divide(BigInteger.valueOf(i + 1));
    }
    return ways;
  }

  /** Of two levels it is McNemar's exact test; where nothing is enough to list, it declines. */
  @Test
  void exactSymmetryIsMcNemarsExactTest() {
    for (long one : new long[] {0, 1, 4, 60, 700}) {
      PairedTally tally = PairedTally.of(3, one, 13, 5);
      assertThat(SquareTest.EXACT_SYMMETRY.of(square(counts("3 " + one + ";13 5"))).log10PValue())
          .isCloseTo(
              PairedTest.MCNEMAR_EXACT.of(tally, Alternative.TWO_SIDED).log10PValue(),
              within(1e-10));
    }
    assertThatExceptionOfType(NotApplicableException.class)
        .isThrownBy(() -> SquareTest.EXACT_SYMMETRY.of(square(counts("3 9000000;13 5"))))
        .withMessageStartingWith("too-many-tables (");
  }

  @ParameterizedTest
  @ValueSource(strings = {"1 2;3", "1 -1;2 3", "0 0;0 0"})
  void squaresThatAreNoneAreRefused(String cells) {
    assertThatIllegalArgumentException().isThrownBy(() -> square(counts(cells)));
    List<String> twice = new ArrayList<>(List.of("a", "a"));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new SquareTable(twice, List.of(List.of(1L, 2L), List.of(3L, 4L))));
  }
}
