package dev.tavik.data;

import dev.tavik.count.Crossings;
import dev.tavik.count.DataOverview;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tabulation;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Counts data that come row by row, in one pass: memory holds levels and counts, never rows. A kind
 * of source says only how its rows are read.
 */
public abstract class RowSource implements CountSource {
  private final String name;

  /**
   * A source.
   *
   * @param name its name, as messages and answers give it
   */
  protected RowSource(String name) {
    this.name = name;
  }

  /**
   * Passes the header and every row to a handler, once, in order.
   *
   * @param rows who takes them
   * @return how the data were read
   * @throws DataException if they can't be read, or one of them is malformed
   */
  protected abstract SourceDescription read(RowHandler rows);

  /**
   * Describes how data were read.
   *
   * @param layout what they are, such as {@code separated by commas, UTF-8}
   * @param remarks what an analyst should know of how they were understood, such as a title that
   *     was passed over; each the end of a sentence
   */
  public record SourceDescription(String layout, List<String> remarks) {
    /** Copies the parts. */
    public SourceDescription {
      remarks = List.copyOf(remarks);
    }

    /**
     * {@return data about whose reading there is nothing to remark}
     *
     * @param layout how the rows are laid out, in words
     */
    public static SourceDescription of(String layout) {
      return new SourceDescription(layout, List.of());
    }
  }

  /** {@return its name, as messages and answers give it} */
  protected final String name() {
    return name;
  }

  @Override
  public final Tabulation count(CountRequest request) {
    CountHandler handler = new CountHandler(name, request);
    return handler.tabulation(read(handler).remarks());
  }

  /** How several requests are counted best. */
  protected enum Passes {
    /** All in one pass over the rows, as for a file. */
    ONE,
    /** One after another, as by a database. */
    EACH,
    /** All at once where the data are stored: {@link #readAll}. */
    TOGETHER
  }

  /** {@return how several things are best counted} */
  protected Passes passes() {
    return Passes.ONE;
  }

  /**
   * Serves several handlers, one after another unless a source can do better.
   *
   * @param several who take it
   * @return how the data were read
   * @throws DataException if they can't be read, or one of them is malformed
   */
  protected SourceDescription readAll(List<? extends RowHandler> several) {
    SourceDescription manner = SourceDescription.of("");
    for (RowHandler each : several) {
      manner = read(each);
    }
    return manner;
  }

  private Header names() {
    NamesHandler handler = new NamesHandler(name);
    read(handler);
    return handler.names();
  }

  @Override
  public final List<Tabulation> countEach(CountRequest request) {
    if (passes() == Passes.TOGETHER) {
      List<CountHandler> each =
          names().columns(request.columns()).stream()
              .map(column -> new CountHandler(name, request.columns(List.of(column))))
              .toList();
      List<String> remarks = readAll(each).remarks();
      return each.stream().map(handler -> handler.tabulation(remarks)).toList();
    }
    CountHandler handler = CountHandler.ofEach(name, request);
    return handler.tabulations(read(handler).remarks());
  }

  @Override
  public final Crossings countAgainst(String group, CountRequest rules) {
    if (passes() != Passes.ONE) {
      return eachAgainst(group, rules);
    }
    SweepHandler handler = new SweepHandler(name, group, rules);
    return handler.crossings(read(handler).remarks());
  }

  /** Each column by itself, in the order in which they are asked for, or stand in the data. */
  private Crossings eachAgainst(String group, CountRequest rules) {
    Header header = names();
    boolean all = rules.columns().equals(List.of("*"));
    Set<Integer> others = new HashSet<>();
    others.add(header.find(group));
    if (rules.frequency() != null) {
      others.add(header.find(rules.frequency()));
    }
    if (all) {
      rules.filters().keySet().forEach(column -> others.add(header.find(column)));
    }
    List<SweepHandler> each =
        (all ? header.names() : header.columns(rules.columns()))
            .stream()
                .filter(column -> !others.contains(header.find(column)))
                .map(column -> new SweepHandler(name, group, rules.columns(List.of(column))))
                .toList();
    List<String> remarks = readAll(each).remarks();
    List<Tabulation> tables = new ArrayList<>();
    Map<String, String> leftOut = new LinkedHashMap<>();
    for (SweepHandler handler : each) {
      Crossings one = handler.crossings(remarks);
      tables.addAll(one.tables());
      leftOut.putAll(one.leftOut());
    }
    return new Crossings(tables, leftOut);
  }

  @Override
  public final List<SurveyCounts> survey(SampleDesign design, List<CountRequest> requests) {
    if (passes() != Passes.ONE) {
      List<SurveyHandler> each =
          requests.stream()
              .map(request -> new SurveyHandler(name, design, List.of(request)))
              .toList();
      List<String> remarks = readAll(each).remarks();
      return each.stream().flatMap(handler -> handler.counts(remarks).stream()).toList();
    }
    SurveyHandler handler = new SurveyHandler(name, design, requests);
    return handler.counts(read(handler).remarks());
  }

  @Override
  public final RowsInOrder inOrder(CountRequest request) {
    if (request.frequency() != null) {
      throw new IllegalArgumentException(
          "rows that stand for several units have no order among them; leave the frequency out");
    }
    requireOrder();
    CountHandler handler = CountHandler.inOrder(name, request);
    return handler.rowsInOrder(read(handler).remarks());
  }

  /**
   * Refuses rows that have no order; files have one.
   *
   * @throws DataException if they come in any order
   */
  protected void requireOrder() {
    // The rows of a file have an order.
  }

  @Override
  public final DataOverview overview() {
    if (passes() == Passes.TOGETHER) {
      List<OverviewHandler> each =
          IntStream.range(0, names().names().size())
              .mapToObj(column -> new OverviewHandler(name, column))
              .toList();
      SourceDescription manner = readAll(each);
      return OverviewHandler.overview(each, manner.layout(), manner.remarks());
    }
    OverviewHandler handler = new OverviewHandler(name);
    SourceDescription manner = read(handler);
    return handler.overview(manner.layout(), manner.remarks());
  }
}
