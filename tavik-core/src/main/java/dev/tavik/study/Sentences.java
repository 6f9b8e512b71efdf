package dev.tavik.study;

import java.util.Locale;

/** How parts become sentences. */
final class Sentences {
  private Sentences() {}

  /** With a capital letter at its beginning. */
  static String capitalised(String text) {
    return text.isEmpty()
        ? text
        : text.substring(0, text.offsetByCodePoints(0, 1)).toUpperCase(Locale.ROOT)
            + text.substring(text.offsetByCodePoints(0, 1));
  }
}
