package dev.tavik.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.count.SampleDesign.Lone;
import dev.tavik.count.SurveyCounts;
import dev.tavik.fixture.SurveyRows;
import dev.tavik.fixture.SurveyRows.Row;
import dev.tavik.result.NotApplicableException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Estimates by a design against all samples of small populations, against a plain twin whose
 * derivatives are differences, and against what is known without one.
 */
class DesignedSampleTest {
  private static final Predicate<List<String>> ALL = outcome("yes", "no");
  private static final Predicate<List<String>> YES = outcome("yes");

  private static Predicate<List<String>> outcome(String... levels) {
    return unit -> List.of(levels).contains(unit.get(0));
  }

  private static Predicate<List<String>> in(String group) {
    return unit -> unit.get(1).equals(group);
  }

  private static Offset<Double> close(double value, double relative) {
    return within(relative * Math.max(1e-300, Math.abs(value)));
  }

  /** All choices of so many among the first. */
  private static List<List<Integer>> choices(int of, int many) {
    List<List<Integer>> all = new ArrayList<>();
    for (int bits = 0; bits < 1 << of; bits++) {
      if (Integer.bitCount(bits) == many) {
        List<Integer> chosen = new ArrayList<>();
        for (int i = 0; i < of; i++) {
          if ((bits >> i & 1) == 1) {
            chosen.add(i);
          }
        }
        all.add(chosen);
      }
    }
    return all;
  }

  /** The mean of the estimated variances over samples, over the variance of the estimates. */
  private static double unbiased(List<SurveyRows> samples, boolean units) {
    double sum = 0;
    double squares = 0;
    double variances = 0;
    for (SurveyRows sample : samples) {
      SurveyCounts counts = units ? sample.byUnit() : sample.byCluster();
      DesignedProportion found = DesignedSample.of(counts).proportion(ALL, YES);
      sum += found.value();
      squares += found.value() * found.value();
      variances += found.standardError() * found.standardError();
    }
    int n = samples.size();
    return variances / n / (squares / n - sum / n * (sum / n));
  }

  /** Three strata of 4, 5 and 6 units; two, three and two of them drawn: 6 x 10 x 15 samples. */
  @Test
  void varianceIsUnbiasedOverEveryStratifiedSample() {
    String[] strata = {"nnyy", "nnyyy", "ynnnnn"};
    int[] drawn = {2, 3, 2};
    List<SurveyRows> samples = new ArrayList<>(List.of(new SurveyRows()));
    for (int h = 0; h < 3; h++) {
      List<SurveyRows> longer = new ArrayList<>();
      for (SurveyRows before : samples) {
        for (List<Integer> chosen : choices(strata[h].length(), drawn[h])) {
          SurveyRows sample = new SurveyRows();
          before.rows().forEach(row -> sample.rows().add(row));
          for (int unit : chosen) {
            String level = strata[h].charAt(unit) == 'y' ? "yes" : "no";
            double weight = (double) strata[h].length() / drawn[h];
            sample.row("h" + h, "c" + h + unit, weight, level);
          }
          longer.add(sample);
        }
      }
      samples = longer;
    }
    for (SurveyRows sample : samples) {
      for (int h = 0; h < 3; h++) {
        sample.population("h" + h, strata[h].length());
      }
    }
    assertThat(samples).hasSize(900);
    assertThat(unbiased(samples, true)).isCloseTo(1, within(1e-12));
    assertThat(unbiased(samples, false)).isCloseTo(1, within(1e-12));
  }

  /** Eight clusters: of one size the estimate is linear and its variance unbiased. */
  @Test
  void varianceIsUnbiasedOverEverySampleOfClusters() {
    String[] alike = {"yyy", "yyn", "nnn", "nny", "yny", "nnn", "yyn", "nyn"};
    assertThat(unbiased(clusterSamples(alike, 3), false)).isCloseTo(1, within(1e-12));
    assertThat(unbiased(clusterSamples(alike, 5), false)).isCloseTo(1, within(1e-12));
  }

