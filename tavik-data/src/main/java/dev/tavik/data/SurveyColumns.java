package dev.tavik.data;

import dev.tavik.count.Names;
import dev.tavik.count.Replication;
import dev.tavik.count.SampleDesign;
import dev.tavik.result.Figures;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Where the columns of a design stand; below 0 where there is none. */
final class SurveyColumns {
  private static final int NONE = -1;
  private static final int MOST_REPLICATES = 2_000;

  private final Header header;
  private final int weight;
  private final int strata;
  private final int cluster;
  private final int population;
  private final int[] replicateOf;
  private int replicates;

  /**
   * Finds the columns.
   *
   * @throws DataException if one isn't there, or is named for two purposes
   */
  SurveyColumns(Header header, SampleDesign design) {
    this.header = header;
    this.weight = find(design.weight());
    this.strata = find(design.strata());
    design.clusters().forEach(header::find);
    this.cluster = design.clusters().isEmpty() ? NONE : header.find(design.clusters().get(0));
    this.population = design.populationSize() == null ? find(design.population()) : NONE;
    this.replicateOf = new int[header.names().size()];
    Arrays.fill(replicateOf, NONE);
    Replication replication = design.replication();
    if (replication != null) {
      findReplicates(replication);
    }
    requireUsedOnce();
  }

  /** Creates positions that are not yet known. */
  static SurveyColumns none() {
    return new SurveyColumns(new Header("", List.of()));
  }

  private SurveyColumns(Header header) {
    this.header = header;
    this.weight = NONE;
    this.strata = NONE;
    this.cluster = NONE;
    this.population = NONE;
    this.replicateOf = new int[0];
  }

  private int find(@Nullable String column) {
    return column == null ? NONE : header.find(column);
  }

  int weight() {
    return weight;
  }

  int strata() {
    return strata;
  }

  int cluster() {
    return cluster;
  }

  int population() {
    return population;
  }

  /** The position of a column among the replicates. */
  int replicate(int column) {
    return replicateOf[column];
  }

  /** How many replicates there are. */
  int replicates() {
    return replicates;
  }

  /** The column of a replicate. */
  int columnOf(int replicate) {
    return IntStream.range(0, replicateOf.length)
        .filter(column -> replicateOf[column] == replicate)
        .findFirst()
        .orElseThrow();
  }

  /** Whether a column is part of the design. */
  boolean has(int column) {
    return column == weight
        || column == strata
        || column == cluster
        || column == population
        || replicateOf[column] >= 0;
  }

  /** The columns of which sums are enough, the weight first. */
  List<Integer> summed() {
    return weight == NONE
        ? List.of()
        : IntStream.concat(IntStream.of(weight), IntStream.range(0, replicates).map(this::columnOf))
            .boxed()
            .toList();
  }

  /** Refuses a weight that is counted or filtered as well. */
  void requireNotCounted(boolean[] counted) {
    if (weight >= 0 && counted[weight]) {
      throw new DataException(
          DataException.Code.COLUMN,
          "%s: column %s can't be both weight and counted or filtered",
          header.source(),
          header.names().get(weight));
    }
  }

  private void requireUsedOnce() {
    List<Integer> own =
        IntStream.of(weight, strata, cluster, population)
            .filter(each -> each >= 0)
            .boxed()
            .toList();
    if (own.stream().distinct().count() < own.size() || (weight >= 0 && replicateOf[weight] >= 0)) {
      throw new DataException(
          DataException.Code.COLUMN,
          "%s: weight, strata, cluster and population must be different columns",
          header.source());
    }
  }

  private void findReplicates(Replication replication) {
    for (String written : replication.columns()) {
      List<Integer> meant =
          written.contains("*") ? matching(written) : List.of(header.find(written));
      for (int column : meant) {
        if (replicateOf[column] == NONE) {
          replicateOf[column] = replicates++;
        }
      }
    }
    int scales = replication.scale().size();
    boolean scaled = scales <= 1 || scales == replicates;
    if (replicates < 2 || replicates > MOST_REPLICATES || !scaled) {
      throw new DataException(
          DataException.Code.COLUMN,
          "%s: replicates name %s %s, and %s",
          header.source(),
          Figures.count(replicates),
          replicates == 1 ? "column" : "columns",
          scaled
              ? "from 2 to " + Figures.count(MOST_REPLICATES) + " are needed"
              : "scale has " + scales + " numbers; give one for all or one for each");
    }
  }

  private List<Integer> matching(String written) {
    Pattern pattern =
        Pattern.compile(
            Arrays.stream(written.split("\\*", -1))
                .map(Pattern::quote)
                .collect(Collectors.joining(".*")),
            Pattern.CASE_INSENSITIVE);
    List<Integer> columns =
        IntStream.range(0, header.names().size())
            .filter(column -> pattern.matcher(header.names().get(column)).matches())
            .boxed()
            .toList();
    if (columns.isEmpty()) {
      throw new DataException(
          DataException.Code.COLUMN,
          "%s has no column like '%s'%s",
          header.source(),
          written,
          Names.hint(written.replace("*", ""), header.names()));
    }
    return columns;
  }
}
