package dev.tavik.data;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.Names;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Counts combinations of levels as the rows come. Memory holds the levels and the combinations
 * seen, never a row. The places of a row are the columns asked for, then those of the filters, then
 * the frequency.
 */
final class CountHandler extends RowHandler {
  private static final int MOST_LEVELS = 10_000;
  private static final int LONGEST_LEVEL = 1_000;

  /** Bits of a combination's key, and the bits that few columns need. */
  private static final int BITS = 63;

  private static final int MOST_BITS = 14;
  private static final int MOST_COLUMNS = 20;
  private static final int MISSING = RecodedLevels.MISSING;
  private static final int NO_PLACE = -1;

  private final CountRequest request;
  private final List<String> places;
  private final int filtersFrom;
  private final int levelBits;
  private final int frequencyPlace;
  private final LevelTable[] tables;
  private final int[] filter;
  private final int[] seen;
  private final String[] columnNames;
  private final long[] matched;
  private final int filtersTo;

  /** The part of the rows whose filter columns match exactly. */
  private final Part exact;

  /** The part of the rows that match without regard to case, used if no row matches exactly. */
  private final Part nearly;

  /** The recoding of the values at each place, if there is one. */
  private final @Nullable RecodedLevels[] recoded;

  private final BitSet[] nearLevels;
  private final int[] nearKnown;
  private int[][] placesOf = {};

  /** What short values by their keys are in each place, and the key whose value comes next. */
  private final KnownValues[] known;

  private final long[] expected;
  private long frequency = 1;

  /**
   * The result for the last row: its combination, its part, and the number of units it stands for.
   */
  private int combination = NO_PLACE;

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

  CountHandler(String source, CountRequest request) {
    this(source, request, false);
  }

  private CountHandler(String source, CountRequest request, boolean ordered) {
    super(source);
    this.exact = new Part(ordered ? new RowsInOrder.Log(source) : null);
    this.nearly = new Part(ordered ? new RowsInOrder.Log(source) : null);
    require(
        request.columns().size() <= MOST_COLUMNS,
        "columns must be at most %s, got %s",
        MOST_COLUMNS,
        request.columns().size());
    this.levelBits = Math.min(MOST_BITS, BITS / Math.max(1, request.columns().size()));
    this.request = request;
    this.places = new ArrayList<>(request.columns());
    this.filtersFrom = places.size();
    places.addAll(request.filters().keySet());
    this.filtersTo = places.size();
    this.frequencyPlace = request.frequency() == null ? NO_PLACE : filtersTo;
    if (request.frequency() != null) {
      places.add(request.frequency());
    }
    this.tables = new LevelTable[places.size()];
    Arrays.setAll(tables, i -> new LevelTable());
    this.seen = new int[places.size()];
    this.filter = new int[places.size()];
    this.matched = new long[places.size()];
    this.columnNames = new String[places.size()];
    this.nearLevels = new BitSet[places.size()];
    Arrays.setAll(nearLevels, i -> new BitSet());
    this.nearKnown = new int[places.size()];
    this.recoded = new RecodedLevels[places.size()];
    this.known = new KnownValues[places.size()];
    Arrays.setAll(known, i -> new KnownValues());
    this.expected = new long[places.size()];
  }

  /** Also records the order of the first column's levels. */
  static CountHandler inOrder(String source, CountRequest request) {
    return new CountHandler(source, request, true);
  }

  @Override
  public Need need() {
    return exact.order == null ? Need.COUNTS : Need.ORDER;
  }

  @Override
  boolean[] header(Header header) {
    placesOf = new int[header.names().size()][0];
    for (int place = 0; place < places.size(); place++) {
      int column = header.find(places.get(place));
      columnNames[place] = header.names().get(column);
      int[] others = placesOf[column];
      placesOf[column] = Arrays.copyOf(others, others.length + 1);
      placesOf[column][others.length] = place;
    }
    requireOneFilterEach();
    requireRecoded(header);
    request.recodings().forEach((column, recoding) -> recode(header.position(column), recoding));
    int filtered = filtersFrom;
    for (String level : request.filters().values()) {
      filter[filtered] = tables[filtered].number(label(filtered, level));
      filtered++;
    }
    boolean[] wanted = new boolean[placesOf.length];
    for (int column = 0; column < wanted.length; column++) {
      wanted[column] = placesOf[column].length > 0;
    }
    return wanted;
  }

  /** Refuses a codebook that belongs to other data. */
  private void requireRecoded(Header header) {
    Set<String> described = request.recodings().keySet();
    if (!described.isEmpty() && described.stream().allMatch(each -> header.position(each) < 0)) {
      throw new DataException(
          DataException.Code.COLUMN,
          "%s has none of the columns that its codebook describes: %s. There are: %s",
          source(),
          Names.listed(List.copyOf(described)),
          Names.listed(header.names()));
    }
  }

