package dev.tavik.cli;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Detail;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.study.StudyFile;
import dev.tavik.data.words.Heading;
import dev.tavik.study.Gate;
import dev.tavik.study.Study;
import dev.tavik.study.StudyAnswer;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Asks every question of a study file. */
@Command(
    name = "run",
    description = "Ask every question of a study file, YAML or JSON.",
    sortOptions = false,
    footer = {"", "Example:", "  tavik run kiln-acceptance.yaml --json"})
final class RunCommand implements Callable<Integer> {
  /** The options that say what the study asks, and of what. */
  private static final Set<String> ASKED = Set.of("set", "allow-outside");

  private final Terminal terminal;

  @Parameters(paramLabel = "STUDY", description = "The study file: .yaml, .yml or .json.")
  String study;

  @Option(
      names = "--working",
      description =
          "Show z tests and closed-form intervals by hand, every formula with its numbers.")
  boolean working;

  @Option(
      names = "--set",
      paramLabel = "NAME=VALUE",
      description =
          "The value for a place in the study that names it, $NAME in braces; several times.")
  List<String> set = new ArrayList<>();

  @Option(
      names = "--allow-outside",
      description =
          "Let the study read files outside its folder, and databases; for studies you trust.")
  boolean outside;

  private final OutputOptions output = new OutputOptions();
  private final GateOptions gate = new GateOptions();

  RunCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  CommandSpec command() {
    CommandSpec command = CommandSpec.forAnnotatedObject(this);
    output.addTo(command);
    gate.addTo(command);
    CommandWords.grouped(command, name -> ASKED.contains(name) ? Heading.CLAIM : Heading.ANSWER);
    return command;
  }

  @Override
  public Integer call() {
    output.check(List.of(study));
    gate.check();
    List<String> sources = new ArrayList<>(List.of(study));
    StudyFile file = StudyFile.of(study, noting(sources));
    Set<String> names = new HashSet<>();
    for (String each : set) {
      String[] parts = each.split("=", 2);
      require(parts.length == 2, "--set must be NAME=VALUE, got '%s'", each);
      require(names.add(parts[0]), "--set gives %s twice; leave one of them out", parts[0]);
      file = file.set(parts[0], parts[1]);
    }
    Study read = (outside ? file.allowingOutside() : file).read();
    // The files that the study reads are known only now.
    output.check(sources);
    Detail detail = working ? Detail.WORKING : Detail.FINDINGS;
    int[] number = {0};
    StudyAnswer answer =
        output.writeStudy(
            read,
            detail,
            each -> ReportPictures.main(each, ++number[0], output),
            gate.quiet,
            terminal);
    return gate.status(status(answer), () -> Gate.of(answer), terminal);
  }

  /** Files as they are, each noted when it is opened. */
  private SourceOpener noting(List<String> sources) {
    SourceOpener files = terminal.files();
    return new SourceOpener() {
      @Override
      public InputStream open(String name) throws IOException {
        sources.add(name);
        return files.open(name);
      }

      @Override
      public Optional<Path> path(String name) {
        return files.path(name);
      }
    };
  }

  private static int status(StudyAnswer answer) {
    if (answer.faulty()) {
      return ExitStatus.FAULT;
    }
    return answer.complete() ? ExitStatus.ANSWERED : ExitStatus.DATA;
  }
}
