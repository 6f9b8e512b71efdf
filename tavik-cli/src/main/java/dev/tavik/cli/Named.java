package dev.tavik.cli;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * The options that a command line names. A command has up to sixty, and to build all of them takes
 * longer than most answers; where a line is right, those that it names are enough.
 *
 * @param names their names without dashes; empty for all that there are
 */
record Named(Set<String> names) {
  /** All options. */
  static final Named ALL = new Named(Set.of());

  /** Those of a line, if nothing in it asks for help. */
  static Named in(List<String> line) {
    Set<String> names = new HashSet<>();
    for (String word : line) {
      if (word.equals("-h") || word.equals("--help")) {
        return ALL;
      }
      if (word.startsWith("--")) {
        int equals = word.indexOf('=');
        names.add(equals < 0 ? word.substring(2) : word.substring(2, equals));
      }
    }
    // Never empty, because an empty set means all options.
    names.add("version");
    return new Named(Set.copyOf(names));
  }

  /** Whether it is all; records are compared by what has to be made first, this is not. */
  boolean isAll() {
    return names.isEmpty();
  }

  boolean has(String name) {
    return names.isEmpty() || names.contains(name);
  }
}
