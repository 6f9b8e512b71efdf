package dev.tavik.data;

import dev.tavik.count.Crossings;
import dev.tavik.count.DataOverview;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tabulation;
import java.util.List;

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
   * Hands over the header and every row, once, in their order.
   *
   * @param rows who takes them
   * @return how the data were read
   * @throws DataException if they can't be read, or one of them isn't as it should be
   */
  protected abstract Manner read(RowHandler rows);

  /**
   * Tells how data were read.
   *
   * @param layout what they are, such as {@code separated by commas, UTF-8}
   * @param remarks what an analyst should know of how they were understood, such as a title that
   *     was passed over; each the end of a sentence
   */
  public record Manner(String layout, List<String> remarks) {
    /**
     * Copies the parts.
     *
     * @param layout what they are, such as {@code separated by commas, UTF-8}
     * @param remarks what an analyst should know of how they were understood, such as a title that
     *     was passed over
     */
    public Manner {
      remarks = List.copyOf(remarks);
    }

    /**
     * {@return data about whose reading there is nothing to remark}
     *
     * @param layout how the rows are laid out, in words
     */
    public static Manner of(String layout) {
      return new Manner(layout, List.of());
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

  @Override
  public final List<Tabulation> countEach(CountRequest request) {
    EachHandler handler = new EachHandler(name, request);
    return handler.tabulations(read(handler).remarks());
  }

  @Override
  public final Crossings countAgainst(String group, CountRequest rules) {
    if (!inOnePass()) {
      return CountSource.super.countAgainst(group, rules);
    }
    SweepHandler handler = new SweepHandler(name, group, rules);
    return handler.crossings(read(handler).remarks());
  }

  @Override
  public final List<SurveyCounts> survey(SampleDesign design, List<CountRequest> requests) {
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
   * {@return whether many columns are best counted in one pass; a database counts each by itself}
   */
  protected boolean inOnePass() {
    return true;
  }

  /**
   * Refuses rows that have no order; files have one.
   *
   * @throws DataException if they come in any order
   */
  protected void requireOrder() {
    // Rows of a file stand one after another.
  }

  @Override
  public final DataOverview overview() {
    OverviewHandler handler = new OverviewHandler(name);
    Manner manner = read(handler);
    return handler.overview(manner.layout(), manner.remarks());
  }
}
