package dev.tavik.data;

import dev.tavik.association.TableTest;
import dev.tavik.count.CrossTable;
import dev.tavik.count.Tabulation;
import dev.tavik.result.Proportion;
import dev.tavik.study.CountedFrom;
import dev.tavik.study.CrossQuestion;
import dev.tavik.study.CrossSettings;
import dev.tavik.study.Question;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Makes a question about an association from its words. The counts come from cells, {@code 12 5; 7
 * 9}, from a two-way table file, or from two columns of a file of rows.
 */
public final class CrossSpec {
  /** The words that a question about an association understands. */
  public static final Set<String> WORDS =
      Set.of(
          "label", "cells", "table", "data", "rows", "columns", "count", "where", "missing",
          "alpha", "tests");

  private final Spec spec;
  private final Opening opening;
  private final CountsSpec counts;

  private CrossSpec(Spec spec, Opening opening) {
    this.spec = spec;
    this.opening = opening;
    this.counts = new CountsSpec(spec, opening);
  }

  /**
   * Makes the question. Everything that the words alone can get wrong is refused before a file is
   * opened.
   *
   * @param spec the words
   * @param opening how a file is opened
   * @return the question
   * @throws SpecException if the words make no question
   * @throws IllegalArgumentException if a value is out of its range
   * @throws DataException if the file can't be read or lacks what is asked for
   */
  public static Question question(Spec spec, Opening opening) {
    return new CrossSpec(spec, opening).question();
  }

  private Question question() {
    spec.requireWith("data", "rows", "columns", "count", "where", "missing");
    List<String> sources =
        List.of("cells", "table", "data").stream().filter(spec::has).map(spec::name).toList();
    if (sources.size() != 1) {
      throw new SpecException(
          sources.isEmpty()
              ? String.format(
                  "nothing to count: give %s \"12 5; 7 9\", or %s with a labelled table, or %s with %s"
                      + " and %s",
                  spec.name("cells"),
                  spec.name("table"),
                  spec.name("data"),
                  spec.name("rows"),
                  spec.name("columns"))
              : "counts come from one place, not from "
                  + String.join(" and ", sources)
                  + "; leave one out");
    }
    CrossSettings settings = settings();
    if (spec.has("cells")) {
      return fromCells(settings);
    }
    return spec.has("table") ? fromTable(settings) : fromFile(settings);
  }

  private CrossSettings settings() {
    CrossSettings settings = CrossSettings.usual();
    @Nullable String alpha = spec.text("alpha");
    if (alpha != null) {
      settings = settings.alpha(Proportion.parse(spec.name("alpha"), alpha));
    }
    if (spec.has("tests")) {
      settings =
          settings.tests(counts.methods("tests", List.of(TableTest.values()), TableTest::id));
    }
    return settings;
  }

  /** Rows apart by semicolons, counts by blanks or commas. */
  private Question fromCells(CrossSettings settings) {
    List<List<Long>> cells = new ArrayList<>();
    for (String row : String.join(";", spec.all("cells")).split(";", -1)) {
      List<Long> line = new ArrayList<>();
      for (String count : row.strip().split("[\\s,]+")) {
        if (!count.matches("\\d{1,12}")) {
          throw new SpecException(
              spec.name("cells")
                  + " must be rows of whole counts such as \"12 5; 7 9\", got '"
                  + count
                  + "'");
        }
        line.add(Long.parseLong(count));
      }
      if (!cells.isEmpty() && line.size() != cells.get(0).size()) {
        throw new SpecException(
            String.format(
                "%s must have as many counts in every row; row 1 has %d, row %d has %d",
                spec.name("cells"), cells.get(0).size(), cells.size() + 1, line.size()));
      }
      cells.add(line);
    }
    return question(
        counts.label(""),
        numbered("row", cells.size()),
        numbered("column", cells.get(0).size()),
        cells,
        settings,
        null);
  }

  private static List<String> numbered(String what, int size) {
    return IntStream.rangeClosed(1, size).mapToObj(i -> what + " " + i).toList();
  }

  private Question fromTable(CrossSettings settings) {
    TwoWayTable table =
        TwoWayTable.read(spec.required("table", "a labelled two-way table"), opening)
            .withoutTotalColumn();
    CountedFrom from =
        CountedFrom.table(
            table.source(),
            String.join(", ", table.columns()),
            List.of(),
            table.rows(),
            table.totals());
    return question(counts.label(""), table.rows(), table.columns(), table.cells(), settings, from);
  }

  private Question fromFile(CrossSettings settings) {
    String rows = spec.required("rows", "the column whose levels are the rows of the table");
    String columns =
        spec.required("columns", "the column whose levels are the columns of the table");
    counts.requireDifferent("rows", "columns");
    counts.requireDifferent("rows", "count");
    counts.requireDifferent("columns", "count");
    Tabulation counted = counts.tabulation(rows, columns);
    List<String> rowLevels = CountsSpec.ordered(counted.levels(0));
    List<String> columnLevels = CountsSpec.ordered(counted.levels(1));
    List<List<Long>> cells = new ArrayList<>();
    for (String row : rowLevels) {
      List<Long> line = new ArrayList<>();
      for (String column : columnLevels) {
        line.add(counted.counts().getOrDefault(List.of(row, column), 0L));
      }
      cells.add(line);
    }
    CountedFrom from = CountedFrom.of(counted, List.of(), spec.text("count"), counts.filters());
    return question(
        counts.label(counted.columns().get(0) + " by " + counted.columns().get(1)),
        rowLevels,
        columnLevels,
        cells,
        settings,
        from);
  }

  /** Leaves rows and columns out that are empty. */
  private static Question question(
      String label,
      List<String> rows,
      List<String> columns,
      List<List<Long>> cells,
      CrossSettings settings,
      @Nullable CountedFrom from) {
    List<Integer> keptRows =
        IntStream.range(0, rows.size())
            .filter(i -> cells.get(i).stream().anyMatch(count -> count > 0))
            .boxed()
            .toList();
    List<Integer> keptColumns =
        IntStream.range(0, columns.size())
            .filter(j -> cells.stream().anyMatch(row -> row.get(j) > 0))
            .boxed()
            .toList();
    List<String> empty = new ArrayList<>();
    IntStream.range(0, rows.size())
        .filter(i -> !keptRows.contains(i))
        .forEach(i -> empty.add(rows.get(i)));
    IntStream.range(0, columns.size())
        .filter(j -> !keptColumns.contains(j))
        .forEach(j -> empty.add(columns.get(j)));
    if (keptRows.size() < 2 || keptColumns.size() < 2) {
      throw new DataException(
          DataException.Code.LEVEL,
          String.format(
              "an association needs two rows and two columns with counts, got %d and %d",
              keptRows.size(), keptColumns.size()));
    }
    CrossTable table =
        new CrossTable(
            keptRows.stream().map(rows::get).toList(),
            keptColumns.stream().map(columns::get).toList(),
            keptRows.stream()
                .map(i -> keptColumns.stream().map(j -> cells.get(i).get(j)).toList())
                .toList());
    return new CrossQuestion(label, table, empty, settings, from);
  }
}
