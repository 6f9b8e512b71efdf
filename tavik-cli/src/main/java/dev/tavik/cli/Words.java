package dev.tavik.cli;

import dev.tavik.data.Spec;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;

/** Turns the options of a command line into the words of a spec. */
final class Words {
  private Words() {}

  /** The options that were used and belong to the words, and positional arguments as tallies. */
  static Spec of(CommandSpec command, Set<String> words) {
    return of(command, words, "tally");
  }

  /** The options that were used and belong to the words, and positional arguments under a word. */
  static Spec of(CommandSpec command, Set<String> words, String positional) {
    Map<String, List<String>> values = new LinkedHashMap<>();
    // An option that was used twice is listed twice, each time with all its values.
    Set<ArgSpec> used = new LinkedHashSet<>(command.commandLine().getParseResult().matchedArgs());
    for (ArgSpec argument : used) {
      String word =
          argument instanceof OptionSpec option ? option.longestName().substring(2) : positional;
      if (words.contains(word)) {
        values
            .computeIfAbsent(word, key -> new ArrayList<>())
            .addAll(argument.originalStringValues());
      }
    }
    return new Spec(values, Spec.Wording.OPTION);
  }
}
