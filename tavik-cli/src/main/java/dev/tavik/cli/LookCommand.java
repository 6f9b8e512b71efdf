package dev.tavik.cli;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.DataOverview;
import dev.tavik.data.Codebook;
import dev.tavik.data.study.QuestionArguments;
import dev.tavik.data.study.QuestionKind;
import dev.tavik.data.words.CommandSchemas;
import dev.tavik.report.Report;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Model.CommandSpec;

/** What is in a file, or in a relation of a database? */
final class LookCommand implements Callable<Integer> {
  private final Terminal terminal;
  private final OutputOptions output = new OutputOptions();
  private final CommandSpec command;
  private final CommandWords words;

  LookCommand(Terminal terminal, Named named) {
    this.terminal = terminal;
    this.command = CommandSpec.wrapWithoutInspection(this);
    this.words = new CommandWords(CommandSchemas.LOOK, command, named);
    output.addTo(command);
  }

  CommandSpec command() {
    return command;
  }

  @Override
  public Integer call() {
    QuestionArguments spec = words.spec(command.commandLine().getParseResult());
    List<String> sources = spec.all("data");
    output.check(sources);
    @Nullable String book = spec.text("codebook-out");
    if (book != null) {
      requireNew(Path.of(book), sources);
    }
    DataOverview plain =
        terminal.shown(() -> QuestionKind.source(spec, terminal.files()).overview());
    DataOverview overview = QuestionKind.described(plain, spec, terminal.files());
    if (book != null) {
      output.beside(Path.of(book), Codebook.draft(plain).getBytes(StandardCharsets.UTF_8));
    }
    List<String> suggestions = Suggestions.of(overview, spec, terminal.name());
    output.write(
        output.onScreen()
            ? Report.text(overview, suggestions, terminal.screen())
            : output.report().of(overview, suggestions),
        terminal);
    return ExitStatus.ANSWERED;
  }

  private static void requireNew(Path book, List<String> sources) {
    OutputOptions.requireEnding("--codebook-out", book, List.of(".json"));
    OutputOptions.requireWritable("--codebook-out", book, sources);
    require(
        !Files.exists(book),
        "--codebook-out: there is a file %s; a codebook is filled in by hand and never replaced",
        book);
  }
}
