package dev.tavik.data;

import dev.tavik.count.Names;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tabulation;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Counts a designed sample as the rows come. Memory holds strata, clusters and, for each of them,
 * the sums of weights of the combinations that it has, never a row. Rows that weigh nothing are in
 * no sample: they are counted as left out, and make no cluster.
 */
final class SurveyHandler extends RowHandler {
  private static final int NONE = -1;

  /** So many sums are held, up to 32 bytes each. */
  private static final long MOST_SUMS = 5_000_000;

  private static final int MOST_REPLICATES = 2_000;

  private final SampleDesign design;
  private final List<CountRequest> requests;
  private final List<Part> parts = new ArrayList<>();
  private final Frame frame;
  private Header known = new Header("", List.of());

  private int weightColumn = NONE;
  private int strataColumn = NONE;
  private int clusterColumn = NONE;
  private int populationColumn = NONE;

  /** The position among the replicates of each column, or {@link #NONE}. */
  private int[] replicateOf = {};

  private boolean[] ownColumns = {};
  private int replicates;
  private long most = MOST_SUMS;

  private double weight = 1;
  private double squared = 1;
  private double least = 1;
  private double greatest = 1;
  private boolean together;
  private int stratum;
  private int cluster;
  private double population = Double.NaN;
  private double[] replicateWeights = {};
  private long zero;
  private long missing;
  private final KnownKeys clusterKeys = new KnownKeys();
  private final KnownValues strataKeys = new KnownValues();
  private long clusterKey;
  private long strataKey;

  /** What is counted of one request, with the sums of exact and of nearly matching rows. */
  private static final class Part {
    final CountHandler counts;
    boolean[] wanted = {};
    final Sums exact = new Sums();
    final Sums nearly = new Sums();

    Part(CountHandler counts) {
      this.counts = counts;
    }
  }

  /** Sums of combinations, by cluster, stratum or replicate. */
  private static final class Sums {
    final WeightSums weights = new WeightSums();
    final GrowingSums sums = new GrowingSums();
    final GrowingSums squares = new GrowingSums();
    double[] full = new double[8];
  }

  SurveyHandler(String source, SampleDesign design, List<CountRequest> requests) {
    super(source);
    this.design = design;
    this.requests = requests;
    this.frame = new Frame(design.nested());
  }

  @Override
  public Need need() {
    return Need.SUMS;
  }

  @Override
  boolean[] header(Header header) {
    known = header;
    parts.clear();
    boolean[] all = new boolean[header.names().size()];
    for (CountRequest request : requests) {
      Part part = new Part(new CountHandler(source(), request));
      part.wanted = part.counts.headed(header);
      parts.add(part);
    }
    most = MOST_SUMS / parts.size();
    weightColumn = find(design.weight());
    strataColumn = find(design.strata());
    clusterColumn = design.clusters().isEmpty() ? NONE : header.find(design.clusters().get(0));
    design.clusters().forEach(header::find);
    populationColumn = design.populationSize() == null ? find(design.population()) : NONE;
    replicateOf = replicates(header);
    ownColumns = new boolean[all.length];
    for (int column = 0; column < all.length; column++) {
      ownColumns[column] =
          column == weightColumn
              || column == strataColumn
              || column == clusterColumn
              || column == populationColumn
              || replicateOf[column] >= 0;
      all[column] = ownColumns[column];
      for (Part part : parts) {
        all[column] |= part.wanted[column];
      }
    }
    requireUsedOnce();
    if (strataColumn == NONE) {
      frame.only();
    }
    return all;
  }

  private int find(@Nullable String column) {
    return column == null ? NONE : known.find(column);
  }

  /** A weight is no stratum and no cluster, and is not counted either. */
  private void requireUsedOnce() {
    List<Integer> own =
        IntStream.of(weightColumn, strataColumn, clusterColumn, populationColumn)
            .filter(each -> each >= 0)
            .boxed()
            .toList();
    if (own.stream().distinct().count() < own.size()
        || (weightColumn >= 0 && replicateOf[weightColumn] >= 0)) {
      throw new DataException(
          DataException.Code.COLUMN,
          "%s: weight, strata, cluster and population must be different columns",
          source());
    }
    for (Part part : parts) {
      if (weightColumn >= 0 && part.wanted[weightColumn]) {
        throw new DataException(
            DataException.Code.COLUMN,
            "%s: column %s can't be both weight and counted or filtered",
            source(),
            known.names().get(weightColumn));
      }
    }
  }

