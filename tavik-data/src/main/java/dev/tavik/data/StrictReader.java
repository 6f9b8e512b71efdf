package dev.tavik.data;

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
 * Reads text strictly and reports the line that isn't valid in its encoding. The JDK's reader
 * replaces what it can't decode, or fails without a place.
 */
public final class StrictReader extends Reader {
  private static final int BUFFER = 1 << 16;
  private static final long LINE_FEEDS = 0x0A0A0A0A0A0A0A0AL;
  private static final long LOW_BITS = 0x7F7F7F7F7F7F7F7FL;

  private final String source;
  private final InputStream bytes;
  private final Encoding encoding;
  private final CharsetDecoder decoder;
  private final ByteBuffer pending = ByteBuffer.allocate(BUFFER).flip();
  private boolean ended;
  private long line;

  /** Reads bytes in an encoding; those of its mark are passed over. */
  StrictReader(Bytes bytes, Encoding encoding) throws IOException {
    this(bytes.name(), bytes, encoding, 1);
    bytes.skipNBytes(encoding.mark());
  }

  private StrictReader(String source, InputStream bytes, Encoding encoding, long line) {
    this.source = source;
    this.bytes = bytes;
    this.encoding = encoding;
    this.decoder = decoder(encoding);
    this.line = line;
  }

  /** Reads the rest of a text, of which some lines were read otherwise. */
  static Reader further(String name, InputStream rest, Encoding encoding, long lines) {
    return new StrictReader(name, rest, encoding, lines + 1);
  }

  private static CharsetDecoder decoder(Encoding encoding) {
    return encoding
        .charset()
        .newDecoder()
        .onMalformedInput(CodingErrorAction.REPORT)
        .onUnmappableCharacter(CodingErrorAction.REPORT);
  }

  /**
   * Reads text whose encoding a byte-order mark says, and that is UTF-8 else.
   *
   * @param name the text's name, for messages
   * @param bytes its bytes
   * @return its characters
   * @throws DataException if it is something else than text
   * @throws IOException if the bytes can't be read
   */
  public static Reader of(String name, InputStream bytes) throws IOException {
    Bytes known = new Bytes(name, bytes);
    return new StrictReader(known, Encoding.of(known, ReadOptions.usual()));
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
        throw undecoded();
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

  private DataException undecoded() {
    int bad = pending.hasRemaining() ? pending.get(pending.position()) & 0xFF : 0;
    return new DataException(
        DataException.Code.ENCODING,
        "%s is not %s: line %d has the byte 0x%02X. %s",
        source,
        encoding.charset().name(),
        line,
        bad,
        encoding.charset().equals(StandardCharsets.UTF_8)
            ? "It may be Windows-1252 or Latin-1; say so with the encoding, or save it as UTF-8"
            : "Say another encoding, or save it as UTF-8");
  }

  @Override
  public void close() throws IOException {
    bytes.close();
  }
}
