package dev.tavik.report;

import java.io.IOException;
import java.io.Reader;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;

/**
 * Buffers text until what precedes it is known: small text in memory, large text in a temporary
 * file.
 */
final class Spool implements AutoCloseable {
  private static final int MOST_IN_MEMORY = 1 << 22;

  private final StringBuilder memory = new StringBuilder();
  private @Nullable Path file;
  private @Nullable Writer writer;

  void add(String text) throws IOException {
    memory.append(text);
    if (memory.length() > MOST_IN_MEMORY) {
      spill();
    }
  }

  private void spill() throws IOException {
    Writer to = writer;
    if (to == null) {
      Path made = Files.createTempFile("tavik", ".part");
      made.toFile().deleteOnExit();
      to = Files.newBufferedWriter(made);
      file = made;
      writer = to;
    }
    to.append(memory);
    memory.setLength(0);
  }

  void copyTo(Writer to) throws IOException {
    Path spilled = file;
    if (spilled != null && writer != null) {
      writer.flush();
      try (Reader text = Files.newBufferedReader(spilled)) {
        text.transferTo(to);
      }
    }
    to.append(memory);
  }

  @Override
  public void close() throws IOException {
    Path spilled = file;
    if (spilled != null && writer != null) {
      writer.close();
      Files.deleteIfExists(spilled);
    }
  }
}
