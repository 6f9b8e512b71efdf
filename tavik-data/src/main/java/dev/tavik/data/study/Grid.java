package dev.tavik.data.study;

import dev.tavik.count.CrossTable;
import dev.tavik.count.Names;
import dev.tavik.data.DataException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Counts by rows and columns as they were found, before empty levels are left out; levels can be
 * merged and in another order.
 *
 * @param rows the names of the rows
 * @param columns the names of the columns
 * @param cells the counts, row by row
 */
record Grid(List<String> rows, List<String> columns, List<List<Long>> cells) {
  Grid {
    rows = List.copyOf(rows);
    columns = List.copyOf(columns);
    cells = cells.stream().map(List::copyOf).toList();
  }

  private Grid turned() {
    return new Grid(
        /* rows= */ columns,
        /* columns= */ rows,
        IntStream.range(0, columns.size())
            .mapToObj(j -> cells.stream().map(row -> row.get(j)).toList())
            .toList());
  }

  /** Merges levels, written {@code a+b=c}, in rows or in columns. */
  Grid merged(String written, String word) {
    LevelMerging.Merged wanted = LevelMerging.Merged.parse(written, word);
    List<String> typed = wanted.levels();
    String name = wanted.name();
    boolean inRows = typed.stream().allMatch(each -> Names.matching(each, rows).size() == 1);
    boolean inColumns = typed.stream().allMatch(each -> Names.matching(each, columns).size() == 1);
    if (inRows && inColumns) {
      throw new SpecException(
          word + " '" + written + "' could mean rows or columns, which have levels of these names");
    }
    if (!inRows && !inColumns) {
      List<String> all = new ArrayList<>(rows);
      all.addAll(columns);
      String missing =
          typed.stream()
              .filter(each -> Names.matching(each, all).size() != 1)
              .findFirst()
              .orElse(typed.get(1));
      throw new DataException(
          DataException.Code.LEVEL,
          all.contains(missing)
              ? word + " '" + written + "' mixes rows and columns"
              : word + ": there is no level '" + missing + "'" + Names.hint(missing, all));
    }
    return inRows ? mergedRows(typed, name, word) : turned().mergedRows(typed, name, word).turned();
  }

  private Grid mergedRows(List<String> typed, String name, String word) {
    Set<Integer> chosen = new LinkedHashSet<>();
    typed.forEach(each -> chosen.add(rows.indexOf(Names.matching(each, rows).get(0))));
    int place = chosen.stream().min(Integer::compare).orElseThrow();
    List<String> names = new ArrayList<>();
    List<List<Long>> counts = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      if (i == place) {
        names.add(name);
        counts.add(
            IntStream.range(0, columns.size())
                .mapToObj(j -> chosen.stream().mapToLong(k -> cells.get(k).get(j)).sum())
                .toList());
      } else if (!chosen.contains(i)) {
        names.add(rows.get(i));
        counts.add(cells.get(i));
      }
    }
    if (new LinkedHashSet<>(names).size() < names.size()) {
      throw new SpecException(word + " needs a name that is not taken, got '" + name + "'");
    }
    return new Grid(names, columns, counts);
  }

  /** Orders the levels: all rows, all columns, or both. */
  Grid ordered(List<String> order, String word) {
    List<String> newRows = chosen(order, rows);
    List<String> newColumns = chosen(order, columns);
    for (String typed : order) {
      if (Names.matching(typed, rows).size() != 1 && Names.matching(typed, columns).size() != 1) {
        List<String> all = new ArrayList<>(rows);
        all.addAll(columns);
        throw new DataException(
            DataException.Code.LEVEL,
            word + ": there is no level '" + typed + "'" + Names.hint(typed, all));
      }
    }
    requireAll(newRows, rows, word);
    requireAll(newColumns, columns, word);
    Grid grid = newRows.isEmpty() ? this : withRows(newRows);
    return newColumns.isEmpty() ? grid : grid.turned().withRows(newColumns).turned();
  }

  private static List<String> chosen(List<String> order, List<String> levels) {
    return order.stream()
        .map(typed -> Names.matching(typed, levels))
        .filter(matching -> matching.size() == 1)
        .map(matching -> matching.get(0))
        .distinct()
        .toList();
  }

  private static void requireAll(List<String> chosen, List<String> levels, String word) {
    if (!chosen.isEmpty() && chosen.size() < levels.size()) {
      throw new SpecException(
          "%s must name every level; missing: %s",
          word,
          String.join(", ", levels.stream().filter(level -> !chosen.contains(level)).toList()));
    }
  }

  private Grid withRows(List<String> order) {
    return new Grid(
        order, columns, order.stream().map(name -> cells.get(rows.indexOf(name))).toList());
  }

  /** The levels without any unit. */
  List<String> empty() {
    List<String> empty = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      if (cells.get(i).stream().allMatch(count -> count == 0)) {
        empty.add(rows.get(i));
      }
    }
    for (int j = 0; j < columns.size(); j++) {
      int column = j;
      if (cells.stream().allMatch(row -> row.get(column) == 0)) {
        empty.add(columns.get(j));
      }
    }
    return empty;
  }

  /** The table of all levels that have units. */
  CrossTable table() {
    Grid full = this.withoutEmptyRows().turned().withoutEmptyRows().turned();
    if (full.rows.size() < 2 || full.columns.size() < 2) {
      throw new DataException(
          DataException.Code.LEVEL,
          "an association needs two rows and two columns with counts, got %d and %d",
          full.rows.size(),
          full.columns.size());
    }
    return new CrossTable(full.rows, full.columns, full.cells);
  }

  private Grid withoutEmptyRows() {
    return withRows(
        IntStream.range(0, rows.size())
            .filter(i -> cells.get(i).stream().anyMatch(count -> count > 0))
            .mapToObj(rows::get)
            .toList());
  }
}
