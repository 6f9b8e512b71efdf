package dev.tavik.data;

import static dev.tavik.result.Figures.say;

import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/**
 * Reads UTF-8 strictly and says on which line it isn't. The JDK's reader replaces what it can't
 * decode, or fails without a place. A byte-order mark is passed over.
 */
final class Utf8Reader extends Reader {
  private static final int BUFFER = 1 << 16;
  private static final long LINE_FEEDS = 0x0A0A0A0A0A0A0A0AL;
  private static final long LOW_BITS = 0x7F7F7F7F7F7F7F7FL;

  private final String source;
  private final InputStream bytes;
  private final CharsetDecoder decoder =
      StandardCharsets.UTF_8
          .newDecoder()
          .onMalformedInput(CodingErrorAction.REPORT)
          .onUnmappableCharacter(CodingErrorAction.REPORT);
  private final ByteBuffer pending = ByteBuffer.allocate(BUFFER).flip();
  private boolean start = true;
  private boolean ended;
  private long line = 1;

  Utf8Reader(String source, InputStream bytes) {
    this.source = source;
    this.bytes = bytes;
  }

  @Override
  public int read(char[] buffer, int offset, int length) throws IOException {
    CharBuffer out = CharBuffer.wrap(buffer, offset, length);
    while (true) {
      int from = pending.position();
      CoderResult result = decoder.decode(pending, out, ended);
      int decoded = out.position() - offset;
      countLines(from, pending.position());
      if (result.isError()) {
        throw notUtf8();
      }
      if (decoded > 0) {
        return decoded;
      }
      if (ended) {
        return -1;
      }
      fill();
    }
  }

  private void fill() throws IOException {
    pending.compact();
    int count = bytes.read(pending.array(), pending.position(), pending.remaining());
    if (count < 0) {
      ended = true;
    } else {
      pending.position(pending.position() + count);
    }
    pending.flip();
    if (start && (pending.remaining() >= 4 || ended)) {
      start = false;
      recognise();
    } else if (start) {
      fill();
    }
  }

  /** Passes over a byte-order mark, and names what is surely something else. */
  private void recognise() {
    int first = at(0) << 8 | at(1);
    if (first == 0xEFBB && at(2) == 0xBF) {
      pending.position(3);
    } else if (first == 0xFFFE || first == 0xFEFF) {
      throw encoding("is UTF-16; save it as UTF-8");
    } else if (first == ('P' << 8 | 'K') && at(2) == 3 && at(3) == 4) {
      throw encoding("is a spreadsheet or another packed file; export the sheet as CSV in UTF-8");
    } else if (pending.remaining() > 0 && (at(0) == 0 || at(1) == 0)) {
      throw encoding("is not text; a comma-, semicolon- or tab-separated file in UTF-8 is needed");
    }
  }

  private int at(int index) {
    return index < pending.limit() ? pending.get(index) & 0xFF : 1;
  }

  /**
   * Counts line feeds, eight bytes at a time. A byte of {@code x} is zero where there is one, and
   * only then is its high bit clear in {@code (x & 0x7F…) + 0x7F… | x}.
   */
  private void countLines(int from, int to) {
    int i = from;
    for (; i + Long.BYTES <= to; i += Long.BYTES) {
      long x = pending.getLong(i) ^ LINE_FEEDS;
      line += Long.BYTES - Long.bitCount((((x & LOW_BITS) + LOW_BITS) | x) & ~LOW_BITS);
    }
    for (; i < to; i++) {
      line += pending.get(i) == '\n' ? 1 : 0;
    }
  }

  private DataException notUtf8() {
    int bad = pending.hasRemaining() ? pending.get(pending.position()) & 0xFF : 0;
    return encoding(
        say(
            "is not UTF-8: line %d has the byte 0x%02X. It may be Windows-1252 or Latin-1; save"
                + " it as UTF-8",
            line, bad));
  }

  private DataException encoding(String found) {
    return new DataException(DataException.Code.ENCODING, source + " " + found);
  }

  @Override
  public void close() throws IOException {
    bytes.close();
  }
}
