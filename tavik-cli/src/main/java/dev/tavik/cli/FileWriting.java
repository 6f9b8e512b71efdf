package dev.tavik.cli;

import dev.tavik.report.Report;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;

/**
 * Writes a file whole or not at all: to another one beside it first, which then takes its place. So
 * a full disk or an interrupt leaves what was there before. Through a link the file behind it is
 * written; what is no ordinary file, such as a device, is written to directly.
 */
final class FileWriting {
  /** How far from its beginning or end a file bears a mark. */
  private static final int MARKED = 4_096;

  private FileWriting() {}

  /** Whether a file has the mark of one that Tavik wrote, or nothing in it. */
  static boolean ours(Path file) {
    try (SeekableByteChannel channel = Files.newByteChannel(file)) {
      String head = read(channel, 0);
      String tail = read(channel, Math.max(0, channel.size() - MARKED));
      return channel.size() == 0 || Report.wrote(head, tail);
    } catch (IOException e) {
      return false;
    }
  }

  private static String read(SeekableByteChannel channel, long from) throws IOException {
    ByteBuffer bytes = ByteBuffer.allocate(MARKED);
    channel.position(from);
    while (bytes.hasRemaining() && channel.read(bytes) >= 0) {
      // A file may come in pieces.
    }
    return new String(bytes.array(), 0, bytes.position(), StandardCharsets.ISO_8859_1);
  }

  /** Writes what a file holds. */
  @FunctionalInterface
  interface Content {
    void writeTo(OutputStream out) throws IOException;
  }

  static void write(Path file, byte[] bytes) {
    write(file, out -> out.write(bytes));
  }

  /** Writes a file as its content is made; it is in its place once it is whole. */
  static void write(Path file, Content content) {
    try {
      Path into = file.toAbsolutePath().getParent();
      if (into != null) {
        Files.createDirectories(into);
      }
      Path target = Files.exists(file) ? file.toRealPath() : file.toAbsolutePath();
      Path folder = target.getParent();
      boolean ordinary =
          !Files.isSymbolicLink(target) && (!Files.exists(target) || Files.isRegularFile(target));
      if (folder != null && Files.isWritable(folder) && ordinary) {
        replace(target, folder, content);
      } else {
        try (OutputStream out = Files.newOutputStream(target)) {
          content.writeTo(out);
        }
      }
    } catch (IOException e) {
      throw new UnwrittenException("can't write " + file + ": " + reason(e), e);
    }
  }

  private static void replace(Path target, Path folder, Content content) throws IOException {
    Path beside =
        folder.resolve(
            "." + target.getFileName() + "." + Long.toHexString(System.nanoTime()) + ".part");
    try {
      try (OutputStream out =
          Files.newOutputStream(beside, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
        content.writeTo(out);
      }
      if (Files.exists(target)) {
        keepPermissions(target, beside);
      }
      Files.move(beside, target, StandardCopyOption.REPLACE_EXISTING);
    } finally {
      Files.deleteIfExists(beside);
    }
  }

  private static void keepPermissions(Path from, Path to) throws IOException {
    // Not by the file's store, which the JDK doesn't find in a folder that is another root.
    if (Files.getFileAttributeView(from, PosixFileAttributeView.class) != null) {
      Files.setPosixFilePermissions(to, Files.getPosixFilePermissions(from));
    }
  }

  static String reason(IOException e) {
    if (e instanceof AccessDeniedException) {
      return "no permission";
    }
    if (e instanceof NoSuchFileException) {
      return "there is no such folder";
    }
    return String.valueOf(e.getMessage());
  }
}
