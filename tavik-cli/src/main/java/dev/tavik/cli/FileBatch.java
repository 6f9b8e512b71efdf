package dev.tavik.cli;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Files that are written together: each under a temporary name, and all renamed once all are whole,
 * so that a program that is ended leaves nothing. What is no ordinary file, such as a device, is
 * written to directly.
 */
final class FileBatch implements AutoCloseable {
  private static final int BUFFER = 1 << 16;

  /** The temporary files of all batches. */
  private static final Set<Path> PARTS = new LinkedHashSet<>();

  private static boolean ended;

  /** Where each file is to be, and what it is until then. */
  private final Map<Path, Path> parts = new LinkedHashMap<>();

  private final List<Path> written = new ArrayList<>();

  /** When the program is told to end: removes unfinished files and renames no more. */
  static void end() {
    synchronized (PARTS) {
      ended = true;
      PARTS.forEach(FileBatch::delete);
    }
  }

  /** Whether the program was told to end, when nothing is written any more. */
  static boolean ended() {
    synchronized (PARTS) {
      return ended;
    }
  }

  private static void delete(Path part) {
    try {
      Files.deleteIfExists(part);
    } catch (IOException e) {
      // It can't be written either.
    }
  }

  /** Begins a file; a folder that isn't there is made at the end. */
  OutputStream open(Path file) throws IOException {
    Path target = Files.exists(file) ? file.toRealPath() : file.toAbsolutePath();
    Path folder = target.getParent();
    written.add(file);
    boolean ordinary =
        !Files.isSymbolicLink(target) && (!Files.exists(target) || Files.isRegularFile(target));
    while (folder != null && !Files.exists(folder)) {
      folder = folder.getParent();
    }
    if (folder == null || !Files.isWritable(folder) || !ordinary) {
      return Files.newOutputStream(target);
    }
    String name = "." + target.getFileName() + "." + Long.toHexString(System.nanoTime()) + ".part";
    Path part = folder.resolve(name);
    synchronized (PARTS) {
      requireGoingOn();
      PARTS.add(part);
    }
    parts.put(target, part);
    return new BufferedOutputStream(
        Files.newOutputStream(part, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE),
        BUFFER);
  }

  void write(Path file, byte[] bytes) {
    try (OutputStream out = open(file)) {
      out.write(bytes);
    } catch (IOException e) {
      throw FileWriting.unwritten(file, e);
    }
  }

  /** Puts every file in its place; returns them in the order in which they were begun. */
  List<Path> commit() {
    synchronized (PARTS) {
      requireGoingOn();
      for (Map.Entry<Path, Path> each : Map.copyOf(parts).entrySet()) {
        try {
          place(each.getValue(), each.getKey());
        } catch (IOException e) {
          throw FileWriting.unwritten(each.getKey(), e);
        }
        PARTS.remove(each.getValue());
        parts.remove(each.getKey());
      }
    }
    return List.copyOf(written);
  }

  private static void requireGoingOn() {
    if (ended) {
      throw new UnwrittenException("the program was told to end; nothing was written");
    }
  }

  private static void place(Path part, Path target) throws IOException {
    Path folder = target.getParent();
    if (folder != null) {
      Files.createDirectories(folder);
    }
    // Not by the file's store, which the JDK doesn't find in a folder that is another root.
    if (Files.exists(target)
        && Files.getFileAttributeView(target, PosixFileAttributeView.class) != null) {
      Files.setPosixFilePermissions(part, Files.getPosixFilePermissions(target));
    }
    Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
  }

  /** Removes the files that were not moved to their places. */
  @Override
  public void close() {
    synchronized (PARTS) {
      parts.values().forEach(FileBatch::delete);
      PARTS.removeAll(parts.values());
    }
  }
}
