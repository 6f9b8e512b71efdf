package dev.tavik.data;

import java.util.HashMap;
import java.util.Map;

/**
 * How delimited text is laid out, found by looking at its beginning: the delimiter is the one of
 * comma, semicolon and tab that splits most of the first lines into equally many fields, and among
 * those that do so alike the one that makes most fields. Titles above a table and decimal commas
 * thus lose to what holds the columns apart. Delimiters and line ends inside quotes don't count.
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

  /** How many lines have equally many, the most common number of them; then that number. */
  private static long score(String beginning, char delimiter) {
    Map<Integer, Integer> lines = new HashMap<>();
    int count = 0;
    boolean quoted = false;
    int line = 0;
    for (int i = 0; i <= beginning.length() && line < LINES; i++) {
      char c = i < beginning.length() ? beginning.charAt(i) : '\n';
      if (c == '"') {
        quoted = !quoted;
      } else if (!quoted && c == delimiter) {
        count++;
      } else if (c == '\n' && (!quoted || i == beginning.length())) {
        lines.merge(count, 1, Integer::sum);
        count = 0;
        line++;
      }
    }
    return lines.entrySet().stream()
        .filter(each -> each.getKey() > 0)
        .mapToLong(each -> 1000L * each.getValue() + Math.min(each.getKey(), 999))
        .max()
        .orElse(0);
  }

  String inWords() {
    return switch (delimiter) {
      case ';' -> "separated by semicolons";
      case '\t' -> "separated by tabs";
      default -> "separated by commas";
    };
  }
}
