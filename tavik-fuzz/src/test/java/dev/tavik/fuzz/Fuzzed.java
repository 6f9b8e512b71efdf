package dev.tavik.fuzz;

import java.util.Locale;

/**
 * Where a fuzzer that follows the branches of the code hands its bytes in: {@code
 * tavik-fuzz/fuzz.sh FILE 60}. Which way in is the property {@code tavik.fuzz.entry}.
 */
public final class Fuzzed {
  private static final Entry ENTRY =
      Entry.valueOf(System.getProperty("tavik.fuzz.entry", "FILE").toUpperCase(Locale.ROOT));

  private Fuzzed() {}

  /**
   * Takes one input.
   *
   * @param bytes what was made up
   */
  public static void fuzzerTestOneInput(byte[] bytes) {
    ENTRY.given(bytes);
  }
}
