package dev.tavik.data.file;

import dev.tavik.data.RowHandler;
import java.nio.file.Path;

/** Reads files by columns; the module tavik-sql has such an engine, found as a service. */
public interface ColumnEngine {
  /**
   * Reads a Parquet file: only the columns that are wanted, and equal rows together.
   *
   * @param name its name, for messages
   * @param file where it is
   * @param rows who takes the rows
   */
  void parquet(String name, Path file, RowHandler rows);
}
