package dev.tavik.cli;

import dev.tavik.data.study.QuestionArguments;
import dev.tavik.data.words.CommandSchema;
import dev.tavik.data.words.Heading;
import dev.tavik.data.words.Parameter;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import picocli.CommandLine;
import picocli.CommandLine.Help;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Model.PositionalParamSpec;
import picocli.CommandLine.Model.UsageMessageSpec;

/** Adds the parameters of a schema to a command as options, and reads them as they were written. */
final class CommandWords {
  private final CommandSchema words;
  private final CommandSpec command;

  /**
   * Adds the parameters to a command.
   *
   * @param words the words
   * @param command the command
   * @param named which options are named; where not all are wanted, nothing is wanted for help
   */
  CommandWords(CommandSchema words, CommandSpec command, Named named) {
    this.words = words;
    this.command = command;
    command.name(words.kind());
    boolean help = named.isAll();
    for (Parameter word : words.words()) {
      if (named.has(word.name())) {
        command.addOption(option(word, help ? word.help() : ""));
      }
    }
    words
        .positional()
        .ifPresent(word -> command.addPositional(positional(word, help ? word.help() : "")));
    if (help) {
      help();
    }
  }

  /** A command with nothing but its purpose, for a list of commands. */
  static CommandSpec purpose(String name, String purpose) {
    CommandSpec command = CommandSpec.create().name(name);
    command.usageMessage().description(purpose.replace("%", "%%"));
    return command;
  }

  private static OptionSpec option(Parameter word, String help) {
    OptionSpec.Builder option =
        OptionSpec.builder("--" + word.name()).description(help.replace("%", "%%"));
    return switch (word.many()) {
      case FLAG -> option.type(boolean.class).arity("0").build();
      case ONE -> option.type(String.class).arity("1").paramLabel(word.parameter()).build();
      case SEVERAL -> option.type(String[].class).arity("1").paramLabel(word.parameter()).build();
    };
  }

  private static PositionalParamSpec positional(Parameter word, String help) {
    boolean several = word.many() == Parameter.Many.SEVERAL;
    return PositionalParamSpec.builder()
        .index(several ? "0..*" : "0")
        .arity(several ? "0..*" : "0..1")
        .type(several ? String[].class : String.class)
        .paramLabel(word.parameter())
        .description(help.replace("%", "%%"))
        .build();
  }

  private void help() {
    List<String> footer = new ArrayList<>(List.of("", "Examples:"));
    words.examples().forEach(line -> footer.add("  " + line.replace("%", "%%")));
    command
        .usageMessage()
        .description(words.purpose().replace("%", "%%"))
        .footer(footer.toArray(String[]::new))
        .abbreviateSynopsis(true);
    grouped(command, this::heading);
  }

  private Heading heading(String name) {
    return words.words().stream()
        .filter(word -> word.name().equals(name))
        .map(Parameter::heading)
        .findFirst()
        .orElse(Heading.ANSWER);
  }

  /** Lists the options of a command under their headings. */
  static void grouped(CommandSpec command, Function<String, Heading> headings) {
    command
        .usageMessage()
        .sectionMap()
        .put(
            UsageMessageSpec.SECTION_KEY_OPTION_LIST,
            help -> options(help, command.options(), headings));
  }

  private static String options(
      Help help, List<OptionSpec> all, Function<String, Heading> headings) {
    Map<Heading, List<OptionSpec>> byHeading = new EnumMap<>(Heading.class);
    for (OptionSpec option : all) {
      Heading heading = headings.apply(option.longestName().substring(2));
      byHeading.computeIfAbsent(heading, key -> new ArrayList<>()).add(option);
    }
    StringBuilder text = new StringBuilder();
    byHeading.forEach(
        (heading, options) -> {
          Help.Layout layout = help.createDefaultLayout();
          layout.addOptions(options, help.parameterLabelRenderer());
          text.append(String.format("%n%s%n", heading.title())).append(layout);
        });
    return text.toString();
  }

  /** Takes the words as they were written, an option that was used twice with all its values. */
  QuestionArguments spec(CommandLine.ParseResult parsed) {
    Set<String> known = words.names();
    String alone = words.positional().map(Parameter::name).orElse("");
    Map<String, List<String>> values = new LinkedHashMap<>();
    Set<ArgSpec> used = new LinkedHashSet<>(parsed.matchedArgs());
    for (ArgSpec argument : used) {
      String word =
          argument instanceof OptionSpec option ? option.longestName().substring(2) : alone;
      if (known.contains(word)) {
        values
            .computeIfAbsent(word, key -> new ArrayList<>())
            .addAll(argument.originalStringValues());
      }
    }
    return new QuestionArguments(values, QuestionArguments.Wording.OPTION);
  }
}
