package dev.tavik.data;

import de.siegmar.fastcsv.reader.AbstractBaseCsvCallbackHandler;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Takes delimited text field by field: the first record is the header, every other a row of as many
 * fields. It hands out no record, so that the reader runs through the whole file in one loop.
 * Unquoted fields lose the blanks around them. Empty lines are passed over, except in a file of one
 * column, where they are missing values.
 */
abstract class RowHandler extends AbstractBaseCsvCallbackHandler<Object> {
  private final String source;
  private final List<String> names = new ArrayList<>();
  private @Nullable Header header;
  private boolean blank;
  private long rows;

  RowHandler(String source) {
    this.source = source;
  }

  /** The header is complete. */
  abstract void header(Header complete);

  /** A field of a row. */
  abstract void value(int column, char[] buffer, int offset, int length, boolean quoted);

  /** A row is complete. */
  abstract void row(long line);

  @Override
  protected void handleBegin(long startingLineNumber) {
    blank = false;
  }

  @Override
  protected void handleEmpty() {
    blank = true;
  }

  @Override
  protected void handleField(int column, char[] buffer, int offset, int length, boolean quoted) {
    int start = offset;
    int end = offset + length;
    if (!quoted) {
      while (start < end && buffer[start] <= ' ') {
        start++;
      }
      while (end > start && buffer[end - 1] <= ' ') {
        end--;
      }
    }
    Header known = header;
    if (known == null) {
      names.add(new String(buffer, start, end - start).strip());
    } else if (column < known.names().size()) {
      value(column, buffer, start, end - start, quoted);
    }
  }

  @Override
  protected @Nullable Object buildRecord() {
    Header known = header;
    if (known == null) {
      if (!blank) {
        header = new Header(source, names);
        header(header);
      }
      return null;
    }
    if (blank) {
      if (known.names().size() > 1) {
        return null;
      }
      value(0, new char[0], 0, 0, false);
    } else if (getFieldCount() != known.names().size()) {
      throw ragged(known);
    }
    rows++;
    row(getStartingLineNumber());
    return null;
  }

  private DataException ragged(Header known) {
    int expected = known.names().size();
    return new DataException(
        DataException.Code.MALFORMED,
        String.format(
            "%s, line %d has %d %s where the header has %d (%s). Quote a value that contains the"
                + " delimiter, and give every row all its fields",
            source,
            getStartingLineNumber(),
            getFieldCount(),
            getFieldCount() == 1 ? "field" : "fields",
            expected,
            Names.listed(known.names())));
  }

  String source() {
    return source;
  }

  long rows() {
    return rows;
  }

  /** The header, or null if the file has none. */
  @Nullable Header knownHeader() {
    return header;
  }

  /** The line on which the record at hand starts. */
  long line() {
    return getStartingLineNumber();
  }
}
