package dev.tavik.cli;

import dev.tavik.report.Report;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

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

  static void write(Path file, byte[] bytes) {
    try (FileBatch batch = new FileBatch()) {
      batch.write(file, bytes);
      batch.commit();
    }
  }

  static UnwrittenException unwritten(Path file, IOException e) {
    return new UnwrittenException("can't write " + file + ": " + reason(e), e);
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
