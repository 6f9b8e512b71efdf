package dev.tavik.cli;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Names;
import dev.tavik.data.DataException;
import dev.tavik.data.study.QuestionKind;
import dev.tavik.data.words.CommandSchema;
import dev.tavik.data.words.CommandSchemas;
import dev.tavik.report.Report;
import dev.tavik.report.Visible;
import java.io.PrintWriter;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import picocli.CommandLine;
import picocli.CommandLine.MissingParameterException;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.UnmatchedArgumentException;

/** Runs the command line as a whole, inside any surroundings. */
public final class Tavik {
  /** Not an exit status: marks a line that has to be parsed with all options. */
  private static final int NOT_RIGHT = -1;

  private final Terminal terminal;
  private final GuideCommand.Place place;

  /**
   * A command line.
   *
   * @param terminal its surroundings
   */
  public Tavik(Terminal terminal) {
    this(terminal, GuideCommand::system);
  }

  /** A command line whose questions a person answers in another place than its own terminal. */
  Tavik(Terminal terminal, GuideCommand.Place place) {
    this.terminal = terminal;
    this.place = place;
  }

  /**
   * Runs one command. Every problem becomes a message on the error stream and an exit status.
   *
   * @param arguments the command line
   * @return the exit status
   */
  public int run(String... arguments) {
    int status = executed(arguments);
    if (terminal.out().checkError() && status != ExitStatus.FAULT) {
      terminal.err().println("tavik: the answer could not be written to the standard output.");
      status = ExitStatus.FAULT;
    }
    terminal.err().flush();
    return status;
  }

  /**
   * Returns all commands with all their options, for what is made of them, such as manual pages.
   *
   * @return what stands above the commands; each of them is a subcommand
   */
  public CommandLine everything() {
    return commands(all(Named.ALL).keySet().toArray(String[]::new));
  }

  private int executed(String... arguments) {
    // Asked by scripts, and no command is needed to answer it.
    if (arguments.length == 1 && arguments[0].equals("--version")) {
      terminal.out().println(Version.line());
      return ExitStatus.ANSWERED;
    }
    if (arguments.length > 0 && arguments[0].equals(Completion.NAME)) {
      List<String> line = Arrays.asList(arguments).subList(1, arguments.length);
      return new Completion(terminal, commands(line.toArray(String[]::new))).print(line);
    }
    String first = arguments.length == 0 ? "" : arguments[0];
    if (!first.equals("help") && all(Named.ALL).containsKey(first)) {
      return command(first, Arrays.copyOfRange(arguments, 1, arguments.length));
    }
    CommandLine commands = commands(arguments);
    String unknown = unknownCommand(arguments);
    if (!unknown.isEmpty()) {
      List<String> names = List.copyOf(all(Named.ALL).keySet());
      String message = "there is no command " + unknown + Names.hint(unknown, names);
      return complain(commands, message, ExitStatus.USAGE);
    }
    return arguments.length == 0 ? help(commands) : execute(commands, arguments);
  }

  /** Runs one command; a line that isn't right is read once more, with all options to offer. */
  private int command(String name, String... words) {
    Named named = Named.in(Arrays.asList(words));
    CommandLine quick = alone(name, named);
    if (!named.isAll()) {
      quick.setParameterExceptionHandler((e, rest) -> NOT_RIGHT);
    }
    int status = execute(quick, words);
    return status == NOT_RIGHT ? execute(alone(name, Named.ALL), words) : status;
  }

  /** A word where a command should be, or nothing. */
  private String unknownCommand(String... arguments) {
    boolean help = arguments.length > 1 && arguments[0].equals("help");
    String word = arguments.length == 0 ? "" : arguments[help ? 1 : 0];
    return word.startsWith("-") || all(Named.ALL).containsKey(word) ? "" : word;
  }

  /**
   * The commands, for help and for completion. Those that aren't named have no more than their
   * purpose, for the list of them.
   */
  private CommandLine commands(String... arguments) {
    CommandLine commands = new CommandLine(root());
    List<String> named = Arrays.asList(arguments);
    Map<String, Supplier<CommandSpec>> all = all(Named.ALL);
    Map<String, String> purposes =
        CommandSchemas.all().stream()
            .collect(Collectors.toMap(CommandSchema::kind, CommandSchema::purpose));
    for (String name : all.keySet()) {
      String purpose = named.contains(name) ? null : purposes.get(name);
      CommandSpec whole =
          purpose == null ? specification(all, name) : CommandWords.purpose(name, purpose);
      commands.addSubcommand(name, new CommandLine(whole));
    }
    commands.getSubcommands().values().forEach(Tavik::completed);
    return surrounded(commands);
  }

  /** A command by itself, with no more options than its line names. */
  private CommandLine alone(String name, Named named) {
    CommandSpec spec = specification(all(named), name);
    CommandLine command = new CommandLine(spec.name("tavik " + name));
    completed(command);
    return surrounded(command);
  }

  private CommandLine surrounded(CommandLine commands) {
    return commands
        .setOut(terminal.out())
        .setErr(terminal.err())
        .setUsageHelpWidth(terminal.screen().width())
        .setAbbreviatedOptionsAllowed(false)
        .setPosixClusteredShortOptionsAllowed(false)
        .setExpandAtFiles(false)
        .setColorScheme(CommandLine.Help.defaultColorScheme(CommandLine.Help.Ansi.OFF))
        .setParameterExceptionHandler((e, rest) -> wrongUsage(e))
        .setExecutionExceptionHandler((e, command, result) -> trouble(e, command));
  }

