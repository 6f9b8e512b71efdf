package dev.tavik.data;

import dev.tavik.data.RowSource.SourceDescription;
import java.io.IOException;
import java.util.zip.GZIPInputStream;

/** A file packed by gzip, with any content. */
final class GzipFormat implements SourceFormat {
  private static final int BUFFER = 1 << 16;

  @Override
  public boolean takes(FileHeader beginning) {
    return beginning.startsWith("\u001F\u008B");
  }

  @Override
  public SourceDescription read(Bytes bytes, ReadOptions said, RowHandler rows) throws IOException {
    Bytes.Counted packed = new Bytes.Counted(bytes);
    try (Bytes unpacked =
        new Bytes(
            bytes.name(),
            Bytes.bounded(bytes.name(), packed::count, new GZIPInputStream(packed, BUFFER)))) {
      return FileSource.read(unpacked, said, rows);
    }
  }
}
