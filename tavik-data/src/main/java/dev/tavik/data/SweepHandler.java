package dev.tavik.data;

import dev.tavik.count.Crossings;
import dev.tavik.count.Names;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Counts every column against a column of groups in one pass. A column with too many different
 * values is no classification: it is dropped as soon as that is known and costs nothing afterwards.
 */
final class SweepHandler extends RowHandler {
  private static final int NO_PLACE = -1;
  private static final int MOST_SEEN = 100;

  /** Marks a field whose characters are buffered until the row ends. */
  private static final long KEPT = -1;

  private final String group;
  private final CountRequest rules;
  private final boolean all;
  private int groupPlace;
  private List<String> asked = List.of();
  private int frequencyPlace = NO_PLACE;
  private final Map<Integer, RequiredLevel> filters = new LinkedHashMap<>();
  private @Nullable SweptColumn[] columns = {};
  private int[] levels = {};
  private long[] keys = {};
  private ShortLevels first = new ShortLevels(0);

  /** The places of the columns that are counted. */
  private int[] open = {};

  private int used;
  private boolean closed;
  private boolean[] wanted = {};
  private boolean[] special = {};
  private final Map<String, String> leftOut = new LinkedHashMap<>();
  private long kept;
  private int lacking;
  private long frequency = 1;
  private long total;
  private final Map<Integer, Set<String>> seen = new HashMap<>();
  private List<String> names = List.of();
  private char[] text = {};
  private int[] offsets = {};
  private int[] lengths = {};
  private boolean[] inQuotes = {};
  private boolean matching = true;

  /**
   * A count of columns against groups.
   *
   * @param source the source's name
   * @param group the column of groups
   * @param rules the columns that are counted, {@code *} for all of them, filters, frequency and
   *     what becomes of missing values
   */
  SweepHandler(String source, String group, CountRequest rules) {
    super(source);
    this.group = group;
    this.rules = rules;
    this.all = rules.columns().equals(List.of("*"));
  }

  /** Of one column equal rows may come as one; of many the rows themselves are fewer. */
  @Override
  public Need need() {
    return all || rules.columns().size() > 1 ? Need.ROWS : Need.COUNTS;
  }

  /** Only the values of rows that match are levels; of a filter's column others come, too. */
  @Override
  public int mostValues(int column) {
    return columns[column] == null || special[column] ? Integer.MAX_VALUE : SweptColumn.MOST_LEVELS;
  }

  @Override
  public Map<Integer, RequiredLevel> required() {
    return filters;
  }

  @Override
  public boolean onlyOfThose(int column) {
    return !special[column];
  }

  @Override
  public void tooMany(int column) {
    SweptColumn swept = Objects.requireNonNull(columns[column]);
    swept.close();
    if (column == groupPlace) {
      throw tooManyGroups(swept);
    }
    lacking(column, swept);
    kept++;
  }

  @Override
  public void notSingle(int column, String type) {
    if (column == groupPlace || special[column]) {
      super.notSingle(column, type);
    }
    leaveOut(column, type + ", which is " + NOT_SINGLE);
  }

  @Override
  boolean[] header(Header header) {
    names = header.names();
    groupPlace = header.find(group);
    filters.clear();
    rules
        .filters()
        .forEach(
            (column, level) -> {
              int place = header.find(column);
              Recoding recoding = recoding(header, place);
              String meant = recoding == null ? level : recoding.meant(level);
              filters.put(place, new RequiredLevel(meant, recoding));
            });
    String counted = rules.frequency();
    frequencyPlace = counted == null ? NO_PLACE : header.find(counted);
    wanted = new boolean[names.size()];
    special = new boolean[names.size()];
    levels = new int[names.size()];
    keys = new long[names.size()];
    offsets = new int[names.size()];
    lengths = new int[names.size()];
    inQuotes = new boolean[names.size()];
    columns = new SweptColumn[names.size()];
    first = new ShortLevels(names.size());
    open = new int[names.size()];
    asked = all ? names : header.columns(rules.columns());
    for (int place = 0; place < names.size(); place++) {
      boolean own = place == groupPlace || place == frequencyPlace;
      boolean chosen = asked.contains(names.get(place)) && !(all && filters.containsKey(place));
      if (place == groupPlace || (chosen && !own)) {
        columns[place] = new SweptColumn(names.get(place), place, rules.missing(), first);
      }
      special[place] = place == frequencyPlace || filters.containsKey(place);
      wanted[place] = columns[place] != null || special[place];
    }
    reopen();
    return wanted;
  }

