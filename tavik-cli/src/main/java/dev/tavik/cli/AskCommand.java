package dev.tavik.cli;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Illustration;
import dev.tavik.data.study.QuestionArguments;
import dev.tavik.data.study.QuestionKind;
import dev.tavik.report.Report;
import dev.tavik.study.Gate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Model.CommandSpec;

/** A command that asks one kind of question; its options are the words of that kind. */
final class AskCommand implements Callable<Integer> {
  private final Terminal terminal;
  private final QuestionKind asking;
  private final OutputOptions output = new OutputOptions();
  private final GateOptions gate = new GateOptions();
  private final CommandSpec command;
  private final CommandWords words;

  AskCommand(Terminal terminal, QuestionKind asking, Named named) {
    this.terminal = terminal;
    this.asking = asking;
    this.command = CommandSpec.wrapWithoutInspection(this);
    this.words = new CommandWords(asking.words(), command, named);
    if (ChartOptions.NAMES.stream().anyMatch(named::has)) {
      ChartOptions.of(asking.answers()).forEach(command::addOption);
    }
    output.addTo(command);
    if (asking.answers().isGated()) {
      gate.addTo(command);
    }
  }

  CommandSpec command() {
    return command;
  }

  @Override
  public Integer call() {
    CommandLine.ParseResult parsed = command.commandLine().getParseResult();
    ChartOptions charts = new ChartOptions(asking.answers(), parsed);
    QuestionArguments spec = charts.asking(words.spec(parsed));
    List<String> sources = new ArrayList<>(spec.all("data"));
    sources.addAll(spec.all("table"));
    output.check(sources);
    charts.check(sources, output);
    gate.check();
    Detail detail = spec.flag("working") ? Detail.WORKING : Detail.FINDINGS;
    Answer answer =
        terminal
            .shown(() -> asking.question(spec, terminal.files()).ask())
            .with(asking.origin(spec, terminal.files()));
    int status = charts.draw(answer, output);
    Report report = output.report();
    List<Illustration> pictures = ReportPictures.all(answer, output);
    output.write(
        output.onScreen()
            ? Report.text(answer, detail, terminal.screen(), OutputOptions.WHOLE)
            : report.of(answer, output.detail(detail), pictures),
        gate.quiet,
        terminal);
    return gate.status(status, () -> Gate.of(answer), terminal);
  }
}
