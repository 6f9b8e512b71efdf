package dev.tavik.cli;

import dev.tavik.answer.Detail;
import dev.tavik.data.study.StudyFile;
import dev.tavik.report.Report;
import dev.tavik.study.Study;
import dev.tavik.study.StudyAnswer;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Asks every question of a study file. */
@Command(
    name = "run",
    description = "Ask every question of a study file, YAML or JSON.",
    sortOptions = false,
    optionListHeading = "%n",
    footer = {"", "Example:", "  tavik run kiln-acceptance.yaml --json"})
final class RunCommand implements Callable<Integer> {
  private final Terminal terminal;

  @Parameters(paramLabel = "STUDY", description = "The study file: .yaml, .yml or .json.")
  String study;

  @Option(
      names = "--working",
      description =
          "Show z tests and closed-form intervals by hand, every formula with its numbers.")
  boolean working;

  @Mixin OutputOptions output;

  RunCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    output.check(List.of(study));
    List<String> sources = new ArrayList<>(List.of(study));
    Study read =
        StudyFile.read(
            study,
            source -> {
              sources.add(source);
              return terminal.files().open(source);
            });
    // Only now is it known which files the study reads.
    output.check(sources);
    StudyAnswer answer = read.ask();
    Detail detail = working ? Detail.WORKING : Detail.FINDINGS;
    Report report = output.report();
    output.write(
        report == Report.TEXT
            ? Report.text(
                answer, output.detail(detail), output.emphasis(terminal), OutputOptions.WHOLE)
            : report.of(answer, output.detail(detail)),
        terminal);
    if (answer.faulty()) {
      return ExitStatus.FAULT;
    }
    return answer.complete() ? ExitStatus.ANSWERED : ExitStatus.DATA;
  }
}