  private @Nullable Recoding recoding(Header header, int place) {
    return rules.recodings().entrySet().stream()
        .filter(each -> header.position(each.getKey()) == place)
        .map(Map.Entry::getValue)
        .findFirst()
        .orElse(null);
  }

  /** A short value is stored as its key until its row is complete. */
  @Override
  boolean taken(int column, char[] buffer, int offset, int length, boolean quoted) {
    int end = offset + length;
    int from = quoted ? offset : behindBlanks(buffer, offset, end);
    int to = quoted ? end : beforeBlanks(buffer, from, end);
    return keyed(column, ShortLevels.key(buffer, from, to - from, quoted));
  }

  @Override
  boolean keyed(int column, long key) {
    if (column >= wanted.length || special[column]) {
      return false;
    }
    keys[column] = key;
    return key != 0;
  }

  @Override
  void value(int column, char[] buffer, int offset, int length, boolean quoted) {
    text = buffer;
    offsets[column] = offset;
    lengths[column] = length;
    inQuotes[column] = quoted;
    keys[column] = KEPT;
    RequiredLevel filter = filters.get(column);
    if (filter != null) {
      String read = read(filter, column, buffer, offset, length, quoted);
      matching &= filter.level().equals(read);
      Set<String> others = seen.computeIfAbsent(column, key -> new LinkedHashSet<>());
      if (read != null && others.size() < MOST_SEEN) {
        others.add(read);
      }
    }
    if (column == frequencyPlace) {
      frequency = frequency(new String(buffer, offset, length));
    }
  }

  /** A value is missing, or there is one too many. */
  private void lacking(int column, SweptColumn swept) {
    if (swept.open()) {
      lacking = column + 1;
    } else if (column != groupPlace) {
      leaveOut(column, "more than " + Figures.count(SweptColumn.MOST_LEVELS) + " different values");
    }
  }

  private void leaveOut(int column, String why) {
    wanted[column] = special[column];
    columns[column] = null;
    closed = true;
    leftOut.put(names.get(column), why);
  }

  private @Nullable String read(
      RequiredLevel filter, int column, char[] buffer, int offset, int length, boolean quoted) {
    try {
      return filter.read(buffer, offset, length, quoted);
    } catch (IllegalArgumentException e) {
      throw new DataException(
          DataException.Code.LEVEL, "%s, column %s %s", place(), names.get(column), e.getMessage());
    }
  }

  private long frequency(String value) {
    try {
      return Frequency.parse(value);
    } catch (IllegalArgumentException e) {
      throw badCount(String.valueOf(e.getMessage()));
    }
  }

  private DataException badCount(String found) {
    return new DataException(
        DataException.Code.COUNT,
        "%s, %s %s; accepted are whole numbers from 0",
        place(),
        rules.frequency() == null ? "the count" : "frequency column " + rules.frequency(),
        found);
  }

  @Override
  void row() {
    if (matching) {
      add(units());
    } else if (columns[groupPlace] != null && columns[groupPlace].room()) {
      // Groups keep the order of the whole source, whatever a filter leaves of it.
      settled(groupPlace);
    }
    matching = true;
    frequency = 1;
    lacking = 0;
  }

  private long units() {
    long units = frequency * times();
    total += units;
    if (total > Tally.MAX_TRIALS) {
      throw badCount("makes a total above " + Figures.count(Tally.MAX_TRIALS));
    }
    return units;
  }

