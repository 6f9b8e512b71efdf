package dev.tavik.data;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;

/** Reads files by columns; the module tavik-sql has such an engine, found as a service. */
public interface ColumnEngine {
  /**
   * Finds the engine.
   *
   * @return the engine, if the module that has it is there
   */
  static Optional<ColumnEngine> found() {
    return ServiceLoader.load(ColumnEngine.class).findFirst();
  }

  /**
   * Reads a Parquet file: only the columns that are wanted, and equal rows together.
   *
   * @param name its name, for messages
   * @param file where it is
   * @param rows who takes the rows
   */
  void parquet(String name, Path file, RowHandler rows);

  /**
   * Counts a file of delimited text in UTF-8, if it reads it just as this package does: the same
   * rows, values and missing values.
   *
   * @param file where it is
   * @param delimiter what stands between fields
   * @param above how many lines stand above the rows, the header the last of them
   * @param names the names of the columns
   * @param rows who takes the rows; untouched if nothing is handed over
   * @return whether the rows were handed over; if not, they are to be read otherwise
   */
  boolean text(Path file, char delimiter, int above, List<String> names, RowHandler rows);
}
