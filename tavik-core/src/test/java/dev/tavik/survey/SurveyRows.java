package dev.tavik.survey;

import dev.tavik.count.Replication;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SparseRows;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.SurveyCounts.Stratum;
import dev.tavik.count.Tabulation;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Rows of a sample, and what is counted of them in the plainest way. */
public final class SurveyRows {
  /** A row; its outcome is null where a filter leaves it out. */
  public record Row(String stratum, String cluster, double weight, List<String> levels) {}

  private final List<Row> rows = new ArrayList<>();
  private final Map<String, Double> populations = new TreeMap<>();
  private SampleDesign design = SampleDesign.weighted("w").strata("h").clusters("c");

  /** Begins without rows. */
  public SurveyRows() {}

  public SurveyRows row(String stratum, String cluster, double weight, String... levels) {
    rows.add(new Row(stratum, cluster, weight, List.of(levels)));
    return this;
  }

  public SurveyRows population(String stratum, double size) {
    populations.put(stratum, size);
    return this;
  }

  public SurveyRows lone(SampleDesign.Lone rule) {
    design = design.lone(rule);
    return this;
  }

  public List<Row> rows() {
    return rows;
  }

  double population(String stratum) {
    return populations.getOrDefault(stratum, Double.POSITIVE_INFINITY);
  }

  private List<List<String>> combinations() {
    return rows.stream().map(Row::levels).filter(levels -> !levels.isEmpty()).distinct().toList();
  }

  private SurveyCounts counts(SurveyCounts.Sums sums, SampleDesign by) {
    List<List<String>> numbers = combinations();
    Map<List<String>, Long> units = new LinkedHashMap<>();
    double[] squares = new double[numbers.size()];
    double sum = 0;
    for (Row row : rows) {
      if (!row.levels().isEmpty()) {
        units.merge(row.levels(), 1L, Long::sum);
        squares[numbers.indexOf(row.levels())] += row.weight() * row.weight();
        sum += row.weight();
      }
    }
    int columns = numbers.get(0).size();
    List<String> names = List.of("outcome", "group", "third").subList(0, columns);
    List<Double> each = new ArrayList<>();
    for (double square : squares) {
      each.add(square);
    }
    SurveyCounts.Weights weights = new SurveyCounts.Weights(rows.size(), 1, 1, sum, each, 0, 0);
    Tabulation tabulation = Tabulation.of("rows", names, units, rows.size(), 0, Map.of());
    return SurveyCounts.of(by, tabulation, weights, sums);
  }

  /** By cluster. */
  public SurveyCounts byCluster() {
    List<List<String>> numbers = combinations();
    List<String> strata = rows.stream().map(Row::stratum).distinct().toList();
    List<List<String>> clusters =
        rows.stream().map(row -> List.of(row.stratum(), row.cluster())).distinct().toList();
    double[][] sums = new double[clusters.size()][numbers.size()];
    for (Row row : rows) {
      if (!row.levels().isEmpty()) {
        sums[clusters.indexOf(List.of(row.stratum(), row.cluster()))][
                numbers.indexOf(row.levels())] +=
            row.weight();
      }
    }
    return counts(
        new SurveyCounts.ByCluster(
            strata(strata, clusters),
            clusters.stream().map(each -> strata.indexOf(each.get(0))).toList(),
            SparseRows.of(sums)),
        design);
  }

  private List<Stratum> strata(List<String> names, List<List<String>> members) {
    return names.stream()
        .map(
            name ->
                new Stratum(
                    name,
                    members.stream().filter(each -> each.get(0).equals(name)).count(),
                    population(name)))
        .toList();
  }

  /** Each row a cluster. */
  public SurveyCounts byUnit() {
    List<List<String>> numbers = combinations();
    List<String> strata = rows.stream().map(Row::stratum).distinct().toList();
    double[][] sums = new double[strata.size()][numbers.size()];
    double[][] squares = new double[strata.size()][numbers.size()];
    for (Row row : rows) {
      if (!row.levels().isEmpty()) {
        int h = strata.indexOf(row.stratum());
        sums[h][numbers.indexOf(row.levels())] += row.weight();
        squares[h][numbers.indexOf(row.levels())] += row.weight() * row.weight();
      }
    }
    List<List<String>> each = rows.stream().map(row -> List.of(row.stratum())).toList();
    return counts(
        new SurveyCounts.ByUnit(strata(strata, each), SparseRows.of(sums), SparseRows.of(squares)),
        SampleDesign.weighted("w").strata("h").lone(design.lone()));
  }

  /** By the replicates of a jackknife that leaves out one cluster at a time, without strata. */
  public SurveyCounts byJackknife() {
    List<List<String>> numbers = combinations();
    List<String> clusters = rows.stream().map(Row::cluster).distinct().toList();
    double[] full = new double[numbers.size()];
    double[][] replicates = new double[clusters.size()][numbers.size()];
    double more = clusters.size() / (clusters.size() - 1.0);
    for (Row row : rows) {
      int at = numbers.indexOf(row.levels());
      full[at] += row.weight();
      for (int r = 0; r < replicates.length; r++) {
        replicates[r][at] += row.cluster().equals(clusters.get(r)) ? 0 : more * row.weight();
      }
    }
    Replication replication = Replication.of(Replication.Kind.JACKKNIFE, "rw_*");
    return counts(
        new SurveyCounts.ByReplicate(full, replicates, replication),
        SampleDesign.weighted("w").replicates(replication));
  }
}
