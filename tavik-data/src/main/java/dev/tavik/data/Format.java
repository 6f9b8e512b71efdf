package dev.tavik.data;

import dev.tavik.data.RowSource.Manner;
import java.io.IOException;

/** A kind of file: how it is known, and how its rows are read. */
interface Format {
  /** Whether a file that begins so is of this kind. */
  boolean takes(FileHeader beginning);

  /**
   * Reads every row.
   *
   * @throws IOException if the bytes can't be read
   */
  Manner read(Bytes bytes, Reading said, RowHandler rows) throws IOException;
}
