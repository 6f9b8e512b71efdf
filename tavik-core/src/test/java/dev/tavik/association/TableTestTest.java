package dev.tavik.association;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.CrossTable;
import dev.tavik.count.Tally;
import dev.tavik.numeric.LogFactorials;
import dev.tavik.proofs.KeptValues;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.simulation.Draws;
import dev.tavik.simulation.NullWorld;
import dev.tavik.simulation.SimulatedTail;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

@Order(1)
class TableTestTest {
  private static final MathContext DIGITS = new MathContext(50);
  private static final KeptValues KEPT = KeptValues.of("fisher-tables.txt");

  private static CrossTable table(String cells) {
    List<List<Long>> rows = new ArrayList<>();
    for (String row : cells.split(";")) {
      rows.add(Arrays.stream(row.strip().split(" ")).map(Long::valueOf).toList());
    }
    return new CrossTable(names("r", rows.size()), names("c", rows.get(0).size()), rows);
  }

  private static List<String> names(String what, int size) {
    return IntStream.range(0, size).mapToObj(i -> what + i).toList();
  }

  private static double statistic(TableTest test, CrossTable table) {
    return Objects.requireNonNull(test.of(table).statistic()).value();
  }

  /** By the definition, in fifty digits. */
  private static double pearson(CrossTable table) {
    BigDecimal sum = BigDecimal.ZERO;
    for (int i = 0; i < table.rows().size(); i++) {
      for (int j = 0; j < table.columns().size(); j++) {
        BigDecimal expected =
            BigDecimal.valueOf(table.rowTotal(i))
                .multiply(BigDecimal.valueOf(table.columnTotal(j)))
                .divide(BigDecimal.valueOf(table.total()), DIGITS);
        BigDecimal excess = BigDecimal.valueOf(table.count(i, j)).subtract(expected);
        sum = sum.add(excess.multiply(excess).divide(expected, DIGITS));
      }
    }
    return sum.doubleValue();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "12 5;7 9",
        "355 32 8 8;322 33 37 16;331 25 21 8",
        "1 2 2 1 1 0 1;2 0 0 2 3 0 0;0 1 1 1 2 7 3;1 1 2 0 0 0 1;0 1 1 1 1 0 0",
        "1000000001 999999999;999999998 1000000003",
        "900000000 3 1;4 800000000 1"
      })
  void pearsonIsItsDefinitionToTheLastDigits(String cells) {
    CrossTable table = table(cells);
    double expected = pearson(table);
    TestResult result = TableTest.PEARSON.of(table);
    assertThat(statistic(TableTest.PEARSON, table)).isCloseTo(expected, within(1e-12 * expected));
    double df = (table.rows().size() - 1.0) * (table.columns().size() - 1);
    assertThat(result.df()).isEqualTo(df);
    double p = ChiSquaredDistribution.of(df).survivalProbability(expected);
    assertThat(result.pValue()).isCloseTo(p, within(1e-11 * p));
  }

  /**
   * Plain formulas on a table whose cells are far from their expectation, where nothing cancels.
   */
  @Test
  void otherStatisticsAreTheirFormulas() {
    CrossTable table = table("30 3 0;4 25 9;2 8 40");
    double g = 0;
    double power = 0;
    for (int i = 0; i < 3; i++) {
      for (int j = 0; j < 3; j++) {
        double observed = table.count(i, j);
        double expected = (double) table.rowTotal(i) * table.columnTotal(j) / table.total();
        g += observed == 0 ? 0 : 2 * observed * Math.log(observed / expected);
        power += 1.8 * observed * (Math.pow(observed / expected, 2.0 / 3) - 1);
      }
    }
    assertThat(statistic(TableTest.LIKELIHOOD_RATIO, table)).isCloseTo(g, within(1e-11));
    assertThat(statistic(TableTest.CRESSIE_READ, table)).isCloseTo(power, within(1e-11));
  }

  /**
   * Near independence all power divergences agree to the second order; digits must not be lost
   * there.
   */
  @Test
  void statisticsAgreeNearIndependence() {
    CrossTable table = table("1000000100 2000000000;1000000000 2000000300");
    double pearson = pearson(table);
    assertThat(statistic(TableTest.LIKELIHOOD_RATIO, table))
        .isCloseTo(pearson, within(1e-6 * pearson));
    assertThat(statistic(TableTest.CRESSIE_READ, table)).isCloseTo(pearson, within(1e-6 * pearson));
    CrossTable exact = table("1 2;10 20");
    assertThat(statistic(TableTest.PEARSON, exact)).isZero();
    assertThat(statistic(TableTest.CRESSIE_READ, exact)).isZero();
    assertThat(TableTest.LIKELIHOOD_RATIO.of(exact).pValue()).isEqualTo(1);
  }

  /** The same counts asked as a comparison of two rates. */
  @ParameterizedTest
  @CsvSource({"14, 386, 31, 379", "12, 5, 7, 9", "3, 9, 9, 2", "400, 600, 410, 590"})
  void twoByTwoAgreesWithAComparison(long a, long b, long c, long d) {
    CrossTable table = table(a + " " + b + ";" + c + " " + d);
    Tally first = Tally.of(a, a + b);
    Tally second = Tally.of(c, c + d);
    double pooled =
        TwoProportionTest.Z_POOLED.of(first, second, Hypothesis.noDifference()).pValue();
    double corrected =
        TwoProportionTest.Z_POOLED_CC.of(first, second, Hypothesis.noDifference()).pValue();
    double ratio =
        TwoProportionTest.LIKELIHOOD_RATIO.of(first, second, Hypothesis.noDifference()).pValue();
    assertThat(TableTest.PEARSON.of(table).pValue()).isCloseTo(pooled, within(1e-12 * pooled));
    assertThat(TableTest.YATES.of(table).pValue()).isCloseTo(corrected, within(1e-11 * corrected));
    assertThat(TableTest.LIKELIHOOD_RATIO.of(table).pValue())
        .isCloseTo(ratio, within(1e-11 * ratio));
    double n = table.total();
    assertThat(statistic(TableTest.N_MINUS_1, table))
        .isCloseTo(pearson(table) * (n - 1) / n, within(1e-11));
    double phi = AssociationMeasure.PHI.of(table).value();
    assertThat(phi)
        .isCloseTo(
            (a * d - b * c) / Math.sqrt((double) (a + b) * (c + d) * ((double) (a + c) * (b + d))),
            within(1e-13));
    // All four cells of two by two depart equally far.
    double z = Math.abs(CellFigures.of(table, 0, 0).adjustedResidual());
    assertThat(z * z).isCloseTo(pearson(table), within(1e-10));
    assertThat(Math.abs(CellFigures.of(table, 1, 0).adjustedResidual()))
        .isCloseTo(z, within(1e-10));
  }

  /**
   * All tables with the same margins, by the number of ways Π r! Π c! / (N! Π x!), in whole
   * numbers; every third table is strongly associated.
   */
  @ParameterizedTest
  @CsvSource({
    "2, 3, 25, 300",
    "2, 4, 14, 300",
    "2, 5, 12, 300",
    "5, 2, 11, 200",
    "3, 3, 9, 400",
    "3, 3, 15, 200",
    "4, 3, 10, 300",
    "3, 4, 12, 200",
    "2, 6, 12, 300",
    "2, 7, 13, 200",
    "6, 3, 11, 100",
    "4, 4, 9, 200",
    "5, 4, 9, 50"
  })
  void fisherAgreesWithCountsOfTables(int rows, int columns, int units, int tables) {
    Random random = new Random(31L * rows + columns);
    int tried = 0;
    for (int k = 0; k < tables; k++) {
      long[][] cells = new long[rows][columns];
      for (int unit = 0; unit < units; unit++) {
        int row = random.nextInt(rows);
        boolean alike = k % 3 == 0 && random.nextInt(10) < 8;
        cells[row][alike ? row % columns : random.nextInt(columns)]++;
      }
      boolean full =
          Arrays.stream(cells).allMatch(row -> Arrays.stream(row).sum() > 0)
              && IntStream.range(0, columns)
                  .allMatch(j -> Arrays.stream(cells).mapToLong(row -> row[j]).sum() > 0);
      if (full) {
        tried++;
        double expected = byEnumeration(cells);
        assertThat(TableTest.FISHER.of(table(written(cells))).pValue())
            .as(written(cells))
            .isCloseTo(expected, within(1e-11 * expected));
      }
    }
    assertThat(tried).isGreaterThan(tables / 5);
  }

  private static double byEnumeration(long[][] observed) {
    long[] down = Arrays.stream(observed).mapToLong(row -> Arrays.stream(row).sum()).toArray();
    long[] across =
        IntStream.range(0, observed[0].length)
            .mapToLong(j -> Arrays.stream(observed).mapToLong(row -> row[j]).sum())
            .toArray();
    BigInteger scale = BigInteger.ONE;
    for (long margin : across) {
      scale = scale.multiply(factorial(margin));
    }
    List<BigInteger> ways = new ArrayList<>();
    enumerate(
        new long[down.length][across.length], 0, 0, down.clone(), across.clone(), scale, ways);
    BigInteger own = ways(observed, scale);
    BigInteger all = ways.stream().reduce(BigInteger.ZERO, BigInteger::add);
    BigInteger noMore =
        ways.stream().filter(w -> w.compareTo(own) <= 0).reduce(BigInteger.ZERO, BigInteger::add);
    return new BigDecimal(noMore).divide(new BigDecimal(all), DIGITS).doubleValue();
  }

  /** Π c! Π 1/x!, a whole number. */
  private static BigInteger ways(long[][] cells, BigInteger scale) {
    BigInteger divisor = BigInteger.ONE;
    for (long[] row : cells) {
      for (long count : row) {
        divisor = divisor.multiply(factorial(count));
      }
    }
    return scale.divide(divisor);
  }

  private static BigInteger factorial(long k) {
    BigInteger result = BigInteger.ONE;
    for (long i = 2; i <= k; i++) {
      result = result.multiply(BigInteger.valueOf(i));
    }
    return result;
  }

  private static void enumerate(
      long[][] cells,
      int i,
      int j,
      long[] down,
      long[] across,
      BigInteger scale,
      List<BigInteger> ways) {
    if (i == cells.length) {
      if (Arrays.stream(across).allMatch(left -> left == 0)) {
        ways.add(ways(cells, scale));
      }
      return;
    }
    if (j == cells[0].length) {
      if (down[i] == 0) {
        enumerate(cells, i + 1, 0, down, across, scale, ways);
      }
      return;
    }
    for (long x = 0; x <= Math.min(down[i], across[j]); x++) {
      cells[i][j] = x;
      down[i] -= x;
      across[j] -= x;
      enumerate(cells, i, j + 1, down, across, scale, ways);
      down[i] += x;
      across[j] += x;
    }
    cells[i][j] = 0;
  }

  /**
   * Larger tables against a slow twin: columns are filled one after another, tables with the same
   * remainders and the same Π x! are counted together, and no bound is used; all in whole numbers.
   */
  @ParameterizedTest
  @CsvSource({
    "3, 4, 60, 6",
    "4, 4, 40, 6",
    "2, 9, 60, 6",
    "3, 6, 40, 6",
    "5, 4, 30, 4",
    "5, 5, 25, 3",
    "2, 5, 120, 4",
    "3, 3, 90, 6",
    "7, 3, 30, 3"
  })
  void fisherAgreesWithASlowTwin(int rows, int columns, int units, int tables) {
    Random random = new Random(101L * rows + columns);
    for (int k = 0; k < tables; k++) {
      long[][] cells = new long[rows][columns];
      for (int i = 0; i < rows; i++) {
        cells[i][i % columns]++;
      }
      for (int j = 0; j < columns; j++) {
        cells[j % rows][j]++;
      }
      for (int unit = rows + columns; unit < units; unit++) {
        // From even margins to steep ones, from independence to strong association.
        int row = (int) (rows * Math.pow(random.nextDouble(), 1 + k % 3));
        boolean alike = random.nextInt(6) < k;
        cells[row][alike ? row % columns : random.nextInt(columns)]++;
      }
      double expected = KEPT.value("twin " + written(cells), () -> byTwin(cells));
      assertThat(TableTest.FISHER.of(table(written(cells))).pValue())
          .as(written(cells))
          .isCloseTo(expected, within(1e-11 * expected));
    }
  }

  private static String written(long[][] cells) {
    return Arrays.stream(cells)
        .map(row -> Arrays.stream(row).mapToObj(Long::toString).collect(Collectors.joining(" ")))
        .collect(Collectors.joining(";"));
  }

  private static double byTwin(long[][] observed) {
    int width = observed[0].length;
    List<Long> down = Arrays.stream(observed).map(row -> Arrays.stream(row).sum()).toList();
    BigInteger own = BigInteger.ONE;
    for (long[] row : observed) {
      for (long count : row) {
        own = own.multiply(factorial(count));
      }
    }
    Map<List<Long>, Map<BigInteger, BigInteger>> states = new HashMap<>();
    states.put(down, Map.of(BigInteger.ONE, BigInteger.ONE));
    for (int j = 0; j < width; j++) {
      int column = j;
      long total = Arrays.stream(observed).mapToLong(row -> row[column]).sum();
      Map<List<Long>, Map<BigInteger, BigInteger>> next = new HashMap<>();
      states.forEach(
          (left, products) ->
              twinFill(left, 0, total, new ArrayList<>(), BigInteger.ONE, products, next));
      states = next;
    }
    BigDecimal all = BigDecimal.ZERO;
    BigDecimal noMore = BigDecimal.ZERO;
    for (Map<BigInteger, BigInteger> products : states.values()) {
      for (Map.Entry<BigInteger, BigInteger> each : products.entrySet()) {
        BigDecimal weight =
            new BigDecimal(each.getValue()).divide(new BigDecimal(each.getKey()), DIGITS);
        all = all.add(weight);
        noMore = each.getKey().compareTo(own) >= 0 ? noMore.add(weight) : noMore;
      }
    }
    return noMore.divide(all, DIGITS).doubleValue();
  }

  private static void twinFill(
      List<Long> left,
      int row,
      long more,
      List<Long> after,
      BigInteger product,
      Map<BigInteger, BigInteger> products,
      Map<List<Long>, Map<BigInteger, BigInteger>> next) {
    if (row == left.size()) {
      if (more == 0) {
        List<Long> state = after.stream().sorted().toList();
        Map<BigInteger, BigInteger> found = next.computeIfAbsent(state, key -> new HashMap<>());
        products.forEach((so, count) -> found.merge(so.multiply(product), count, BigInteger::add));
      }
      return;
    }
    for (long x = 0; x <= Math.min(more, left.get(row)); x++) {
      after.add(left.get(row) - x);
      twinFill(left, row + 1, more - x, after, product.multiply(factorial(x)), products, next);
      after.remove(after.size() - 1);
    }
  }

  /** Two tables known to be hard: 1.1·10¹¹ tables have the margins of the first. */
  @ParameterizedTest
  @CsvSource({
    "1 2 2 1 1 0 1;2 0 0 2 3 0 0;0 1 1 1 2 7 3;1 1 2 0 0 0 1;0 1 1 1 1 0 0, 0.0392896436553339, 1e-15",
    "1 2 1 0;3 3 6 1;10 10 14 9;6 7 12 11, 0.7826849390, 5e-11"
  })
  void fisherAgreesWithPublishedTables(String cells, double expected, double tolerance) {
    assertThat(TableTest.FISHER.of(table(cells)).pValue()).isCloseTo(expected, within(tolerance));
    // Rows and columns may be exchanged.
    CrossTable table = table(cells);
    String turned =
        IntStream.range(0, table.columns().size())
            .mapToObj(
                j ->
                    IntStream.range(0, table.rows().size())
                        .mapToObj(i -> Long.toString(table.count(i, j)))
                        .collect(Collectors.joining(" ")))
            .collect(Collectors.joining(";"));
    assertThat(TableTest.FISHER.of(table(turned)).pValue()).isCloseTo(expected, within(tolerance));
  }

  @Test
  void fisherOfTwoByTwoIsThatOfTwoProportionsAndLargeTablesAreDeclined() {
    assertThat(TableTest.FISHER.of(table("14 386;31 379")).pValue())
        .isEqualTo(
            TwoProportionTest.FISHER
                .of(Tally.of(14, 400), Tally.of(31, 410), Hypothesis.noDifference())
                .pValue());
    for (String large :
        List.of(
            "12 15 11 14 13;15 12 14 11 13;11 13 15 12 14;14 11 13 15 12;13 14 12 10 15",
            "90000 1 2;90000 1 3;90000 2 1")) {
      assertThatThrownBy(() -> TableTest.FISHER.of(table(large)))
          .isInstanceOf(NotApplicableException.class)
          .hasMessageMatching("over-budget \\(5.0, .*|too-many-units");
    }
  }

  /** A million draws with the same margins, for a table too large to go through in a test. */
  @Test
  @EnabledIfSystemProperty(named = "tavik.proofs", matches = "true|write")
  void fisherOfFiveHundredUnitsAgreesWithDraws() {
    CrossTable table = table("34 25 35 25;31 30 34 31;26 41 24 33;38 22 30 41");
    SimulatedTail drawn =
        NullWorld.ofTable(table).simulate(Draws.of(1_000_000, 7)).tails().stream()
            .filter(tail -> tail.method() == TableTest.FISHER)
            .findFirst()
            .orElseThrow();
    double p = TableTest.FISHER.of(table).pValue();
    assertThat(p).isCloseTo(drawn.pValue(), within(5 * drawn.standardError()));
  }

  /** Against all fillings of two columns, gone through one by one. */
  @Test
  void boundsOfTwoColumnsAreThoseOfAllTheirFillings() {
    Lookup lookup = new Lookup(new LogFactorials(60), 60);
    TwoColumns bounds = new TwoColumns(lookup);
    SplittableRandom random = new SplittableRandom(5);
    for (int i = 0; i < 300; i++) {
      int[] rows = random.ints(2 + i % 4, 0, 9).toArray();
      int units = random.nextInt(1 + IntStream.of(rows).sum());
      long[] ends = {Long.MAX_VALUE, Long.MIN_VALUE};
      fill(lookup, rows, 0, units, 0, ends);
      if (IntStream.of(rows).sum() > 0) {
        assertThat(bounds.least(units, rows)).as(Arrays.toString(rows)).isEqualTo(ends[0]);
        assertThat(bounds.greatest(units, rows)).as(Arrays.toString(rows)).isEqualTo(ends[1]);
      }
    }
  }

  private static void fill(
      Lookup lookup, int[] rows, int row, int left, long length, long... ends) {
    if (row == rows.length) {
      ends[0] = left == 0 ? Math.min(ends[0], length) : ends[0];
      ends[1] = left == 0 ? Math.max(ends[1], length) : ends[1];
      return;
    }
    for (int x = 0; x <= Math.min(left, rows[row]); x++) {
      long more = lookup.length(x) + lookup.length(rows[row] - x);
      fill(lookup, rows, row + 1, left - x, length + more, ends);
    }
  }

  @Test
  void testsOfTwoByTwoDeclineOtherTables() {
    for (TableTest test : List.of(TableTest.YATES, TableTest.N_MINUS_1)) {
      assertThatThrownBy(() -> test.of(table("1 2 3;4 5 6")))
          .isInstanceOf(NotApplicableException.class)
          .hasMessage("not-two-by-two");
    }
    // Yates's correction never passes the expectation.
    assertThat(TableTest.YATES.of(table("10 10;10 11")).pValue()).isEqualTo(1);
  }

  @Test
  void measuresReachTheirEnds() {
    CrossTable perfect = table("50 0 0;0 30 0;0 0 20");
    assertThat(AssociationMeasure.CRAMERS_V.of(perfect).value()).isCloseTo(1, within(1e-15));
    assertThat(AssociationMeasure.COHENS_W.of(perfect).value())
        .isCloseTo(Math.sqrt(2), within(1e-15));
    assertThat(AssociationMeasure.CONTINGENCY.of(perfect).value())
        .isCloseTo(Math.sqrt(2 / 3.0), within(1e-15));
    CrossTable none = table("10 20;30 60");
    for (AssociationMeasure measure : AssociationMeasure.values()) {
      assertThat(measure.of(none).value()).as(measure.name()).isZero();
    }
    assertThat(AssociationMeasure.PHI.of(perfect).value()).isNaN();
    // Bergsma's correction, by his formulas.
    CrossTable some = table("12 5 9;7 9 14");
    double n = some.total();
    double square = pearson(some) / n - 2 / (n - 1);
    double rows = 2 - 1 / (n - 1);
    assertThat(AssociationMeasure.CRAMERS_V_CORRECTED.of(some).value())
        .isCloseTo(square <= 0 ? 0 : Math.sqrt(square / (rows - 1)), within(1e-13));
  }

  @Test
  void tablesThatAreNoneAreRefused() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> table("1 2"))
        .withMessageContaining("rows must be between 2 and 200");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> table("1 0;2 0"))
        .withMessageContaining("column 'c1' is empty");
    assertThatIllegalArgumentException().isThrownBy(() -> table("1 2;3"));
    assertThatIllegalArgumentException().isThrownBy(() -> table("1 -2;3 4"));
  }
}
