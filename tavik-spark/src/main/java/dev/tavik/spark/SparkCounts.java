package dev.tavik.spark;

import dev.tavik.count.Crossings;
import dev.tavik.count.DataOverview;
import dev.tavik.count.Names;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tabulation;
import dev.tavik.data.CountRequest;
import dev.tavik.data.CountSource;
import dev.tavik.data.Missing;
import dev.tavik.data.Recoding;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.apache.spark.sql.Dataset;
import org.apache.spark.sql.Row;

/**
 * Rows on a cluster. What a question needs of them is counted where they lie, in one aggregation
 * for all its requests; only counts come back or, of a designed sample, sums of weights by stratum
 * and cluster. Every question of a file can be asked of it but those that follow rows in their
 * order, which rows on a cluster don't have.
 *
 * <p>An empty text, null and NaN are missing; any other text is a value. Levels have the order of
 * their values, numbers by size and before texts, unless a codebook or classes give them another.
 * Columns that hold several values in a row (arrays, maps, structures) and bytes are no
 * classifications and are refused by name. A column with more levels than a file's may have
 * (10,000) is refused as a file's is; its levels don't leave the cluster.
 *
 * <p>Counts are exact. Sums of weights are taken to twice the precision of a double and rounded
 * once, so that they don't depend on how rows are distributed.
 */
public final class SparkCounts implements CountSource {
  private final SparkRows rows;
  private final Dataset<Row> dataset;

  private SparkCounts(SparkRows rows, Dataset<Row> dataset) {
    this.rows = rows;
    this.dataset = dataset;
  }

  /**
   * Rows of any source that the engine reads.
   *
   * @param dataset the rows; they are read when they are asked for counts
   * @return the source, called {@code the dataset}
   */
  public static SparkCounts of(Dataset<Row> dataset) {
    return new SparkCounts(new SparkRows("the dataset", dataset, false), dataset);
  }

  /**
   * The same under another name.
   *
   * @param name what messages and answers call it
   * @return the source
   */
  public SparkCounts named(String name) {
    return new SparkCounts(new SparkRows(name, dataset, rows.text()), dataset);
  }

  /**
   * The same of texts as they stand in a file without quotes: blanks at their ends don't count, and
   * {@code NA}, {@code N/A}, {@code NaN} and {@code null} are missing. It is meant for delimited
   * text that was read without types: which values stood in quotes isn't known of it.
   *
   * @return the source
   */
  public SparkCounts asText() {
    return new SparkCounts(new SparkRows(rows.called(), dataset, true), dataset);
  }

  @Override
  public Tabulation count(CountRequest request) {
    return sorted(rows.count(request), request);
  }

  @Override
  public List<Tabulation> countEach(CountRequest request) {
    return rows.countEach(request).stream().map(each -> sorted(each, request)).toList();
  }

  @Override
  public Crossings countAgainst(String group, CountRequest rules) {
    Crossings counted = rows.countAgainst(group, rules);
    return new Crossings(
        counted.tables().stream().map(each -> sorted(each, rules)).toList(), counted.leftOut());
  }

  @Override
  public List<SurveyCounts> survey(SampleDesign design, List<CountRequest> requests) {
    List<SurveyCounts> sorted = new ArrayList<>();
    List<SurveyCounts> counted = rows.survey(design, requests);
    for (int i = 0; i < counted.size(); i++) {
      CountRequest request = requests.get(i);
      sorted.add(counted.get(i).renamed(units -> sorted(units, request)));
    }
    return sorted;
  }

  @Override
  public DataOverview overview() {
    return rows.overview();
  }

  /** With levels in the order of their values, where nothing else gives them one. */
  private static Tabulation sorted(Tabulation counted, CountRequest request) {
    List<List<String>> orders = new ArrayList<>();
    for (int column = 0; column < counted.columns().size(); column++) {
      List<String> levels = counted.levels(column);
      orders.add(
          hasOrder(counted.columns().get(column), request.recodings())
              ? levels
              : levels.stream()
                  .sorted(
                      Comparator.<String, Boolean>comparing(Missing.LEVEL_NAME::equals)
                          .thenComparing(Written.ORDER))
                  .toList());
    }
    return counted.ordered(orders);
  }

  private static boolean hasOrder(String column, Map<String, Recoding> recodings) {
    return recodings.entrySet().stream()
        .anyMatch(
            each ->
                Names.matching(each.getKey(), List.of(column)).size() == 1
                    && !each.getValue().levels().isEmpty());
  }
}
