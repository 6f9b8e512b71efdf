package dev.tavik.data;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;
import java.util.Arrays;
import java.util.Optional;

/**
 * Reads delimited text of ASCII letters eight bytes at a time: where a field ends within eight
 * bytes, its end and its key are found without a loop. A field may stand in quotes as a whole. At
 * anything else, a quote inside a field or a line end inside quotes, a letter beyond ASCII, a
 * carriage return by itself, a row as long as the longest field, it stops before that row and
 * leaves the rest to the readers that know all of text.
 *
 * <p>Measured: counting 1,000 columns takes about as long as a general reader needs to find the
 * fields, counting two of six a third of it.
 */
final class PlainBytes {
  private static final int BLOCK = 1 << 16;
  private static final long ONES = 0x0101010101010101L;
  private static final long HIGH = 0x8080808080808080L;
  private static final VarHandle WORD =
      MethodHandles.byteArrayViewVarHandle(long[].class, ByteOrder.LITTLE_ENDIAN);

  /** Returned in place of the end of a row: there is no complete row, or it is not plain. */
  private static final int NONE = -1;

  private static final int LEFT = -2;

  private final InputStream bytes;
  private final RowHandler rows;
  private final int longest;
  private final byte delimiter;
  private final long delimiters;
  private final int above;
  private byte[] block = new byte[BLOCK + Long.BYTES];
  private int start;
  private int end;
  private int plainTo;
  private long line;
  private boolean ended;

  /** Whether there was any quote so far, and where one is looked for next. */
  private boolean quotes;

  private int quote;
  private char[] characters = new char[256];

  /**
   * Creates a reader.
   *
   * @param bytes the text from its first byte on, behind a byte-order mark
   * @param layout what stands between fields, and how many lines above the header
   * @param rows who takes them
   * @param longest how long a row may be
   */
  PlainBytes(InputStream bytes, Layout layout, RowHandler rows, int longest) {
    this.bytes = bytes;
    this.rows = rows;
    this.delimiter = (byte) layout.delimiter();
    this.delimiters = ONES * layout.delimiter();
    this.longest = longest;
    this.above = layout.above();
  }

  /** Returns how many lines were read. */
  long line() {
    return line;
  }

  /** Passes on rows; returns the remaining bytes for another reader, if there are any. */
  Optional<InputStream> read() throws IOException {
    while (true) {
      int rowEnd = rowEnd();
      if (rowEnd == LEFT) {
        return left();
      }
      if (rowEnd == NONE) {
        return Optional.empty();
      }
      int to = rowEnd > start && block[rowEnd - 1] == '\r' ? rowEnd - 1 : rowEnd;
      boolean quotes = quotedBefore(rowEnd);
      if (quotes && (line < above || !wholeFieldsQuoted(to))) {
        return left();
      }
      line++;
      if (line > above) {
        row(to, quotes);
      }
      start = Math.min(end, rowEnd + 1);
    }
  }

  private Optional<InputStream> left() {
    return Optional.of(
        new SequenceInputStream(new ByteArrayInputStream(block, start, end - start), bytes));
  }

  /** Whether the current row has a quote before its end. */
  private boolean quotedBefore(int rowEnd) {
    if (!quotes) {
      return false;
    }
    if (quote < start) {
      quote = start;
    }
    quote = nextQuote(quote, rowEnd);
    return quote < rowEnd;
  }

  /** Whether every quote opens a field or closes it. */
  private boolean wholeFieldsQuoted(int rowEnd) {
    int open = quote;
    while (open < rowEnd) {
      int close = nextQuote(open + 1, rowEnd);
      boolean opens = open == start || block[open - 1] == delimiter;
      boolean closes = close < rowEnd && (close + 1 == rowEnd || block[close + 1] == delimiter);
      if (!opens || !closes) {
        return false;
      }
      open = nextQuote(close + 1, rowEnd);
    }
    return true;
  }

  /** The next quote, or the end where there is none before it. */
  private int nextQuote(int from, int to) {
    int at = from;
    while (at < to) {
      long found = matches(word(at) ^ (ONES * '"'));
      if (found != 0) {
        return Math.min(to, at + (Long.numberOfTrailingZeros(found) >>> 3));
      }
      at += Long.BYTES;
    }
    return to;
  }

  /** The end of the current row, {@link #NONE} at the end of the text, or {@link #LEFT}. */
  private int rowEnd() throws IOException {
    int from = start;
    while (true) {
      int feed = feed(from);
      if (feed != NONE) {
        return feed;
      }
      if (end - start >= longest) {
        return LEFT;
      }
      from = end - start;
      boolean more = more();
      if (!more && end == start) {
        return NONE;
      }
      if (!plain()) {
        return LEFT;
      }
      if (!more) {
        return end;
      }
    }
  }

  /** The next line feed; {@link #NONE} where there is none so far. */
  private int feed(int from) {
    int at = from;
    while (at < end) {
      long found = matches(word(at) ^ (ONES * '\n'));
      if (found != 0) {
        int feed = at + (Long.numberOfTrailingZeros(found) >>> 3);
        return feed < end ? feed : NONE;
      }
      at += Long.BYTES;
    }
    return NONE;
  }