  /** What every command has, if only to be asked for and not to be listed in each. */
  private static void completed(CommandLine command) {
    CommandSpec spec = command.getCommandSpec();
    spec.usageMessage().abbreviateSynopsis(true);
    spec.versionProvider(new Version());
    spec.addOption(
        OutputOptions.flag("--version", value -> {}).versionHelp(true).hidden(true).build());
  }

  /** How each command is built. */
  private Map<String, Supplier<CommandSpec>> all(Named named) {
    Map<String, Supplier<CommandSpec>> all = new LinkedHashMap<>();
    for (QuestionKind asking : QuestionKind.values()) {
      all.put(asking.words().kind(), () -> new AskCommand(terminal, asking, named).command());
    }
    all.put(CommandSchemas.LOOK.kind(), () -> new LookCommand(terminal, named).command());
    all.put("ask", () -> new GuideCommand(terminal, place).command());
    all.put("run", () -> new RunCommand(terminal).command());
    all.put("demo", () -> CommandSpec.forAnnotatedObject(new DemoCommand(terminal)));
    all.put("help", () -> CommandSpec.forAnnotatedObject(new CommandLine.HelpCommand()));
    return all;
  }

  private static CommandSpec specification(Map<String, Supplier<CommandSpec>> all, String name) {
    return Objects.requireNonNull(all.get(name), name).get();
  }

  /**
   * Limits on rows and levels keep memory small; if memory is exhausted anyway, a message says so.
   */
  private int execute(CommandLine commands, String... arguments) {
    try {
      return commands.execute(arguments);
    } catch (OutOfMemoryError e) {
      return complain(commands, "the data need more memory than there is", ExitStatus.DATA);
    } catch (Error e) {
      return fault(e);
    }
  }

  private static int help(CommandLine commands) {
    commands.usage(commands.getOut());
    return ExitStatus.ANSWERED;
  }

  private int wrongUsage(ParameterException e) {
    CommandLine command = e.getCommandLine();
    return complain(command, usage(e), ExitStatus.USAGE);
  }

  private static String usage(ParameterException e) {
    if (e instanceof UnmatchedArgumentException unmatched) {
      String what = unmatched.getUnmatched().get(0);
      if (what.matches("-[\\d.]+(/.*)?")) {
        return "a count can't be negative, got " + what;
      }
      List<String> near = unmatched.getSuggestions();
      String kind = what.startsWith("-") ? "there is no option " : "nothing is expected for ";
      return kind
          + what
          + (near.isEmpty()
              ? ""
              : say(
                  "; did you mean %s?",
                  near.stream().limit(3).collect(Collectors.joining(" or "))));
    }
    if (e instanceof MissingParameterException missing && !missing.getMissing().isEmpty()) {
      ArgSpec argument = missing.getMissing().get(0);
      String name = argument instanceof OptionSpec option ? option.longestName() + " " : "";
      return name + argument.paramLabel() + " is missing";
    }
    return String.valueOf(e.getMessage());
  }

  private int trouble(Exception e, CommandLine command) {
    if (e instanceof DataException) {
      return complain(command, String.valueOf(e.getMessage()), ExitStatus.DATA);
    }
    if (e instanceof IllegalArgumentException) {
      return complain(command, String.valueOf(e.getMessage()), ExitStatus.USAGE);
    }
    if (e instanceof UnwrittenException) {
      return complain(command, String.valueOf(e.getMessage()), ExitStatus.FAULT);
    }
    return fault(e);
  }

  private int fault(Throwable e) {
    PrintWriter err = terminal.err();
    err.println("tavik: a fault in Tavik, not in your data: " + Visible.of(e.toString()));
    err.println("Please report it with the command line that led here.");
    if (System.getenv("TAVIK_TRACE") != null) {
      e.printStackTrace(err);
    }
    return ExitStatus.FAULT;
  }

  private int complain(CommandLine command, String message, int status) {
    String name = command.getCommandSpec().qualifiedName();
    String visible = Visible.of(message);
    terminal.err().println(name + ": " + visible + (visible.matches(".*[.?!]") ? "" : "."));
    if (status == ExitStatus.USAGE) {
      terminal.err().println("See " + name + " --help.");
    }
    return status;
  }

  /** What stands above all commands. */
  private static CommandSpec root() {
    CommandSpec root = CommandSpec.wrapWithoutInspection((Runnable) Tavik::missing).name("tavik");
    root.addOption(OutputOptions.help());
    root.addOption(
        OutputOptions.flag("--version", value -> {})
            .names("-V", "--version")
            .versionHelp(true)
            .description("Print version information and exit.")
            .build());
    root.versionProvider(new Version());
    root.usageMessage()
        .description(
            "Answers questions about proportions and counts: is a rate different from a value, do"
                + " groups differ, do counts follow claimed shares, are two classifications"
                + " associated?")
        .synopsisSubcommandLabel("COMMAND")
        .commandListHeading("%nCommands, each with --help:%n")
        .optionListHeading("%n")
        .footer(
            "",
            "To begin: tavik demo, tavik ask, or tavik look --data FILE for a file of your own.",
            "",
            "Exit status: 0 answered; 2 the command line is wrong; 3 the data can't be read or used;"
                + " 4 a fault in Tavik, or an answer that could not be written. With --gate also"
                + " 10 a null is rejected, or what was to be shown is not; 11 the data can't"
                + " decide.");
    return root;
  }

  private static void missing() {
    throw new IllegalArgumentException(
        "a command is needed, such as rate, compare, shares, cross, plan, look, run or demo");
  }

  /** The version that the jar was built as. */
  static final class Version implements CommandLine.IVersionProvider {
    @Override
    public String[] getVersion() {
      return new String[] {line()};
    }

    static String line() {
      return "tavik " + Report.version();
    }
  }
}
