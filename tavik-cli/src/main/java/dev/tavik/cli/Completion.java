package dev.tavik.cli;

import dev.tavik.answer.AnswerKind;
import dev.tavik.association.SharesInterval;
import dev.tavik.association.SharesTest;
import dev.tavik.association.SquareTest;
import dev.tavik.association.StratifiedTest;
import dev.tavik.association.TableTest;
import dev.tavik.chart.Chart;
import dev.tavik.count.DataOverview;
import dev.tavik.data.study.QuestionArguments;
import dev.tavik.data.study.QuestionKind;
import dev.tavik.data.words.CommandSchemas;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.RepeatedMeasuresTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Method;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import picocli.CommandLine;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;

/**
 * What could stand where a command line ends: what the scripts of shells ask for with {@code tavik
 * complete SHELL WORD...}. A line is a word, with what it means after a tab; {@code :files} stands
 * for the names of files, {@code :more} says that a word is not at its end.
 */
final class Completion {
  /** The word that scripts ask with. */
  static final String NAME = "complete";

  /** Time limit for looking into a file during completion. */
  private static final long PATIENCE_MILLIS = 500;

  private static final String FILES = ":files";
  private static final String MORE = ":more";
  private static final Pattern ID = Pattern.compile("[a-z0-9]+(-[a-z0-9]+)*");
  private static final Pattern CHOICES = Pattern.compile("[a-z0-9-]+(\\|[a-z0-9-]+)+");

  private final Terminal terminal;
  private final CommandLine commands;

  Completion(Terminal terminal, CommandLine commands) {
    this.terminal = terminal;
    this.commands = commands;
  }

  /** Prints the completions; problems print nothing, because nobody would read them. */
  int print(List<String> arguments) {
    String shell = arguments.isEmpty() ? "" : arguments.get(0);
    List<String> words = arguments.subList(Math.min(1, arguments.size()), arguments.size());
    boolean bash = shell.equals("bash");
    CompletedLine line = bash ? CompletedLine.ofBash(words) : new CompletedLine(words);
    String typed = line.typed();
    int cut = bash ? Math.max(typed.lastIndexOf('='), typed.lastIndexOf(':')) + 1 : 0;
    for (String each : candidates(line)) {
      boolean sign = each.startsWith(":");
      if (sign || each.startsWith(typed)) {
        terminal.out().println(sign ? each : each.substring(cut));
      }
    }
    return ExitStatus.ANSWERED;
  }

  private List<String> candidates(CompletedLine line) {
    if (line.words().size() < 2) {
      return named();
    }
    CommandLine command = commands.getSubcommands().get(line.command());
    if (command == null || line.command().equals("help")) {
      return command == null ? List.of() : named();
    }
    CommandSpec spec = command.getCommandSpec();
    Set<String> flags =
        spec.options().stream()
            .filter(option -> option.arity().max() == 0)
            .map(option -> option.longestName().substring(2))
            .collect(Collectors.toSet());
    OptionSpec option = spec.findOption("--" + line.option(flags));
    if (option != null) {
      String start = line.typed().substring(0, line.typed().length() - line.value().length());
      return values(option, line, flags).stream()
          .map(value -> value.startsWith(":") ? value : start + value)
          .toList();
    }
    return line.typed().startsWith("-") ? options(spec, line, flags) : positional(spec);
  }

  private List<String> named() {
    List<String> names = new ArrayList<>();
    commands.getSubcommands().forEach((name, each) -> names.add(said(name, purpose(each))));
    names.add(said("--help", "Show this help."));
    names.add(said("--version", "Print version information and exit."));
    return names;
  }

  private static String purpose(CommandLine command) {
    return command.getCommandSpec().usageMessage().description()[0];
  }

  private static List<String> options(CommandSpec spec, CompletedLine line, Set<String> flags) {
    Set<String> used = line.options(flags).keySet();
    return spec.options().stream()
        .filter(
            option -> option.isMultiValue() || !used.contains(option.longestName().substring(2)))
        .map(option -> said(option.longestName(), String.join(" ", option.description())))
        .toList();
  }

  private static List<String> positional(CommandSpec spec) {
    return spec.positionalParameters().stream()
        .flatMap(
            each ->
                each.paramLabel().equals("STUDY")
                    ? Stream.of(FILES)
                    : choices(each, each.paramLabel()).stream())
        .toList();
  }

  /** A word with the first sentence of what it means. */
  private static String said(String word, String meaning) {
    String first = meaning.replace("%%", "%").replaceFirst("(?<=[.?;:])\\s.*", "");
    return word + "\t" + first.replaceFirst("[.;:]$", "");
  }

  private List<String> values(OptionSpec option, CompletedLine line, Set<String> flags) {
    String name = option.longestName().substring(2);
    String label = option.paramLabel();
    List<String> values = new ArrayList<>();
    if (name.equals("chart")) {
      AnswerKind.of(line.command())
          .map(Chart::of)
          .orElse(List.of())
          .forEach(chart -> values.add(chart.id() + "="));
      values.add(MORE);
    }
    if (label.contains("FILE") || label.contains("FOLDER")) {
      values.add(FILES);
    } else if (label.startsWith("LIST")) {
      values.addAll(listed(line.value(), methods(option)));
    } else if (CHOICES.matcher(label).matches()) {
      values.addAll(listed(line.value(), choices(option, label)));
    } else if (Stream.of("COLUMN", "LEVEL", "A+B").anyMatch(label::contains)) {
      values.addAll(ofData(name, label, line, flags));
    }
    return values;
  }

