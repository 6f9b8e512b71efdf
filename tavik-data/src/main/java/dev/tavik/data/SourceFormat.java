package dev.tavik.data;

import dev.tavik.data.RowSource.SourceDescription;
import java.io.IOException;
import java.util.List;
import java.util.function.Consumer;

/** A kind of file: how it is known, and how its rows are read. */
interface SourceFormat {
  /**
   * One thing that a file of this kind is told.
   *
   * @param word the word that tells it
   * @param check throws an {@link IllegalArgumentException} if a value isn't right for it
   */
  record Told(String word, Consumer<String> check) {}

  /** What a file of this kind is told; {@link ReadOptions#told(String)} has the values. */
  default List<Told> told() {
    return List.of();
  }

  /** Whether a file that begins so is of this kind. */
  boolean takes(FileHeader beginning);

  /** Whether a file that begins so is of this kind, by what is told of it. */
  default boolean takes(FileHeader beginning, ReadOptions said) {
    return takes(beginning);
  }

  /**
   * Reads every row.
   *
   * @throws IOException if the bytes can't be read
   */
  SourceDescription read(Bytes bytes, ReadOptions said, RowHandler rows) throws IOException;
}
