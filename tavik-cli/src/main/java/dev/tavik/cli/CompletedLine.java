package dev.tavik.cli;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A command line as far as it is typed.
 *
 * @param words its words without the program's name, the last the one that is being typed
 */
record CompletedLine(List<String> words) {
  CompletedLine {
    words = List.copyOf(words);
  }

  /**
   * As bash hands it on: in quotes as typed, and cut at each {@code =} and {@code :}.
   *
   * @param words the words
   */
  static CompletedLine ofBash(List<String> words) {
    List<String> joined = new ArrayList<>();
    boolean open = false;
    for (String word : words) {
      boolean cut = word.equals("=") || word.equals(":");
      int last = joined.size() - 1;
      if ((cut || open) && last >= 0) {
        joined.set(last, joined.get(last) + unquoted(word));
      } else {
        joined.add(unquoted(word));
      }
      open = cut;
    }
    return new CompletedLine(joined);
  }

  private static String unquoted(String word) {
    String whole = word.replaceAll("\\\\(.)", "$1");
    boolean quoted = whole.startsWith("'") || whole.startsWith("\"");
    String inside = quoted ? whole.substring(1) : whole;
    boolean ended = quoted && !inside.isEmpty() && inside.endsWith(whole.substring(0, 1));
    return ended ? inside.substring(0, inside.length() - 1) : inside;
  }

  /** Returns the command that is named, or nothing. */
  String command() {
    return words.size() > 1 ? words.get(0) : "";
  }

  /** Returns what is typed of the last word. */
  String typed() {
    return words.isEmpty() ? "" : words.get(words.size() - 1);
  }

  /**
   * Returns the option whose value is being typed, without its dashes, or nothing.
   *
   * @param flags the options that take no value
   */
  String option(Set<String> flags) {
    String typed = typed();
    if (typed.startsWith("--") && typed.contains("=")) {
      return typed.substring(2, typed.indexOf('='));
    }
    String before = words.size() > 1 ? words.get(words.size() - 2) : "";
    boolean waiting = before.startsWith("--") && !before.contains("=");
    return waiting && !flags.contains(before.substring(2)) ? before.substring(2) : "";
  }

  /** Returns what is typed of an option's value. */
  String value() {
    String typed = typed();
    return typed.startsWith("--") && typed.contains("=")
        ? typed.substring(typed.indexOf('=') + 1)
        : typed;
  }

  /**
   * Returns the options that are complete, with their values.
   *
   * @param flags the options that take no value
   */
  Map<String, List<String>> options(Set<String> flags) {
    Map<String, List<String>> options = new LinkedHashMap<>();
    for (int i = 1; i < words.size() - 1; i++) {
      String word = words.get(i);
      if (!word.startsWith("--")) {
        continue;
      }
      int equals = word.indexOf('=');
      String name = equals < 0 ? word.substring(2) : word.substring(2, equals);
      List<String> values = options.computeIfAbsent(name, key -> new ArrayList<>());
      if (equals >= 0) {
        values.add(word.substring(equals + 1));
      } else if (flags.contains(name)) {
        values.add("true");
      } else if (i + 1 < words.size() - 1) {
        values.add(words.get(++i));
      }
    }
    return options;
  }
}
