package dev.tavik.study.cross;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Column;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Tests;
import dev.tavik.answer.Value;
import dev.tavik.association.TableTest;
import dev.tavik.association.TestOptions;
import dev.tavik.count.CrossTable;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.ExpectedCounts;
import dev.tavik.study.parts.Holm;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Compares each two rows of a table over all columns, the p-values adjusted by Holm's method. All
 * pairs are judged by one test: Pearson's where the expected counts of every pair are large enough,
 * else Fisher's, unless that takes too long for one of them.
 */
final class RowComparison {
  private static final int MOST_ROWS = 40;

  private final CrossTable table;
  private final CrossSettings settings;

  RowComparison(CrossTable table, CrossSettings settings) {
    this.table = table;
    this.settings = settings;
    require(
        table.rows().size() <= MOST_ROWS,
        "rows are compared with one another up to %d, got %d; merge levels or leave it out",
        MOST_ROWS,
        table.rows().size());
  }

  List<RowPair> pairs() {
    List<int[]> positions = new ArrayList<>();
    List<Optional<CrossTable>> tables = new ArrayList<>();
    for (int i = 0; i < table.rows().size(); i++) {
      for (int j = i + 1; j < table.rows().size(); j++) {
        positions.add(new int[] {i, j});
        tables.add(only(i, j));
      }
    }
    boolean enough =
        tables.stream()
            .allMatch(pair -> pair.map(table -> ExpectedCounts.of(table).enough()).orElse(true));
    List<TestResult> tests = enough ? tests(tables, TableTest.PEARSON) : exact(tables);
    List<List<TestResult>> adjusted = Holm.adjust(tests.stream().map(List::of).toList());
    return IntStream.range(0, positions.size())
        .mapToObj(
            k ->
                new RowPair(
                    table.rows().get(positions.get(k)[0]),
                    table.rows().get(positions.get(k)[1]),
                    adjusted.get(k).get(0)))
        .toList();
  }

  private List<TestResult> exact(List<Optional<CrossTable>> tables) {
    try {
      return tests(tables, TableTest.FISHER);
    } catch (NotApplicableException | ArithmeticException e) {
      return tests(tables, TableTest.PEARSON);
    }
  }

  /** The budget is that of all pairs together. */
  private List<TestResult> tests(List<Optional<CrossTable>> tables, TableTest method) {
    TestOptions options =
        settings.options().budget(settings.options().budget() / Math.max(1, tables.size()));
    return tables.stream()
        .map(
            pair ->
                pair.map(rows -> method.of(rows, options))
                    .orElseGet(() -> TestResult.of(method, null, 0)))
        .toList();
  }

  /** Two rows with the columns that either has units in; none where that is one column only. */
  private Optional<CrossTable> only(int first, int second) {
    List<Integer> kept =
        IntStream.range(0, table.columns().size())
            .filter(j -> table.count(first, j) + table.count(second, j) > 0)
            .boxed()
            .toList();
    if (kept.size() < 2) {
      return Optional.empty();
    }
    return Optional.of(
        new CrossTable(
            List.of(table.rows().get(first), table.rows().get(second)),
            kept.stream().map(table.columns()::get).toList(),
            IntStream.of(first, second)
                .mapToObj(i -> kept.stream().map(j -> table.count(i, j)).toList())
                .toList()));
  }

  /** The pairs with their tests, for readers and programs. */
  Sheet sheet() {
    Sheet sheet =
        Sheet.of(
            "pairs",
            "Each two rows; p adjusted by Holm's method, then as it is",
            Column.words(),
            Column.hidden("first"),
            Column.hidden("second"),
            Column.words(),
            Column.hidden("test"),
            Column.numbers("p, Holm").keyed(""),
            Column.numbers("p").keyed(""),
            Column.words());
    for (RowPair pair : pairs()) {
      sheet.row(
          pair.first() + ", " + pair.second(),
          pair.first(),
          pair.second(),
          pair.test().method().id(),
          Tests.figures(pair.test(), settings.alpha()),
          Holm.shown(pair.test()),
          Value.p(pair.test().log10PValue()),
          pair.test().rejectsAdjusted(settings.alpha()) ? "rejects" : "does not reject");
    }
    return sheet;
  }
}
