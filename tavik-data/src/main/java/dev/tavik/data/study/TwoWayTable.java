package dev.tavik.data.study;

import static dev.tavik.result.Figures.say;

import dev.tavik.data.DataException;
import dev.tavik.data.PastedTable;
import dev.tavik.data.PastedTable.PastedLine;
import dev.tavik.data.ReadOptions;
import dev.tavik.data.SourceOpener;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * A labelled two-way table of counts, as people paste it: names of columns in the first line, a
 * name at the start of each row, perhaps a title above, thousands separators, percents behind or
 * between the counts, and totals at the edges.
 *
 * @param source the file's name
 * @param rows the names of the rows
 * @param columns the names of the columns
 * @param cells the counts, row by row
 * @param totals what was found to be totals or percents, in words, and is no longer in the table
 */
record TwoWayTable(
    String source,
    List<String> rows,
    List<String> columns,
    List<List<Long>> cells,
    List<String> totals) {
  private static final Set<String> TOTAL_NAMES =
      Set.of("total", "totals", "sum", "all", "overall", "grand total", "n", "trials");
  private static final Pattern WHOLE = Pattern.compile("\\d{1,18}");

  /** Thousands, set apart by one and the same sign; the rest after the first is in group 2. */
  private static final Pattern GROUPED =
      Pattern.compile("[1-9]\\d{0,2}([,.'\u2019 \u00a0\u202f])\\d{3}((?:\\1\\d{3}){0,4})");

  private static final Pattern PERCENTAGE = Pattern.compile("\\d{1,18}(?:[.,]\\d{1,18})?\\s*%");

  /** A count with its percent behind it, {@code 12 (35.3%)}. */
  private static final Pattern WITH_PERCENTAGE =
      Pattern.compile(
          "([\\d,.'\u2019 \u00a0\u202f]{1,24}?)\\s*\\(\\d{1,3}(?:[.,]\\d{1,9})?\\s*%\\)");

  /** Stands for a percent where a count should be. */
  private static final long PERCENT = -1;

  /** Marks a missing count. */
  private static final long BLANK = -2;

  TwoWayTable {
    rows = List.copyOf(rows);
    columns = List.copyOf(columns);
    cells = List.copyOf(cells);
    totals = List.copyOf(totals);
  }

  /** Whether a name is one that people give to totals. */
  static boolean isTotal(String name) {
    return TOTAL_NAMES.contains(name.strip().toLowerCase(Locale.ROOT));
  }

  /** Reads a table; a row of totals that adds up is left out, one that doesn't is refused. */
  static TwoWayTable read(String name, SourceOpener opening, ReadOptions said) {
    List<PastedLine> lines = PastedTable.read(name, opening, said);
    int head = header(name, lines);
    if (head + 1 >= lines.size()) {
      throw new DataException(
          DataException.Code.EMPTY,
          name + " has no table; names of columns and at least one row of counts are needed");
    }
    List<String> header = lines.get(head).fields();
    int width = header.size();
    while (width > 1 && header.get(width - 1).isBlank()) {
      width--;
    }
    requireNames(name, lines.get(head), header.subList(0, width));
    TwoWayTable table =
        new TwoWayTable(
            name, List.of(), names(name, header.subList(1, width)), List.of(), List.of());
    List<String> rows = new ArrayList<>();
    List<List<Long>> cells = new ArrayList<>();
    for (PastedLine line : lines.subList(head + 1, lines.size())) {
      if (filled(line) == 0) {
        continue;
      }
      rows.add(line.fields().get(0).strip());
      cells.add(table.counts(line, width));
    }
    names(name, rows);
    requireThousands(name, lines.subList(head + 1, lines.size()));
    return new TwoWayTable(name, rows, table.columns(), cells, List.of())
        .withoutPercents()
        .withoutTotalRow();
  }

  /**
   * The header. Titles may stand above it, each alone in its line; but a single name over a column
   * of counts belongs to that column if the corner is blank.
   */
  private static int header(String source, List<PastedLine> lines) {
    int head = 0;
    while (head < lines.size() && filled(lines.get(head)) < 2) {
      PastedLine line = lines.get(head);
      int place = firstFilled(line);
      if (place > 0 && head + 1 < lines.size() && isNumber(field(lines.get(head + 1), place))) {
        return head;
      }
      if (place >= 0 && isNumber(field(line, place))) {
        throw new DataException(
            DataException.Code.MALFORMED,
            "%s, line %d has only '%s', which looks like a count; a table has a line with the"
                + " names of the columns above its counts, and a name at the start of each row",
            source,
            line.number(),
            field(line, place));
      }
      head++;
    }
    return head;
  }

  /**
   * Refuses a first row of counts where names should be; numbers are names where the corner is
   * blank, or where they follow one another.
   */
  private static void requireNames(String source, PastedLine line, List<String> header) {
    List<String> names = header.subList(1, header.size()).stream().map(String::strip).toList();
    boolean numbers = !names.isEmpty() && names.stream().allMatch(TwoWayTable::isNumber);
    if (numbers && !header.get(0).isBlank() && !consecutive(names)) {
      throw new DataException(
          DataException.Code.MALFORMED,
          "%s, line %d (%s) looks like a row of counts, where the names of the columns should"
              + " stand; put a line of names above it, or, if these numbers are names, leave the"
              + " corner before them blank",
          source,
          line.number(),
          String.join(", ", header));
    }
  }

  private static boolean consecutive(List<String> names) {
    if (names.size() < 2 || !names.stream().allMatch(name -> name.matches("-?\\d{1,9}"))) {
      return false;
    }
    List<Long> numbers = names.stream().map(Long::parseLong).toList();
    long step = numbers.get(1) - numbers.get(0);
    return Math.abs(step) == 1
        && IntStream.range(1, numbers.size())
            .allMatch(i -> numbers.get(i) - numbers.get(i - 1) == step);
  }

  /**
   * Refuses a table in which every count has one group of three digits behind a comma: they may be
   * decimals. Beside a count without a comma they can't be.
   */
  private static void requireThousands(String source, List<PastedLine> lines) {
    List<String> counts =
        lines.stream()
            .flatMap(line -> line.fields().stream().skip(1))
            .map(field -> field.replaceAll("\\(.*", "").strip())
            .filter(field -> !field.isEmpty() && !field.contains("%"))
            .toList();
    boolean allGrouped =
        !counts.isEmpty() && counts.stream().allMatch(text -> text.matches("\\d{1,3},\\d{3}"));
    if (allGrouped) {
      throw new DataException(
          DataException.Code.COUNT,
          "%s: every count is written like '%s', which may mean a fraction; a table holds whole"
              + " counts: write them without separators of thousands",
          source,
          counts.get(0));
    }
  }

  private static int firstFilled(PastedLine line) {
    return IntStream.range(0, line.fields().size())
        .filter(place -> !line.fields().get(place).isBlank())
        .findFirst()
        .orElse(-1);
  }

  private static String field(PastedLine line, int place) {
    return place < line.fields().size() ? line.fields().get(place).strip() : "";
  }

  private static boolean isNumber(String text) {
    return text.matches("[-+]?\\d[\\d.,'\u2019 \u00a0\u202f]*%?");
  }

  private static long filled(PastedLine line) {
    return line.fields().stream().filter(field -> !field.isBlank()).count();
  }

  private static List<String> names(String source, List<String> written) {
    List<String> names = new ArrayList<>();
    for (String each : written) {
      String name = each.strip();
      if (name.isEmpty()) {
        throw new DataException(
            DataException.Code.MALFORMED, source + " has a row or column without a name");
      }
      if (names.contains(name)) {
        throw new DataException(
            DataException.Code.MALFORMED,
            "%s has two rows or two columns called '%s'; give them different names",
            source,
            name);
      }
      names.add(name);
    }
    return names;
  }

  private List<Long> counts(PastedLine line, int width) {
    boolean more = line.fields().stream().skip(width).anyMatch(field -> !field.isBlank());
    if (line.fields().size() < width || more) {
      throw malformed(
          line,
          say(
              line.fields().stream().skip(1).noneMatch(TwoWayTable::isNumber)
                  ? "has %d fields, the names of columns make %d, and no number: a note below a"
                      + " table isn't part of it; leave it out"
                  : "has %d fields, the names of columns make %d; a number with a comma inside must"
                      + " stand in quotes",
              line.fields().size(),
              width));
    }
    List<Long> counts = new ArrayList<>();
    for (int column = 1; column < width; column++) {
      counts.add(count(line, column));
    }
    return counts;
  }

  private long count(PastedLine line, int column) {
    String text = line.fields().get(column).strip();
    if (WHOLE.matcher(text).matches()) {
      return Long.parseLong(text);
    }
    if (isThousands(text)) {
      return Long.parseLong(text.replaceAll("\\D", ""));
    }
    if (text.isEmpty() || PERCENTAGE.matcher(text).matches()) {
      return text.isEmpty() ? BLANK : PERCENT;
    }
    Matcher both = WITH_PERCENTAGE.matcher(text);
    String before = both.matches() ? both.group(1).strip() : "";
    if (WHOLE.matcher(before).matches() || isThousands(before)) {
      return Long.parseLong(before.replaceAll("\\D", ""));
    }
    throw new DataException(
        DataException.Code.COUNT,
        "%s, line %d, column %s has '%s'%s; a table holds whole counts",
        source,
        line.number(),
        columns.get(column - 1),
        text,
        text.matches("\\d*[.,]\\d.*")
            ? ", which is a fraction or may be one (thousands are written 1200 or 1,200)"
            : "");
  }

  /** With points between groups only where there are two: one may be a fraction, 1.200. */
  private static boolean isThousands(String text) {
    Matcher grouped = GROUPED.matcher(text);
    return grouped.matches() && (!grouped.group(1).equals(".") || !grouped.group(2).isEmpty());
  }

  private DataException malformed(PastedLine line, String found) {
    return new DataException(
        DataException.Code.MALFORMED, "%s, line %d %s", source, line.number(), found);
  }

  /** Without rows and columns of nothing but percents; one among counts is refused. */
  private TwoWayTable withoutPercents() {
    requireSome("row", rows, cells);
    requireSome(
        "column",
        columns,
        IntStream.range(0, columns.size())
            .mapToObj(j -> cells.stream().map(row -> row.get(j)).toList())
            .toList());
    List<Integer> keptRows = withCounts(cells);
    List<Integer> keptColumns =
        withCounts(
            IntStream.range(0, columns.size())
                .mapToObj(j -> keptRows.stream().map(i -> cells.get(i).get(j)).toList())
                .toList());
    List<List<Long>> kept =
        keptRows.stream()
            .map(i -> keptColumns.stream().map(j -> cells.get(i).get(j)).toList())
            .toList();
    if (kept.isEmpty() || keptColumns.isEmpty()) {
      throw new DataException(
          DataException.Code.COUNT,
          source + " has percents only; a table holds whole counts: give the counts behind them");
    }
    for (int i = 0; i < kept.size(); i++) {
      for (int j = 0; j < keptColumns.size(); j++) {
        if (kept.get(i).get(j) < 0) {
          throw new DataException(
              DataException.Code.COUNT,
              "%s: row '%s' has %s in column %s; a table holds whole counts%s",
              source,
              rows.get(keptRows.get(i)),
              kept.get(i).get(j) == BLANK ? "nothing" : "a percent",
              columns.get(keptColumns.get(j)),
              kept.get(i).get(j) == BLANK
                  ? ", also 0"
                  : ", not percents: give the counts behind them");
        }
      }
    }
    List<String> found = new ArrayList<>(totals);
    IntStream.range(0, rows.size())
        .filter(i -> !keptRows.contains(i))
        .forEach(i -> found.add("row " + rows.get(i)));
    IntStream.range(0, columns.size())
        .filter(j -> !keptColumns.contains(j))
        .forEach(j -> found.add("column " + columns.get(j)));
    return new TwoWayTable(
        source,
        keptRows.stream().map(rows::get).toList(),
        keptColumns.stream().map(columns::get).toList(),
        kept,
        found);
  }

  private void requireSome(String what, List<String> names, List<List<Long>> lines) {
    for (int i = 0; i < lines.size(); i++) {
      if (lines.get(i).stream().allMatch(count -> count == BLANK)) {
        throw new DataException(
            DataException.Code.COUNT,
            "%s: %s '%s' has no counts; a table holds whole counts, also 0: fill it in, or take"
                + " it out",
            source,
            what,
            names.get(i));
      }
    }
  }

  private static List<Integer> withCounts(List<List<Long>> lines) {
    return IntStream.range(0, lines.size())
        .filter(i -> lines.get(i).stream().anyMatch(count -> count >= 0))
        .boxed()
        .toList();
  }

  private TwoWayTable withoutTotalRow() {
    int last = rows.size() - 1;
    if (last < 1 || !isTotal(rows.get(last))) {
      if (last > 1 && IntStream.range(0, columns.size()).allMatch(this::lastIsSum)) {
        throw new DataException(
            DataException.Code.MALFORMED,
            "%s: row '%s' is the sum of the rows above it; call it Total to have it left out, or"
                + " put it first if it is a level of its own",
            source,
            rows.get(last));
      }
      return this;
    }
    for (int column = 0; column < columns.size(); column++) {
      long sum = 0;
      for (int row = 0; row < last; row++) {
        sum += cells.get(row).get(column);
      }
      if (sum != cells.get(last).get(column)) {
        throw new DataException(
            DataException.Code.MALFORMED,
            "%s: row '%s' has %d in column %s, but the rows above add up to %d; mend the table,"
                + " or give the row another name if it is a group",
            source,
            rows.get(last),
            cells.get(last).get(column),
            columns.get(column),
            sum);
      }
    }
    List<String> found = new ArrayList<>(totals);
    found.add("row " + rows.get(last));
    return new TwoWayTable(source, rows.subList(0, last), columns, cells.subList(0, last), found);
  }

  private boolean lastIsSum(int column) {
    long sum = cells.stream().mapToLong(row -> row.get(column)).sum();
    return sum == 2 * cells.get(cells.size() - 1).get(column);
  }

  /** Without a last column of totals; one that is called so and doesn't add up is refused. */
  TwoWayTable withoutTotalColumn() {
    int last = columns.size() - 1;
    if (last < 2 || !isTotal(columns.get(last))) {
      if (last > 1 && isSumOfOthers(last)) {
        throw new DataException(
            DataException.Code.MALFORMED,
            "%s: column '%s' is the sum of the others in every row; call it Total to have it left"
                + " out, or put it first if it is a level of its own",
            source,
            columns.get(last));
      }
      return this;
    }
    if (!isSumOfOthers(last)) {
      throw new DataException(
          DataException.Code.MALFORMED,
          "%s: column '%s' isn't the sum of the others in every row; mend the table, or give"
              + " the column another name if it is a level",
          source,
          columns.get(last));
    }
    List<String> found = new ArrayList<>(totals);
    found.add("column " + columns.get(last));
    return new TwoWayTable(
        source,
        rows,
        columns.subList(0, last),
        cells.stream().map(row -> row.subList(0, last)).toList(),
        found);
  }

  /** Whether one column is the sum of all others in every row. */
  boolean isSumOfOthers(int column) {
    return cells.stream()
        .allMatch(row -> 2 * row.get(column) == row.stream().mapToLong(Long::longValue).sum());
  }

  /** The sum of some columns of a row. */
  long sum(int row, List<Integer> chosen) {
    return chosen.stream().mapToLong(column -> cells.get(row).get(column)).sum();
  }
}
