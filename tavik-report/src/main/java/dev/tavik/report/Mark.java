package dev.tavik.report;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import java.util.regex.Pattern;

/** Marks the files that Tavik writes, so that a user's own files are never replaced. */
final class Mark {
  static final String VERSION = version();

  /** In each form: a line of text, a comment, a page's generator, a key, a header, a picture. */
  private static final Pattern MARKS =
      Pattern.compile(
          "(?:^|\\n)Written by Tavik \\S+\\.\\s*$|<!-- Tavik \\S+ -->"
              + "|<meta name=\"generator\" content=\"Tavik [^\"]+\">|^\\{\\s*\"tavik\": \""
              + "|^question,label,group,kind,quantity,method,|Drawn by Tavik");

  private Mark() {}

  private static String version() {
    try (InputStream file = Mark.class.getResourceAsStream("version.txt")) {
      return new String(
              Objects.requireNonNull(file, "version.txt").readAllBytes(), StandardCharsets.UTF_8)
          .strip();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static String lastLine() {
    return "\nWritten by Tavik " + VERSION + ".\n";
  }

  static boolean in(String head, String tail) {
    return MARKS.matcher(head).find() || MARKS.matcher(tail).find();
  }
}