  /** The methods that the help of an option names. */
  private static List<String> methods(ArgSpec option) {
    Set<String> known =
        Stream.<Method[]>of(
                ProportionTest.values(),
                ProportionInterval.values(),
                TwoProportionTest.values(),
                ComparisonInterval.values(),
                PairedTest.values(),
                PairedDifferenceInterval.values(),
                RepeatedMeasuresTest.values(),
                SharesTest.values(),
                SharesInterval.values(),
                TableTest.values(),
                StratifiedTest.values(),
                SquareTest.values())
            .flatMap(Arrays::stream)
            .map(Method::id)
            .collect(Collectors.toSet());
    List<String> methods = new ArrayList<>(List.of("all"));
    ID.matcher(String.join(" ", option.description()))
        .results()
        .map(MatchResult::group)
        .filter(known::contains)
        .distinct()
        .forEach(methods::add);
    return methods;
  }

  /** The words that a label lists, or the help of a positional that names what it takes. */
  private static List<String> choices(ArgSpec argument, String label) {
    if (CHOICES.matcher(label).matches()) {
      return List.of(label.split("\\|"));
    }
    String help = String.join(" ", argument.description());
    return label.equals("DISTRIBUTION") || CHOICES.matcher(label).find()
        ? ID.matcher(help.substring(0, Math.max(0, help.indexOf('.'))))
            .results()
            .map(MatchResult::group)
            .filter(word -> !word.equals("or"))
            .toList()
        : List.of();
  }

  /** A list goes on after its last separator, with what it hasn't yet. */
  private static List<String> listed(String typed, List<String> values) {
    return listed(typed, ',', values);
  }

  private static List<String> listed(String typed, char separator, List<String> values) {
    String before = typed.substring(0, typed.lastIndexOf(separator) + 1);
    Set<String> used = Set.copyOf(Arrays.asList(before.split("[" + separator + "]")));
    return values.stream()
        .filter(value -> !used.contains(value))
        .map(value -> before + value)
        .toList();
  }

  private List<String> ofData(String name, String label, CompletedLine line, Set<String> flags) {
    Map<String, List<String>> options = line.options(flags);
    Optional<DataOverview> looked = overview(options);
    if (looked.isEmpty()) {
      return List.of();
    }
    List<DataOverview.Column> columns = looked.get().columns();
    String typed = line.value();
    int sign = Math.max(typed.lastIndexOf('='), typed.lastIndexOf(':'));
    if (label.startsWith("COLUMN=") && sign >= 0) {
      String column = typed.substring(0, sign);
      return levels(columns, List.of(column)).stream()
          .map(level -> typed.substring(0, sign + 1) + level)
          .toList();
    }
    if (label.startsWith("COLUMN=") || label.startsWith("COLUMN:")) {
      String end = label.substring(6, 7);
      return Stream.concat(columns.stream().map(column -> column.name() + end), Stream.of(MORE))
          .toList();
    }
    if (label.startsWith("weight=")) {
      return List.of();
    }
    if (label.startsWith("A+B")) {
      return listed(typed, '+', levels(columns, List.of()));
    }
    return label.startsWith("COLUMN")
        ? listed(typed, columns.stream().map(DataOverview.Column::name).toList())
        : listed(typed, levels(columns, asked(name, options)));
  }

  /** The columns whose levels a word takes. */
  private static List<String> asked(String name, Map<String, List<String>> options) {
    String word =
        switch (name) {
          case "success" -> "outcome";
          case "baseline" -> "group";
          default -> "";
        };
    return options.getOrDefault(word, List.of()).stream()
        .flatMap(columns -> Arrays.stream(columns.split(",")))
        .toList();
  }

  private static List<String> levels(List<DataOverview.Column> columns, List<String> wanted) {
    return columns.stream()
        .filter(column -> wanted.isEmpty() || wanted.contains(column.name()))
        .flatMap(column -> column.levels().keySet().stream())
        .distinct()
        .toList();
  }

  /** What is in the data that the line names, if that is known soon. */
  private Optional<DataOverview> overview(Map<String, List<String>> options) {
    Map<String, List<String>> words = new LinkedHashMap<>(options);
    words.keySet().retainAll(CommandSchemas.LOOK.names());
    if (!words.containsKey("data") || words.get("data").contains("-")) {
      return Optional.empty();
    }
    FutureTask<DataOverview> look =
        new FutureTask<>(
            () ->
                QuestionKind.source(
                        new QuestionArguments(words, QuestionArguments.Wording.OPTION),
                        terminal.files())
                    .overview());
    Thread reader = new Thread(look, "look");
    reader.setDaemon(true);
    reader.start();
    try {
      return Optional.of(look.get(PATIENCE_MILLIS, TimeUnit.MILLISECONDS));
    } catch (ExecutionException | TimeoutException e) {
      return Optional.empty();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    }
  }
}
