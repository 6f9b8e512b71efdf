package dev.tavik.proportion;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;

/** Reference values from the files beside this class; references.py there made them. */
final class References {
  private References() {}

  static List<String[]> of(String name) {
    try (BufferedReader reader =
        new BufferedReader(
            new InputStreamReader(
                Objects.requireNonNull(References.class.getResourceAsStream(name)),
                StandardCharsets.UTF_8))) {
      return reader
          .lines()
          .filter(line -> !line.startsWith("#"))
          .map(line -> line.split(",", -1))
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
