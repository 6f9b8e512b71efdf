package dev.tavik.data;

import java.io.BufferedInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.LongSupplier;
import org.jspecify.annotations.Nullable;

/** The bytes of a file, with its name and its first bytes. */
final class Bytes extends FilterInputStream {
  private static final int BEGINNING = 1 << 12;

  /** Size above which unpacked data must not exceed a hundred times the packed size. */
  private static final long MOST_EXPANSION = 400;

  private static final long EXPANSION_FROM = 1L << 26;

  private final String name;
  private final FileHeader beginning;
  private final @Nullable Path file;

  Bytes(String name, InputStream bytes) throws IOException {
    this(name, bytes, null);
  }

  /** Bytes of an ordinary file, which a reader may open by itself. */
  Bytes(String name, InputStream bytes, @Nullable Path file) throws IOException {
    super(new BufferedInputStream(bytes, 1 << 16));
    this.name = name;
    this.file = file;
    in.mark(BEGINNING);
    this.beginning = new FileHeader(in.readNBytes(BEGINNING));
    in.reset();
  }

  /** Returns the file's name, for messages. */
  String name() {
    return name;
  }

  FileHeader beginning() {
    return beginning;
  }

  /** Returns the file that holds just these bytes, if there is one. */
  Optional<Path> file() {
    return Optional.ofNullable(file);
  }

  /** A stream of unpacked bytes that refuses excessive growth. */
  static InputStream bounded(String name, LongSupplier packed, InputStream unpacked) {
    return new FilterInputStream(unpacked) {
      private long count;

      @Override
      public int read() throws IOException {
        byte[] one = new byte[1];
        return read(one, 0, 1) < 0 ? -1 : one[0] & 0xFF;
      }

      @Override
      public int read(byte[] buffer, int offset, int length) throws IOException {
        int read = super.read(buffer, offset, length);
        count += Math.max(0, read);
        if (count > EXPANSION_FROM && count / MOST_EXPANSION > packed.getAsLong()) {
          throw new DataException(
              DataException.Code.MALFORMED,
              "%s unpacks to more than %d times its size; that is no table of data",
              name,
              MOST_EXPANSION);
        }
        return read;
      }
    };
  }

  /** Counts the bytes that are read. */
  static final class Counted extends FilterInputStream {
    private long count;

    Counted(InputStream bytes) {
      super(bytes);
    }

    long count() {
      return count;
    }

    @Override
    public int read() throws IOException {
      int read = super.read();
      count += read < 0 ? 0 : 1;
      return read;
    }

    @Override
    public int read(byte[] buffer, int offset, int length) throws IOException {
      int read = super.read(buffer, offset, length);
      count += Math.max(0, read);
      return read;
    }
  }

  /** Runs an action with a file of these bytes; a temporary file is deleted afterwards. */
  <T> T asFile(FileWork<T> work) throws IOException {
    if (file != null) {
      return work.of(file);
    }
    Path copy = Files.createTempFile("tavik-", ".tmp");
    try {
      copy.toFile().deleteOnExit();
      try (var out = Files.newOutputStream(copy)) {
        transferTo(out);
      }
      return work.of(copy);
    } finally {
      Files.deleteIfExists(copy);
    }
  }

  /** An action with a file. */
  interface FileWork<T> {
    T of(Path file) throws IOException;
  }
}
