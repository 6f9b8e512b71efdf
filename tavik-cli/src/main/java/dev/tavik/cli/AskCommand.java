package dev.tavik.cli;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Question;
import dev.tavik.data.study.Asking;
import dev.tavik.data.study.Spec;
import dev.tavik.data.words.Heading;
import dev.tavik.data.words.Vocabulary;
import dev.tavik.data.words.Word;
import dev.tavik.report.Report;
import dev.tavik.simulation.Progress;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Help;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Model.PositionalParamSpec;
import picocli.CommandLine.Model.UsageMessageSpec;

/** A command that asks one kind of question; its options are the words of that kind. */
final class AskCommand implements Callable<Integer> {
  private final Terminal terminal;
  private final Asking asking;
  private final OutputOptions output = new OutputOptions();
  private final CommandSpec command;

  AskCommand(Terminal terminal, Asking asking) {
    this.terminal = terminal;
    this.asking = asking;
    this.command = CommandSpec.wrapWithoutInspection(this);
    Vocabulary words = asking.words();
    command.name(words.kind());
    words.words().forEach(word -> command.addOption(option(word)));
    words.positional().ifPresent(word -> command.addPositional(positional(word)));
    ChartOptions.of(words.kind()).forEach(command::addOption);
    command.addMixin("output", CommandSpec.forAnnotatedObject(output));
    help(words);
  }

  CommandSpec command() {
    return command;
  }

  private static OptionSpec option(Word word) {
    OptionSpec.Builder option =
        OptionSpec.builder("--" + word.name()).description(word.help().replace("%", "%%"));
    return switch (word.many()) {
      case FLAG -> option.type(boolean.class).arity("0").build();
      case ONE -> option.type(String.class).arity("1").paramLabel(word.parameter()).build();
      case SEVERAL -> option.type(String[].class).arity("1").paramLabel(word.parameter()).build();
    };
  }

  private static PositionalParamSpec positional(Word word) {
    boolean several = word.many() == Word.Many.SEVERAL;
    return PositionalParamSpec.builder()
        .index(several ? "0..*" : "0")
        .arity(several ? "0..*" : "0..1")
        .type(several ? String[].class : String.class)
        .paramLabel(word.parameter())
        .description(word.help().replace("%", "%%"))
        .build();
  }

  private void help(Vocabulary words) {
    List<String> footer = new ArrayList<>(List.of("", "Examples:"));
    words.examples().forEach(line -> footer.add("  " + line.replace("%", "%%")));
    command
        .usageMessage()
        .description(words.purpose().replace("%", "%%"))
        .footer(footer.toArray(String[]::new))
        .abbreviateSynopsis(true);
    command
        .usageMessage()
        .sectionMap()
        .put(UsageMessageSpec.SECTION_KEY_OPTION_LIST, this::options);
  }

  /** Lists the options under their headings. */
  private String options(Help help) {
    Map<String, List<OptionSpec>> byHeading = new LinkedHashMap<>();
    for (Heading heading : Heading.values()) {
      byHeading.put(heading.title(), new ArrayList<>());
    }
    for (OptionSpec option : command.options()) {
      String name = option.longestName().substring(2);
      Heading heading =
          asking.words().words().stream()
              .filter(word -> word.name().equals(name))
              .map(Word::heading)
              .findFirst()
              .orElse(Heading.ANSWER);
      byHeading.getOrDefault(heading.title(), List.of()).add(option);
    }
    StringBuilder text = new StringBuilder();
    byHeading.forEach(
        (title, options) -> {
          if (!options.isEmpty()) {
            Help.Layout layout = help.createDefaultLayout();
            layout.addOptions(options, help.parameterLabelRenderer());
            text.append(String.format("%n%s%n", title)).append(layout);
          }
        });
    return text.toString();
  }

  @Override
  public Integer call() {
    CommandLine.ParseResult parsed = command.commandLine().getParseResult();
    ChartOptions charts = new ChartOptions(asking.words().kind(), parsed);
    Spec spec = charts.asking(words(parsed));
    List<String> sources = new ArrayList<>(spec.all("data"));
    sources.addAll(spec.all("table"));
    output.check(sources);
    charts.check(sources);
    Detail detail = spec.flag("working") ? Detail.WORKING : Detail.FINDINGS;
    Answer answer = asked(asking.question(spec, terminal.files()));
    int status = charts.draw(answer, output);
    Report report = output.report();
    output.write(
        report == Report.TEXT
            ? Report.text(
                answer, output.detail(detail), output.emphasis(terminal), OutputOptions.WHOLE)
            : report.of(answer, output.detail(detail)),
        terminal);
    return status;
  }

  /** Takes the words as they were written, an option that was used twice with all its values. */
  private Spec words(CommandLine.ParseResult parsed) {
    Set<String> known = asking.words().names();
    String alone = asking.words().positional().map(Word::name).orElse("");
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
    return new Spec(values, Spec.Wording.OPTION);
  }

  private Answer asked(Question question) {
    if (!Boolean.getBoolean("tavik.progress")) {
      return question.ask();
    }
    DrawingShown shown = new DrawingShown(terminal.err());
    try {
      return Progress.told(shown, question::ask);
    } finally {
      shown.wipe();
    }
  }

  static List<AskCommand> all(Terminal terminal) {
    return Arrays.stream(Asking.values()).map(asking -> new AskCommand(terminal, asking)).toList();
  }
}
