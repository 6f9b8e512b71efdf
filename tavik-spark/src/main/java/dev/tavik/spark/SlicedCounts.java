package dev.tavik.spark;

import java.util.Arrays;
import org.apache.spark.sql.Row;
import org.jspecify.annotations.Nullable;

/** One slice of the rows of a partition, counted as they come. */
final class SlicedCounts {
  /** Groups that differ in this alone: the sign of a weight, or that there is none. */
  private static final int SIGNS = 4;

  private final int number;
  private final Values[] values;
  private final int[] weights;
  private final Pairs[] pairs;
  private final int[] most;
  private final GroupSums sums;
  private int tooMany = Gathered.NONE;

  /**
   * Creates empty counts.
   *
   * @param number the slice's number
   * @param slice what it needs
   * @param values the values of each of its places, shared with other slices
   * @param weights where the columns that are summed stand in a row
   */
  SlicedCounts(int number, Slice slice, Values[] values, int[] weights) {
    this.number = number;
    this.values = values;
    this.weights = weights;
    this.sums = new GroupSums(weights.length);
    this.pairs = new Pairs[values.length - (weights.length > 0 ? 0 : 1)];
    Arrays.setAll(pairs, i -> new Pairs());
    this.most = slice.places().stream().mapToInt(Slice.Place::most).toArray();
  }

  /** Counts a row whose values have these numbers, one for each place; false when it ended. */
  boolean add(int[] numbers, int[] places, Row row) {
    if (tooMany != Gathered.NONE) {
      return false;
    }
    for (int i = 0; i < places.length; i++) {
      if (numbers[places[i]] > most[i]) {
        tooMany = i;
        return false;
      }
    }
    int first = weights.length > 0 ? 0 : 1;
    int group = first == 0 ? sign(row) : numbers[places[0]];
    for (int i = first; i < places.length; i++) {
      group = pairs[i - first].number(group, numbers[places[i]]);
    }
    sums.add(group, 1);
    for (int i = 0; i < weights.length; i++) {
      sums.add(group, i, weight(row, i));
    }
    if (sums.size() > Gathered.MOST_GROUPS) {
      tooMany = Gathered.COMBINATIONS;
    }
    return true;
  }

  private int sign(Row row) {
    double weight = weight(row, 0);
    return weight > 0 ? 0 : weight == 0 ? 1 : weight < 0 ? 2 : SIGNS - 1;
  }

  private double weight(Row row, int which) {
    return row.isNullAt(weights[which])
        ? Double.NaN
        : ((Number) row.get(weights[which])).doubleValue();
  }

  int size() {
    return tooMany != Gathered.NONE ? 1 : sums.size();
  }

  /** Whether a group has rows: of one column a number may stand for a value of other slices. */
  boolean has(int group) {
    return tooMany != Gathered.NONE || sums.rows(group) > 0;
  }

  /** A group as a row. */
  Row row(int group) {
    if (tooMany != Gathered.NONE) {
      return Slices.ended(number, tooMany);
    }
    @Nullable String[] key = new String[values.length];
    int rest = group;
    int first = values.length - pairs.length;
    for (int i = values.length - 1; i >= first; i--) {
      key[i] = values[i].written(pairs[i - first].second(rest));
      rest = pairs[i - first].first(rest);
    }
    if (first == 1) {
      key[0] = values[0].written(rest);
      rest = 0;
    }
    return Slices.row(number, rest, key, sums.part(group));
  }
}
