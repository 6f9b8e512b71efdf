package dev.tavik.spark;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * The rows of a file in an order in which the levels of every column first appear sorted, as a
 * cluster sorts them: then what is said of the file is said of the cluster word for word.
 */
final class ArrangedRows {
  /** Of more, and of numbers that aren't counted, no order is needed. */
  private static final int MOST_LEVELS = 50;

  private static final Set<String> NUMBERS = Set.of("n", "weight");

  private ArrangedRows() {}

  /** The same lines, the header first. */
  static List<String> of(List<String> lines) {
    List<String[]> rows =
        new ArrayList<>(lines.stream().skip(1).map(line -> line.split(",", -1)).toList());
    List<String> names = List.of(lines.get(0).split(",", -1));
    int width = names.size();
    List<List<String>> levels =
        IntStream.range(0, width)
            .mapToObj(
                column ->
                    NUMBERS.contains(names.get(column)) ? List.<String>of() : levels(rows, column))
            .toList();
    List<Set<String>> seen = new ArrayList<>();
    IntStream.range(0, width).forEach(column -> seen.add(new HashSet<>(Set.of(""))));
    List<String> arranged = new ArrayList<>(lines.subList(0, 1));
    while (!rows.isEmpty()) {
      int before = rows.size();
      for (Iterator<String[]> each = rows.iterator(); each.hasNext(); ) {
        String[] row = each.next();
        if (IntStream.range(0, width)
            .allMatch(
                column ->
                    levels.get(column).isEmpty()
                        || seen.get(column).contains(row[column])
                        || next(levels.get(column), seen.get(column)).equals(row[column]))) {
          IntStream.range(0, width).forEach(column -> seen.get(column).add(row[column]));
          arranged.add(String.join(",", row));
          each.remove();
        }
      }
      if (rows.size() == before) {
        throw new IllegalStateException("no row may come next of " + before);
      }
    }
    return arranged;
  }

  private static List<String> levels(List<String[]> rows, int column) {
    Set<String> levels = new TreeSet<>(Written.ORDER);
    rows.forEach(row -> levels.add(row[column]));
    levels.remove("");
    return levels.size() > MOST_LEVELS ? List.of() : List.copyOf(levels);
  }

  private static String next(List<String> levels, Set<String> seen) {
    return levels.stream().filter(level -> !seen.contains(level)).findFirst().orElse("");
  }
}
