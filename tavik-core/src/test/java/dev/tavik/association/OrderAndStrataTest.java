package dev.tavik.association;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.CrossTable;
import dev.tavik.count.MatchedTallies;
import dev.tavik.count.PairedTally;
import dev.tavik.count.StratifiedTables;
import dev.tavik.count.StratifiedTables.Stratum;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.RepeatedMeasuresTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OrderAndStrataTest {
  private static CrossTable table(String cells) {
    List<List<Long>> rows =
        Arrays.stream(cells.split(";"))
            .map(row -> Arrays.stream(row.split(" ")).map(Long::valueOf).toList())
            .toList();
    return new CrossTable(
        IntStream.range(0, rows.size()).mapToObj(i -> "r" + i).toList(),
        IntStream.range(0, rows.get(0).size()).mapToObj(j -> "c" + j).toList(),
        rows);
  }

  private static double statistic(TestResult test) {
    return Objects.requireNonNull(test.statistic()).value();
  }

  /** Σ over the units one by one, as Armitage writes it. */
  private static double trend(CrossTable table, List<Double> scores) {
    double n = table.total();
    double share = table.rowTotal(0) / n;
    double sum = 0;
    double square = 0;
    double mean = 0;
    for (int j = 0; j < scores.size(); j++) {
      sum += scores.get(j) * (table.count(0, j) - share * table.columnTotal(j));
      square += scores.get(j) * scores.get(j) * table.columnTotal(j);
      mean += scores.get(j) * table.columnTotal(j);
    }
    return sum / Math.sqrt(share * (1 - share) * (square - mean * mean / n));
  }

  @ParameterizedTest
  @CsvSource({
    "28 60 150 250 146;24 42 55 93 27, '1,2,3,4,5'",
    "28 60 150 250 146;24 42 55 93 27, '0,1,10,11,30'",
    "5 9 2;40 41 60, '-1,0,2.5'",
    "3 4;9 2, '1,2'"
  })
  void trendIsItsFormulaInRowsAndInColumns(String cells, String written) {
    CrossTable table = table(cells);
    List<Double> scores = Arrays.stream(written.split(",")).map(Double::valueOf).toList();
    double expected = trend(table, scores);
    TestResult rows = TableTest.TREND.of(table, TestOptions.usual().columnScores(scores));
    assertThat(statistic(rows)).isCloseTo(expected, within(1e-12 * Math.abs(expected)));
    CrossTable turned =
        new CrossTable(
            /* rows= */ table.columns(),
            /* columns= */ table.rows(),
            IntStream.range(0, scores.size())
                .mapToObj(j -> List.of(table.count(0, j), table.count(1, j)))
                .toList());
    assertThat(TableTest.TREND.of(turned, TestOptions.usual().rowScores(scores)).pValue())
        .isCloseTo(rows.pValue(), within(1e-12 * rows.pValue()));
    // Any scores in a straight line with the given ones say the same.
    List<Double> others = scores.stream().map(score -> 7 * score - 3).toList();
    assertThat(TableTest.TREND.of(table, TestOptions.usual().columnScores(others)).pValue())
        .isCloseTo(rows.pValue(), within(1e-11 * rows.pValue()));
    // z² is N/(N - 1) times the linear statistic.
    double n = table.total();
    double linear = statistic(TableTest.LINEAR.of(table, TestOptions.usual().columnScores(scores)));
    assertThat(linear).isCloseTo(expected * expected * (n - 1) / n, within(1e-11));
  }

  @Test
  void trendOfTwoByTwoIsTheComparisonOfTwoRates() {
    TestResult pooled =
        TwoProportionTest.Z_POOLED.of(
            Tally.of(14, 400), Tally.of(31, 410), Hypothesis.noDifference());
    assertThat(TableTest.TREND.of(table("14 31;386 379")).pValue())
        .isCloseTo(pooled.pValue(), within(1e-12));
    // The second column has the greater share of the first row.
    assertThat(statistic(TableTest.TREND.of(table("14 31;386 379")))).isPositive();
  }

  /** The correlation of the units' scores, unit by unit. */
  @Test
  void linearIsTheCorrelationOfScores() {
    CrossTable table = table("9 4 1;3 8 6;0 4 12;1 2 5");
    double n = table.total();
    double[] sums = new double[5];
    for (int i = 0; i < 4; i++) {
      for (int j = 0; j < 3; j++) {
        for (int unit = 0; unit < table.count(i, j); unit++) {
          sums[0] += i + 1;
          sums[1] += j + 1;
          sums[2] += (i + 1) * (j + 1);
          sums[3] += (i + 1) * (i + 1);
          sums[4] += (j + 1) * (j + 1);
        }
      }
    }
    double r =
        (n * sums[2] - sums[0] * sums[1])
            / Math.sqrt((n * sums[3] - sums[0] * sums[0]) * (n * sums[4] - sums[1] * sums[1]));
    assertThat(statistic(TableTest.LINEAR.of(table))).isCloseTo((n - 1) * r * r, within(1e-11));
    assertThatThrownBy(() -> TableTest.TREND.of(table))
        .isInstanceOf(NotApplicableException.class)
        .hasMessage("neither-two-rows-nor-columns");
  }

  @Test
  void scoresMustRiseAndBeOneALevel() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> TestOptions.usual().rowScores(List.of(1.0, 1.0)))
        .withMessageContaining("increase");
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                TableTest.LINEAR.of(
                    table("1 2;3 4"), TestOptions.usual().rowScores(List.of(1.0, 2.0, 3.0))))
        .withMessageContaining("one a level, 2, got 3");
    assertThatIllegalArgumentException().isThrownBy(() -> TestOptions.usual().budget(0));
  }

  private static StratifiedTables strata(String... written) {
    List<Stratum> strata = new ArrayList<>();
    for (String each : written) {
      String[] tallies = each.split(" ");
      strata.add(
          new Stratum("s" + strata.size(), Tally.parse(tallies[0]), Tally.parse(tallies[1])));
    }
    return new StratifiedTables(List.of("North", "South"), List.of("cracked", "sound"), strata);
  }

  /** One stratum: Pearson's statistic times (N - 1)/N, the cross product and Woolf's interval. */
  @ParameterizedTest
  @CsvSource({"14/400, 31/410", "3/9, 8/11", "40/50, 10/50"})
  void oneStratumIsATableOfTwoByTwo(Tally first, Tally second) {
    StratifiedTables one = strata(first + " " + second);
    CrossTable table =
        table(
            first.successes()
                + " "
                + first.failures()
                + ";"
                + second.successes()
                + " "
                + second.failures());
    assertThat(statistic(StratifiedTest.MANTEL_HAENSZEL.of(one)))
        .isCloseTo(statistic(TableTest.N_MINUS_1.of(table)), within(1e-11));
    Interval woolf = ComparisonInterval.ODDS_RATIO_WOOLF.of(first, second, 0.95);
    Interval common = CommonOddsRatio.interval(one, 0.95).orElseThrow();
    assertThat(common.lower()).isCloseTo(woolf.lower(), within(1e-12 * woolf.lower()));
    assertThat(common.upper()).isCloseTo(woolf.upper(), within(1e-12 * woolf.upper()));
    // The same stratum twice has the same odds ratio, and no two strata to differ.
    StratifiedTables twice = strata(first + " " + second, first + " " + second);
    assertThat(CommonOddsRatio.of(twice).value())
        .isCloseTo(CommonOddsRatio.of(one).value(), within(1e-13));
    assertThat(statistic(StratifiedTest.BRESLOW_DAY.of(twice))).isCloseTo(0, within(1e-10));
    assertThatThrownBy(() -> StratifiedTest.BRESLOW_DAY.of(one))
        .isInstanceOf(NotApplicableException.class)
        .hasMessage("one-informative-stratum");
  }

  /** Breslow and Day's expected counts by bisection, the sums as the papers write them. */
  @ParameterizedTest
  @CsvSource({
    "16/403 53/408;12/212 9/191;20/60 4/70;1/9 30/40",
    // More successes than the second group can have, and a ratio far below 1.
    "50/100 9/10;20/90 8/9;60/300 7/9",
    "9/10 50/100;8/9 20/90;7/9 60/300",
    // A ratio of 1, and strata of one to a group.
    "20/40 20/40;30/40 20/40;20/40 30/40",
    "1/1 0/1;3/7 5/9;0/1 1/1;4/9 2/6"
  })
  void homogeneityIsItsFormula(String written) {
    StratifiedTables tables = strata(written.split(";"));
    double ratio = CommonOddsRatio.of(tables).value();
    double statistic = 0;
    double surplus = 0;
    double variances = 0;
    for (Stratum stratum : tables.strata()) {
      double n1 = stratum.first().trials();
      double n2 = stratum.second().trials();
      double s = stratum.first().successes() + (double) stratum.second().successes();
      double low = Math.max(0, s - n2);
      double high = Math.min(n1, s);
      for (int k = 0; k < 200; k++) {
        double a = (low + high) / 2;
        boolean below = a * (n2 - s + a) < ratio * (n1 - a) * (s - a);
        low = below ? a : low;
        high = below ? high : a;
      }
      double v = 1 / (1 / low + 1 / (n1 - low) + 1 / (s - low) + 1 / (n2 - s + low));
      double beyond = stratum.first().successes() - low;
      statistic += beyond * beyond / v;
      surplus += beyond;
      variances += v;
    }
    TestResult test = StratifiedTest.BRESLOW_DAY.of(tables);
    double expected = statistic - surplus * surplus / variances;
    double df = tables.strata().size() - 1.0;
    assertThat(statistic(test)).isCloseTo(expected, within(1e-9 * (1 + expected)));
    assertThat(test.df()).isEqualTo(df);
    assertThat(test.pValue())
        .isCloseTo(ChiSquaredDistribution.of(df).survivalProbability(expected), within(1e-9));
  }

  @Test
  void strataThatSayNothingChangeNothing() {
    StratifiedTables some = strata("16/403 53/408", "12/212 9/191");
    StratifiedTables more = strata("16/403 53/408", "12/212 9/191", "0/20 0/30", "7/7 9/9");
    for (StratifiedTest test : StratifiedTest.values()) {
      assertThat(test.of(more).pValue()).isCloseTo(test.of(some).pValue(), within(1e-14));
      assertThat(test.of(more).df()).isEqualTo(test.of(some).df());
    }
    assertThat(CommonOddsRatio.of(more).value())
        .isCloseTo(CommonOddsRatio.of(some).value(), within(1e-14));
    assertThatThrownBy(() -> StratifiedTest.MANTEL_HAENSZEL.of(strata("0/20 0/30")))
        .isInstanceOf(NotApplicableException.class);
    assertThat(CommonOddsRatio.interval(strata("0/20 3/30"), 0.95)).isEmpty();
    assertThatIllegalArgumentException().isThrownBy(() -> strata());
  }

  private static MatchedTallies matched(Map<String, Long> patterns) {
    Map<List<Boolean>, Long> made = new HashMap<>();
    patterns.forEach(
        (pattern, count) ->
            made.put(pattern.chars().mapToObj(letter -> letter == '1').toList(), count));
    int size = patterns.keySet().iterator().next().length();
    return new MatchedTallies(IntStream.range(0, size).mapToObj(i -> "judge " + i).toList(), made);
  }

  /** Cochran's formula over the units one by one; with two judgements McNemar's z². */
  @Test
  void cochransQIsItsFormula() {
    Map<String, Long> patterns =
        Map.of("110", 6L, "000", 16L, "010", 2L, "101", 1L, "111", 9L, "001", 4L);
    double[] columns = new double[3];
    double units = 0;
    double squares = 0;
    for (Map.Entry<String, Long> entry : patterns.entrySet()) {
      double own = entry.getKey().chars().filter(letter -> letter == '1').count();
      units += own * entry.getValue();
      squares += own * own * entry.getValue();
      for (int j = 0; j < 3; j++) {
        columns[j] += entry.getKey().charAt(j) == '1' ? entry.getValue() : 0;
      }
    }
    double g = Arrays.stream(columns).map(x -> x * x).sum();
    double q = 2 * (3 * g - units * units) / (3 * units - squares);
    TestResult test = RepeatedMeasuresTest.COCHRAN_Q.of(matched(patterns));
    assertThat(statistic(test)).isCloseTo(q, within(1e-12));
    assertThat(test.df()).isEqualTo(2);
    TestResult two =
        RepeatedMeasuresTest.COCHRAN_Q.of(
            matched(Map.of("11", 14L, "10", 11L, "01", 3L, "00", 90L)));
    assertThat(two.pValue())
        .isCloseTo(
            PairedTest.MCNEMAR.of(PairedTally.of(14, 11, 3, 90), Alternative.TWO_SIDED).pValue(),
            within(1e-13));
    assertThat(RepeatedMeasuresTest.COCHRAN_Q.of(matched(Map.of("111", 5L, "000", 4L))).pValue())
        .isEqualTo(1);
    assertThat(matched(patterns).pair(0, 2)).isEqualTo(PairedTally.of(10, 6, 4, 18));
    assertThatIllegalArgumentException().isThrownBy(() -> matched(Map.of("11", 0L)));
    assertThatIllegalArgumentException().isThrownBy(() -> matched(Map.of("11", 3L, "111", 2L)));
  }
}
