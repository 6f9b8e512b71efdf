package dev.tavik.cli;

import static dev.tavik.result.Figures.require;

import dev.tavik.report.Visible;
import java.io.IOException;
import java.util.List;
import java.util.concurrent.Callable;
import org.jline.terminal.Terminal;
import org.jline.terminal.TerminalBuilder;
import picocli.CommandLine.Model.CommandSpec;

/** Asks a person for the parts of a question, one by one, and answers it. */
final class GuideCommand implements Callable<Integer> {
  private static final String INDENT = "  ";

  /** Where a person types, if there is such a place. */
  @FunctionalInterface
  interface Place {
    Terminal open() throws IOException;
  }

  private final dev.tavik.cli.Terminal terminal;
  private final Place place;

  GuideCommand(dev.tavik.cli.Terminal terminal, Place place) {
    this.terminal = terminal;
    this.place = place;
  }

  CommandSpec command() {
    CommandSpec command = CommandSpec.wrapWithoutInspection(this).name("ask");
    command.addOption(OutputOptions.help());
    command
        .usageMessage()
        .description(
            "Asks in a terminal, step by step, for what a question needs, warns of slips, answers it,"
                + " and shows the command and the study that ask it again.")
        .optionListHeading("%n")
        .footer("", "Ctrl-C leaves at any step.");
    return command;
  }

  /** The terminal that this process runs in, as the launcher found it. */
  static Terminal system() throws IOException {
    require(
        Boolean.getBoolean("tavik.person"),
        "ask needs a terminal to ask in; use tavik look --data FILE, which suggests commands, or"
            + " tavik rate --help");
    boolean windows = System.getProperty("os.name", "").startsWith("Windows");
    TerminalBuilder builder = TerminalBuilder.builder().name("tavik").system(true);
    // The plain tools of a system know its terminal well; only Windows has none.
    return windows ? builder.build() : builder.provider("exec").build();
  }

  @Override
  public Integer call() throws IOException {
    try (Terminal asked = place.open()) {
      int width = terminal.screen().width();
      Dialogue dialogue = new Dialogue(asked, width);
      dialogue.say("One question, step by step. Ctrl-C leaves.");
      return answered(new Guide(dialogue, terminal.files()).question());
    } catch (Dialogue.LeftException e) {
      terminal.err().println("Left; nothing was asked.");
      return ExitStatus.ANSWERED;
    }
  }

  private int answered(Guided question) {
    terminal.out().println();
    int status = new Tavik(terminal).run(question.line().toArray(String[]::new));
    int room = terminal.screen().width() - INDENT.length();
    listed("To ask it again:", question.command(terminal.name(), room));
    listed("The same as a study, for a file that tavik run takes:", question.study("One question"));
    terminal.out().flush();
    return status;
  }

  private void listed(String heading, List<String> lines) {
    terminal.out().println("\n" + heading);
    lines.forEach(line -> terminal.out().println(INDENT + Visible.of(line)));
  }
}
