package dev.tavik.data;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.Names;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Counts combinations of levels as rows come: which row counts, for how many units and as what
 * combination. Memory holds the levels and the combinations seen, never a row.
 */
final class RowCounter {
  private static final int MOST_COLUMNS = 20;

  /** Bits of a combination's key, and the bits that few columns need. */
  private static final int BITS = 63;

  private static final int MOST_BITS = 14;
  private static final int NONE = -1;

  private final RowHandler rows;
  private final CountRequest request;
  private final int levelBits;
  private final CountedColumn[] counted;
  private final LevelFilter[] filters;

  /** Of each column of the data, what is counted or filtered by. */
  private final CountedColumn[][] at;

  private final int frequencyAt;
  private long frequency = 1;

  /** The part of the rows whose levels are exactly those of the filters. */
  private final Part exact;

  /** The part of the rows that match without regard to case, used if no row matches exactly. */
  private final Part nearly;

  /** The result for the last row: its combination, its part, and for how many units it stands. */
  private int combination = NONE;

  private boolean near;
  private long units;

  /** What was counted of some rows, and left out of them for a missing value. */
  private static final class Part {
    private final CombinationCounts counts = new CombinationCounts();
    private final Map<String, Long> missing = new LinkedHashMap<>();
    private final RowsInOrder.@Nullable Log order;
    private long rows;

    Part(RowsInOrder.@Nullable Log order) {
      this.order = order;
    }
  }

  /**
   * Counts the rows of a handler.
   *
   * @param rows whose rows are counted
   * @param header their columns
   * @param request what is counted
   * @param ordered whether the order of the first column's levels is recorded
   */
  RowCounter(RowHandler rows, Header header, CountRequest request, boolean ordered) {
    this.rows = rows;
    this.request = request;
    require(
        request.columns().size() <= MOST_COLUMNS,
        "columns must be at most %s, got %s",
        MOST_COLUMNS,
        request.columns().size());
    this.levelBits = Math.min(MOST_BITS, BITS / Math.max(1, request.columns().size()));
    this.exact = new Part(ordered ? new RowsInOrder.Log(rows.source()) : null);
    this.nearly = new Part(ordered ? new RowsInOrder.Log(rows.source()) : null);
    this.at = new CountedColumn[header.names().size()][0];
    // One number is reserved for missing values if they are a level.
    int most = Math.min(CountedColumn.MOST_LEVELS, (1 << levelBits) - 1);
    String together =
        most < CountedColumn.MOST_LEVELS
            ? " of " + request.columns().size() + " columns at once"
            : "";
    this.counted =
        request.columns().stream()
            .map(name -> column(header, name, most, together))
            .toArray(CountedColumn[]::new);
    List<CountedColumn> filtered =
        request.filters().keySet().stream()
            .map(name -> column(header, name, CountedColumn.MOST_LEVELS, ""))
            .toList();
    String counts = request.frequency();
    this.frequencyAt = counts == null ? NONE : header.find(counts);
    requireOneFilterEach(header);
    requireRecoded(header);
    List<String> levels = List.copyOf(request.filters().values());
    this.filters = new LevelFilter[levels.size()];
    for (int i = 0; i < filters.length; i++) {
      filters[i] = new LevelFilter(filtered.get(i), levels.get(i));
    }
  }

  private CountedColumn column(Header header, String name, int most, String together) {
    int place = header.find(name);
    Recoding recoding = null;
    for (Map.Entry<String, Recoding> each : request.recodings().entrySet()) {
      recoding = header.position(each.getKey()) == place ? each.getValue() : recoding;
    }
    CountedColumn column =
        new CountedColumn(rows, header.names().get(place), recoding, most, together);
    CountedColumn[] others = Arrays.copyOf(at[place], at[place].length + 1);
    others[others.length - 1] = column;
    at[place] = others;
    return column;
  }

  /** The same column may be named twice with different case. */
  private void requireOneFilterEach(Header header) {
    Map<Integer, String> seen = new LinkedHashMap<>();
    request
        .filters()
        .forEach(
            (name, level) -> {
              String filter = name + "=" + level;
              String other = seen.put(header.find(name), filter);
              if (other != null) {
                throw new DataException(
                    DataException.Code.COLUMN,
                    "%s: %s and %s filter one column; no row has two levels of it",
                    rows.source(),
                    other,
                    filter);
              }
            });
  }

  /** Refuses a codebook that belongs to other data. */
  private void requireRecoded(Header header) {
    Set<String> described = request.recodings().keySet();
    if (!described.isEmpty() && described.stream().allMatch(each -> header.position(each) < 0)) {
      throw new DataException(
          DataException.Code.COLUMN,
          "%s has none of the columns that its codebook describes: %s. There are: %s",
          rows.source(),
          Names.listed(List.copyOf(described)),
          Names.listed(header.names()));
    }
  }

  /** Whether a column is needed. */
  boolean wants(int column) {
    return at[column].length > 0 || column == frequencyAt;
  }

  /** Takes a value by its key, 0 if it has none; returns whether its characters are not needed. */
  boolean keyed(int column, long key) {
    if (column >= at.length) {
      return false;
    }
    boolean all = key != 0 && column != frequencyAt;
    for (CountedColumn each : at[column]) {
      all &= each.keyed(key);
    }
    return all;
  }

  /** Takes a value of the current row. */
  void value(int column, char[] buffer, int offset, int length, boolean quoted) {
    for (CountedColumn each : at[column]) {
      each.value(buffer, offset, length, quoted);
    }
    if (column == frequencyAt) {
      frequency = frequency(buffer, offset, length);
    }
  }

  /** How many different values of a column are accepted. */
  int mostValues(int column) {
    int most = Integer.MAX_VALUE;
    for (CountedColumn each : at[column]) {
      most = Math.min(most, each.mostValues());
    }
    return most;
  }

