package dev.tavik.data.study;

import dev.tavik.data.CountSource;
import dev.tavik.data.SourceOpener;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * The files that a study may read: those in its folder and below, unless others are allowed. A
 * study may come from somebody else and its messages may be forwarded, so nothing from a file
 * outside the folder is shown.
 */
final class StudyFolder implements SourceOpener {
  private final SourceOpener whole;
  private final String study;
  private final boolean confined;
  private boolean left;

  StudyFolder(SourceOpener whole, String study, boolean confined) {
    this.whole = whole;
    this.study = study;
    this.confined = confined;
  }

  /** The path of a file that is named beside the study. */
  static Path beside(String study, String name) {
    return Path.of(study).resolveSibling(name);
  }

  @Override
  public InputStream open(String name) throws IOException {
    require(name);
    return whole.open(beside(study, name).toString());
  }

  @Override
  public Optional<Path> path(String name) {
    require(name);
    return whole.path(beside(study, name).toString());
  }

  @Override
  public Optional<CountSource> source(String name) {
    return whole.source(name);
  }

  /** Whether a file outside the folder was opened. */
  boolean left() {
    return left;
  }

  /** Refuses databases and drivers in a confined study, because they lie outside its folder. */
  void requireAllowed(QuestionArguments spec) {
    for (String word : List.of("database", "driver-path", "db-credentials")) {
      spec.check(
          !confined || !spec.has(word),
          "%s reaches beyond the folder of the study, whose files may be read; if that is meant,"
              + " add --allow-outside",
          word);
    }
  }

  private void require(String name) {
    if (!inside(name)) {
      left = true;
      if (confined) {
        throw new SpecException(
            "%s lies outside the folder of the study, whose files may be read; if that is meant,"
                + " add --allow-outside",
            name);
      }
    }
  }

  private boolean inside(String name) {
    Path folder = folder(Path.of(study));
    Path file = beside(study, name);
    boolean named =
        file.toAbsolutePath().normalize().startsWith(folder.toAbsolutePath().normalize());
    Optional<Path> known = whole.path(file.toString());
    if (!named || known.isEmpty()) {
      return named;
    }
    try {
      return known.get().toRealPath().startsWith(folder.toRealPath());
    } catch (IOException e) {
      return false;
    }
  }

  private static Path folder(Path study) {
    Path parent = study.getParent();
    return parent == null ? Path.of("") : parent;
  }
}
