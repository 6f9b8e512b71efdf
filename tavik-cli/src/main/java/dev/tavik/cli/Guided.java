package dev.tavik.cli;

import dev.tavik.answer.ShellWord;
import dev.tavik.report.Visible;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A question as its words, which make a command and an entry of a study. */
final class Guided {
  private static final String GOES_ON = " \\";

  private final String kind;
  private final String alone;
  private final Map<String, List<String>> words = new LinkedHashMap<>();

  /**
   * A question without words.
   *
   * @param kind its command
   * @param alone the word that stands without an option on the command line
   */
  Guided(String kind, String alone) {
    this.kind = kind;
    this.alone = alone;
  }

  Guided with(String word, List<String> values) {
    words.put(word, List.copyOf(values));
    return this;
  }

  Guided with(String word, String value) {
    return with(word, List.of(value));
  }

  /** Returns the command line, without the program's name. */
  List<String> line() {
    List<String> line = new ArrayList<>(List.of(kind));
    words.forEach(
        (word, values) -> {
          if (word.equals(alone)) {
            line.addAll(values);
          } else {
            values.forEach(value -> line.addAll(List.of("--" + word, value)));
          }
        });
    return line;
  }

  /**
   * Returns the command as it is typed, in lines that fit, each but the last going on.
   *
   * @param name what Tavik is called by
   * @param width how wide a line may be
   */
  List<String> command(String name, int width) {
    List<String> lines = new ArrayList<>();
    StringBuilder open = new StringBuilder(ShellWord.quoted(name));
    List<String> line = line();
    for (int i = 0; i < line.size(); i++) {
      boolean valued = line.get(i).startsWith("--") && i + 1 < line.size();
      String part =
          ShellWord.quoted(line.get(i)) + (valued ? " " + ShellWord.quoted(line.get(++i)) : "");
      if (Visible.width(open.toString()) + Visible.width(part) + GOES_ON.length() >= width) {
        lines.add(open + GOES_ON);
        open = new StringBuilder("   ");
      }
      open.append(' ').append(part);
    }
    lines.add(open.toString());
    return lines;
  }

  /** Returns a study that asks it. */
  List<String> study(String title) {
    List<String> entry = new ArrayList<>(List.of("  - ask: " + kind));
    words.forEach(
        (word, values) -> {
          List<String> quoted = values.stream().map(Guided::quoted).toList();
          String value = quoted.size() == 1 ? quoted.get(0) : "[" + String.join(", ", quoted) + "]";
          entry.add("    " + word + ": " + value);
        });
    List<String> study = new ArrayList<>(List.of("study: " + quoted(title), "questions:"));
    study.addAll(entry);
    return study;
  }

  /** A value as text, whatever is in it. */
  private static String quoted(String value) {
    return '"' + value.replace("\\", "\\\\").replace("\"", "\\\"") + '"';
  }
}