  private int[] replicates(Header header) {
    int[] of = new int[header.names().size()];
    Arrays.fill(of, NONE);
    replicates = 0;
    if (design.replication() == null) {
      return of;
    }
    for (String written : design.replication().columns()) {
      List<Integer> meant =
          written.contains("*") ? matching(header, written) : List.of(header.find(written));
      for (int column : meant) {
        if (of[column] == NONE) {
          of[column] = replicates++;
        }
      }
    }
    int scales = design.replication().scale().size();
    if (replicates < 2 || replicates > MOST_REPLICATES || (scales > 1 && scales != replicates)) {
      throw new DataException(
          DataException.Code.COLUMN,
          "%s: replicates name %s %s, and %s",
          source(),
          Figures.count(replicates),
          replicates == 1 ? "column" : "columns",
          scales > 1 && scales != replicates
              ? "scale has " + scales + " numbers; give one for all or one for each"
              : "from 2 to " + Figures.count(MOST_REPLICATES) + " are needed");
    }
    replicateWeights = new double[replicates];
    return of;
  }

  private static List<Integer> matching(Header header, String written) {
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

  @Override
  public List<Integer> summed() {
    if (weightColumn == NONE) {
      return List.of();
    }
    Integer[] columns = new Integer[1 + replicates];
    columns[0] = weightColumn;
    for (int column = 0; column < replicateOf.length; column++) {
      if (replicateOf[column] >= 0) {
        columns[1 + replicateOf[column]] = column;
      }
    }
    return List.of(columns);
  }

  @Override
  public void sums(@Nullable Double[] sums, double squares, double smallest, double largest) {
    Double whole = sums[0];
    together = true;
    weight = whole == null ? Double.NaN : whole;
    squared = squares;
    least = smallest;
    greatest = largest;
    if (smallest < 0) {
      throw bad(weightColumn, "has " + Figures.plain(smallest) + ", below 0");
    }
    for (int r = 0; r < replicates; r++) {
      Double each = sums[1 + r];
      replicateWeights[r] = each == null ? Double.NaN : each;
    }
  }

  @Override
  boolean keyed(int column, long key) {
    if (column >= ownColumns.length) {
      return false;
    }
    boolean all = key != 0;
    if (ownColumns[column]) {
      all &= key != 0 && own(column, key);
    }
    for (Part part : parts) {
      if (part.wanted[column]) {
        all &= part.counts.keyed(column, key);
      }
    }
    return all;
  }

  private boolean own(int column, long key) {
    if (column == weightColumn) {
      double plain = Weight.ofKey(key);
      weight = plain;
      return plain >= 0;
    }
    if (column == clusterColumn) {
      cluster = clusterKeys.of(key);
      clusterKey = cluster < 0 ? key : 0;
      return cluster >= 0;
    }
    if (column == strataColumn) {
      stratum = strataKeys.of(key);
      strataKey = stratum < 0 ? key : 0;
      return stratum >= 0;
    }
    int replicate = replicateOf[column];
    if (replicate >= 0) {
      double plain = Weight.ofKey(key);
      replicateWeights[replicate] = plain;
      return plain >= 0;
    }
    return false;
  }

  @Override
  void value(int column, char[] buffer, int offset, int length, boolean quoted) {
    for (Part part : parts) {
      if (part.wanted[column]) {
        part.counts.placed(this);
        part.counts.value(column, buffer, offset, length, quoted);
      }
    }
    if (ownColumns[column]) {
      boolean lacking = length == 0 || (!quoted && Missing.isMissing(buffer, offset, length));
      if (column == weightColumn) {
        weight = lacking ? Double.NaN : number(column, buffer, offset, length);
      } else if (column == clusterColumn) {
        cluster = frame.names().number(present(column, lacking, buffer, offset, length));
        if (clusterKey != 0) {
          clusterKeys.keep(clusterKey, cluster);
          clusterKey = 0;
        }
      } else if (column == strataColumn) {
        stratum = frame.strata().number(present(column, lacking, buffer, offset, length));
        if (strataKey != 0) {
          strataKeys.keep(strataKey, stratum);
          strataKey = 0;
        }
      } else if (column == populationColumn) {
        population = lacking ? Double.NaN : number(column, buffer, offset, length);
      } else {
        replicateWeights[replicateOf[column]] =
            lacking ? Double.NaN : number(column, buffer, offset, length);
      }
    }
  }

  private String present(int column, boolean lacking, char[] buffer, int offset, int length) {
    if (lacking) {
      throw bad(
          column,
          column == strataColumn
              ? "has no value, and a row must be in a stratum"
              : "has no value, and a row must be in a cluster");
    }
    return new String(buffer, offset, length);
  }

  private double number(int column, char[] buffer, int offset, int length) {
    try {
      return Weight.parse(buffer, offset, length);
    } catch (IllegalArgumentException e) {
      throw bad(column, String.valueOf(e.getMessage()));
    }
  }

  private DataException bad(int column, String found) {
    String what =
        column == weightColumn || replicateOf[column] >= 0
            ? "; a weight is a number from 0, such as 1.25"
            : column == populationColumn ? "; a population is a number from 1" : "";
    return new DataException(
        DataException.Code.COUNT,
        "%s, column %s %s%s",
        together ? source() : place(),
        known.names().get(column),
        found,
        what);
  }

  @Override
  void row() {
    if (!together) {
      squared = times() * weight * weight;
    }
    boolean whole = together;
    together = false;
    if (!(weight > 0)) {
      leaveOut();
      return;
    }
    requireReplicates();
    keepPopulation();
    int element = element();
    double sum = whole ? weight : weight * times();
    frame.count(stratum, times() * parts.get(0).counts.frequency());
    for (int i = 0; i < parts.size(); i++) {
      Part part = parts.get(i);
      part.counts.placed(this);
      part.counts.row();
      if (part.counts.combination() >= 0) {
        add(part, element, sum, whole);
      }
    }
  }

  private void leaveOut() {
    if (weight == 0) {
      zero += times();
      return;
    }
    if (requests.get(0).missing() == Missing.FAIL) {
      throw bad(weightColumn, "has no value, and missing values were not to be accepted");
    }
    missing += times();
  }

  private void requireReplicates() {
    for (int r = 0; r < replicates; r++) {
      if (Double.isNaN(replicateWeights[r])) {
        int replicate = r;
        int column =
            IntStream.range(0, replicateOf.length)
                .filter(each -> replicateOf[each] == replicate)
                .findFirst()
                .orElseThrow();
        throw bad(column, "has no value, where the row has a weight");
      }
    }
  }

  private void keepPopulation() {
    if (populationColumn == NONE) {
      return;
    }
    if (!(population >= 1)) {
      throw bad(
          populationColumn,
          Double.isNaN(population) ? "has no value" : "has " + Figures.plain(population));
    }
    double before = frame.population(stratum, population);
    if (before != population && !Double.isNaN(before)) {
      throw bad(
          populationColumn,
          "has %s, where other rows of stratum '%s' have %s; a stratum has one population"
              .formatted(
                  Figures.plain(population),
                  frame.strata().levels().get(stratum),
                  Figures.plain(before)));
    }
  }

  /** The cluster, or the stratum where each row is a cluster. */
  private int element() {
    if (clusterColumn == NONE) {
      return stratum;
    }
    int number = frame.cluster(stratum, cluster);
    if (number == NONE) {
      throw bad(
          clusterColumn,
          "has '%s' in stratum '%s' and before in '%s': a cluster lies in one stratum. If these are"
                  .formatted(
                      frame.names().levels().get(cluster),
                      frame.strata().levels().get(stratum),
                      frame.stratumOf(cluster))
              + " different clusters of one name, say nest");
    }
    return number;
  }

  private void add(Part part, int element, double sum, boolean whole) {
    int combination = part.counts.combination();
    long units = part.counts.units();
    if (units == 0) {
      return;
    }
    Sums sums = part.counts.near() ? part.nearly : part.exact;
    double factor = (double) units / times();
    sums.weights.add(combination, units, factor * sum, factor * squared);
    if (whole) {
      sums.weights.seen(least, greatest);
    } else {
      sums.weights.seen(weight, units);
    }
    if (replicates > 0) {
      sums.full = at(sums.full, combination);
      sums.full[combination] += factor * sum;
      for (int r = 0; r < replicates; r++) {
        hold(
            sums.sums.add(
                r, combination, units * replicateWeights[r] / (whole ? times() : 1), most));
      }
      return;
    }
    hold(sums.sums.add(element, combination, factor * sum, most));
    if (clusterColumn == NONE) {
      hold(sums.squares.add(element, combination, factor * squared, most));
    }
  }

  private void hold(boolean tooMany) {
    if (tooMany) {
      throw new DataException(
          DataException.Code.LEVEL,
          "%s: clusters and combinations of levels make more than %s sums; choose coarser levels, or"
              + " fewer columns at once",
          place(),
          Figures.count(most));
    }
  }

  private static double[] at(double[] some, int position) {
    return position < some.length
        ? some
        : Arrays.copyOf(some, Math.max(position + 1, some.length * 2));
  }

  /** What was counted, one for each request. */
  List<SurveyCounts> counts(List<String> remarks) {
    List<SurveyCounts> all = new ArrayList<>();
    if (parts.isEmpty()) {
      new CountHandler(source(), requests.get(0)).tabulation(remarks);
    }
    for (Part part : parts) {
      all.add(counts(part, remarks));
    }
    return all;
  }

  private SurveyCounts counts(Part part, List<String> remarks) {
    part.counts.placed(this);
    if (rows() > 0 && rows() == zero + missing) {
      throw new DataException(
          DataException.Code.EMPTY,
          "%s: no row has a weight above 0 in column %s",
          source(),
          known.names().get(Math.max(0, weightColumn)));
    }
    Tabulation counted = part.counts.tabulation(remarks);
    Sums sums = part.counts.nearlyCounted() ? part.nearly : part.exact;
    int combinations = counted.counts().size();
    Tabulation units =
        new Tabulation(
            counted.source(),
            counted.columns(),
            counted.counts(),
            counted.rows(),
            counted.filtered() - zero - missing,
            counted.missing(),
            counted.known(),
            told(counted.remarks()),
            design.weight() == null ? counted.unusedWeight() : "");
    return SurveyCounts.of(
        design, units, sums.weights.weights(combinations, zero, missing), sums(sums, combinations));
  }

  private List<String> told(List<String> remarks) {
    List<String> all = new ArrayList<>(remarks);
    if (design.clusters().size() > 1) {
      all.add(
          "the variance rests on the first stage, %s, whatever was drawn within (%s)"
              .formatted(
                  design.clusters().get(0),
                  String.join(", ", design.clusters().subList(1, design.clusters().size()))));
    }
    return all;
  }

  private SurveyCounts.Sums sums(Sums sums, int combinations) {
    if (replicates > 0) {
      double[][] each = new double[replicates][];
      for (int r = 0; r < replicates; r++) {
        each[r] = sums.sums.whole(r, combinations);
      }
      return new SurveyCounts.ByReplicate(
          Arrays.copyOf(sums.full, combinations),
          each,
          Objects.requireNonNull(design.replication()));
    }
    SurveyCounts.Sums found =
        clusterColumn == NONE ? frame.byUnit(sums.sums, sums.squares) : frame.byCluster(sums.sums);
    return sized(found);
  }

  /** With the size of the population where it was said as a number. */
  private SurveyCounts.Sums sized(SurveyCounts.Sums sums) {
    Double size = design.populationSize();
    List<SurveyCounts.Stratum> strata =
        sums instanceof SurveyCounts.ByCluster some
            ? some.strata()
            : ((SurveyCounts.ByUnit) sums).strata();
    if (size != null && strata.size() > 1) {
      throw new DataException(
          DataException.Code.COUNT,
          "%s: population is one number, and there are %s strata; name a column that says it for each",
          source(),
          Figures.count(strata.size()));
    }
    List<SurveyCounts.Stratum> all = new ArrayList<>();
    for (SurveyCounts.Stratum each : strata) {
      double population = size == null ? each.population() : size;
      if (population < each.clusters()) {
        throw new DataException(
            DataException.Code.COUNT,
            "%s: the sample has %s %s%s, and the population only %s; is it the population of %s?",
            source(),
            Figures.count(each.clusters()),
            clusterColumn == NONE ? "rows" : "clusters",
            each.name().isEmpty() ? "" : " in stratum '" + each.name() + "'",
            Figures.plain(population),
            clusterColumn == NONE ? "rows" : "clusters");
      }
      all.add(new SurveyCounts.Stratum(each.name(), each.clusters(), population));
    }
    return sums instanceof SurveyCounts.ByCluster some
        ? some.strata(all)
        : ((SurveyCounts.ByUnit) sums).strata(all);
  }
}
