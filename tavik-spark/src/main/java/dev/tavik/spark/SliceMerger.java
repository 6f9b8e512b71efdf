package dev.tavik.spark;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.spark.api.java.function.MapPartitionsFunction;
import org.apache.spark.sql.Row;
import org.jspecify.annotations.Nullable;

/** Merges what was counted of the groups of each slice, and gives up those that have too many. */
final class SliceMerger implements MapPartitionsFunction<Row, Row> {
  private static final long serialVersionUID = 1;

  private final ArrayList<Slice> slices;

  SliceMerger(List<Slice> slices) {
    this.slices = new ArrayList<>(slices);
  }

  /** The groups of one slice. */
  private static final class Merged {
    private final int number;
    private final Slice slice;
    private final Map<List<@Nullable String>, Integer> groups = new HashMap<>();
    private final List<Row> first = new ArrayList<>();
    private final List<Set<String>> seen = new ArrayList<>();
    private final GroupSums sums;
    private int tooMany = Gathered.NONE;

    Merged(int number, Slice slice) {
      this.number = number;
      this.slice = slice;
      this.sums = new GroupSums(slice.summed().size());
      slice.places().forEach(place -> seen.add(new HashSet<>()));
    }

    void add(Row row) {
      if (tooMany != Gathered.NONE) {
        return;
      }
      if (!row.isNullAt(1)) {
        tooMany = row.getInt(1);
        return;
      }
      List<@Nullable String> key = new ArrayList<>(key(row));
      look(key);
      key.add(String.valueOf(row.getInt(2)));
      Integer group = groups.putIfAbsent(key, first.size());
      if (group == null) {
        group = first.size();
        first.add(row);
      }
      sums.merge(group, part(row));
      if (first.size() > Gathered.MOST_GROUPS) {
        tooMany = Gathered.COMBINATIONS;
      }
    }

    private void look(List<@Nullable String> key) {
      for (int place = 0; place < key.size(); place++) {
        String value = key.get(place);
        int most = slice.places().get(place).most();
        if (value != null
            && most < Integer.MAX_VALUE
            && seen.get(place).add(value)
            && seen.get(place).size() > most) {
          tooMany = place;
        }
      }
    }

    List<Row> rows() {
      if (tooMany != Gathered.NONE) {
        return List.of(Slices.ended(number, tooMany));
      }
      List<Row> rows = new ArrayList<>();
      for (int group = 0; group < first.size(); group++) {
        Row row = first.get(group);
        rows.add(
            Slices.row(number, row.getInt(2), key(row).toArray(String[]::new), sums.part(group)));
      }
      return rows;
    }
  }

  static List<@Nullable String> key(Row row) {
    List<@Nullable String> key = row.getList(3);
    return Collections.unmodifiableList(key);
  }

  static GroupSums.Part part(Row row) {
    return new GroupSums.Part(
        row.getLong(4), row.getList(5), row.getList(6), row.getDouble(7), row.getDouble(8));
  }

  @Override
  public Iterator<Row> call(Iterator<Row> parts) {
    List<Merged> merged = new ArrayList<>();
    for (int i = 0; i < slices.size(); i++) {
      merged.add(new Merged(i, slices.get(i)));
    }
    parts.forEachRemaining(row -> merged.get(row.getInt(0)).add(row));
    return merged.stream().flatMap(each -> each.rows().stream()).iterator();
  }
}
