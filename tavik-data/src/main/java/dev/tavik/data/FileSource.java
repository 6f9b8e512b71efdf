package dev.tavik.data;

import java.io.EOFException;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.zip.ZipException;

/** A file of any kind, which is recognised from its first bytes. */
final class FileSource extends RowSource {
  /** The registry; a new kind of file is a line here, above the last, which takes what is left. */
  static final List<SourceFormat> FORMATS =
      List.of(
          new GzipFormat(),
          new ZipFormat(),
          new ParquetFormat(),
          new ForeignFormat(),
          new JsonRowsFormat(),
          new DelimitedFormat());

  private final String path;
  private final SourceOpener opening;
  private final ReadOptions said;

  FileSource(String path, SourceOpener opening, ReadOptions said) {
    super(path.equals(Sources.STANDARD_INPUT) ? "standard input" : path);
    int member = path.indexOf(".zip#");
    this.path = member < 0 ? path : path.substring(0, member + 4);
    this.opening = opening;
    this.said = member < 0 ? said : said.member(path.substring(member + 5));
  }

  @Override
  protected SourceDescription read(RowHandler rows) {
    FileState before = FileState.of(opening.path(path));
    try (Bytes bytes = new Bytes(name(), opening.open(path), opening.path(path).orElse(null))) {
      SourceDescription manner = read(bytes, said, rows);
      return before.compared(name(), FileState.of(opening.path(path)), manner);
    } catch (DataException e) {
      // The problem may be due to a file that was truncated while it was read.
      before.requireWhole(name(), FileState.of(opening.path(path)));
      throw e;
    } catch (IOException e) {
      throw unreadable(e);
    } catch (UncheckedIOException e) {
      throw unreadable(e.getCause() == null ? new IOException(e.getMessage()) : e.getCause());
    }
  }

  /** Reads what is of a kind that is known by its beginning. */
  static SourceDescription read(Bytes bytes, ReadOptions said, RowHandler rows) throws IOException {
    for (SourceFormat format : FORMATS) {
      if (format.takes(bytes.beginning(), said)) {
        return format.read(bytes, said, rows);
      }
    }
    throw new IllegalStateException("the last format takes everything");
  }

  private DataException unreadable(IOException e) {
    return e instanceof EOFException || e instanceof ZipException
        ? new DataException(
            DataException.Code.MALFORMED,
            "%s is damaged or cut short (%s); copy it again",
            name(),
            e.getMessage())
        : DataException.unreadable(name(), e);
  }
}
