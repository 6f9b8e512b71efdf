package dev.tavik.data;

import dev.tavik.result.Figures;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A column whose levels are counted, or filtered by: what its value in the row at hand is read as.
 * Levels are numbered in the order of their first appearance.
 */
final class CountedColumn {
  static final int MOST_LEVELS = 10_000;
  static final int MISSING = RecodedLevels.MISSING;

  private static final int LONGEST_LEVEL = 1_000;

  private final RowHandler rows;
  private final String name;
  private final int most;
  private final String together;
  private final LevelTable table = new LevelTable();
  private final @Nullable RecodedLevels recoded;

  /** What short values are by their keys, and the key of the value that comes next. */
  private final KnownValues known = new KnownValues();

  private long expected;
  private int level;

  /**
   * A column.
   *
   * @param rows whose rows these are
   * @param name its name
   * @param recoding what its values are read as; null for themselves
   * @param most how many levels it may have
   * @param together among how many columns, for a message; empty where that doesn't matter
   */
  CountedColumn(
      RowHandler rows, String name, @Nullable Recoding recoding, int most, String together) {
    this.rows = rows;
    this.name = name;
    this.most = most;
    this.together = together;
    this.recoded = recoding == null ? null : new RecodedLevels(recoding, table);
  }

  String name() {
    return name;
  }

  /** The number of the level in the row at hand; {@link #MISSING} for none. */
  int level() {
    return level;
  }

  /** Counts a missing value as a level of its own. */
  int missingAsLevel() {
    level = table.number(Missing.LEVEL_NAME);
    return level;
  }

  List<String> levels() {
    return table.levels();
  }

  /** The number of the level that a filter names, which may be by its code. */
  int named(String written) {
    return table.number(recoded == null ? written : recoded.recoding().meant(written));
  }

  /** The levels in the order that a codebook gives them; empty for none. */
  List<String> order() {
    return recoded == null ? List.of() : recoded.recoding().levels();
  }

  /** A remark about what its values were read as; empty for none. */
  String remark() {
    return recoded == null ? "" : recoded.remark(name);
  }

  @Nullable Recoding recoding() {
    return recoded == null ? null : recoded.recoding();
  }

  /** How many different values are accepted; of recoded ones any number. */
  int mostValues() {
    return recoded == null ? most : Integer.MAX_VALUE;
  }

  /** Takes a value by its key, which is 0 if it has none; returns whether the value is known. */
  boolean keyed(long key) {
    int number = key == 0 ? KnownValues.UNKNOWN : known.of(key);
    if (number == KnownValues.UNKNOWN) {
      expected = key;
      return false;
    }
    level = number;
    return true;
  }

  /** Takes a value by its characters. */
  void value(char[] buffer, int offset, int length, boolean quoted) {
    level = read(buffer, offset, length, quoted);
    if (expected != 0) {
      known.keep(expected, level);
      expected = 0;
    }
  }

  private int read(char[] buffer, int offset, int length, boolean quoted) {
    if (length == 0
        || (!quoted
            && Missing.isMissing(buffer, offset, length)
            && (recoded == null || !recoded.names(buffer, offset, length)))) {
      return MISSING;
    }
    if (length > LONGEST_LEVEL) {
      throw new DataException(
          DataException.Code.LEVEL,
          "%s: column %s has a value of %s characters, too long for a classification;"
              + " is it the column you meant?",
          rows.place(),
          name,
          Figures.count(length));
    }
    int number =
        recoded == null
            ? table.number(buffer, offset, length)
            : recoded(recoded, buffer, offset, length);
    if (number >= most) {
      throw tooMany();
    }
    return number;
  }

  private int recoded(RecodedLevels levels, char[] buffer, int offset, int length) {
    try {
      return levels.number(buffer, offset, length);
    } catch (IllegalArgumentException e) {
      throw new DataException(
          DataException.Code.LEVEL, "%s, column %s %s", rows.place(), name, e.getMessage());
    }
  }

  /** The trouble of more levels than are accepted. */
  DataException tooMany() {
    return new DataException(
        DataException.Code.LEVEL,
        "%s: column %s has more than %s different values, too many for a"
            + " classification%s; is it the column you meant?",
        rows.place(),
        name,
        Figures.count(most),
        together);
  }
}
