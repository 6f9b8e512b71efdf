package dev.tavik.data;

import java.io.FileInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Opens a named source of bytes: a file, standard input, a resource. */
@FunctionalInterface
public interface SourceOpener {
  /**
   * Opens the source.
   *
   * @param name its name, as the analyst wrote it
   * @return its bytes, to be closed by the caller
   * @throws IOException if it can't be opened
   */
  InputStream open(String name) throws IOException;

  /**
   * Opens files by their paths.
   *
   * @return an opening that also tells where the files are
   */
  static SourceOpener ofFiles() {
    return new SourceOpener() {
      @Override
      public InputStream open(String name) throws IOException {
        return file(name);
      }

      @Override
      public Optional<Path> path(String name) {
        Path path = Path.of(name);
        return Files.isRegularFile(path) ? Optional.of(path) : Optional.empty();
      }
    };
  }

  /**
   * Opens what lies beside a file, unless its path is absolute.
   *
   * @param name the file's name
   * @return an opening of names that start from the file's folder
   */
  default SourceOpener beside(String name) {
    SourceOpener whole = this;
    return new SourceOpener() {
      @Override
      public InputStream open(String other) throws IOException {
        return whole.open(Path.of(name).resolveSibling(other).toString());
      }

      @Override
      public Optional<Path> path(String other) {
        return whole.path(Path.of(name).resolveSibling(other).toString());
      }

      @Override
      public Optional<CountSource> source(String other) {
        return whole.source(other);
      }
    };
  }

  /**
   * Data that are counted where they lie, not read by their bytes.
   *
   * @param name their name, as the analyst wrote it
   * @return the source; none unless the name stands for such data
   */
  default Optional<CountSource> source(String name) {
    return Optional.empty();
  }

  /**
   * Where a source is, for readers that open files by themselves.
   *
   * @param name its name
   * @return the ordinary file that has its bytes; none unless it is one
   */
  default Optional<Path> path(String name) {
    return Optional.empty();
  }

  /**
   * Opens a file.
   *
   * @param name its path
   * @return its bytes
   * @throws DataException if it is a directory
   * @throws IOException if it can't be opened
   */
  static InputStream file(String name) throws IOException {
    if (name.isBlank()) {
      throw new DataException(
          DataException.Code.UNREADABLE, "a file's name is needed, got an empty one");
    }
    Path file = Path.of(name);
    if (Files.isDirectory(file)) {
      throw new DataException(
          DataException.Code.UNREADABLE, name + " is a directory; name a file in it");
    }
    // A pipe with a name can't be asked how much there is of it, as channels do.
    return Files.exists(file) && !Files.isRegularFile(file)
        ? new FileInputStream(file.toFile())
        : Files.newInputStream(file);
  }
}
