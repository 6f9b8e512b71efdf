package dev.tavik.dist;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.TreeSet;

/** Sorts the names of the classes that a tour loads: in which order it does differs by the run. */
public final class ClassList {
  private ClassList() {}

  /**
   * Writes the list.
   *
   * @param arguments the list as it was made, and the one to be made of it
   * @throws IOException if one can't be read or written
   */
  public static void main(String... arguments) throws IOException {
    Path sorted = Path.of(arguments[1]);
    String lines = String.join("\n", new TreeSet<>(Files.readAllLines(Path.of(arguments[0]))));
    Files.writeString(sorted, lines + "\n");
  }
}
