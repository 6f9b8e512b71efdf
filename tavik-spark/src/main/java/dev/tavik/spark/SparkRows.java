package dev.tavik.spark;

import dev.tavik.data.DataException;
import dev.tavik.data.RowHandler;
import dev.tavik.data.RowHandler.Need;
import dev.tavik.data.RowSource;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.spark.sql.Dataset;
import org.apache.spark.sql.Row;
import org.apache.spark.sql.types.DataType;
import org.apache.spark.sql.types.NumericType;
import org.apache.spark.sql.types.StructField;
import org.apache.spark.sql.types.StructType;
import org.jspecify.annotations.Nullable;

/** Hands over groups of rows that a cluster made, as rows that stand for several. */
final class SparkRows extends RowSource {
  private final String called;
  private final StructType schema;
  private final Dataset<Row> dataset;
  private final boolean text;

  /**
   * Rows on a cluster.
   *
   * @param called what they are called
   * @param dataset the rows
   * @param text whether they are texts as they stand in a file, without quotes
   */
  SparkRows(String called, Dataset<Row> dataset, boolean text) {
    super(called);
    this.called = called;
    this.schema = dataset.schema();
    this.text = text;
    // Columns by their place: a name may have a point in it, or be there twice.
    this.dataset =
        dataset.toDF(
            IntStream.range(0, schema.length()).mapToObj(SparkRows::column).toArray(String[]::new));
  }

  /** The alias of a column in a statement. */
  static String column(int place) {
    return "c" + place;
  }

  String called() {
    return called;
  }

  boolean text() {
    return text;
  }

  @Override
  protected Passes passes() {
    return Passes.TOGETHER;
  }

  @Override
  protected void requireOrder() {
    throw new DataException(
        DataException.Code.MALFORMED,
        "%s: rows on a cluster have no order; follow the evidence in a file of its own",
        called);
  }

  @Override
  protected SourceDescription read(RowHandler handler) {
    return readAll(List.of(handler));
  }

  @Override
  protected SourceDescription readAll(List<? extends RowHandler> several) {
    List<Slice> slices = new ArrayList<>();
    List<RowHandler> asking = new ArrayList<>();
    for (RowHandler each : several) {
      headed(each);
      if (each.need() != Need.NAMES) {
        Slice slice = slice(each);
        if (slice.places().isEmpty() && slice.summed().isEmpty()) {
          countRows(each);
        } else {
          slices.add(slice);
          asking.add(each);
        }
      }
    }
    List<Gathered> gathered = gather(slices);
    for (int i = 0; i < slices.size(); i++) {
      hand(gathered.get(i), slices.get(i), asking.get(i));
    }
    return SourceDescription.of("rows on a cluster");
  }

  /** Counts the rows where no column can be handed over. */
  private void countRows(RowHandler handler) {
    long rows = dataset.count();
    if (rows > 0) {
      handler.begin(1);
      handler.times(rows);
      handler.end(schema.length());
    }
  }

  private List<Gathered> gather(List<Slice> slices) {
    if (slices.isEmpty()) {
      return List.of();
    }
    try {
      return slices.size() == 1 && slices.get(0).summed().isEmpty()
          ? List.of(Grouping.of(dataset, slices.get(0)))
          : Slices.of(dataset, slices);
    } catch (DataException e) {
      throw e;
    } catch (Exception e) {
      // The engine's own exceptions are checked, but not declared.
      throw new DataException(
          DataException.Code.UNREADABLE, "%s can't be counted: %s", called, said(e));
    }
  }

  /** The innermost message of the engine. */
  private static String said(Throwable trouble) {
    Throwable cause = trouble;
    while (cause.getCause() != null && cause.getCause() != cause) {
      cause = cause.getCause();
    }
    return String.valueOf(cause.getMessage()).strip().lines().findFirst().orElse("");
  }

  private void headed(RowHandler handler) {
    handler.unit("group");
    handler.begin(0);
    StructField[] fields = schema.fields();
    for (int column = 0; column < fields.length; column++) {
      handler.field(column, fields[column].name(), true);
    }
    handler.end(fields.length);
  }

  private Slice slice(RowHandler handler) {
    List<Integer> summed = handler.summed();
    boolean numbers = summed.stream().allMatch(each -> type(each) instanceof NumericType);
    List<Slice.Place> places = new ArrayList<>();
    for (int column = 0; column < schema.length(); column++) {
      if (!handler.wants(column) || (numbers && summed.contains(column))) {
        continue;
      }
      if (!Written.single(type(column))) {
        handler.notSingle(column, Figures.shortened(type(column).simpleString()));
      } else {
        places.add(
            new Slice.Place(
                column,
                type(column),
                handler.mostValues(column),
                handler.classes(column).orElse(null),
                handler.onlyOfThose(column)));
      }
    }
    List<Slice.Required> required = new ArrayList<>();
    handler
        .required()
        .forEach(
            (column, level) -> required.add(new Slice.Required(column, type(column), text, level)));
    return new Slice(places, numbers ? summed : List.of(), required);
  }

  private DataType type(int column) {
    return schema.fields()[column].dataType();
  }

  private void hand(Gathered gathered, Slice slice, RowHandler handler) {
    if (gathered.tooMany() == Gathered.COMBINATIONS) {
      throw new DataException(
          DataException.Code.LEVEL,
          "%s: the columns asked for make more than %s combinations; ask about fewer at once, or with"
              + " coarser levels",
          called,
          Figures.count(Gathered.MOST_GROUPS));
    }
    if (gathered.tooMany() != Gathered.NONE) {
      handler.tooMany(gathered.tooMany());
      return;
    }
    long number = 0;
    for (Group group : gathered.groups()) {
      handler.begin(++number);
      handler.times(group.rows());
      for (int i = 0; i < group.values().size(); i++) {
        handler.field(slice.places().get(i).column(), group.values().get(i), !text);
      }
      if (group.sums() != null) {
        hand(group.sums(), handler);
      }
      handler.end(schema.length());
    }
  }

  private static void hand(Group.Sums sums, RowHandler handler) {
    @Nullable Double[] each =
        sums.each().stream().map(sum -> sum.isNaN() ? null : sum).toArray(Double[]::new);
    handler.sums(each, sums.squares(), sums.least(), sums.greatest());
  }
}