  /** The level of a column in the current row, looked up once the row is known to count. */
  private int settled(int place) {
    SweptColumn column = columns[place];
    if (column != null && keys[place] != 0) {
      levels[place] =
          keys[place] == KEPT
              ? column.level(text, offsets[place], lengths[place], inQuotes[place])
              : column.level(keys[place]);
      keys[place] = 0;
      if (levels[place] < 0) {
        lacking(place, column);
      }
    }
    return levels[place];
  }

  private void add(long units) {
    SweptColumn groups = Objects.requireNonNull(columns[groupPlace]);
    int group = settled(groupPlace);
    if (rules.missing() == Missing.FAIL) {
      for (int i = 0; i < used; i++) {
        settled(open[i]);
      }
    }
    requireComplete(groups);
    kept += times();
    if (group < 0) {
      groups.add(0, group, units);
      return;
    }
    boolean few = ShortLevels.counts(group, 0);
    for (int i = 0; i < used; i++) {
      int place = open[i];
      int level = keys[place] == 0 ? levels[place] : first.level(place, keys[place]);
      if (few && level >= 0 && level < ShortLevels.FEW) {
        first.add(place, group, level, units);
      } else {
        further(place, group, level, units);
      }
    }
    if (closed) {
      reopen();
    }
  }

  /** A level that is new, one too many, or none. */
  private void further(int place, int group, int level, long units) {
    SweptColumn column = columns[place];
    if (column != null) {
      column.add(group, level == ShortLevels.UNKNOWN ? settled(place) : level, units);
    }
  }

  private void requireComplete(SweptColumn groups) {
    if (lacking > 0 && rules.missing() == Missing.FAIL) {
      throw new DataException(
          DataException.Code.MISSING,
          "%s, column %s has no value; fill it in, or leave such rows out",
          place(),
          Objects.requireNonNull(columns[lacking - 1]).name());
    }
    if (!groups.open()) {
      throw tooManyGroups(groups);
    }
  }

  private DataException tooManyGroups(SweptColumn groups) {
    return new DataException(
        DataException.Code.LEVEL,
        "%s: column %s has more than %s different values, too many for groups; is it the column"
            + " you meant?",
        source(),
        groups.name(),
        Figures.count(SweptColumn.MOST_LEVELS));
  }

  /** Lists the columns that may still be classifications. */
  private void reopen() {
    used = 0;
    for (int place = 0; place < columns.length; place++) {
      if (columns[place] != null) {
        open[used] = place;
        used++;
      }
    }
    closed = false;
  }

  /** What was counted, once all rows were. */
  Crossings crossings(List<String> remarks) {
    if (knownHeader() == null || rows() + kept == 0) {
      throw new DataException(
          DataException.Code.EMPTY, "%s has no rows of data to count", source());
    }
    requireSome();
    SweptColumn groups = Objects.requireNonNull(columns[groupPlace]);
    List<Tabulation> tables = new ArrayList<>();
    String counted = rules.frequency();
    String weight =
        Weight.unused(new Header(source(), names), counted == null ? List.of() : List.of(counted));
    for (int place = 0; place < columns.length; place++) {
      SweptColumn column = columns[place];
      if (column != null && place != groupPlace) {
        tables.add(
            column
                .tabulation(source(), groups, rows(), rows() - kept)
                .remarking(remarks)
                .weightUnused(weight));
      }
    }
    tables.sort(Comparator.comparingInt(each -> asked.indexOf(each.columns().get(0))));
    return new Crossings(tables, leftOut);
  }

  /** Refuses a filter that leaves nothing, with the nearest of what there is. */
  private void requireSome() {
    if (kept > 0) {
      return;
    }
    StringBuilder found = new StringBuilder();
    filters.forEach(
        (column, filter) -> {
          String level = filter.level();
          List<String> others = List.copyOf(seen.getOrDefault(column, Set.of()));
          found.append(found.isEmpty() ? "" : "; ");
          found.append(names.get(column)).append('=').append(level);
          found.append(others.contains(level) ? "" : Names.hint(level, others));
        });
    throw new DataException(
        DataException.Code.LEVEL, "%s: no row has %s", source(), found.toString());
  }
}
