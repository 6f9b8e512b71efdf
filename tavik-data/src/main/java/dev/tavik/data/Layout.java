package dev.tavik.data;

/**
 * How delimited text is laid out, found by looking at its beginning: the delimiter is the one of
 * comma, semicolon and tab that splits most of the first lines into as many fields as the header,
 * and the header into most fields. Delimiters and line ends inside quotes don't count.
 */
record Layout(char delimiter) {
  private static final char[] CANDIDATES = {',', ';', '\t'};
  private static final int LINES = 30;

  static Layout of(String beginning) {
    char best = CANDIDATES[0];
    long bestScore = 0;
    for (char candidate : CANDIDATES) {
      long score = score(beginning, candidate);
      if (score > bestScore) {
        best = candidate;
        bestScore = score;
      }
    }
    return new Layout(best);
  }

  private static long score(String beginning, char delimiter) {
    int line = 0;
    int inHeader = 0;
    int inLine = 0;
    int alike = 0;
    boolean quoted = false;
    for (int i = 0; i < beginning.length() && line < LINES; i++) {
      char c = beginning.charAt(i);
      if (c == '"') {
        quoted = !quoted;
      } else if (!quoted && c == delimiter) {
        inLine++;
      } else if (!quoted && c == '\n') {
        inHeader = line == 0 ? inLine : inHeader;
        alike += inLine == inHeader ? 1 : 0;
        inLine = 0;
        line++;
      }
    }
    inHeader = line == 0 ? inLine : inHeader;
    return inHeader == 0 ? 0 : 1000L * alike + inHeader;
  }

  String inWords() {
    return switch (delimiter) {
      case ';' -> "separated by semicolons";
      case '\t' -> "separated by tabs";
      default -> "separated by commas";
    };
  }
}
