package dev.tavik.spark;

import static org.apache.spark.sql.functions.col;
import static org.apache.spark.sql.functions.count;
import static org.apache.spark.sql.functions.lit;
import static org.apache.spark.sql.functions.min;
import static org.apache.spark.sql.functions.udf;

import dev.tavik.data.Recoding;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.stream.IntStream;
import org.apache.spark.api.java.function.MapPartitionsFunction;
import org.apache.spark.sql.Column;
import org.apache.spark.sql.Dataset;
import org.apache.spark.sql.Encoders;
import org.apache.spark.sql.Row;
import org.apache.spark.sql.RowFactory;
import org.apache.spark.sql.api.java.UDF1;
import org.apache.spark.sql.expressions.UserDefinedFunction;
import org.apache.spark.sql.types.DataTypes;
import org.apache.spark.sql.types.StructType;
import org.jspecify.annotations.Nullable;

/**
 * One request, as the engine's own grouped count. Its groups pass through one task on the cluster
 * before they come back: where a column has too many values, that task says so, and ends.
 */
final class Grouping {
  private Grouping() {}

  static Gathered of(Dataset<Row> dataset, Slice slice) {
    List<Column> by = new ArrayList<>();
    List<Column> kept = new ArrayList<>();
    List<Column> out = new ArrayList<>();
    for (Slice.Place place : slice.places()) {
      String name = SparkRows.column(place.column());
      Column column = slice.only(place, Written.grouped(col(name), place.type()));
      @Nullable Recoding classes = place.classes();
      if (classes == null) {
        by.add(column.as(name));
      } else {
        by.add(alike(classes).apply(column.cast("string")).as("alike_" + name));
        kept.add(min(column).as(name));
      }
      out.add(col(name));
    }
    Column rows = count(lit(1)).as("rows");
    kept.add(rows);
    out.add(col("rows"));
    Dataset<Row> grouped =
        dataset
            .groupBy(by.toArray(Column[]::new))
            .agg(kept.get(0), kept.subList(1, kept.size()).toArray(Column[]::new))
            .select(out.toArray(Column[]::new));
    StructType bounded = grouped.schema().add("many", DataTypes.IntegerType);
    int[] most = slice.places().stream().mapToInt(Slice.Place::most).toArray();
    List<Row> collected =
        grouped.coalesce(1).mapPartitions(new Bounded(most), Encoders.row(bounded)).collectAsList();
    return gathered(collected, slice);
  }

  private static UserDefinedFunction alike(Recoding classes) {
    UDF1<@Nullable String, @Nullable String> alike =
        written -> written == null ? null : Slice.Place.alike(classes, written);
    return udf(alike, DataTypes.StringType);
  }

  private static Gathered gathered(List<Row> collected, Slice slice) {
    int width = slice.places().size();
    List<Group> groups = new ArrayList<>();
    for (Row row : collected) {
      if (!row.isNullAt(width + 1)) {
        int place = row.getInt(width + 1);
        return new Gathered(List.of(), place < 0 ? place : slice.places().get(place).column());
      }
      List<@Nullable String> values = new ArrayList<>();
      for (int i = 0; i < width; i++) {
        values.add(Written.of(row.get(i)));
      }
      groups.add(new Group(values, row.getLong(width), null));
    }
    groups.sort(Grouping::compare);
    return new Gathered(groups, Gathered.NONE);
  }

  /** By the first value, then by the next. */
  static int compare(Group one, Group other) {
    return IntStream.range(0, one.values().size())
        .map(i -> Written.ORDER.compare(one.values().get(i), other.values().get(i)))
        .filter(order -> order != 0)
        .findFirst()
        .orElse(0);
  }

  /** Passes groups on until there are too many of them, or of the values of a place. */
  private static final class Bounded implements MapPartitionsFunction<Row, Row> {
    private static final long serialVersionUID = 1;

    private final int[] most;

    Bounded(int[] most) {
      this.most = most;
    }

    @Override
    public Iterator<Row> call(Iterator<Row> groups) {
      List<Set<String>> seen = new ArrayList<>();
      IntStream.range(0, most.length).forEach(i -> seen.add(new HashSet<>()));
      return new Iterator<>() {
        private int count;
        private boolean ended;

        @Override
        public boolean hasNext() {
          return !ended && groups.hasNext();
        }

        @Override
        public Row next() {
          if (!hasNext()) {
            throw new NoSuchElementException();
          }
          Row group = groups.next();
          count++;
          int many = count > Gathered.MOST_GROUPS ? Gathered.COMBINATIONS : Gathered.NONE;
          for (int place = 0; place < most.length; place++) {
            @Nullable String value = Written.of(group.get(place));
            if (value != null
                && !value.isEmpty()
                && most[place] < Integer.MAX_VALUE
                && seen.get(place).add(value)
                && seen.get(place).size() > most[place]) {
              many = place;
            }
          }
          ended = many != Gathered.NONE;
          return row(group, ended ? many : null);
        }
      };
    }

    private static Row row(Row group, @Nullable Integer many) {
      @Nullable Object[] values = new Object[group.length() + 1];
      for (int i = 0; i < group.length(); i++) {
        values[i] = group.get(i);
      }
      values[group.length()] = many;
      return RowFactory.create(values);
    }
  }
}