  /** Of unequal sizes the ratio bends, the less the more clusters there are. */
  @Test
  void varianceOfRatioTendsToTheTrueOne() {
    String[] unequal = {"yyyn", "yn", "nnn", "nyyyy", "yny", "nnnn", "yyn", "nn"};
    double few = Math.abs(unbiased(clusterSamples(unequal, 3), false) - 1);
    double more = Math.abs(unbiased(clusterSamples(unequal, 5), false) - 1);
    double most = Math.abs(unbiased(clusterSamples(unequal, 7), false) - 1);
    assertThat(few).isLessThan(0.2);
    assertThat(more).isLessThan(few);
    assertThat(most).isLessThan(Math.min(more, 0.08));
  }

  private static List<SurveyRows> clusterSamples(String[] clusters, int drawn) {
    List<SurveyRows> samples = new ArrayList<>();
    for (List<Integer> chosen : choices(clusters.length, drawn)) {
      SurveyRows sample = new SurveyRows().population("all", clusters.length);
      for (int cluster : chosen) {
        for (char each : clusters[cluster].toCharArray()) {
          sample.row("all", "c" + cluster, 2.5, each == 'y' ? "yes" : "no");
        }
      }
      samples.add(sample);
    }
    return samples;
  }

  /** Random rows of three strata, weights from 0.5 to 4, clusters with a will of their own. */
  private static SurveyRows random(long seed) {
    Random random = new Random(seed);
    SurveyRows rows = new SurveyRows();
    for (int h = 0; h < 3; h++) {
      rows.population("h" + h, h == 1 ? Double.POSITIVE_INFINITY : 20 + h);
      for (int c = 0; c < 4 + h; c++) {
        double will = random.nextDouble();
        for (int i = 0; i < 3 + random.nextInt(5); i++) {
          String yes = random.nextDouble() < 0.2 + 0.6 * will ? "yes" : "no";
          String group = random.nextDouble() < 0.3 + 0.4 * will ? "a" : i % 2 == 0 ? "b" : "c";
          double weight = 0.5 + 3.5 * random.nextDouble();
          // Some rows are left out by a filter; their cluster is there all the same.
          String[] levels = random.nextDouble() < 0.1 ? new String[0] : new String[] {yes, group};
          rows.row("h" + h, "h" + h + "c" + c, weight, levels);
        }
      }
    }
    return rows;
  }

  /** The covariance of estimates by differences in each row's weight, in plain loops. */
  private static double[][] twin(SurveyRows sample, List<ToDoubleFunction<double[]>> estimates) {
    List<Row> rows = sample.rows();
    double[] weights = rows.stream().mapToDouble(Row::weight).toArray();
    Map<String, Map<String, double[]>> strata = new LinkedHashMap<>();
    for (int k = 0; k < weights.length; k++) {
      double[] z =
          strata
              .computeIfAbsent(rows.get(k).stratum(), key -> new LinkedHashMap<>())
              .computeIfAbsent(rows.get(k).cluster(), key -> new double[estimates.size()]);
      double step = 1e-4 * weights[k];
      for (int e = 0; e < z.length; e++) {
        double[] moved = weights.clone();
        moved[k] = weights[k] + step;
        double up = estimates.get(e).applyAsDouble(moved);
        moved[k] = weights[k] - step;
        z[e] += weights[k] * (up - estimates.get(e).applyAsDouble(moved)) / (2 * step);
      }
    }
    double[][] covariance = new double[estimates.size()][estimates.size()];
    strata.forEach(
        (name, clusters) -> {
          int n = clusters.size();
          double factor = (1 - n / sample.population(name)) * n / (n - 1);
          for (int a = 0; a < covariance.length; a++) {
            for (int b = 0; b < covariance.length; b++) {
              double meanA = mean(clusters, a);
              double meanB = mean(clusters, b);
              for (double[] z : clusters.values()) {
                covariance[a][b] += factor * (z[a] - meanA) * (z[b] - meanB);
              }
            }
          }
        });
    return covariance;
  }

  private static double mean(Map<String, double[]> clusters, int at) {
    return clusters.values().stream().mapToDouble(z -> z[at]).average().orElseThrow();
  }

