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
 * Reads delimited text of ASCII letters without quotes for a sweep, eight bytes at a time: where a
 * field ends within eight bytes, its end and its key are found without a loop. At anything else, a
 * quote, a letter beyond ASCII, a carriage return by itself, a row as long as the longest field, it
 * stops before that row and leaves the rest to the readers that know all of text.
 *
 * <p>Measured on 1,000 columns: counting them all takes about as long as a general reader needs to
 * find the fields.
 */
final class PlainBytes {
  private static final int BLOCK = 1 << 16;
  private static final long ONES = 0x0101010101010101L;
  private static final long HIGH = 0x8080808080808080L;
  private static final VarHandle WORD =
      MethodHandles.byteArrayViewVarHandle(long[].class, ByteOrder.LITTLE_ENDIAN);

  /** Instead of where a row ends: there is no whole row, or one that is not plain. */
  private static final int NONE = -1;

  private static final int LEFT = -2;

  private final InputStream bytes;
  private final SweepHandler rows;
  private final int longest;
  private final long delimiters;
  private final int above;
  private byte[] block = new byte[BLOCK + Long.BYTES];
  private int start;
  private int end;
  private int plainTo;
  private long line;
  private boolean ended;

  /**
   * A reading.
   *
   * @param bytes the text from its first byte on, behind a byte-order mark
   * @param layout what stands between fields, and how many lines above the header
   * @param rows who takes them
   * @param longest how long a row may be
   */
  PlainBytes(InputStream bytes, Layout layout, SweepHandler rows, int longest) {
    this.bytes = bytes;
    this.rows = rows;
    this.delimiters = ONES * layout.delimiter();
    this.longest = longest;
    this.above = layout.above();
  }

  /** Returns how many lines were read. */
  long line() {
    return line;
  }

  /** Hands over rows; returns the bytes that are left for other readers, if any are. */
  Optional<InputStream> read() throws IOException {
    while (true) {
      int rowEnd = rowEnd();
      if (rowEnd == LEFT) {
        return Optional.of(
            new SequenceInputStream(new ByteArrayInputStream(block, start, end - start), bytes));
      }
      if (rowEnd == NONE) {
        return Optional.empty();
      }
      line++;
      if (line > above) {
        row(rowEnd > start && block[rowEnd - 1] == '\r' ? rowEnd - 1 : rowEnd);
      }
      start = Math.min(end, rowEnd + 1);
    }
  }

  /** Where the row at hand ends, {@link #NONE} at the end of the text, or {@link #LEFT}. */
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

  /** Whether what was read anew is ASCII, without quotes and carriage returns by themselves. */
  private boolean plain() {
    for (; plainTo < end; plainTo += Long.BYTES) {
      long word = word(plainTo);
      long special = (word & HIGH) | matches(word ^ (ONES * '"')) | matches(word ^ (ONES * '\r'));
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
      if (block[i] < 0 || block[i] == '"' || alone) {
        return false;
      }
    }
    return true;
  }

  /**
   * Reads on behind the row at hand, which moves to the beginning; false at the end of the text.
   */
  private boolean more() throws IOException {
    System.arraycopy(block, start, block, 0, end - start);
    end -= start;
    // A carriage return at the end of what was read is looked at again with what follows.
    plainTo = Math.max(0, Math.min(plainTo - start, end - 1));
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

  private void row(int rowEnd) {
    rows.begin(line());
    if (rowEnd == start) {
      rows.blank();
      return;
    }
    boolean header = rows.knownHeader() == null;
    int column = 0;
    int from = start;
    while (true) {
      int to = fieldEnd(from, rowEnd);
      int length = to - from;
      long key = header || framed(from, to) ? 0 : ShortLevels.key(word(from), length);
      if (!rows.keyed(column, key)) {
        field(column, from, to);
      }
      column++;
      if (to == rowEnd) {
        rows.end(column);
        return;
      }
      from = to + 1;
    }
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

  private void field(int column, int from, int to) {
    if (rows.wants(column)) {
      char[] characters = new char[to - from];
      for (int i = from; i < to; i++) {
        characters[i - from] = (char) block[i];
      }
      rows.field(column, characters, 0, characters.length, false);
    }
  }
}
