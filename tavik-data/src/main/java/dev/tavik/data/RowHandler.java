package dev.tavik.data;

import dev.tavik.count.Names;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Takes data field by field: the first row is the header, every other has as many fields. Unquoted
 * fields lose the blanks around them. Empty rows are passed over, except in data of one column,
 * where they are missing values.
 *
 * <p>A field only has its characters copied while a reader's inner loop runs; all else is done once
 * the row is complete. Work inside that loop makes it too large for the compiler to inline:
 * measured on 4 million rows, counting in the loop took 2.4 s where this takes 1.6 s, and a bare
 * loop 1.2 s.
 */
public abstract class RowHandler {
  /** Message for a column of bytes, lists or nested values. */
  static final String NOT_SINGLE = "not one value a row";

  private static final int MOST_COLUMNS = 1 << 14;
  private static final int LONGEST_ROW = 1 << 22;

  private final String source;
  private final List<String> names = new ArrayList<>();
  private @Nullable Header header;
  private boolean[] wanted = {};
  private int lastWanted;
  private String unit = "line";
  private long number;
  private long rows;
  private long times = 1;

  private char[] text = new char[256];
  private int used;
  private int[] ends = new int[16];
  private int[] columns = new int[16];
  private boolean[] quotes = new boolean[16];
  private int fields;

  RowHandler(String source) {
    this.source = source;
  }

  /** Which part of the rows a handler needs. */
  public enum Need {
    /** No rows, only the names of the columns. */
    NAMES,
    /** The frequency of each combination of values; equal rows may be merged. */
    COUNTS,
    /** The frequency of each combination and the sums of some columns: see {@link #summed}. */
    SUMS,
    /** Every row, in order. */
    ORDER,
    /** Every row in any order. */
    ROWS
  }

  /** {@return what is needed} */
  public abstract Need need();

  /** {@return whether the source itself is described, and not only counted} */
  public boolean overviews() {
    return false;
  }

  /** Called when the header is complete; returns which columns are needed. */
  abstract boolean[] header(Header complete);

  /** Receives a field of a row in a requested column. */
  abstract void value(int column, char[] buffer, int offset, int length, boolean quoted);

  /**
   * A field of a row while the reader's loop runs, in a column that is wanted: returns whether it
   * is dealt with, so that its characters need not be kept.
   */
  boolean taken(int column, char[] buffer, int offset, int length, boolean quoted) {
    return false;
  }

  /**
   * A short value of a row by its key, see {@link ShortLevels}, 0 for another; returns whether it
   * is dealt with, so that its characters need not be handed over.
   */
  boolean keyed(int column, long key) {
    return false;
  }

  /**
   * {@return how many different values of a column are accepted; more end the reading, or the
   * column in it}
   *
   * @param column which column, from 0
   */
  public int mostValues(int column) {
    return Integer.MAX_VALUE;
  }

  /**
   * A column has more different values than {@link #mostValues} accepts: what a source finds that
   * counts where the data lie, in place of those values.
   *
   * @param column which column, from 0
   * @throws DataException if nothing can be said of the data without it
   */
  public void tooMany(int column) {
    throw new IllegalStateException("any number of values is accepted");
  }

  /**
   * Tells that the values of a wanted column are no single values, but bytes, lists or parts. A
   * source calls this in place of handing them over.
   *
   * @param column which column, from 0
   * @param type what the source calls its type
   * @throws DataException if nothing can be said of the data without it
   */
  public void notSingle(int column, String type) {
    throw new DataException(
        DataException.Code.COLUMN,
        "%s: column %s is of type %s, which is %s; take a part of it, or a row for each of its"
            + " values",
        source,
        names.get(column),
        type,
        NOT_SINGLE);
  }

  /**
   * {@return what the values of a column are read as, where they are numbers of which classes are
   * made: a source may hand over any one number of a class for all of them}
   *
   * @param column which column, from 0
   */
  public Optional<Recoding> classes(int column) {
    return Optional.empty();
  }

  /**
   * {@return the levels that rows must have, by column, for others to matter: see {@link
   * #onlyOfThose}}
   */
  public Map<Integer, RequiredLevel> required() {
    return Map.of();
  }

  /**
   * {@return whether a column's values matter only of rows that have the {@link #required} levels:
   * a source may hand over any others as missing, and {@link #mostValues} is of the former}
   *
   * @param column which column, from 0
   */
  public boolean onlyOfThose(int column) {
    return false;
  }

  /**
   * {@return the columns of which rows that come together need only sums, the column of weights
   * first: they must be alike in the sign of that one} Known once the header is.
   */
  public List<Integer> summed() {
    return List.of();
  }

  /**
   * The row at hand stands for several of like sign of weight; in place of the fields of the
   * columns that are summed.
   *
   * @param sums of each such column the sum; null where the weights are missing
   * @param squares the sum of the squared weights
   * @param least the smallest weight
   * @param greatest the largest
   */
  public void sums(@Nullable Double[] sums, double squares, double least, double greatest) {
    throw new IllegalStateException("no column is summed");
  }

  /** Called when a row is complete, with the number of rows it stands for. */
  abstract void row();

  /**
   * Sets what a line of these data is called, such as row; the default is {@code line}.
   *
   * @param name the name of a unit of data
   */
  public final void unit(String name) {
    this.unit = name;
  }

  /**
   * Begins a row.
   *
   * @param line its number, from 1
   */
  public final void begin(long line) {
    number = line;
    used = 0;
    fields = 0;
    times = 1;
  }

  /** Resets the header for another reader; nothing was counted. */
  public final void again() {
    header = null;
    names.clear();
  }

