package dev.tavik.data;

import java.io.Serializable;
import org.jspecify.annotations.Nullable;

/**
 * The level that a row must have in a column to count.
 *
 * @param level the level
 * @param recoding what the column's values are read as, if that is something else
 * @serial exclude
 */
@SuppressWarnings("InvalidBlockTag") // The checker knows only the tag of classes.
public record RequiredLevel(String level, @Nullable Recoding recoding) implements Serializable {
  /**
   * {@return whether a field of the column is read as the level}
   *
   * @param field the field as a file would hold it; none where the value is missing
   * @param quoted whether it stands as it is: its blanks are kept, and NA is a value
   * @throws IllegalArgumentException if numbers are read as classes and it lies in none
   */
  public boolean has(String field, boolean quoted) {
    char[] text = field.toCharArray();
    int start = quoted ? 0 : RowHandler.behindBlanks(text, 0, text.length);
    int end = quoted ? text.length : RowHandler.beforeBlanks(text, start, text.length);
    return level.equals(read(text, start, end - start, quoted));
  }

  /** What a value is read as; null of a missing one. */
  @Nullable String read(char[] buffer, int offset, int length, boolean quoted) {
    if (length == 0 || (!quoted && Missing.isMissing(buffer, offset, length))) {
      return null;
    }
    String value = new String(buffer, offset, length);
    return recoding == null ? value : recoding.of(value);
  }
}
