package dev.tavik.answer;

import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** Holds intervals and bounds of one level, with those that declined in their places. */
public final class Intervals implements Finding {
  private final String key;
  private final String title;
  private final List<Row> rows = new ArrayList<>();

  private record Row(
      List<String> names,
      @Nullable Interval interval,
      @Nullable Interval bound,
      String remark,
      Value.Fields more,
      @Nullable NotApplicable refusal) {}

  private Intervals(String key, String title) {
    this.key = key;
    this.title = title;
  }

  /**
   * Begins intervals under a heading.
   *
   * @param title the heading; empty where readers see them elsewhere
   * @return the intervals
   */
  public static Intervals of(String title) {
    return new Intervals("intervals", title);
  }

  /**
   * Begins intervals for readers only; other findings have their figures.
   *
   * @param title what stands above it
   * @return the intervals
   */
  public static Intervals read(String title) {
    return new Intervals("", title);
  }

  /**
   * Adds an interval.
   *
   * @param interval the interval
   * @param remark what to say beside it; may be empty
   * @param names what it is called, the same number of words for each
   * @return this builder
   */
  public Intervals row(Interval interval, String remark, String... names) {
    return row(interval, remark, Value.fields(), names);
  }

  /**
   * Adds an interval with more figures for programs.
   *
   * @param interval the interval
   * @param remark what is said beside; may be empty
   * @param more what follows
   * @param names the names, in order
   * @return this builder
   */
  public Intervals row(Interval interval, String remark, Value.Fields more, String... names) {
    rows.add(new Row(List.of(names), interval, null, remark, more, null));
    return this;
  }

  /**
   * Adds an interval and the bound that goes with a direction, null for none.
   *
   * @param interval the interval
   * @param bound the bound of the same method, null for none
   * @param names the names, in order
   * @return this builder
   */
  public Intervals bounded(Interval interval, @Nullable Interval bound, String... names) {
    rows.add(
        new Row(
            List.of(names),
            interval,
            bound,
            bound == null ? "" : atMost(bound),
            Value.fields(),
            null));
    return this;
  }

  /**
   * Adds an interval that declined.
   *
   * @param refusal why it declined
   * @return this builder
   */
  public Intervals declined(NotApplicable refusal) {
    rows.add(new Row(List.of(), null, null, "", Value.fields(), refusal));
    return this;
  }

  /**
   * Pairs each two-sided interval with the bound of the same method that follows it.
   *
   * @param all intervals, each followed by its bound if there is one
   * @param names what an interval is called
   * @return this builder
   */
  public Intervals pairs(
      List<Interval> all, java.util.function.Function<Interval, String[]> names) {
    for (int i = 0; i < all.size(); i++) {
      boolean bounded = i + 1 < all.size() && all.get(i + 1).side() != Side.TWO_SIDED;
      bounded(all.get(i), bounded ? all.get(i + 1) : null, names.apply(all.get(i)));
      i += bounded ? 1 : 0;
    }
    return this;
  }

  private static String atMost(Interval bound) {
    return bound.side() == Side.UPPER
        ? "  at most " + Value.of(bound.quantity(), bound.upper()).text()
        : "  at least " + Value.of(bound.quantity(), bound.lower()).text();
  }

  /** {@return the intervals and bounds} */
  public List<Interval> all() {
    List<Interval> all = new ArrayList<>();
    for (Row row : rows) {
      Interval interval = row.interval();
      if (interval != null) {
        all.add(interval);
      }
      Interval bound = row.bound();
      if (bound != null) {
        all.add(bound);
      }
    }
    return all;
  }

  /** {@return what declined} */
  public List<NotApplicable> refusals() {
    return rows.stream().map(Row::refusal).filter(Objects::nonNull).toList();
  }

  @Override
  public String key() {
    return key;
  }

  @Override
  public Value figures() {
    List<Value> figures = new ArrayList<>();
    for (Row row : rows) {
      Interval interval = row.interval();
      if (interval != null) {
        figures.add(figures(interval).and(row.more()));
      }
      Interval bound = row.bound();
      if (bound != null) {
        figures.add(figures(bound));
      }
      NotApplicable refusal = row.refusal();
      if (refusal != null) {
        figures.add(Tests.figures(refusal));
      }
    }
    return new Value.Listing(figures);
  }

  /**
   * {@return what machines see of an interval}
   *
   * @param interval the interval
   */
  public static Value.Fields figures(Interval interval) {
    return Value.result()
        .with("quantity", interval.quantity().id())
        .with("method", interval.method().id())
        .with("level", interval.level())
        .with("side", interval.side().id())
        .with("lower", interval.lower())
        .with("upper", interval.upper());
  }

  @Override
  public List<Block> reading() {
    if (title.isEmpty()) {
      return List.of();
    }
    List<Column> columns = new ArrayList<>();
    int names = rows.stream().mapToInt(row -> row.names().size()).max().orElse(0);
    for (int i = 0; i < names; i++) {
      columns.add(Column.words());
    }
    columns.addAll(List.of(Column.numbers(""), Column.words(), Column.numbers(""), Column.words()));
    Sheet sheet = Sheet.read(title, columns);
    for (Row row : rows) {
      Interval interval = row.interval();
      if (interval != null && row.names().size() == names) {
        List<Value> cells = new ArrayList<>();
        row.names().forEach(name -> cells.add(new Value.Words(name)));
        cells.add(Value.of(interval.quantity(), interval.lower()));
        cells.add(new Value.Words("to"));
        cells.add(Value.of(interval.quantity(), interval.upper()));
        cells.add(new Value.Words(row.remark()));
        sheet.row(cells);
      }
    }
    return sheet.reading();
  }
}