  private static double sum(SurveyRows sample, double[] weights, Predicate<List<String>> wanted) {
    double sum = 0;
    for (int k = 0; k < weights.length; k++) {
      List<String> levels = sample.rows().get(k).levels();
      sum += !levels.isEmpty() && wanted.test(levels) ? weights[k] : 0;
    }
    return sum;
  }

  private static ToDoubleFunction<double[]> share(SurveyRows sample, Predicate<List<String>> part) {
    return weights -> sum(sample, weights, part.and(YES)) / sum(sample, weights, part);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void standardErrorsAreThoseOfPlainDifferences(long seed) {
    SurveyRows sample = random(seed);
    ToDoubleFunction<double[]> all = share(sample, ALL);
    ToDoubleFunction<double[]> a = share(sample, in("a"));
    ToDoubleFunction<double[]> b = share(sample, in("b"));
    double[][] twin =
        twin(
            sample,
            List.of(
                all,
                w -> Math.log(all.applyAsDouble(w) / (1 - all.applyAsDouble(w))),
                a,
                w -> a.applyAsDouble(w) - b.applyAsDouble(w),
                w -> Math.log(a.applyAsDouble(w) / b.applyAsDouble(w)),
                w ->
                    Math.log(a.applyAsDouble(w) / (1 - a.applyAsDouble(w)))
                        - Math.log(b.applyAsDouble(w) / (1 - b.applyAsDouble(w)))));
    DesignedSample designed = DesignedSample.of(sample.byCluster());
    DesignedProportion whole = designed.proportion(ALL, YES);
    DesignedComparison compared = designed.comparison(in("a"), in("b"), YES);
    double[] found = {
      whole.standardError(),
      whole.logitError(),
      compared.first().standardError(),
      compared.difference(),
      compared.logRatio(),
      compared.logOddsRatio()
    };
    for (int i = 0; i < found.length; i++) {
      double expected = Math.sqrt(twin[i][i]);
      assertThat(found[i]).as("estimate %s", i).isCloseTo(expected, close(expected, 1e-7));
    }
    assertThat(designed.df()).isEqualTo(12);
    double[] weights = sample.rows().stream().mapToDouble(Row::weight).toArray();
    assertThat(whole.value()).isCloseTo(all.applyAsDouble(weights), within(1e-14));
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void tablesAreThoseOfPlainDifferences(long seed) {
    SurveyRows sample = random(seed);
    List<String> rows = List.of("yes", "no");
    List<String> columns = List.of("a", "b", "c");
    List<ToDoubleFunction<double[]>> cells = new ArrayList<>();
    for (String row : rows) {
      for (String column : columns) {
        Predicate<List<String>> inRow = unit -> unit.get(0).equals(row);
        cells.add(
            w -> {
              double whole = sum(sample, w, ALL);
              return sum(sample, w, inRow.and(in(column))) / whole
                  - sum(sample, w, inRow) * sum(sample, w, in(column)) / whole / whole;
            });
      }
    }
    double[][] covariance = twin(sample, cells);
    double[] weights = sample.rows().stream().mapToDouble(Row::weight).toArray();
    DesignedTable table = DesignedSample.of(sample.byCluster()).table(0, rows, 1, columns, ALL);
    double n = table.deviation().rows();
    double pearson = 0;
    double effects = 0;
    for (int i = 0; i < 2; i++) {
      for (int j = 0; j < 3; j++) {
        int cell = 3 * i + j;
        String row = rows.get(i);
        double expected =
            sum(sample, weights, unit -> unit.get(0).equals(row))
                * sum(sample, weights, in(columns.get(j)))
                / Math.pow(sum(sample, weights, ALL), 2);
        double away = cells.get(cell).applyAsDouble(weights);
        pearson += n * away * away / expected;
        effects += n * covariance[cell][cell] / expected;
        double residual = away / Math.sqrt(covariance[cell][cell]);
        assertThat(table.cell(i, j).residual()).isCloseTo(residual, close(residual, 1e-6));
      }
    }
    assertThat(table.deviation().pearson()).isCloseTo(pearson, close(pearson, 1e-10));
    assertThat(table.deviation().effects()).isCloseTo(effects, close(effects, 1e-6));
    assertThat(table.cramersV()).isCloseTo(Math.sqrt(pearson / n), within(1e-10));
    // Two free deviations: the inverse of their covariance by hand.
    double x = cells.get(0).applyAsDouble(weights);
    double y = cells.get(1).applyAsDouble(weights);
    double determinant = covariance[0][0] * covariance[1][1] - covariance[0][1] * covariance[0][1];
    double wald =
        (x * x * covariance[1][1] - 2 * x * y * covariance[0][1] + y * y * covariance[0][0])
            / determinant;
    assertThat(table.deviation().wald()).isCloseTo(wald, close(wald, 1e-5));
  }

  /** Each row a cluster: sums of squares by stratum tell what the rows themselves do. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void rowsAsClustersNeedNoRows(long seed) {
    SurveyRows rows = new SurveyRows();
    int[] number = {0};
    random(seed)
        .rows()
        .forEach(
            row ->
                rows.row(
                    row.stratum(),
                    "row" + number[0]++,
                    row.weight(),
                    row.levels().toArray(String[]::new)));
    rows.population("h2", 400);
    DesignedComparison byRows =
        DesignedSample.of(rows.byCluster()).comparison(in("a"), in("b"), YES);
    DesignedComparison bySums = DesignedSample.of(rows.byUnit()).comparison(in("a"), in("b"), YES);
    assertThat(bySums.difference()).isCloseTo(byRows.difference(), close(1, 1e-14));
    assertThat(bySums.logOddsRatio()).isCloseTo(byRows.logOddsRatio(), close(1, 1e-13));
    assertThat(bySums.df()).isEqualTo(byRows.df());
  }

  @Test
  void equalWeightsGiveTheSimpleVariance() {
    SurveyRows rows = new SurveyRows();
    for (int i = 0; i < 40; i++) {
      rows.row("", "c" + i, 3.7, i < 14 ? "yes" : "no");
    }
    for (SurveyCounts counts : List.of(rows.byCluster(), rows.byUnit())) {
      DesignedProportion found = DesignedSample.of(counts).proportion(ALL, YES);
      double expected = Math.sqrt(0.35 * 0.65 / 39);
      assertThat(found.value()).isCloseTo(0.35, within(1e-15));
      assertThat(found.standardError()).isCloseTo(expected, close(expected, 1e-12));
      assertThat(found.designEffect()).isCloseTo(1, within(1e-12));
      assertThat(found.byWeights()).isCloseTo(40, within(1e-10));
      assertThat(found.df()).isEqualTo(39);
    }
  }

  /** Clusters of one size and weight make the share linear: leaving one out tells the same. */
  @Test
  void jackknifeAgreesWithLinearisationOfLinearEstimates() {
    Random random = new Random(7);
    SurveyRows rows = new SurveyRows();
    for (int c = 0; c < 12; c++) {
      double will = random.nextDouble();
      for (int i = 0; i < 6; i++) {
        rows.row("", "c" + c, 2, random.nextDouble() < will ? "yes" : "no", i < 3 ? "a" : "b");
      }
    }
    DesignedSample plain = DesignedSample.of(rows.byCluster());
    DesignedSample replicated = DesignedSample.of(rows.byJackknife());
    assertThat(replicated.replicated()).isTrue();
    assertThat(replicated.df()).isEqualTo(11).isEqualTo(plain.df());
    for (Predicate<List<String>> part : List.of(ALL, in("a"), in("b"))) {
      double expected = plain.proportion(part, YES).standardError();
      assertThat(replicated.proportion(part, YES).standardError())
          .isCloseTo(expected, close(expected, 1e-12));
    }
    double difference = plain.comparison(in("a"), in("b"), YES).difference();
    assertThat(replicated.comparison(in("a"), in("b"), YES).difference())
        .isCloseTo(difference, close(difference, 1e-12));
    // Of functions that are not linear it says nearly the same.
    double logit = plain.proportion(ALL, YES).logitError();
    assertThat(replicated.proportion(ALL, YES).logitError()).isCloseTo(logit, close(logit, 0.1));
    DesignedTable table = replicated.table(0, List.of("yes", "no"), 1, List.of("a", "b"), ALL);
    assertThat(table.ofStrength(0.95)).isNotNull();
    assertThat(plain.table(0, List.of("yes", "no"), 1, List.of("a", "b"), ALL).ofStrength(0.95))
        .isNull();
  }

  /** A part that lies in one stratum is known from its clusters alone, all of them. */
  @Test
  void degreesOfFreedomAreThoseOfTheStrataOfAPart() {
    SurveyRows rows = new SurveyRows();
    for (int c = 0; c < 12; c++) {
      String stratum = c < 5 ? "hill" : "shore";
      rows.row(stratum, "c" + c, 1, c % 2 == 0 ? "yes" : "no", c == 3 ? "both" : stratum);
    }
    DesignedSample sample = DesignedSample.of(rows.byCluster());
    assertThat(sample.df()).isEqualTo(10);
    assertThat(sample.proportion(in("hill"), YES).df()).isEqualTo(4);
    assertThat(sample.proportion(in("both"), YES).df()).isEqualTo(4);
    assertThat(sample.comparison(in("hill"), in("shore"), YES).df()).isEqualTo(10);
    assertThat(DesignedSample.of(rows.byUnit()).proportion(in("shore"), YES).df()).isEqualTo(6);
  }

  /** The distance of a lone cluster from the mean, or none; else its stratum is named. */
  @Test
  void loneClustersAreNamed() {
    SurveyRows rows = random(3).row("island", "only", 2, "yes", "a");
    assertThatExceptionOfType(NotApplicableException.class)
        .isThrownBy(() -> DesignedSample.of(rows.byCluster()))
        .withMessage("lone-clusters (['island'])");
    double certain =
        DesignedSample.of(rows.lone(Lone.CERTAIN).byCluster()).proportion(ALL, YES).standardError();
    DesignedProportion centred =
        DesignedSample.of(rows.lone(Lone.CENTRE).byCluster()).proportion(ALL, YES);
    double sum =
        rows.rows().stream().filter(row -> !row.levels().isEmpty()).mapToDouble(Row::weight).sum();
    double away = 2 * (1 - centred.value()) / sum;
    assertThat(centred.standardError() * centred.standardError())
        .isCloseTo(certain * certain + away * away, within(1e-15));
    // Where the population has no more than that one, it was drawn for certain.
    assertThat(
            DesignedSample.of(rows.lone(Lone.FAIL).population("island", 1).byCluster())
                .proportion(ALL, YES)
                .standardError())
        .isCloseTo(certain, within(1e-15));
  }

  @Test
  void oneClusterLeavesNoDegreesOfFreedom() {
    SurveyRows rows = new SurveyRows().row("", "c", 1, "yes").row("", "c", 1, "no");
    assertThatExceptionOfType(NotApplicableException.class)
        .isThrownBy(() -> DesignedSample.of(rows.byCluster()))
        .withMessage("no-degrees-of-freedom (1, cluster, 1)");
  }

  @Test
  void whatIsNoTableIsRefused() {
    DesignedSample sample =
        DesignedSample.of(
            new SurveyRows()
                .row("", "a", 1, "yes")
                .row("", "b", 1, "no")
                .row("", "c", 2, "no")
                .byCluster());
    assertThatIllegalArgumentException()
        .isThrownBy(() -> sample.deviation(0, List.of("yes", "no"), List.of(1.0)))
        .withMessage("claimed must have one share for each of 2 levels, got 1");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> sample.deviation(0, List.of("yes"), List.of(1.0)))
        .withMessage("shares need two levels or more, got 1");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> sample.table(0, List.of("yes"), YES))
        .withMessage("a table needs two rows and two columns or more, got 1 and 2");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> sample.table(0, List.of("yes", "no"), unit -> true))
        .withMessageContaining("a row with a weight above 0");
  }
}