  private void recode(int column, Recoding recoding) {
    for (int place : column < 0 ? new int[0] : placesOf[column]) {
      boolean counts = place == frequencyPlace;
      recoded[place] = counts ? null : new RecodedLevels(recoding, tables[place]);
    }
  }

  /** A filter may name a level by its code. */
  private String label(int place, String level) {
    @Nullable RecodedLevels levels = recoded[place];
    return levels == null ? level : levels.recoding().meant(level);
  }

  @Override
  boolean keyed(int column, long key) {
    if (column >= placesOf.length) {
      return false;
    }
    boolean all = key != 0;
    for (int place : placesOf[column]) {
      int number = place == frequencyPlace || key == 0 ? KnownValues.UNKNOWN : known[place].of(key);
      if (number == KnownValues.UNKNOWN) {
        expected[place] = key;
        all = false;
      } else {
        seen[place] = number;
      }
    }
    return all;
  }

  @Override
  void value(int column, char[] buffer, int offset, int length, boolean quoted) {
    for (int place : placesOf[column]) {
      take(place, buffer, offset, length, quoted);
      if (expected[place] != 0) {
        known[place].keep(expected[place], seen[place]);
        expected[place] = 0;
      }
    }
  }

  private void take(int place, char[] buffer, int offset, int length, boolean quoted) {
    if (place == frequencyPlace) {
      frequency = frequency(buffer, offset, length);
      return;
    }
    @Nullable RecodedLevels levels = recoded[place];
    if (length == 0
        || (!quoted
            && Missing.isMissing(buffer, offset, length)
            && (levels == null || !levels.names(buffer, offset, length)))) {
      seen[place] = MISSING;
      return;
    }
    if (length > LONGEST_LEVEL) {
      throw new DataException(
          DataException.Code.LEVEL,
          "%s: column %s has a value of %s characters, too long for a classification;"
              + " is it the column you meant?",
          place(),
          columnNames[place],
          Figures.count(length));
    }
    seen[place] =
        levels == null
            ? tables[place].number(buffer, offset, length)
            : recoded(place, levels, buffer, offset, length);
    if (seen[place] >= mostLevels(place)) {
      throw tooManyLevels(place);
    }
  }

  private int recoded(int place, RecodedLevels levels, char[] buffer, int offset, int length) {
    try {
      return levels.number(buffer, offset, length);
    } catch (IllegalArgumentException e) {
      throw new DataException(
          DataException.Code.LEVEL,
          "%s, column %s %s",
          place(),
          columnNames[place],
          e.getMessage());
    }
  }

  @Override
  public int mostValues(int column) {
    int most = Integer.MAX_VALUE;
    for (int place : placesOf[column]) {
      if (place != frequencyPlace && recoded[place] == null) {
        most = Math.min(most, mostLevels(place));
      }
    }
    return most;
  }

  @Override
  public void tooMany(int column) {
    throw tooManyLevels(placesOf[column][0]);
  }

  @Override
  public Optional<Recoding> classes(int column) {
    @Nullable Recoding found = null;
    for (int place : placesOf[column]) {
      @Nullable RecodedLevels levels = recoded[place];
      if (levels == null || !levels.recoding().cuts()) {
        return Optional.empty();
      }
      found = levels.recoding();
    }
    return Optional.ofNullable(found);
  }

  /** One number is reserved for missing values if they are a level. */
  private int mostLevels(int place) {
    return place < filtersFrom ? Math.min(MOST_LEVELS, (1 << levelBits) - 1) : MOST_LEVELS;
  }

