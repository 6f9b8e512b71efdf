package dev.tavik.data.study;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Question;
import dev.tavik.association.TableTest;
import dev.tavik.association.TestOptions;
import dev.tavik.count.CrossTable;
import dev.tavik.count.Names;
import dev.tavik.count.SquareTable;
import dev.tavik.count.StratifiedTables;
import dev.tavik.count.StratifiedTables.Stratum;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.data.DataException;
import dev.tavik.data.SourceOpener;
import dev.tavik.study.Provenance;
import dev.tavik.study.cross.AgreementQuestion;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.cross.CrossSettings;
import dev.tavik.study.cross.Ordered;
import dev.tavik.study.cross.StrataQuestion;
import dev.tavik.survey.SurveyTableTest;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Makes a question about an association from its words. The counts come from cells, {@code 12 5; 7
 * 9}, from a two-way table file, or from two columns of a file of rows; with {@code strata} from
 * three. With {@code paired} rows and columns are two classifications of the same units, and the
 * question is whether they agree.
 */
final class CrossSpec {
  private static final String[] NOT_OF_ASSOCIATION = {
    "tests",
    "figures",
    "pairwise",
    "budget",
    "row-scores",
    "column-scores",
    "bayes",
    "prior",
    "sampling"
  };

  private final QuestionArguments spec;
  private final SourceOpener opening;
  private final CountsSpec counts;

