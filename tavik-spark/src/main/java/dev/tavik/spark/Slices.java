package dev.tavik.spark;

import static org.apache.spark.sql.functions.col;

import dev.tavik.data.Recoding;
import java.io.Serializable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.apache.spark.api.java.function.MapPartitionsFunction;
import org.apache.spark.sql.Column;
import org.apache.spark.sql.Dataset;
import org.apache.spark.sql.Encoder;
import org.apache.spark.sql.Encoders;
import org.apache.spark.sql.Row;
import org.apache.spark.sql.RowFactory;
import org.apache.spark.sql.types.DataTypes;
import org.apache.spark.sql.types.StructType;
import org.jspecify.annotations.Nullable;

/**
 * Several requests, or sums, in one pass over the rows: every partition is counted by itself, then
 * what was counted is merged, in parallel by group and at last in one task, which holds back what
 * is too much. A slice that has too much in one partition already is given up there at once.
 */
final class Slices {
  private static final StructType PARTS =
      new StructType()
          .add("slice", DataTypes.IntegerType)
          .add("many", DataTypes.IntegerType)
          .add("sign", DataTypes.IntegerType)
          .add("key", DataTypes.createArrayType(DataTypes.StringType))
          .add("rows", DataTypes.LongType)
          .add("high", DataTypes.createArrayType(DataTypes.DoubleType, false))
          .add("low", DataTypes.createArrayType(DataTypes.DoubleType, false))
          .add("least", DataTypes.DoubleType)
          .add("greatest", DataTypes.DoubleType);

  private Slices() {}

  static Row row(int slice, int sign, @Nullable String[] key, GroupSums.Part part) {
    return RowFactory.create(
        slice,
        null,
        sign,
        key,
        part.rows(),
        part.high().toArray(),
        part.low().toArray(),
        part.least(),
        part.greatest());
  }

  /** In place of the groups of a slice, the place that has too many values. */
  static Row ended(int slice, int many) {
    return RowFactory.create(
        slice, many, 0, new String[0], 0L, new Object[0], new Object[0], 0.0, 0.0);
  }

  static List<Gathered> of(Dataset<Row> dataset, List<Slice> slices) {
    Encoder<Row> parts = Encoders.row(PARTS);
    Plan plan = Plan.of(slices);
    List<Row> merged =
        dataset
            .select(plan.projected().toArray(Column[]::new))
            .mapPartitions(new Counting(plan), parts)
            .repartition(col("slice"), col("sign"), col("key"))
            .mapPartitions(new SliceMerger(slices), parts)
            .repartition(1)
            .mapPartitions(new SliceMerger(slices), parts)
            .collectAsList();
    List<List<Group>> groups = new ArrayList<>();
    int[] tooMany = new int[slices.size()];
    Arrays.fill(tooMany, Gathered.NONE);
    slices.forEach(slice -> groups.add(new ArrayList<>()));
    for (Row row : merged) {
      int slice = row.getInt(0);
      if (row.isNullAt(1)) {
        GroupSums.Part part = SliceMerger.part(row);
        boolean summed = !slices.get(slice).summed().isEmpty();
        groups
            .get(slice)
            .add(new Group(SliceMerger.key(row), part.rows(), summed ? part.sums() : null));
      } else {
        int place = row.getInt(1);
        tooMany[slice] = place < 0 ? place : slices.get(slice).places().get(place).column();
      }
    }
    groups.forEach(each -> each.sort(Grouping::compare));
    return IntStream.range(0, slices.size())
        .mapToObj(
            i -> new Gathered(tooMany[i] == Gathered.NONE ? groups.get(i) : List.of(), tooMany[i]))
        .toList();
  }

