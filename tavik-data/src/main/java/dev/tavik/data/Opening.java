package dev.tavik.data;

import java.io.IOException;
import java.io.InputStream;

/** Opens a named source of bytes: a file, standard input, a resource. */
@FunctionalInterface
public interface Opening {
  /**
   * Opens the source.
   *
   * @param name its name, as the analyst wrote it
   * @return its bytes, to be closed by the caller
   * @throws IOException if it can't be opened
   */
  InputStream open(String name) throws IOException;
}