  private CrossSpec(QuestionArguments spec, SourceOpener opening) {
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
  public static Question question(QuestionArguments spec, SourceOpener opening) {
    return spec.has("design")
        ? new CrossSpec(spec, opening).byDesign()
        : SimulationSpec.of(spec, () -> new CrossSpec(spec, opening).question());
  }

  private Question byDesign() {
    counts.requireRows("design");
    SurveySpec survey = new SurveySpec(spec, counts);
    survey.requireDesigned(List.of(SurveyTableTest.values()), List.of(TableTest.values()));
    return spec.has("strata")
        ? survey.cross(column("rows"), column("columns"), column("strata"))
        : survey.cross(column("rows"), column("columns"));
  }

  private Question question() {
    counts.requireRows(
        "rows",
        "columns",
        "strata",
        "count",
        "where",
        "missing",
        "codebook",
        "cut",
        "engine",
        "engine-above");
    counts.requireOneSource(
        "",
        spec.say(
            "nothing to count: give {cells} \"12 5; 7 9\", or {table} with a labelled table, or"
                + " {data} with {rows} and {columns}"));
    boolean paired = spec.flag("paired");
    spec.check(!paired || !spec.has("strata"), "{paired} doesn't go with {strata}; leave one out");
    if (paired || spec.has("strata")) {
      spec.check(
          !spec.has("strata") || !spec.has("ordered"),
          "{ordered} doesn't go with {strata}: within strata there are two levels each, whose"
              + " order makes no difference");
      requireNothingElse(
          paired ? "paired" : "strata",
          paired ? List.of("bowker") : List.of("mantel-haenszel", "breslow-day"));
    }
    CrossSettings settings = new CrossSettingsSpec(spec).settings();
    if (spec.has("strata")) {
      return strata(settings);
    }
    if (spec.has("cells")) {
      List<List<Long>> cells = cells();
      return paired
          ? agreement(square(cells), "First", "Second", settings, null)
          : association("", written(cells), settings, null);
    }
    return spec.has("table") ? fromTable(settings, paired) : fromFile(settings, paired);
  }

  /** Refuses parameters of an association and tests of other questions. */
  private void requireNothingElse(String asked, List<String> tests) {
    for (String word : NOT_OF_ASSOCIATION) {
      // All of its tests are made; none can be chosen.
      boolean own =
          word.equals("tests")
              && (spec.list(word).equals(List.of("all"))
                  || Set.copyOf(spec.list(word)).equals(Set.copyOf(tests)));
      if (spec.has(word) && !own) {
        throw new SpecException(
            "%s doesn't go with %s, which has %s; leave it out",
            spec.name(word), spec.name(asked), String.join(" and ", tests));
      }
    }
  }

  /** Rows apart by semicolons, counts by blanks or commas. */
  private List<List<Long>> cells() {
    List<List<Long>> cells = new ArrayList<>();
    for (String row : String.join(";", spec.all("cells")).split(";", -1)) {
      List<Long> line = new ArrayList<>();
      for (String count : row.strip().split("[\\s,]+")) {
        spec.check(
            count.matches("\\d{1,12}"),
            "{cells} must be rows of whole counts such as \"12 5; 7 9\", got '%s'",
            count);
        line.add(Long.parseLong(count));
      }
      if (!cells.isEmpty() && line.size() != cells.get(0).size()) {
        throw spec.refusal(
            "{cells} must have as many counts in every row; row 1 has %d, row %d has %d",
            cells.get(0).size(), cells.size() + 1, line.size());
      }
      cells.add(line);
    }
    return cells;
  }

  private static Grid written(List<List<Long>> cells) {
    return new Grid(numbered("row", cells.size()), numbered("column", cells.get(0).size()), cells);
  }

  private Grid square(List<List<Long>> cells) {
    if (cells.size() != cells.get(0).size()) {
      throw spec.refusal(
          "{cells} with {paired} must have as many rows as columns, got %d and %d",
          cells.size(), cells.get(0).size());
    }
    List<String> levels = numbered("level", cells.size());
    return new Grid(levels, levels, cells);
  }

  private static List<String> numbered(String what, int size) {
    return IntStream.rangeClosed(1, size).mapToObj(i -> what + " " + i).toList();
  }

  private Question fromTable(CrossSettings settings, boolean paired) {
    TwoWayTable table =
        TwoWayTable.read(
                spec.required("table", "a labelled two-way table"), opening, counts.reading())
            .withoutTotalColumn();
    Provenance from =
        Provenance.table(
            table.source(),
            String.join(", ", table.columns()),
            List.of(),
            table.rows(),
            table.totals());
    Grid grid = new Grid(table.rows(), table.columns(), table.cells());
    return paired
        ? agreement(grid, "First", "Second", settings, from)
        : association("", grid, settings, from);
  }

  private Question fromFile(CrossSettings settings, boolean paired) {
    Tabulation counted = counts.unmerged(column("rows"), column("columns"));
    Provenance from = counts.from(counted, Set.of());
    String first = counted.columns().get(0);
    String second = counted.columns().get(1);
    return paired
        ? agreement(grid(counted), first, second, settings, from)
        : association(first + " by " + second, grid(counted), settings, from);
  }

  private String column(String word) {
    String column =
        spec.required(
            word,
            word.equals("strata")
                ? "the column whose levels are the strata"
                : "the column whose levels are the " + word + " of the table");
    for (String other : List.of("rows", "columns", "strata", "count")) {
      if (!other.equals(word)) {
        counts.requireDifferent(word, other);
      }
    }
    return column;
  }

  /** The counts of the first two columns at given levels of the others. */
  static Grid grid(Tabulation counted, String... others) {
    List<String> rows = Levels.ordered(counted.levels(0));
    List<String> columns = Levels.ordered(counted.levels(1));
    List<List<Long>> cells = new ArrayList<>();
    for (String row : rows) {
      List<Long> line = new ArrayList<>();
      for (String column : columns) {
        List<String> combination = new ArrayList<>(List.of(row, column));
        combination.addAll(List.of(others));
        line.add(counted.counts().getOrDefault(combination, 0L));
      }
      cells.add(line);
    }
    return new Grid(rows, columns, cells);
  }

  /** Merges and orders levels as the parameters say. */
  private Grid arranged(Grid found) {
    Grid grid = found;
    for (String written : spec.all("merge")) {
      grid = grid.merged(written, spec.name("merge"));
    }
    return spec.has("order") ? grid.ordered(spec.list("order"), spec.name("order")) : grid;
  }

  private Question association(
      String label, Grid found, CrossSettings settings, @Nullable Provenance from) {
    Grid grid = arranged(found);
    CrossTable table = grid.table();
    if (settings.ordered().rows()) {
      requireOrder("rows", table.rows());
    }
    if (settings.ordered().columns()) {
      requireOrder("columns", table.columns());
    }
    TestOptions options = settings.options();
    if (settings.ordered().rows() && options.rowScores().isEmpty()) {
      options = options.rowScores(natural(table.rows()));
    }
    if (settings.ordered().columns() && options.columnScores().isEmpty()) {
      options = options.columnScores(natural(table.columns()));
    }
    options =
        options
            .rowScores(kept("row-scores", options.rowScores(), grid.rows(), table.rows()))
            .columnScores(
                kept("column-scores", options.columnScores(), grid.columns(), table.columns()));
    CrossQuestion question =
        CrossQuestion.of(table, grid.empty(), spec.all("merge"))
            .settings(settings.options(options))
            .named(counts.label(label))
            .countedFrom(from);
    spec.check(
        !spec.has("budget") || question.searchesTables(),
        "{budget} is for fisher%s",
        table.twoByTwo()
            ? " in larger tables; one of two by two needs none, so leave it out"
            : spec.say(
                ", which isn't made here; ask for it with {tests} fisher, or leave the budget out"));
    return question;
  }

  /**
   * Levels of a file come in the order of their first rows, which has no meaning, so that ordered
   * levels need their order stated. The order of a table is that of the person who made it.
   */
  private void requireOrder(String word, List<String> levels) {
    @Nullable String column = spec.text(word);
    boolean said =
        spec.list("order").stream().anyMatch(each -> !Names.matching(each, levels).isEmpty());
    if (counts.hasRows()
        && !said
        && !inherent(levels)
        && !(column != null && counts.hasOrder(column))) {
      throw spec.refusal(
          "{ordered} needs to know the order of %s; in the file they only come as they occur."
              + " Name them from low to high with {order}",
          Names.listed(levels));
    }
  }

  /** Numbers have an order of their own; and of two levels only the direction depends on it. */
  private static boolean inherent(List<String> levels) {
    return levels.size() == 2 || Levels.numbers(levels);
  }

  /** Levels that are increasing numbers serve as scores. */
  private static List<Double> natural(List<String> levels) {
    if (!Levels.numbers(levels)) {
      return List.of();
    }
    List<Double> scores = levels.stream().map(level -> Levels.number(level).doubleValue()).toList();
    boolean rising =
        IntStream.range(1, scores.size()).allMatch(i -> scores.get(i) > scores.get(i - 1));
    return rising ? scores : List.of();
  }

  /** One score for each level; scores of empty levels are dropped with them. */
  private List<Double> kept(
      String word, List<Double> scores, List<String> levels, List<String> used) {
    if (scores.size() == levels.size()) {
      return IntStream.range(0, levels.size())
          .filter(i -> used.contains(levels.get(i)))
          .mapToObj(scores::get)
          .toList();
    }
    if (!scores.isEmpty() && scores.size() != used.size()) {
      throw new SpecException(
          "%s must be one a level, %d (%s), got %d",
          spec.name(word), levels.size(), Names.listed(levels), scores.size());
    }
    return scores;
  }

  /** Rows and columns get the same levels, those that either lacks with counts of 0. */
  private Question agreement(
      Grid found, String first, String second, CrossSettings settings, @Nullable Provenance from) {
    Grid grid = arranged(found);
    Set<String> all = new LinkedHashSet<>(grid.rows());
    all.addAll(grid.columns());
    if (grid.rows().stream().noneMatch(grid.columns()::contains)) {
      throw new DataException(
          DataException.Code.LEVEL,
          spec.say(
              "{paired} needs the same levels in rows and columns, got %s and %s",
              Names.listed(grid.rows()), Names.listed(grid.columns())));
    }
    List<String> levels = spec.has("order") ? List.copyOf(all) : Levels.ordered(List.copyOf(all));
    if (settings.ordered() != Ordered.NONE) {
      requireOrder("rows", levels);
    }
    List<List<Long>> cells =
        levels.stream()
            .map(
                row ->
                    levels.stream()
                        .map(
                            column -> {
                              int i = grid.rows().indexOf(row);
                              int j = grid.columns().indexOf(column);
                              return i < 0 || j < 0 ? 0L : grid.cells().get(i).get(j);
                            })
                        .toList())
            .toList();
    return AgreementQuestion.of(first, second, new SquareTable(levels, cells))
        .settings(settings)
        .named(counts.label(""))
        .countedFrom(from);
  }

  private Question strata(CrossSettings settings) {
    String rows = column("rows");
    String columns = column("columns");
    Tabulation counted = counts.unmerged(rows, columns, column("strata"));
    List<String> rowNames = List.of();
    List<String> columnNames = List.of();
    List<Stratum> strata = new ArrayList<>();
    List<String> empty = new ArrayList<>();
    for (String level : Levels.ordered(counted.levels(2))) {
      Grid grid = arranged(grid(counted, level));
      if (grid.rows().size() != 2 || grid.columns().size() != 2) {
        throw new DataException(
            DataException.Code.LEVEL,
            spec.say(
                "{strata} needs two rows and two columns, got %d (%s) and %d (%s); put levels"
                    + " together with {merge}, or keep two with {where}",
                grid.rows().size(),
                Names.listed(grid.rows()),
                grid.columns().size(),
                Names.listed(grid.columns())));
      }
      rowNames = grid.rows();
      columnNames = grid.columns();
      long[] sizes = grid.cells().stream().mapToLong(row -> row.get(0) + row.get(1)).toArray();
      if (sizes[0] == 0 || sizes[1] == 0) {
        empty.add(level);
      } else {
        strata.add(
            new Stratum(
                level,
                Tally.of(grid.cells().get(0).get(0), sizes[0]),
                Tally.of(grid.cells().get(1).get(0), sizes[1])));
      }
    }
    if (strata.isEmpty()) {
      throw new DataException(
          DataException.Code.LEVEL,
          counted.source() + ": no stratum has units of both " + String.join(" and ", rowNames));
    }
    Provenance from = counts.from(counted, Set.of());
    return StrataQuestion.of(new StratifiedTables(rowNames, columnNames, strata), empty)
        .settings(settings)
        .named(
            counts.label(
                say(
                    "%s by %s within %s",
                    counted.columns().get(0), counted.columns().get(1), counted.columns().get(2))))
        .countedFrom(from);
  }
}
