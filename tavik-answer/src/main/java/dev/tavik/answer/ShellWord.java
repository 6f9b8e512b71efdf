package dev.tavik.answer;

import static dev.tavik.result.Figures.say;

/** Writes a word so that a shell takes it as one. */
public final class ShellWord {
  private static final int NO_BREAK_SPACE = 0xA0;

  private ShellWord() {}

  /**
   * {@return a word as a shell takes it; what can't be seen is written by its code}
   *
   * @param word the word
   */
  public static String quoted(String word) {
    if (word.matches("[\\w./@:+,%-]+")) {
      return word;
    }
    return word.codePoints().allMatch(ShellWord::seen)
        ? "'" + word.replace("'", "'\\''") + "'"
        : "$'" + coded(word) + "'";
  }

  private static String coded(String word) {
    StringBuilder coded = new StringBuilder();
    word.codePoints()
        .forEach(
            each -> {
              if (each == '\'' || each == '\\') {
                coded.append('\\').appendCodePoint(each);
              } else if (seen(each)) {
                coded.appendCodePoint(each);
              } else {
                coded.append(say(each < 0x80 ? "\\x%02x" : "\\u%04x", each));
              }
            });
    return coded.toString();
  }

  private static boolean seen(int character) {
    return switch (Character.getType(character)) {
      case Character.CONTROL,
          Character.SURROGATE,
          Character.LINE_SEPARATOR,
          Character.PARAGRAPH_SEPARATOR ->
          false;
      // Joiners make the letters of some scripts.
      case Character.FORMAT -> character == 0x200C || character == 0x200D || character == 0xAD;
      default -> character != NO_BREAK_SPACE;
    };
  }
}
