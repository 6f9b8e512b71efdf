package dev.tavik.data;

import dev.tavik.count.Replication;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tabulation;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Counts a designed sample while rows are read. Memory holds strata, clusters and the sums of
 * weights of their combinations, never rows. Rows with weight 0 are not in the sample: they are
 * counted as left out and make no cluster.
 */
final class SurveyHandler extends RowHandler {
  private static final int NONE = -1;

  /** Maximum number of sums in memory, up to 32 bytes each. */
  private static final long MOST_SUMS = 5_000_000;

  private final SampleDesign design;
  private final List<CountRequest> requests;
  private final List<SurveyPart> parts = new ArrayList<>();
  private final Frame frame;
  private Header known = new Header("", List.of());
  private SurveyColumns columns = SurveyColumns.none();
  private boolean[] ownColumns = {};
  private long most = MOST_SUMS;

  private final SurveyRow current = new SurveyRow();
  private int stratum;
  private int cluster;
  private double population = Double.NaN;
  private double[] replicateWeights = {};
  private long zero;
  private long missing;

  /** The numbers of short names by their keys, and the key whose name comes next. */
  private final KnownKeys clusterKeys = new KnownKeys(1 << 10, 1 << 20);

  private final KnownValues strataKeys = new KnownValues();
  private long clusterKey;
  private long strataKey;

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
    columns = new SurveyColumns(header, design);
    replicateWeights = new double[columns.replicates()];
    most = MOST_SUMS / requests.size();
    ownColumns = new boolean[header.names().size()];
    boolean[] all = new boolean[ownColumns.length];
    for (int column = 0; column < all.length; column++) {
      ownColumns[column] = columns.has(column);
      all[column] = ownColumns[column];
    }
    for (CountRequest request : requests) {
      RowCounter counter = new RowCounter(this, header, request, false);
      boolean[] wanted = new boolean[all.length];
      for (int column = 0; column < all.length; column++) {
        wanted[column] = counter.wants(column);
        all[column] |= wanted[column];
      }
      columns.requireNotCounted(wanted);
      parts.add(new SurveyPart(counter));
    }
    if (columns.strata() == NONE) {
      frame.only();
    }
    return all;
  }

  @Override
  public int mostValues(int column) {
    return ownColumns[column]
        ? Integer.MAX_VALUE
        : parts.stream()
            .filter(part -> part.counts().wants(column))
            .mapToInt(part -> part.counts().mostValues(column))
            .min()
            .orElse(Integer.MAX_VALUE);
  }

  @Override
  public void tooMany(int column) {
    throw parts.stream()
        .map(SurveyPart::counts)
        .filter(each -> each.wants(column))
        .findFirst()
        .orElseThrow()
        .tooMany(column);
  }

  @Override
  public Optional<Recoding> classes(int column) {
    List<Optional<Recoding>> read =
        parts.stream()
            .filter(part -> part.counts().wants(column))
            .map(part -> part.counts().classes(column))
            .distinct()
            .toList();
    return ownColumns[column] || read.size() != 1 ? Optional.empty() : read.get(0);
  }

  @Override
  public List<Integer> summed() {
    return columns.summed();
  }

  @Override
  public void sums(@Nullable Double[] sums, double squares, double smallest, double largest) {
    Double whole = sums[0];
    current.sums(whole == null ? Double.NaN : whole, squares, smallest, largest);
    requireSize(smallest);
    requireSize(largest);
    for (int r = 0; r < replicateWeights.length; r++) {
      Double each = sums[1 + r];
      replicateWeights[r] = each == null ? Double.NaN : each;
    }
  }

  private void requireSize(double weight) {
    if (!Double.isNaN(weight)) {
      try {
        Weight.requireSize(weight, Figures.upTo(weight, 6));
      } catch (IllegalArgumentException e) {
        throw bad(columns.weight(), String.valueOf(e.getMessage()));
      }
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
    for (SurveyPart part : parts) {
      if (part.counts().wants(column)) {
        all &= part.counts().keyed(column, key);
      }
    }
    return all;
  }

  private boolean own(int column, long key) {
    if (column == columns.weight()) {
      double plain = Weight.ofKey(key);
      current.weight(plain);
      return plain >= 0;
    }
    if (column == columns.cluster()) {
      cluster = clusterKeys.of(key);
      clusterKey = cluster < 0 ? key : 0;
      return cluster >= 0;
    }
    if (column == columns.strata()) {
      stratum = strataKeys.of(key);
      strataKey = stratum < 0 ? key : 0;
      return stratum >= 0;
    }
    int replicate = columns.replicate(column);
    if (replicate >= 0) {
      double plain = Weight.ofKey(key);
      replicateWeights[replicate] = plain;
      return plain >= 0;
    }
    return false;
  }

  @Override
  void value(int column, char[] buffer, int offset, int length, boolean quoted) {
    for (SurveyPart part : parts) {
      if (part.counts().wants(column)) {
        part.counts().value(column, buffer, offset, length, quoted);
      }
    }
    if (!ownColumns[column]) {
      return;
    }
    boolean lacking = length == 0 || (!quoted && Missing.isMissing(buffer, offset, length));
    if (column == columns.cluster()) {
      cluster = frame.names().number(present(column, lacking, buffer, offset, length));
      if (clusterKey != 0) {
        clusterKeys.keep(clusterKey, cluster);
        clusterKey = 0;
      }
    } else if (column == columns.strata()) {
      stratum = frame.strata().number(present(column, lacking, buffer, offset, length));
      if (strataKey != 0) {
        strataKeys.keep(strataKey, stratum);
        strataKey = 0;
      }
    } else {
      keep(column, lacking ? Double.NaN : number(column, buffer, offset, length));
    }
  }

  private void keep(int column, double number) {
    if (column == columns.weight()) {
      current.weight(number);
    } else if (column == columns.population()) {
      population = number;
    } else {
      replicateWeights[columns.replicate(column)] = number;
    }
  }

  private String present(int column, boolean lacking, char[] buffer, int offset, int length) {
    if (lacking) {
      throw bad(
          column,
          column == columns.strata()
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
        column == columns.weight() || columns.replicate(column) >= 0
            ? "; a weight is a number from 0, such as 1.25"
            : column == columns.population() ? "; a population is a number from 1" : "";
    return new DataException(
        DataException.Code.COUNT,
        "%s, column %s %s%s",
        current.together() ? source() : place(),
        known.names().get(column),
        found,
        what);
  }

  @Override
  void row() {
    current.times(times());
    if (!(current.weight() > 0)) {
      leaveOut();
      return;
    }
    requireReplicates();
    keepPopulation();
    int element = element();
    frame.count(stratum, times() * parts.get(0).counts().frequency());
    for (SurveyPart part : parts) {
      part.counts().row();
      if (part.counts().combination() >= 0 && part.counts().units() > 0) {
        add(part, element);
      }
    }
  }

  private void leaveOut() {
    if (current.weight() == 0) {
      zero += times();
      return;
    }
    if (requests.get(0).missing() == Missing.FAIL) {
      throw bad(columns.weight(), "has no value, and missing values were not to be accepted");
    }
    missing += times();
  }

  private void requireReplicates() {
    for (int r = 0; r < replicateWeights.length; r++) {
      if (Double.isNaN(replicateWeights[r])) {
        throw bad(columns.columnOf(r), "has no value, where the row has a weight");
      }
    }
  }

  private void keepPopulation() {
    if (columns.population() == NONE) {
      return;
    }
    if (!(population >= 1)) {
      throw bad(
          columns.population(),
          Double.isNaN(population) ? "has no value" : "has " + Figures.plain(population));
    }
    double before = frame.population(stratum, population);
    if (before != population && !Double.isNaN(before)) {
      throw bad(
          columns.population(),
          "has %s, where other rows of stratum '%s' have %s; a stratum has one population"
              .formatted(
                  Figures.plain(population),
                  frame.strata().levels().get(stratum),
                  Figures.plain(before)));
    }
  }

  /** The cluster, or the stratum where each row is a cluster. */
  private int element() {
    if (columns.cluster() == NONE) {
      return stratum;
    }
    int number = frame.cluster(stratum, cluster);
    if (number == NONE) {
      throw bad(
          columns.cluster(),
          "has '%s' in stratum '%s' and before in '%s': a cluster lies in one stratum. If these are"
                  .formatted(
                      frame.names().levels().get(cluster),
                      frame.strata().levels().get(stratum),
                      frame.stratumOf(cluster))
              + " different clusters of one name, say nest");
    }
    return number;
  }

  private void add(SurveyPart part, int element) {
    double factor = (double) part.counts().units() / times();
    part.weigh(current, factor);
    if (replicateWeights.length > 0) {
      part.addFull(factor * current.sum());
      // For merged rows these are already sums.
      double each = factor * (current.together() ? 1 : times());
      for (int r = 0; r < replicateWeights.length; r++) {
        hold(part.add(r, each * replicateWeights[r], most));
      }
      return;
    }
    hold(part.add(element, factor * current.sum(), most));
    if (columns.cluster() == NONE) {
      hold(part.addSquare(element, factor * current.squares(), most));
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

  /** What was counted, one for each request. */
  List<SurveyCounts> counts(List<String> remarks) {
    List<SurveyCounts> all = new ArrayList<>();
    requireHeader();
    for (SurveyPart part : parts) {
      all.add(counts(part, remarks));
    }
    return all;
  }

  private SurveyCounts counts(SurveyPart part, List<String> remarks) {
    if (rows() > 0 && rows() == zero + missing) {
      throw new DataException(
          DataException.Code.EMPTY,
          "%s: no row has a weight above 0 in column %s",
          source(),
          known.names().get(Math.max(0, columns.weight())));
    }
    Tabulation counted = part.counts().tabulation(remarks);
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
        design, units, part.weights(combinations, zero, missing), sums(part, combinations));
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

  private SurveyCounts.Sums sums(SurveyPart part, int combinations) {
    Replication replication = design.replication();
    return replication != null
        ? part.byReplicate(replicateWeights.length, combinations, replication)
        : sized(columns.cluster() == NONE ? part.byUnit(frame) : part.byCluster(frame));
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
    boolean rowByRow = columns.cluster() == NONE;
    List<SurveyCounts.Stratum> all = new ArrayList<>();
    for (SurveyCounts.Stratum each : strata) {
      double population = size == null ? each.population() : size;
      if (population < each.clusters()) {
        throw new DataException(
            DataException.Code.COUNT,
            "%s: the sample has %s %s%s, and the population only %s; is it the population of %s?",
            source(),
            Figures.count(each.clusters()),
            rowByRow ? "rows" : "clusters",
            each.name().isEmpty() ? "" : " in stratum '" + each.name() + "'",
            Figures.plain(population),
            rowByRow ? "rows" : "clusters");
      }
      all.add(new SurveyCounts.Stratum(each.name(), each.clusters(), population));
    }
    return sums instanceof SurveyCounts.ByCluster some
        ? some.strata(all)
        : ((SurveyCounts.ByUnit) sums).strata(all);
  }
}
