package dev.tavik.data;

import dev.tavik.count.DataOverview.Column;
import dev.tavik.count.DataOverview.Kind;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** A profile of the values of one column, built value by value. */
final class ColumnProfile {
  static final int MOST_KEPT = 1_000;
  private static final int LONGEST_KEPT = 200;
  private static final int MOST_CLASSES = 30;
  private static final int MOST_DIGITS = 15;
  private static final long NO_NUMBER = Long.MIN_VALUE;
  private static final Pattern NUMBER =
      Pattern.compile("[+-]?(\\d{1,15}\\.?\\d*|\\.\\d+|\\d{1,15},(\\d{1,2}|\\d{4,15}))");
  private static final Pattern DATE = Pattern.compile("\\d{4}-\\d{2}-\\d{2}");

  private final String name;
  private final LevelTable table = new LevelTable();
  private long[] counts = new long[64];
  private boolean all = true;
  private boolean whole = true;
  private boolean number = true;
  private boolean date = true;
  private long missing;
  private long distinct;
  private long values;
  private long sum;
  private long leastWhole;
  private long greatestWhole;
  private @Nullable String least;
  private @Nullable String greatest;

  ColumnProfile(String name) {
    this.name = name;
  }

  void missing(long rows) {
    missing += rows;
  }

  /** Adds a value that occurs in a number of rows. */
  void value(char[] buffer, int offset, int length, long rows) {
    values += rows;
    if (length > LONGEST_KEPT) {
      proveText();
      return;
    }
    if (all) {
      int level = table.number(buffer, offset, length);
      if (level < MOST_KEPT) {
        count(level, rows);
        if (counts[level] > rows && !whole) {
          return;
        }
      } else {
        all = false;
      }
    }
    if (whole || number || date) {
      long written = whole ? whole(buffer, offset, length) : NO_NUMBER;
      if (written == NO_NUMBER) {
        classify(new String(buffer, offset, length));
      } else {
        takeWhole(written, buffer, offset, length, rows);
      }
    }
  }

  /** The whole number that is written, of fifteen digits at most, or none. */
  private static long whole(char[] buffer, int offset, int length) {
    boolean signed = length > 0 && (buffer[offset] == '-' || buffer[offset] == '+');
    int digits = signed ? length - 1 : length;
    if (digits < 1 || digits > MOST_DIGITS) {
      return NO_NUMBER;
    }
    long number = 0;
    for (int i = offset + length - digits; i < offset + length; i++) {
      int digit = buffer[i] - '0';
      if (digit < 0 || digit > 9) {
        return NO_NUMBER;
      }
      number = 10 * number + digit;
    }
    return buffer[offset] == '-' ? -number : number;
  }

  private void takeWhole(long written, char[] buffer, int offset, int length, long rows) {
    date = false;
    sum += rows * written;
    if (least == null || written < leastWhole) {
      least = new String(buffer, offset, length);
      leastWhole = written;
    }
    if (greatest == null || written > greatestWhole) {
      greatest = new String(buffer, offset, length);
      greatestWhole = written;
    }
  }

  /** Length above which a text is neither a level nor a number and isn't stored. */
  private void proveText() {
    all = false;
    whole = false;
    number = false;
    date = false;
  }

  /** Marks a column that has more values than are stored. */
  void tooMany() {
    values = Math.max(values, 1);
    distinct = MOST_KEPT + 1L;
    proveText();
  }

  private void count(int level, long rows) {
    if (level >= counts.length) {
      counts = Arrays.copyOf(counts, 2 * counts.length);
    }
    counts[level] += rows;
  }

  private void classify(String text) {
    whole = false;
    number = number && NUMBER.matcher(text).matches();
    date = date && DATE.matcher(text).matches();
    if (number || date) {
      least = least == null || compare(text, least) < 0 ? text : least;
      greatest = greatest == null || compare(text, greatest) > 0 ? text : greatest;
    }
  }

  private int compare(String first, String second) {
    return number ? decimal(first).compareTo(decimal(second)) : first.compareTo(second);
  }

  /** Whether its numbers have a comma where others have a point. */
  boolean decimalComma() {
    return number && !whole && least != null && least.contains(",");
  }

  String name() {
    return name;
  }

  private static BigDecimal decimal(String text) {
    return new BigDecimal(text.replace(',', '.'));
  }

  Column column() {
    Kind kind = kind();
    Map<String, Long> levels = new LinkedHashMap<>();
    boolean kept = kind.classifies() || kind == Kind.CONSTANT || kind == Kind.WHOLE_NUMBERS;
    if (all && (kept || kind == Kind.MANY_VALUES)) {
      // Sorts by frequency, ties by first appearance.
      IntStream.range(0, table.size())
          .boxed()
          .sorted(Comparator.comparingLong(level -> -counts[level]))
          .forEach(level -> levels.put(table.levels().get(level), counts[level]));
    }
    boolean ranged = kind == Kind.WHOLE_NUMBERS || kind == Kind.NUMBERS || kind == Kind.DATES;
    return new Column(
        name,
        kind,
        levels,
        Math.max(distinct, table.size()),
        missing,
        ranged && least != null && greatest != null ? List.of(least, greatest) : List.of(),
        kind == Kind.WHOLE_NUMBERS ? sum : 0);
  }

  private Kind kind() {
    int distinct = table.size();
    if (values == 0) {
      return Kind.EMPTY;
    }
    if (!all && !number && !date) {
      return Kind.MANY_VALUES;
    }
    if (distinct == 1) {
      return Kind.CONSTANT;
    }
    if (distinct == 2) {
      return Kind.TWO_LEVELS;
    }
    if (date) {
      return Kind.DATES;
    }
    if (number && !(whole && distinct <= 12 && values > 4L * distinct)) {
      return whole ? Kind.WHOLE_NUMBERS : Kind.NUMBERS;
    }
    return distinct <= MOST_CLASSES && values >= distinct ? Kind.CATEGORY : Kind.MANY_VALUES;
  }
}
