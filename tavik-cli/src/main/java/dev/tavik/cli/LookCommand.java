package dev.tavik.cli;

import dev.tavik.count.DataOverview;
import dev.tavik.data.file.Sources;
import dev.tavik.report.Report;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** What is in a file? */
@Command(
    name = "look",
    description = "What is in a file: columns, levels, missing values, and what could be asked.",
    sortOptions = false,
    optionListHeading = "%n",
    footer = {"", "Example:", "  tavik look --data firing-log.csv"})
final class LookCommand implements Callable<Integer> {
  private final Terminal terminal;

  @Option(
      names = "--data",
      paramLabel = "FILE",
      required = true,
      description =
          "Rows with a header line, separated by comma, semicolon or tab; - reads standard input.")
  String data;

  @Mixin OutputOptions output;

  LookCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    output.check(List.of(data));
    DataOverview overview = Sources.open(data, terminal.files()).overview();
    List<String> suggestions = Suggestions.of(overview, data, terminal.name());
    Report report = output.report();
    output.write(
        report == Report.TEXT
            ? Report.text(overview, suggestions, output.emphasis(terminal))
            : report.of(overview, suggestions),
        terminal);
    return ExitStatus.ANSWERED;
  }
}