  /** The same column may be named twice with different case. */
  private void requireOneFilterEach() {
    for (int[] here : placesOf) {
      List<String> filters =
          Arrays.stream(here)
              .filter(place -> place >= filtersFrom && place < filtersTo)
              .mapToObj(place -> places.get(place) + "=" + request.filters().get(places.get(place)))
              .toList();
      if (filters.size() > 1) {
        throw new DataException(
            DataException.Code.COLUMN,
            "%s: %s filter one column; no row has two levels of it",
            source(),
            String.join(" and ", filters));
      }
    }
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

  @Override
  void row() {
    combination = NO_PLACE;
    Part part = exact;
    for (int place = filtersFrom; place < filtersTo; place++) {
      if (seen[place] != filter[place]) {
        if (!nearlyMatches(place)) {
          return;
        }
        part = nearly;
      } else {
        matched[place] += times();
      }
    }
    part.rows += times();
    count(part);
  }

  /** Whether the level at hand is the one asked for but for case. */
  private boolean nearlyMatches(int place) {
    List<String> levels = tables[place].levels();
    for (; nearKnown[place] < levels.size(); nearKnown[place]++) {
      if (levels
          .get(nearKnown[place])
          .strip()
          .equalsIgnoreCase(levels.get(filter[place]).strip())) {
        nearLevels[place].set(nearKnown[place]);
      }
    }
    return seen[place] != MISSING && nearLevels[place].get(seen[place]);
  }

  private void count(Part part) {
    boolean fits = frequency == 0 || times() <= Tally.MAX_TRIALS / frequency;
    near = part == nearly;
    units = fits ? frequency * times() : limited(Long.MAX_VALUE);
    long key = 0;
    for (int place = 0; place < filtersFrom; place++) {
      if (seen[place] == MISSING) {
        if (request.missing() != Missing.LEVEL) {
          leaveOut(part, place, units);
          return;
        }
        seen[place] = tables[place].number(Missing.LEVEL_NAME);
      }
      key = key << levelBits | seen[place];
    }
    combination = part.counts.number(key);
    limited(part.counts.add(combination, units));
    if (part.order != null) {
      part.order.add(seen[0]);
    }
  }

  private void leaveOut(Part part, int place, long units) {
    if (request.missing() == Missing.FAIL) {
      throw new DataException(
          DataException.Code.MISSING,
          "%s, column %s has no value, and missing values were not to be accepted;"
              + " drop leaves such rows out, level counts them as a level",
          place(),
          columnNames[place]);
    }
    part.missing.merge(columnNames[place], units, (a, b) -> limited(a + b));
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
    if (frequencyPlace == NO_PLACE) {
      return new DataException(DataException.Code.COUNT, "%s %s", source(), found);
    }
    return new DataException(
        DataException.Code.COUNT,
        "%s, frequency column %s %s; accepted are whole numbers from 0",
        place(),
        columnNames[frequencyPlace],
        found);
  }

  private DataException tooManyLevels(int place) {
    return new DataException(
        DataException.Code.LEVEL,
        "%s: column %s has more than %s different values, too many for a"
            + " classification%s; is it the column you meant?",
        place(),
        columnNames[place],
        Figures.count(mostLevels(place)),
        mostLevels(place) < MOST_LEVELS ? " of " + filtersFrom + " columns at once" : "");
  }

  /** The counts, and the first column's levels in the order of the rows. */
  RowsInOrder rowsInOrder(List<String> remarks) {
    Tabulation counted = tabulation(remarks);
    return Objects.requireNonNull(part().order).with(counted, List.copyOf(tables[0].levels()));
  }

  /** The rows with the very levels asked for, or, where there are none, with those but for case. */
  private Part part() {
    return exact.rows > 0 || nearly.rows == 0 ? exact : nearly;
  }

  Tabulation tabulation(List<String> remarks) {
    @Nullable Header header = knownHeader();
    if (header == null || rows() == 0) {
      throw new DataException(
          DataException.Code.EMPTY,
          source()
              + (header == null
                  ? " is empty; a header line and rows of data are needed"
                  : " has a header but no rows of data"));
    }
    checkFilters();
    Part part = part();
    Map<List<String>, Long> combinations = new LinkedHashMap<>();
    for (int number = 0; number < part.counts.size(); number++) {
      combinations.put(levels(part.counts.key(number)), part.counts.count(number));
    }
    return Tabulation.of(
            source(),
            List.of(columnNames).subList(0, filtersFrom),
            combinations,
            rows(),
            rows() - part.rows,
            part.missing)
        .ordered(orders())
        .remarking(remarks(remarks))
        .weightUnused(Weight.unused(header, places));
  }

  private List<List<String>> orders() {
    return Arrays.stream(recoded)
        .limit(filtersFrom)
        .map(levels -> levels == null ? List.<String>of() : levels.recoding().levels())
        .toList();
  }

  private List<String> remarks(List<String> read) {
    List<String> all = new ArrayList<>(read);
    for (int place = 0; place < filtersFrom; place++) {
      @Nullable RecodedLevels levels = recoded[place];
      String remark = levels == null ? "" : levels.remark(columnNames[place]);
      if (!remark.isEmpty()) {
        all.add(remark);
      }
    }
    return all;
  }

  private void checkFilters() {
    for (int place = filtersFrom; place < filtersTo; place++) {
      String level = request.filters().get(places.get(place));
      List<String> others = tables[place].levels().subList(1, tables[place].size());
      int near = nearLevels[place].cardinality();
      if (part() == nearly && matched[place] == 0 && near > 2) {
        throw new DataException(
            DataException.Code.LEVEL,
            "%s: column %s has several levels that could be '%s': %s; write the one you mean"
                + " exactly",
            source(),
            columnNames[place],
            level,
            nearLevels[place].stream()
                .skip(1)
                .mapToObj(tables[place].levels()::get)
                .collect(Collectors.joining(", ")));
      }
      if (part() == exact && matched[place] == 0 && near < 2 && !others.isEmpty()) {
        throw new DataException(
            DataException.Code.LEVEL,
            "%s: no row has %s=%s%s",
            source(),
            columnNames[place],
            level,
            Names.hint(String.valueOf(level), others));
      }
    }
  }

  private List<String> levels(long key) {
    String[] levels = new String[filtersFrom];
    long rest = key;
    for (int place = filtersFrom - 1; place >= 0; place--) {
      levels[place] = tables[place].levels().get((int) (rest & ((1 << levelBits) - 1)));
      rest >>>= levelBits;
    }
    return List.of(levels);
  }
}