  /**
   * Sets how many equal rows the current row stands for.
   *
   * @param count how many, at least 1; one unless said
   */
  public final void times(long count) {
    times = count;
  }

  /**
   * Passes on a field of the current row, in the order of the columns.
   *
   * @param column its column, from 0
   * @param buffer holds its characters, which are copied
   * @param offset where they begin
   * @param length how many there are; none is a missing value
   * @param quoted whether it stands as it is: its blanks are kept, and NA is a value
   */
  public final void field(int column, char[] buffer, int offset, int length, boolean quoted) {
    if (header != null
        && (column >= wanted.length
            || !wanted[column]
            || taken(column, buffer, offset, length, quoted))) {
      return;
    }
    if (used + length > text.length || fields == ends.length) {
      grow(length);
    }
    System.arraycopy(buffer, offset, text, used, length);
    used += length;
    ends[fields] = used;
    columns[fields] = column;
    quotes[fields] = quoted;
    fields++;
  }

  /**
   * Passes on a value that needs no interpretation; null stands for a missing one.
   *
   * @param column which column, from 0
   * @param value the value, null where it is missing
   * @param quoted whether it stood in quotes
   */
  public final void field(int column, @Nullable String value, boolean quoted) {
    if (wants(column)) {
      char[] characters = value == null ? new char[0] : value.toCharArray();
      field(column, characters, 0, characters.length, quoted);
    }
  }

  /**
   * {@return whether a column's values are wanted; of a header all are}
   *
   * @param column which column, from 0
   */
  public final boolean wants(int column) {
    return header == null || (column < wanted.length && wanted[column]);
  }

  /** The last requested column; later fields are only counted. */
  final int lastWanted() {
    return lastWanted;
  }

  private void grow(int length) {
    if (used + length > LONGEST_ROW || fields >= MOST_COLUMNS) {
      throw new DataException(
          DataException.Code.MALFORMED,
          "%s is too long: at most %s columns and %s characters are accepted; is it a"
              + " file of rows, with line ends?",
          place(),
          Figures.count(MOST_COLUMNS),
          Figures.count(LONGEST_ROW));
    }
    text = Arrays.copyOf(text, Math.min(LONGEST_ROW, Math.max(2 * text.length, used + length)));
    ends = Arrays.copyOf(ends, 2 * ends.length);
    columns = Arrays.copyOf(columns, 2 * columns.length);
    quotes = Arrays.copyOf(quotes, 2 * quotes.length);
  }

  /** Whether the current row is empty. */
  public final void blank() {
    if (header != null && wanted.length == 1) {
      begin(number);
      field(0, text, 0, 0, false);
      end(1);
    }
  }

  /**
   * Ends the current row.
   *
   * @param count how many fields it has
   * @throws DataException if the row or one of its values is malformed
   */
  public final void end(int count) {
    Header known = header;
    if (known == null) {
      completeHeader();
      return;
    }
    if (count != wanted.length) {
      throw ragged(known, count);
    }
    rows += times;
    int start = 0;
    for (int field = 0; field < fields; field++) {
      trimmed(columns[field], start, ends[field], quotes[field]);
      start = ends[field];
    }
    row();
  }

  private void completeHeader() {
    int start = 0;
    for (int field = 0; field < fields; field++) {
      names.add(new String(text, start, ends[field] - start).strip());
      start = ends[field];
    }
    headed(new Header(source, names));
  }

  private void headed(Header complete) {
    header = complete;
    wanted = header(complete);
    lastWanted = wanted.length - 1;
    while (lastWanted >= 0 && !wanted[lastWanted]) {
      lastWanted--;
    }
  }

  private void trimmed(int column, int from, int to, boolean quoted) {
    int start = quoted ? from : behindBlanks(text, from, to);
    int end = quoted ? to : beforeBlanks(text, start, to);
    value(column, text, start, end - start, quoted);
  }

  /** Where a value begins that may have blanks before it. */
  static int behindBlanks(char[] buffer, int from, int to) {
    int start = from;
    while (start < to && isBlank(buffer[start])) {
      start++;
    }
    return start;
  }

  /** Where a value ends that may have blanks after it. */
  static int beforeBlanks(char[] buffer, int from, int to) {
    int end = to;
    while (end > from && isBlank(buffer[end - 1])) {
      end--;
    }
    return end;
  }

  /** Other control characters are data and are not removed. */
  static boolean isBlank(char character) {
    return character == ' ' || character == '\t';
  }

  private DataException ragged(Header known, int count) {
    return new DataException(
        DataException.Code.MALFORMED,
        "%s has %d %s where the header has %d (%s). Quote a value that contains the"
            + " delimiter, and give every row all its fields",
        place(),
        count,
        count == 1 ? "field" : "fields",
        wanted.length,
        Names.listed(known.names()));
  }

  /** Returns how many rows the current one stands for. */
  final long times() {
    return times;
  }

  final String source() {
    return source;
  }

  /** How many rows there were, the header not counted. */
  final long rows() {
    return rows;
  }

  /** The header, without which nothing was read. */
  final Header requireHeader() {
    if (header == null) {
      throw new DataException(
          DataException.Code.EMPTY,
          source + " is empty; a header line and rows of data are needed");
    }
    return header;
  }

  /** The header, or null if there was none. */
  final @Nullable Header knownHeader() {
    return header;
  }

  /** {@return the number of the row at hand, or of the last} */
  public final long number() {
    return number;
  }

  /**
   * {@return where the row at hand stands, such as {@code firing-log.csv, line 12}; before the
   * first only the data's name}
   */
  public final String place() {
    return number == 0 ? source : source + ", " + unit + " " + number;
  }
}
