package dev.tavik.spark;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.spark.sql.Column;
import org.apache.spark.sql.functions;
import org.apache.spark.sql.types.BooleanType;
import org.apache.spark.sql.types.DataType;
import org.apache.spark.sql.types.DateType;
import org.apache.spark.sql.types.NullType;
import org.apache.spark.sql.types.NumericType;
import org.apache.spark.sql.types.StringType;
import org.apache.spark.sql.types.TimestampNTZType;
import org.apache.spark.sql.types.TimestampType;
import org.jspecify.annotations.Nullable;

/** Values as a file would write them, and their order. */
final class Written {
  private static final Pattern NUMBER = Pattern.compile("[-+]?\\d{1,40}(\\.\\d{1,40})?");

  /** Numbers by their size, then texts by their characters; a missing value first. */
  static final Comparator<@Nullable String> ORDER = Written::compare;

  private static final List<Class<? extends DataType>> DATED =
      List.of(DateType.class, TimestampType.class, TimestampNTZType.class, NullType.class);

  private static final List<Class<? extends DataType>> SINGLE =
      List.of(StringType.class, NumericType.class, BooleanType.class);

  private Written() {}

  /** Whether a column holds one value in each row. */
  static boolean single(DataType type) {
    return SINGLE.stream().anyMatch(each -> each.isInstance(type)) || dated(type);
  }

  /** A column as it is grouped by: dates and times as their text. */
  static Column grouped(Column column, DataType type) {
    if (type instanceof StringType text && !text.supportsBinaryEquality()) {
      // A collation may take different texts for equal; levels are the exact ones.
      return functions.collate(column, "UTF8_BINARY");
    }
    if (!dated(type)) {
      return column;
    }
    // Seconds only where there are some, and no midnight, as every source writes moments.
    Column moment =
        functions.regexp_replace(
            column.cast("string"), functions.lit("( 00:00)?:00$"), functions.lit(""));
    return type instanceof TimestampType ? told(moment, column) : moment;
  }

  /** When clocks are set back an hour occurs twice; the second is written with its offset. */
  private static Column told(Column moment, Column instant) {
    Column second = functions.not(instant.eqNullSafe(instant.cast("string").cast("timestamp")));
    return functions
        .when(second, functions.concat(moment, functions.date_format(instant, " XXX")))
        .otherwise(moment);
  }

  /** The same, with texts as their bytes. */
  static Column bytes(Column column, DataType type) {
    return type instanceof StringType || dated(type)
        ? grouped(column, type).cast("string").cast("binary")
        : grouped(column, type);
  }

  private static boolean dated(DataType type) {
    return DATED.stream().anyMatch(each -> each.isInstance(type));
  }

  /**
   * The value as a file would write it: whole numbers without a point; null where it is missing.
   */
  static @Nullable String of(@Nullable Object value) {
    if (value == null) {
      return null;
    }
    if (value instanceof Double || value instanceof Float) {
      return number(value.toString());
    }
    return value instanceof BigDecimal decimal ? plain(decimal) : value.toString();
  }

  private static @Nullable String number(String written) {
    if (written.equals("NaN")) {
      return null;
    }
    if (written.endsWith("Infinity")) {
      return written;
    }
    return plain(new BigDecimal(written));
  }

  /** Without an exponent, and without zeros at its end. */
  private static String plain(BigDecimal written) {
    BigDecimal number = written.stripTrailingZeros();
    return number.signum() == 0 ? "0" : number.toPlainString();
  }

  private static int compare(@Nullable String one, @Nullable String other) {
    if (one == null || other == null) {
      return Boolean.compare(one != null, other != null);
    }
    boolean number = NUMBER.matcher(one).matches();
    if (number != NUMBER.matcher(other).matches()) {
      return number ? -1 : 1;
    }
    int bySize = number ? new BigDecimal(one).compareTo(new BigDecimal(other)) : 0;
    return bySize == 0 ? byCharacters(one, other) : bySize;
  }

  /** By code points, so that the order is the same whatever a character takes to be stored. */
  private static int byCharacters(String one, String other) {
    int shorter = Math.min(one.length(), other.length());
    for (int i = 0; i < shorter; ) {
      int first = one.codePointAt(i);
      int second = other.codePointAt(i);
      if (first != second) {
        return Integer.compare(first, second);
      }
      i += Character.charCount(first);
    }
    return Integer.compare(one.length(), other.length());
  }
}
