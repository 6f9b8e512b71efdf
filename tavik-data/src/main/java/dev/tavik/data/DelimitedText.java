package dev.tavik.data;

import static dev.tavik.result.Figures.say;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import dev.tavik.count.DataOverview;
import dev.tavik.count.Tabulation;
import dev.tavik.result.Figures;
import java.io.IOException;
import java.io.PushbackReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * A file of rows with a header line: UTF-8 with or without a byte-order mark; comma, semicolon or
 * tab found by looking; quoted fields with doubled quotes, delimiters and line ends inside.
 *
 * <p>One pass over the file answers a request; memory holds levels and counts, never rows. The file
 * is only read.
 */
final class DelimitedText implements CountSource {
  private static final int LOOK_AT = 1 << 15;
  private static final int LONGEST_FIELD = 1 << 20;

  private final String path;
  private final String name;
  private final Opening opening;

  private DelimitedText(String name, Opening opening) {
    this.path = name;
    this.name = name.equals(Sources.STANDARD_INPUT) ? "standard input" : name;
    this.opening = opening;
  }

  static DelimitedText of(String name, Opening opening) {
    return new DelimitedText(name, opening);
  }

  @Override
  public Tabulation count(CountRequest request) {
    CountHandler handler = new CountHandler(name, request);
    return reading(
        reader -> {
          run(handler, reader, layout(reader));
          return handler.tabulation();
        });
  }

  @Override
  public RowsInOrder inOrder(CountRequest request) {
    if (request.frequency() != null) {
      throw new IllegalArgumentException(
          "rows that stand for several units have no order among them; leave the frequency out");
    }
    CountHandler handler = CountHandler.inOrder(name, request);
    return reading(
        reader -> {
          run(handler, reader, layout(reader));
          return handler.rowsInOrder();
        });
  }

  @Override
  public DataOverview overview() {
    OverviewHandler handler = new OverviewHandler(name);
    return reading(
        reader -> {
          Layout layout = layout(reader);
          run(handler, reader, layout);
          return handler.overview(layout.inWords() + ", UTF-8");
        });
  }

  private <T> T reading(Function<PushbackReader, T> work) {
    try (Reader text = new Utf8Reader(name, opening.open(path));
        PushbackReader reader = new PushbackReader(text, LOOK_AT)) {
      return work.apply(reader);
    } catch (IOException e) {
      throw DataException.unreadable(name, e);
    } catch (UncheckedIOException e) {
      throw DataException.unreadable(name, asRead(e));
    }
  }

  private static IOException asRead(UncheckedIOException e) {
    return e.getCause() == null ? new IOException(e.getMessage()) : e.getCause();
  }

  private static Layout layout(PushbackReader reader) {
    try {
      char[] beginning = new char[LOOK_AT];
      int length = 0;
      int count;
      while (length < LOOK_AT && (count = reader.read(beginning, length, LOOK_AT - length)) > 0) {
        length += count;
      }
      reader.unread(beginning, 0, length);
      return Layout.of(new String(beginning, 0, length));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void run(RowHandler handler, Reader reader, Layout layout) {
    try (Stream<Object> none =
        CsvReader.builder()
            .fieldSeparator(layout.delimiter())
            .skipEmptyLines(false)
            .allowUnclosedQuote(false)
            .maxBufferSize(LONGEST_FIELD)
            .build(handler, reader)
            .stream()) {
      none.forEach(DelimitedText::nothing);
    } catch (CsvParseException e) {
      throw asData(e, handler.line());
    }
  }

  /** The handler keeps what it needs; no record ever comes out of the stream. */
  private static void nothing(Object none) {
    throw new IllegalStateException("the handler handed out " + none);
  }

  private RuntimeException asData(CsvParseException e, long line) {
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
