package dev.tavik.cli;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/**
 * Writes a file whole or not at all: to another one beside it first, which then takes its place. So
 * a full disk or an interrupt leaves what was there before. Through a link the file behind it is
 * written; what is no ordinary file, such as a device, is written to directly.
 */
final class FileWriting {
  private FileWriting() {}

  static void write(Path file, byte[] bytes) {
    try {
      Path target = Files.exists(file) ? file.toRealPath() : file.toAbsolutePath();
      Path folder = target.getParent();
      boolean ordinary =
          !Files.isSymbolicLink(target) && (!Files.exists(target) || Files.isRegularFile(target));
      if (folder != null && Files.isWritable(folder) && ordinary) {
        replace(target, folder, bytes);
      } else {
        Files.write(target, bytes);
      }
    } catch (IOException e) {
      throw new UnwrittenException("can't write " + file + ": " + reason(e), e);
    }
  }

  private static void replace(Path target, Path folder, byte[] bytes) throws IOException {
    Path beside =
        folder.resolve("." + target.getFileName() + "." + ProcessHandle.current().pid() + ".part");
    try {
      Files.write(beside, bytes, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
      if (Files.exists(target)) {
        keepPermissions(target, beside);
      }
      Files.move(beside, target, StandardCopyOption.REPLACE_EXISTING);
    } finally {
      Files.deleteIfExists(beside);
    }
  }

  private static void keepPermissions(Path from, Path to) throws IOException {
    if (Files.getFileStore(from).supportsFileAttributeView("posix")) {
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
