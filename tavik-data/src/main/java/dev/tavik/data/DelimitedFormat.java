package dev.tavik.data;

import static dev.tavik.result.Figures.say;

import de.siegmar.fastcsv.reader.AbstractBaseCsvCallbackHandler;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import dev.tavik.data.RowSource.SourceDescription;
import dev.tavik.result.Figures;
import java.io.IOException;
import java.io.InputStream;
import java.io.PushbackReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Rows of text with a header line: in UTF-8, UTF-16 with a byte-order mark or an encoding that was
 * said; the delimiter found by looking; quoted fields with doubled quotes, delimiters and line ends
 * inside.
 */
final class DelimitedFormat implements SourceFormat {
  private static final int LOOK_AT = 1 << 15;
  private static final int LONGEST_FIELD = 1 << 20;

  /**
   * Size of the part that is examined: at most four bytes a character, and what a reader buffers
   * beyond.
   */
  private static final int MOST_PEEKED = 1 << 18;

  @Override
  public List<Told> told() {
    return List.of(new Told("encoding", Encoding::named));
  }

  @Override
  public boolean takes(FileHeader beginning) {
    return true;
  }

  @Override
  public SourceDescription read(Bytes bytes, ReadOptions said, RowHandler rows) throws IOException {
    said.requireNoSheet(bytes.name());
    Encoding encoding = Encoding.of(bytes, said);
    boolean plain = encoding.charset().equals(StandardCharsets.UTF_8);
    if (plain) {
      bytes.mark(MOST_PEEKED);
    }
    try (PushbackReader reader = new PushbackReader(new StrictReader(bytes, encoding), LOOK_AT)) {
      Layout layout = layout(reader);
      if (byEngine(bytes, encoding, layout, said, rows)) {
        return new SourceDescription(
            layout.inWords() + ", " + encoding.inWords() + ", by columns", layout.remarks());
      }
      if (plain) {
        bytes.reset();
        bytes.skipNBytes(encoding.mark());
        byBytes(bytes, rows, layout, encoding);
      } else {
        for (int line = 0; line < layout.above(); line++) {
          passOver(reader);
        }
        run(bytes.name(), new Fields(rows, layout.above()), reader, layout);
      }
      return new SourceDescription(layout.inWords() + ", " + encoding.inWords(), layout.remarks());
    }
  }

  /** Reads plain rows by their bytes and the rest as text. */
  private static void byBytes(Bytes bytes, RowHandler rows, Layout layout, Encoding encoding)
      throws IOException {
    PlainBytes plain = new PlainBytes(bytes, layout, rows, LONGEST_FIELD);
    Optional<InputStream> left = plain.read();
    if (left.isPresent()) {
      Reader rest = StrictReader.further(bytes.name(), left.get(), encoding, plain.line());
      for (long line = plain.line(); line < layout.above(); line++) {
        passOver(rest);
      }
      long above = Math.max(plain.line(), layout.above());
      run(bytes.name(), new Fields(rows, above), rest, layout);
    }
  }

  /** Whether a column engine was asked for, is there, and reads this file as it is read here. */
  private static boolean byEngine(
      Bytes bytes, Encoding encoding, Layout layout, ReadOptions said, RowHandler rows)
      throws IOException {
    Optional<Path> file = bytes.file();
    if (said.engineAbove() == Long.MAX_VALUE
        || file.isEmpty()
        || Files.size(file.get()) < said.engineAbove()
        || encoding.mark() > 0
        || !encoding.charset().equals(StandardCharsets.UTF_8)
        || rows.need() != RowHandler.Need.COUNTS) {
      return false;
    }
    ColumnEngine engine =
        ColumnEngine.found()
            .orElseThrow(
                () ->
                    new DataException(
                        DataException.Code.UNREADABLE,
                        "the column engine is part of the module tavik-sql, which isn't there"));
    List<String> names = names(layout);
    return !names.isEmpty()
        && engine.text(file.get(), layout.delimiter(), layout.above() + 1, names, rows);
  }

  /** The names in a header of one line; none where it isn't plain. */
  private static List<String> names(Layout layout) {
    try (Stream<CsvRecord> lines =
        CsvReader.builder()
            .fieldSeparator(layout.delimiter())
            .allowUnclosedQuote(false)
            .ofCsvRecord(layout.header())
            .stream()) {
      return layout.header().length() < LOOK_AT / 2 && !layout.header().contains("\n")
          ? lines.findFirst().map(CsvRecord::getFields).orElse(List.of())
          : List.of();
    } catch (CsvParseException e) {
      return List.of();
    }
  }

  private static Layout layout(PushbackReader reader) throws IOException {
    char[] beginning = new char[LOOK_AT];
    int length = 0;
    int count;
    while (length < LOOK_AT && (count = reader.read(beginning, length, LOOK_AT - length)) > 0) {
      length += count;
    }
    reader.unread(beginning, 0, length);
    return Layout.of(new String(beginning, 0, length));
  }

  private static void passOver(Reader reader) throws IOException {
    int character = reader.read();
    while (character >= 0 && character != '\n') {
      character = reader.read();
    }
  }

  /** Passes on each field as it is read, without records, so that the reader runs in one loop. */
  private static final class Fields extends AbstractBaseCsvCallbackHandler<Object> {
    private final RowHandler rows;
    private final long above;
    private boolean blank;

    Fields(RowHandler rows, long above) {
      this.rows = rows;
      this.above = above;
    }

    @Override
    protected void handleBegin(long startingLineNumber) {
      rows.begin(startingLineNumber + above);
      blank = false;
    }

    @Override
    protected void handleEmpty() {
      blank = true;
    }

    @Override
    protected void handleField(int column, char[] buffer, int offset, int length, boolean quoted) {
      rows.field(column, buffer, offset, length, quoted);
    }

    @Override
    protected @Nullable Object buildRecord() {
      if (blank) {
        rows.blank();
      } else {
        rows.end(getFieldCount());
      }
      return null;
    }
  }

  private static void run(String name, Fields fields, Reader reader, Layout layout) {
    try (Stream<Object> none =
        CsvReader.builder()
            .fieldSeparator(layout.delimiter())
            .skipEmptyLines(false)
            .allowUnclosedQuote(false)
            .maxBufferSize(LONGEST_FIELD)
            .build(fields, reader)
            .stream()) {
      none.forEach(DelimitedFormat::nothing);
    } catch (CsvParseException e) {
      throw asData(name, e, fields.rows.number());
    }
  }

  /** The handler keeps what it needs; no record ever comes out of the stream. */
  private static void nothing(Object none) {
    throw new IllegalStateException("the handler handed out " + none);
  }

  private static RuntimeException asData(String name, CsvParseException e, long line) {
    if (e.getCause() instanceof DataException found) {
      return found;
    }
    if (e.getCause() instanceof UncheckedIOException unreadable) {
      return unreadable;
    }
    if (e.getCause() instanceof Error fault) {
      throw fault;
    }
    if (e.getCause() != null) {
      return new IllegalStateException(e.getCause());
    }
    String message = String.valueOf(e.getMessage());
    String found;
    if (message.contains("maximum buffer size")) {
      found =
          say(
              "a field longer than %s characters; perhaps a quote is never closed",
              Figures.count(LONGEST_FIELD));
    } else if (message.startsWith("Unclosed")) {
      found = "a quoted field that is never closed";
    } else {
      found = "text after a closing quote; a quote inside a quoted field is written twice";
    }
    return new DataException(
        DataException.Code.MALFORMED,
        "%s, record starting at line %d has %s",
        name,
        Math.max(1, line),
        found);
  }
}
