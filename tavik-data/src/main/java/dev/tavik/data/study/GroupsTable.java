package dev.tavik.data.study;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Names;
import dev.tavik.count.Tally;
import dev.tavik.data.DataException;
import dev.tavik.study.Provenance;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Groups from a two-way table, a row each: by outcome, where the columns are successes and
 * failures, or by successes and total. A column is the total if the analyst says so, if it has a
 * usual name for one (total, n, trials, all, sum), or if there are others and it is their sum in
 * every row.
 */
record GroupsTable(TwoWayTable table, @Nullable String total, List<String> success) {
  /** Names that people give to a total and that could also be an outcome. */
  private static final Set<String> LIKE_TOTALS =
      Set.of(
          "inspected",
          "tested",
          "checked",
          "examined",
          "sampled",
          "asked",
          "answered",
          "responses",
          "respondents",
          "made",
          "produced",
          "fired",
          "units",
          "pieces",
          "base",
          "size",
          "count",
          "of");

  /** The groups, those without observations, and a note of how the table was read. */
  record Read(Map<String, Tally> groups, List<String> empty, Provenance from) {}

  Read read() {
    int totalColumn = totalColumn();
    List<Integer> chosen = successColumns(totalColumn);
    List<Integer> outcomes =
        IntStream.range(0, table.columns().size())
            .filter(column -> column != totalColumn)
            .boxed()
            .toList();
    boolean redundant = totalColumn >= 0 && outcomes.size() > 1 && table.isSumOfOthers(totalColumn);
    boolean byTotal = totalColumn >= 0 && !redundant;
    if (!byTotal && chosen.size() == outcomes.size()) {
      throw malformed("has no column for failures besides the successes");
    }
    Map<String, Tally> groups = new LinkedHashMap<>();
    List<String> empty = new ArrayList<>();
    for (int row = 0; row < table.rows().size(); row++) {
      long successes = table.sum(row, chosen);
      long trials = table.sum(row, byTotal ? List.of(totalColumn) : outcomes);
      String name = table.rows().get(row);
      if (trials == 0) {
        empty.add(name);
      } else if (successes > trials) {
        throw malformed(
            say(
                "row '%s' has %d successes (%s) of %d (%s); successes can't be more than the total",
                name,
                successes,
                names(chosen),
                trials,
                byTotal ? table.columns().get(totalColumn) : names(outcomes)));
      } else {
        groups.put(name, Tally.of(successes, trials));
      }
    }
    List<String> totals = new ArrayList<>(table.totals());
    if (redundant) {
      totals.add("column " + table.columns().get(totalColumn));
    }
    Provenance from =
        Provenance.table(
            table.source(),
            byTotal ? names(chosen) + " of " + table.columns().get(totalColumn) : names(outcomes),
            chosen.stream().map(table.columns()::get).toList(),
            table.rows(),
            totals);
    return new Read(
        groups,
        empty,
        byTotal || outcomes.size() != 2 || chosen.size() != 1
            ? from
            : doubtful(from, outcomes.get(outcomes.get(0).equals(chosen.get(0)) ? 1 : 0), chosen));
  }

  /** A name such as inspected, or the same number in every row, indicates a total. */
  private Provenance doubtful(Provenance from, int other, List<Integer> chosen) {
    String name = table.columns().get(other);
    boolean atLeast =
        IntStream.range(0, table.rows().size())
            .allMatch(row -> table.sum(row, List.of(other)) >= table.sum(row, chosen));
    boolean same =
        table.rows().size() > 1
            && IntStream.range(1, table.rows().size())
                .allMatch(row -> table.sum(row, List.of(other)) == table.sum(0, List.of(other)));
    return atLeast && (same || LIKE_TOTALS.contains(name.strip().toLowerCase(Locale.ROOT)))
        ? from.doubting(name)
        : from;
  }

  private String names(List<Integer> columns) {
    return columns.stream().map(table.columns()::get).collect(Collectors.joining(", "));
  }

  private int totalColumn() {
    String wanted = total;
    if (wanted != null) {
      return column(wanted);
    }
    List<Integer> named =
        IntStream.range(0, table.columns().size())
            .filter(column -> TwoWayTable.isTotal(table.columns().get(column)))
            .boxed()
            .toList();
    if (named.size() > 1) {
      throw malformed("has several columns that could be totals: " + names(named) + "; name one");
    }
    if (named.size() == 1) {
      return named.get(0);
    }
    int last = table.columns().size() - 1;
    return last >= 2 && table.isSumOfOthers(last) ? last : -1;
  }

  private List<Integer> successColumns(int totalColumn) {
    if (!success.isEmpty()) {
      return success.stream().map(this::column).distinct().toList();
    }
    List<Integer> others =
        IntStream.range(0, table.columns().size())
            .filter(column -> column != totalColumn)
            .boxed()
            .toList();
    if (others.isEmpty() || others.size() > 2) {
      throw new SpecException(
          "%s has the columns %s; success must name those that count as success",
          table.source(), String.join(", ", table.columns()));
    }
    return List.of(others.get(0));
  }

  private int column(String typed) {
    List<String> matching = Names.matching(typed, table.columns());
    if (matching.size() != 1) {
      throw new DataException(
          DataException.Code.COLUMN,
          table.source() + " has no column '" + typed + "'" + Names.hint(typed, table.columns()));
    }
    return table.columns().indexOf(matching.get(0));
  }

  private DataException malformed(String found) {
    return new DataException(DataException.Code.MALFORMED, table.source() + ": " + found);
  }
}