  /** The high bits of the lowest byte that is zero, and perhaps of others above it. */
  private static long matches(long word) {
    return (word - ONES) & ~word & HIGH;
  }

  /**
   * Whether what was read anew is ASCII, without carriage returns by themselves; whether there are
   * quotes is noted.
   */
  private boolean plain() {
    for (; plainTo < end; plainTo += Long.BYTES) {
      long word = word(plainTo);
      quotes |= matches(word ^ (ONES * '"')) != 0;
      long special = (word & HIGH) | matches(word ^ (ONES * '\r'));
      if (special != 0 && !plain(plainTo, Math.min(end, plainTo + Long.BYTES))) {
        return false;
      }
    }
    plainTo = end;
    return true;
  }

  private boolean plain(int from, int to) {
    for (int i = from; i < to; i++) {
      boolean alone = block[i] == '\r' && (i + 1 == end ? ended : block[i + 1] != '\n');
      if (block[i] < 0 || alone) {
        return false;
      }
    }
    return true;
  }

  /**
   * Fills the buffer behind the current row, which moves to the beginning; returns false at the end
   * of the text.
   */
  private boolean more() throws IOException {
    System.arraycopy(block, start, block, 0, end - start);
    end -= start;
    // A carriage return at the end of the buffer is examined again with what follows.
    plainTo = Math.max(0, Math.min(plainTo - start, end - 1));
    quote = Math.max(0, quote - start);
    start = 0;
    if (end + Long.BYTES >= block.length) {
      block = Arrays.copyOf(block, 2 * block.length);
    }
    int count = bytes.read(block, end, block.length - Long.BYTES - end);
    ended = count < 0;
    end += Math.max(0, count);
    Arrays.fill(block, end, end + Long.BYTES, (byte) 0);
    return count >= 0;
  }

  private void row(int rowEnd, boolean quoted) {
    rows.begin(line());
    if (rowEnd == start) {
      rows.blank();
      return;
    }
    boolean header = rows.knownHeader() == null;
    int last = header ? Integer.MAX_VALUE : rows.lastWanted();
    int column = 0;
    int from = start;
    while (column <= last) {
      int to =
          quoted && from < rowEnd && block[from] == '"'
              ? inQuotes(column, from, rowEnd)
              : bare(column, from, rowEnd, header);
      column++;
      if (to == rowEnd) {
        rows.end(column);
        return;
      }
      from = to + 1;
    }
    rows.end(column + 1 + (quoted ? separating(from, rowEnd) : delimiters(from, rowEnd)));
  }

  private int bare(int column, int from, int rowEnd, boolean header) {
    int to = fieldEnd(from, rowEnd);
    if (rows.wants(column)) {
      long key = header || framed(from, to) ? 0 : ShortLevels.key(word(from), to - from);
      if (!rows.keyed(column, key)) {
        field(column, from, to, false);
      }
    }
    return to;
  }

  private int inQuotes(int column, int from, int rowEnd) {
    int to = nextQuote(from + 1, rowEnd) + 1;
    if (rows.wants(column)) {
      rows.keyed(column, 0);
      field(column, from + 1, to - 1, true);
    }
    return to;
  }

  /** How many delimiters stand outside quotes. */
  private int separating(int from, int rowEnd) {
    int count = 0;
    int at = from;
    for (int open = nextQuote(at, rowEnd); open < rowEnd; open = nextQuote(at, rowEnd)) {
      count += delimiters(at, open);
      at = nextQuote(open + 1, rowEnd) + 1;
    }
    return count + delimiters(at, rowEnd);
  }

  /** How many delimiters there are; of eight bytes at a time, each by its own high bit. */
  private int delimiters(int from, int to) {
    int count = 0;
    int at = from;
    for (; at + Long.BYTES <= to; at += Long.BYTES) {
      long other = word(at) ^ delimiters;
      count += Long.bitCount(~(((other & ~HIGH) + ~HIGH) | other) & HIGH);
    }
    for (; at < to; at++) {
      count += block[at] == delimiter ? 1 : 0;
    }
    return count;
  }

  private int fieldEnd(int from, int rowEnd) {
    int at = from;
    while (at < rowEnd) {
      long found = matches(word(at) ^ delimiters);
      if (found != 0) {
        return Math.min(rowEnd, at + (Long.numberOfTrailingZeros(found) >>> 3));
      }
      at += Long.BYTES;
    }
    return rowEnd;
  }

  private long word(int at) {
    return (long) WORD.get(block, at);
  }

  /** Whether there are blanks around a field. */
  private boolean framed(int from, int to) {
    return from < to && (block[from] <= ' ' || block[to - 1] <= ' ');
  }

  private void field(int column, int from, int to, boolean quoted) {
    int length = to - from;
    if (length > characters.length) {
      characters = new char[2 * length];
    }
    for (int i = 0; i < length; i++) {
      characters[i] = (char) block[from + i];
    }
    rows.field(column, characters, 0, length, quoted);
  }
}
