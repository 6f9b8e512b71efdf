package dev.tavik.data;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The levels of one column after recoding; each value is recoded once and cached. */
final class RecodedLevels {
  /** The number of a value that stands for a missing one. */
  static final int MISSING = -1;

  private static final int MOST_REMEMBERED = 10_000;

  private final Recoding recoding;
  private final LevelTable levels;
  private final LevelTable written = new LevelTable();
  private int[] readAs = new int[16];

  RecodedLevels(Recoding recoding, LevelTable levels) {
    this.recoding = recoding;
    this.levels = levels;
  }

  Recoding recoding() {
    return recoding;
  }

  /** Whether a value has a label of its own, so that it is none of the words for a missing one. */
  boolean names(char[] buffer, int offset, int length) {
    return recoding.names(new String(buffer, offset, length));
  }

  /**
   * The number of the level that a value is read as, or {@link #MISSING}.
   *
   * @throws IllegalArgumentException if it can't be read so
   */
  int number(char[] buffer, int offset, int length) {
    int known = written.find(buffer, offset, length);
    if (known >= 0) {
      return readAs[known];
    }
    @Nullable String read = recoding.of(new String(buffer, offset, length));
    int level = read == null ? MISSING : levels.number(read);
    if (written.size() < MOST_REMEMBERED) {
      int number = written.number(buffer, offset, length);
      if (number == readAs.length) {
        readAs = Arrays.copyOf(readAs, 2 * number);
      }
      readAs[number] = level;
    }
    return level;
  }

  /** A remark about levels without a label; empty if there is none. */
  String remark(String column) {
    List<String> values =
        levels.levels().stream().filter(level -> !level.equals(Missing.LEVEL_NAME)).toList();
    return recoding.remark(column, values);
  }
}
