package dev.tavik.data;

import dev.tavik.data.RowSource.SourceDescription;
import java.io.IOException;

/** A kind of file: how it is known, and how its rows are read. */
interface SourceFormat {
  /** Whether a file that begins so is of this kind. */
  boolean takes(FileHeader beginning);

  /**
   * Reads every row.
   *
   * @throws IOException if the bytes can't be read
   */
  SourceDescription read(Bytes bytes, ReadOptions said, RowHandler rows) throws IOException;
}
