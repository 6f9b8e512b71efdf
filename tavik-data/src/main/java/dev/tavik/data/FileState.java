package dev.tavik.data;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Figures;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The state of a file before and after reading: another program may write to it meanwhile.
 *
 * @param known whether it is a file of which that can be known
 * @param key what tells it from another file of its name; null where nothing does
 * @param size its bytes
 * @param written when it was last written
 */
record FileState(boolean known, @Nullable Object key, long size, FileTime written) {
  private static final FileState UNKNOWN = new FileState(false, null, 0, FileTime.fromMillis(0));

  static FileState of(Optional<Path> file) {
    if (file.isEmpty()) {
      return UNKNOWN;
    }
    try {
      BasicFileAttributes found = Files.readAttributes(file.get(), BasicFileAttributes.class);
      return new FileState(true, found.fileKey(), found.size(), found.lastModifiedTime());
    } catch (IOException e) {
      return UNKNOWN;
    }
  }

  private boolean same(FileState now) {
    return known && now.known && Objects.equals(key, now.key);
  }

  /**
   * Checks that the file was not truncated while it was read.
   *
   * @throws DataException if it was cut: rows are missing
   */
  void requireWhole(String name, FileState now) {
    if (same(now) && now.size < size) {
      throw new DataException(
          DataException.Code.UNREADABLE,
          "%s was cut from %s to %s bytes while it was read; ask again once it is whole",
          name,
          Figures.count(size),
          Figures.count(now.size));
    }
  }

  /**
   * How it was read, with what is to be remarked.
   *
   * @throws DataException if it was cut while it was read
   */
  RowSource.SourceDescription compared(
      String name, FileState now, RowSource.SourceDescription manner) {
    requireWhole(name, now);
    String remark =
        !known || now.equals(this)
            ? ""
            : !same(now)
                ? "another file took its name while it was read; the counts are of the one before"
                : say(
                    "it was written to while it was read (%s bytes before, %s after); ask again"
                        + " unless rows were only added at its end",
                    Figures.count(size), Figures.count(now.size));
    if (remark.isEmpty()) {
      return manner;
    }
    List<String> remarks = new ArrayList<>(manner.remarks());
    remarks.add(remark);
    return new RowSource.SourceDescription(manner.layout(), remarks);
  }
}
