package dev.tavik.bayes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.CrossTable;
import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.NotApplicableException;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.numbers.gamma.LogGamma;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SamplingPlanTest {
  private static final MathContext DIGITS = new MathContext(60);

  private static CrossTable table(String cells) {
    List<List<Long>> rows =
        Arrays.stream(cells.split(";", -1))
            .map(row -> Stream.of(row.strip().split(" ", -1)).map(Long::valueOf).toList())
            .toList();
    return new CrossTable(
        IntStream.range(0, rows.size()).mapToObj(i -> "r" + i).toList(),
        IntStream.range(0, rows.get(0).size()).mapToObj(i -> "c" + i).toList(),
        rows);
  }

  /** Natural logarithms from the definitions with sixty digits (mpmath). */
  @ParameterizedTest
  @CsvSource({
    "14 386;31 379, 1, free, 0.66915300919692231135",
    "14 386;31 379, 1, total, 0.38270019319987109027",
    "14 386;31 379, 1, rows, -0.021382468121499160492",
    "14 386;31 379, 1, columns, 1.5213486074516183324",
    "14 386;31 379, 1, both, 1.4642627230767967106",
    "12 5;7 9, 2.5, free, 0.45774772687577171317",
    "12 5;7 9, 2.5, total, 0.37591770862813952949",
    "12 5;7 9, 2.5, rows, 0.28282728556212757597",
    "12 5;7 9, 2.5, columns, 0.29721602301422718289",
    "12 5;7 9, 2.5, both, 0.15556936869403929617",
    "8 1 4;2 9 3;5 5 0, 0.9, free, 6.7776209321268013795",
    "8 1 4;2 9 3;5 5 0, 0.9, total, 5.4482660983618101985",
    "8 1 4;2 9 3;5 5 0, 0.9, rows, 4.0751288218721458538",
    "8 1 4;2 9 3;5 5 0, 0.9, columns, 4.3090307198273198221",
    "8 1 4;2 9 3;5 5 0, 0.9, both, 2.7909835587556396868",
    "3 0 2 7;1 8 2 0;6 1 4 4, 1, free, 10.402889379645453747",
    "3 0 2 7;1 8 2 0;6 1 4 4, 1, total, 8.6477411856719160357",
    "3 0 2 7;1 8 2 0;6 1 4 4, 1, rows, 7.3618191103936680006",
    "3 0 2 7;1 8 2 0;6 1 4 4, 1, columns, 7.1083657301904600154",
    "3 0 2 7;1 8 2 0;6 1 4 4, 1, both, 5.6000731709374066083",
    "400000 100000;390000 110000, 1, free, 295.97620608046936187",
    "400000 100000;390000 110000, 1, total, 295.68852500801408096",
    "400000 100000;390000 110000, 1, rows, 295.28306089990341658",
    "400000 100000;390000 110000, 1, columns, 295.69313459284985648",
    "5200 4000 300;5100 4100 310, 1, free, -5.9900555428246553759",
    "5200 4000 300;5100 4100 310, 1, total, -6.5776844389280504588",
    "5200 4000 300;5100 4100 310, 1, rows, -7.2061873566720033106",
    "5200 4000 300;5100 4100 310, 1, columns, -5.7680725230450092516"
  })
  void bayesFactorsAgreeWithReferences(String cells, double prior, String plan, double expected) {
    assertThat(SamplingPlan.of(plan).logBayesFactor(table(cells), prior))
        .isCloseTo(expected, within(1e-11 * Math.max(0.1, Math.abs(expected))));
  }

  private static BigInteger factorial(long n) {
    BigInteger product = BigInteger.ONE;
    for (long i = 2; i <= n; i++) {
      product = product.multiply(BigInteger.valueOf(i));
    }
    return product;
  }

  /** n!/(n + k - 1)!·(k - 1)!: the probability of any counts of k categories, uniform prior. */
  private static BigDecimal uniform(long n, int categories) {
    return quotient(
        factorial(n).multiply(factorial(categories - 1L)), factorial(n + categories - 1));
  }

  private static BigDecimal quotient(BigInteger above, BigInteger below) {
    return new BigDecimal(above).divide(new BigDecimal(below), DIGITS);
  }

  private static BigInteger factorials(List<Long> counts) {
    return counts.stream()
        .map(SamplingPlanTest::factorial)
        .reduce(BigInteger.ONE, BigInteger::multiply);
  }

  /**
   * With a = 1 and uniform margins all are quotients of whole numbers: the chance of the table
   * among all with what was fixed, against the hypergeometric chance of the table times that of its
   * margins.
   */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "3 1;2 4",
        "0 5;5 0",
        "9 0 2;1 4 1",
        "2 2;0 3;4 1",
        "1 2 3;3 2 1;0 4 0",
        "7 7;7 7"
      })
  void wholeParametersGiveRationalNumbers(String cells) {
    CrossTable table = table(cells);
    int height = table.rows().size();
    int width = table.columns().size();
    List<Long> rows = IntStream.range(0, height).mapToObj(table::rowTotal).toList();
    List<Long> columns = IntStream.range(0, width).mapToObj(table::columnTotal).toList();
    List<Long> all = table.cells().stream().flatMap(List::stream).toList();
    long n = table.total();
    BigDecimal hypergeometric =
        quotient(
            factorials(rows).multiply(factorials(columns)), factorials(all).multiply(factorial(n)));
    BigDecimal total =
        uniform(n, height * width)
            .divide(hypergeometric, DIGITS)
            .divide(uniform(n, height), DIGITS)
            .divide(uniform(n, width), DIGITS);
    BigDecimal ofRows = BigDecimal.ONE;
    for (long row : rows) {
      ofRows = ofRows.multiply(uniform(row, width), DIGITS);
    }
    ofRows = ofRows.divide(hypergeometric, DIGITS).divide(uniform(n, width), DIGITS);
    BigDecimal both =
        BigDecimal.ONE
            .divide(BigDecimal.valueOf(tables(rows, columns)), DIGITS)
            .divide(hypergeometric, DIGITS);
    assertFactor(SamplingPlan.TOTAL, table, total);
    assertFactor(SamplingPlan.ROWS, table, ofRows);
    assertFactor(SamplingPlan.BOTH, table, both);
  }

  private static void assertFactor(SamplingPlan plan, CrossTable table, BigDecimal expected) {
    assertThat(Math.exp(plan.logBayesFactor(table, 1)))
        .as(plan.id())
        .isCloseTo(expected.doubleValue(), within(1e-11 * expected.doubleValue()));
  }

  /** How many tables have these margins, by going through them. */
  private static long tables(List<Long> rows, List<Long> columns) {
    if (columns.size() == 1) {
      return 1;
    }
    long first = columns.get(0);
    List<Long> others = columns.subList(1, columns.size());
    return spread(new ArrayList<>(rows), 0, first, others);
  }

  private static long spread(List<Long> rows, int at, long left, List<Long> others) {
    if (at == rows.size()) {
      return left == 0 ? tables(List.copyOf(rows), others) : 0;
    }
    long found = 0;
    long room = rows.get(at);
    for (long y = 0; y <= Math.min(left, room); y++) {
      rows.set(at, room - y);
      found += spread(rows, at + 1, left - y, others);
    }
    rows.set(at, room);
    return found;
  }

  /** Rows fixed is the same question as two rates; turning a table turns the plan. */
  @Test
  void plansAgreeWithOneAnother() {
    CrossTable table = table("14 386;31 379");
    assertThat(SamplingPlan.ROWS.logBayesFactor(table, 1))
        .isCloseTo(
            ComparedRates.logBayesFactor(
                Tally.of(14, 400), Tally.of(31, 410), Alternative.TWO_SIDED, BetaPrior.UNIFORM),
            within(1e-12));
    CrossTable turned = table("14 31;386 379");
    for (SamplingPlan plan : SamplingPlan.values()) {
      SamplingPlan other =
          plan == SamplingPlan.ROWS
              ? SamplingPlan.COLUMNS
              : plan == SamplingPlan.COLUMNS ? SamplingPlan.ROWS : plan;
      assertThat(other.logBayesFactor(turned, 0.8))
          .as(plan.id())
          .isCloseTo(plan.logBayesFactor(table, 0.8), within(1e-12));
    }
  }

  @Test
  void whatHasNoMeaningIsRefused() {
    CrossTable table = table("8 1 4;2 9 3;5 5 0");
    assertThatThrownBy(() -> SamplingPlan.TOTAL.logBayesFactor(table, 0.5))
        .isInstanceOf(NotApplicableException.class)
        .hasMessageStartingWith("prior-too-small (0.6666666");
    assertThat(SamplingPlan.BOTH.logBayesFactor(table, 0.5)).isFinite();
    for (double prior : new double[] {0, -1, Double.NaN, Double.POSITIVE_INFINITY}) {
      assertThatIllegalArgumentException()
          .isThrownBy(() -> SamplingPlan.TOTAL.logBayesFactor(table, prior))
          .withMessageContaining("one number from");
    }
    assertThatThrownBy(
            () ->
                SamplingPlan.BOTH.logBayesFactor(
                    table("8000 1000 4000;2000 9000 3000;5000 5000 100"), 1))
        .isInstanceOf(NotApplicableException.class)
        .hasMessageStartingWith("too-many-steps (");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> SamplingPlan.of("margins"))
        .withMessageContaining("free, total, rows, columns or both");
  }

  @Test
  void plansGoByTheirNames() {
    for (SamplingPlan plan : SamplingPlan.values()) {
      assertThat(plan.id()).isEqualTo(plan.name().toLowerCase(Locale.ROOT));
      assertThat(SamplingPlan.of(plan.id())).isSameAs(plan);
    }
    assertThat(SamplingPlan.values())
        .extracting(SamplingPlan::words)
        .containsExactly(
            "nothing fixed, counts as they came in",
            "the total fixed",
            "the row totals fixed",
            "the column totals fixed",
            "row and column totals fixed");
    for (double prior : new double[] {1e-6, 0.3, 1e9}) {
      assertThat(SamplingPlan.requirePrior(prior)).isEqualTo(prior);
    }
    for (double prior : new double[] {Math.nextDown(1e-6), Math.nextUp(1e9)}) {
      assertThatIllegalArgumentException()
          .isThrownBy(() -> SamplingPlan.requirePrior(prior))
          .withMessageContaining("from 0.000001 to 1e9");
    }
  }

  /**
   * How much there would be to do is said: states are the rows' margins but the largest, and each
   * of the columns but two is spread over them.
   */
  @ParameterizedTest
  @CsvSource({
    // 201³ states; a column of 200 spread over three rows in about 201³/6 ways.
    "'200,200,200,400', '200,200,200,400', 13",
    "'1500,1700,9000', '1000,1200,10000', 12",
    // 31⁴ states; four of six columns spread over four rows in about 31⁴/24 ways each.
    "'40,40,40,40,40,820', '30,30,30,30,900', 11"
  })
  void tooManyStepsAreReckoned(String rowSums, String columnSums, int digits) {
    List<Long> rows = Arrays.stream(rowSums.split(",")).map(Long::valueOf).toList();
    List<Long> columns = Arrays.stream(columnSums.split(",")).map(Long::valueOf).toList();
    assertThatThrownBy(() -> SamplingPlan.BOTH.logBayesFactor(filled(rows, columns), 1))
        .isInstanceOf(NotApplicableException.class)
        .satisfies(
            e ->
                assertThat((Double) ((NotApplicableException) e).values().get(0))
                    .isBetween(Math.pow(10, digits - 0.5), Math.pow(10, digits + 0.5)));
  }

  /** Some table with these margins, the north-west corner filled first. */
  private static CrossTable filled(List<Long> rows, List<Long> columns) {
    List<List<Long>> cells = new ArrayList<>();
    long[] left = columns.stream().mapToLong(Long::longValue).toArray();
    for (long row : rows) {
      List<Long> line = new ArrayList<>();
      long rest = row;
      for (int j = 0; j < left.length; j++) {
        long here = Math.min(rest, left[j]);
        line.add(here);
        left[j] -= here;
        rest -= here;
      }
      cells.add(line);
    }
    return new CrossTable(
        IntStream.range(0, rows.size()).mapToObj(i -> "r" + i).toList(),
        IntStream.range(0, columns.size()).mapToObj(j -> "c" + j).toList(),
        cells);
  }

  /** The ways to spread a column of n over two rows have weights a·…·(a + y - 1)/y! each. */
  @ParameterizedTest
  @CsvSource({"1e6, 5000", "1000, 12000", "1e9, 1000"})
  void weightsTooFarApartAreToldWithTheirRange(double prior, long n) {
    List<Long> columns = List.of(n, n + 100, n + 900);
    CrossTable table = filled(List.of(n + 400, 2 * n + 600), columns);
    double evenly = 2 * logWeight(prior, n / 2);
    long apart = Math.round((evenly - logWeight(prior, n)) / Math.log(10));
    assertThatThrownBy(() -> SamplingPlan.BOTH.logBayesFactor(table, prior))
        .isInstanceOf(NotApplicableException.class)
        .satisfies(
            e ->
                assertThat((Double) ((NotApplicableException) e).values().get(0))
                    .isBetween(apart - 0.5, apart + 0.5));
  }

  private static double logWeight(double prior, long y) {
    return LogGamma.value(prior + y) - LogGamma.value(prior) - LogGamma.value(y + 1.0);
  }
}