  /**
   * Where in a row of the projection each slice finds its columns.
   *
   * @param slices the slices
   * @param projected the columns that any of them needs
   * @param numbered for each column whose values are numbered where it stands, and what its numbers
   *     are read as; a column is numbered twice if one slice makes classes of it and another
   *     doesn't
   * @param places for each slice, which of the numbered columns are its places
   * @param weights for each slice, where the columns stand that it sums
   */
  private record Plan(
      List<Slice> slices,
      List<Column> projected,
      List<Numbered> numbered,
      List<int[]> places,
      List<int[]> weights) {

    /** A column whose values are numbered. */
    private record Numbered(int at, @Nullable Recoding classes) implements Serializable {}

    static Plan of(List<Slice> slices) {
      Map<List<?>, Integer> known = new LinkedHashMap<>();
      List<Column> projected = new ArrayList<>();
      Map<Numbered, Integer> numbered = new LinkedHashMap<>();
      List<int[]> places = new ArrayList<>();
      List<int[]> weights = new ArrayList<>();
      for (Slice slice : slices) {
        places.add(
            slice.places().stream()
                .mapToInt(
                    place -> {
                      String name = SparkRows.column(place.column());
                      Column values = slice.only(place, Written.bytes(col(name), place.type()));
                      List<?> what =
                          List.of(name, place.onlyOfThose() ? slice.required() : List.of());
                      int at = position(known, projected, what, values);
                      return position(numbered, new Numbered(at, place.classes()));
                    })
                .toArray());
        weights.add(
            slice.summed().stream()
                .mapToInt(
                    column -> {
                      String name = SparkRows.column(column);
                      Column weight = col(name).cast("double");
                      return position(known, projected, List.of("weight", name), weight);
                    })
                .toArray());
      }
      return new Plan(
          slices, List.copyOf(projected), List.copyOf(numbered.keySet()), places, weights);
    }

    /** Where a column stands in the projection, which it is added to where it is new. */
    private static int position(
        Map<List<?>, Integer> known, List<Column> projected, List<?> what, Column column) {
      int at = position(known, what);
      if (at == projected.size()) {
        projected.add(column.as("p" + at));
      }
      return at;
    }

    private static <T> int position(Map<T, Integer> numbered, T each) {
      Integer known = numbered.putIfAbsent(each, numbered.size());
      return known == null ? numbered.size() - 1 : known;
    }
  }

  /** Counts the rows of a partition. */
  private static final class Counting implements MapPartitionsFunction<Row, Row> {
    private static final long serialVersionUID = 1;

    private final ArrayList<Slice> slices;
    private final ArrayList<Plan.Numbered> numbered;
    private final ArrayList<int[]> places;
    private final ArrayList<int[]> weights;

    Counting(Plan plan) {
      this.slices = new ArrayList<>(plan.slices());
      this.numbered = new ArrayList<>(plan.numbered());
      this.places = new ArrayList<>(plan.places());
      this.weights = new ArrayList<>(plan.weights());
    }

    @Override
    public Iterator<Row> call(Iterator<Row> rows) {
      Values[] values =
          numbered.stream().map(each -> new Values(each.classes())).toArray(Values[]::new);
      SlicedCounts[] counts =
          IntStream.range(0, slices.size())
              .mapToObj(i -> counts(i, values))
              .toArray(SlicedCounts[]::new);
      int[] at = numbered.stream().mapToInt(Plan.Numbered::at).toArray();
      int[] users = new int[at.length];
      places.forEach(each -> Arrays.stream(each).forEach(place -> users[place]++));
      int[] numbers = new int[at.length];
      boolean[] open = new boolean[counts.length];
      Arrays.fill(open, true);
      while (rows.hasNext()) {
        Row row = rows.next();
        for (int i = 0; i < numbers.length; i++) {
          if (users[i] > 0) {
            numbers[i] = values[i].number(row.get(at[i]));
          }
        }
        for (int slice = 0; slice < counts.length; slice++) {
          if (open[slice] && !counts[slice].add(numbers, places.get(slice), row)) {
            open[slice] = false;
            Arrays.stream(places.get(slice)).forEach(place -> users[place]--);
          }
        }
      }
      return Arrays.stream(counts)
          .flatMap(each -> IntStream.range(0, each.size()).filter(each::has).mapToObj(each::row))
          .iterator();
    }

    private SlicedCounts counts(int slice, Values[] values) {
      Values[] own =
          Arrays.stream(places.get(slice)).mapToObj(place -> values[place]).toArray(Values[]::new);
      return new SlicedCounts(slice, slices.get(slice), own, weights.get(slice));
    }
  }
}