  /** The trouble of a column with more values than are accepted. */
  DataException tooMany(int column) {
    return at[column][0].tooMany();
  }

  /** What the values of a column are read as, where all that need it make the same classes. */
  Optional<Recoding> classes(int column) {
    @Nullable Recoding found = null;
    for (CountedColumn each : at[column]) {
      Recoding recoding = each.recoding();
      if (recoding == null || !recoding.cuts()) {
        return Optional.empty();
      }
      found = recoding;
    }
    return Optional.ofNullable(found);
  }

  /** The number of the last row's combination; negative if it is not counted. */
  int combination() {
    return combination;
  }

  /** Whether the last row has the levels of the filters only but for case. */
  boolean near() {
    return near;
  }

  /** The frequency of the last row; 1 without a frequency column. */
  long frequency() {
    return frequency;
  }

  /** How many units the last row stands for. */
  long units() {
    return units;
  }

  /** Whether the rows that count are those that have the levels of the filters but for case. */
  boolean nearlyCounted() {
    return part() == nearly;
  }

  /** The rows with the very levels asked for, or, where there are none, with those but for case. */
  private Part part() {
    return exact.rows > 0 || nearly.rows == 0 ? exact : nearly;
  }

  /** Counts the row at hand. */
  void row() {
    combination = NONE;
    Part part = exact;
    for (LevelFilter filter : filters) {
      switch (filter.match(rows.times())) {
        case NOT -> {
          return;
        }
        case NEARLY -> part = nearly;
        case EXACT -> {}
      }
    }
    part.rows += rows.times();
    count(part);
  }

  private void count(Part part) {
    boolean fits = frequency == 0 || rows.times() <= Tally.MAX_TRIALS / frequency;
    near = part == nearly;
    units = fits ? frequency * rows.times() : limited(Long.MAX_VALUE);
    long key = 0;
    for (CountedColumn column : counted) {
      int level = column.level();
      if (level == CountedColumn.MISSING) {
        if (request.missing() != Missing.LEVEL) {
          leaveOut(part, column);
          return;
        }
        level = column.missingAsLevel();
      }
      key = key << levelBits | level;
    }
    combination = part.counts.number(key);
    limited(part.counts.add(combination, units));
    if (part.order != null) {
      part.order.add(counted[0].level());
    }
  }

  private void leaveOut(Part part, CountedColumn column) {
    if (request.missing() == Missing.FAIL) {
      throw new DataException(
          DataException.Code.MISSING,
          "%s, column %s has no value, and missing values were not to be accepted;"
              + " drop leaves such rows out, level counts them as a level",
          rows.place(),
          column.name());
    }
    part.missing.merge(column.name(), units, (a, b) -> limited(a + b));
  }

  private long limited(long count) {
    if (count > Tally.MAX_TRIALS) {
      throw badCount("makes a total above " + Figures.count(Tally.MAX_TRIALS));
    }
    return count;
  }

  private long frequency(char[] buffer, int offset, int length) {
    try {
      return limited(Frequency.parse(new String(buffer, offset, length)));
    } catch (IllegalArgumentException e) {
      throw badCount(String.valueOf(e.getMessage()));
    }
  }

  private DataException badCount(String found) {
    if (frequencyAt == NONE) {
      return new DataException(DataException.Code.COUNT, "%s %s", rows.source(), found);
    }
    return new DataException(
        DataException.Code.COUNT,
        "%s, frequency column %s %s; accepted are whole numbers from 0",
        rows.place(),
        Objects.requireNonNull(rows.knownHeader()).names().get(frequencyAt),
        found);
  }

  /** The counts, and the first column's levels in the order of the rows. */
  RowsInOrder rowsInOrder(List<String> remarks) {
    Tabulation tabulation = tabulation(remarks);
    return Objects.requireNonNull(part().order).with(tabulation, List.copyOf(counted[0].levels()));
  }

  /** What was counted, once all rows were. */
  Tabulation tabulation(List<String> remarks) {
    if (rows.rows() == 0) {
      throw new DataException(
          DataException.Code.EMPTY, rows.source() + " has a header but no rows of data");
    }
    for (LevelFilter filter : filters) {
      filter.check(rows.source(), nearlyCounted());
    }
    Part part = part();
    Map<List<String>, Long> combinations = new LinkedHashMap<>();
    for (int number = 0; number < part.counts.size(); number++) {
      combinations.put(levels(part.counts.key(number)), part.counts.count(number));
    }
    List<String> all = new ArrayList<>(remarks);
    for (CountedColumn column : counted) {
      if (!column.remark().isEmpty()) {
        all.add(column.remark());
      }
    }
    List<CountedColumn> columns = List.of(counted);
    return Tabulation.of(
            rows.source(),
            columns.stream().map(CountedColumn::name).toList(),
            combinations,
            rows.rows(),
            rows.rows() - part.rows,
            part.missing)
        .ordered(columns.stream().map(CountedColumn::order).toList())
        .remarking(all)
        .weightUnused(Weight.unused(Objects.requireNonNull(rows.knownHeader()), used()));
  }

  private List<String> used() {
    List<String> used = new ArrayList<>(request.columns());
    used.addAll(request.filters().keySet());
    if (request.frequency() != null) {
      used.add(request.frequency());
    }
    return used;
  }

  private List<String> levels(long key) {
    String[] levels = new String[counted.length];
    long rest = key;
    for (int place = counted.length - 1; place >= 0; place--) {
      levels[place] = counted[place].levels().get((int) (rest & ((1 << levelBits) - 1)));
      rest >>>= levelBits;
    }
    return List.of(levels);
  }
}
