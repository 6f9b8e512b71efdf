package dev.tavik.cli;

import static dev.tavik.result.Figures.require;

import dev.tavik.count.DataOverview;
import dev.tavik.data.file.Codebook;
import dev.tavik.data.file.Reading;
import dev.tavik.data.file.Sources;
import dev.tavik.report.Report;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
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
          "Rows with a header line: text, a spreadsheet, JSON, each also packed; - reads standard"
              + " input.")
  String data;

  @Option(
      names = "--encoding",
      paramLabel = "NAME",
      description = "How text is encoded, such as windows-1252; UTF-8 unless given.")
  @Nullable String encoding;

  @Option(
      names = "--sheet",
      paramLabel = "NAME|NUMBER",
      description = "Which sheet of a spreadsheet; the first unless given.")
  @Nullable String sheet;

  @Option(
      names = "--range",
      paramLabel = "A1:F200",
      description = "Which part of the sheet; all of it unless given.")
  @Nullable String range;

  @Option(
      names = "--codebook-out",
      paramLabel = "FILE",
      description =
          "Write a first codebook, a Table Schema in JSON: fill in labels and missing codes.")
  @Nullable Path codebook;

  @Mixin OutputOptions output;

  LookCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    output.check(List.of(data));
    Path book = codebook;
    if (book != null) {
      OutputOptions.requireEnding("--codebook-out", book, List.of(".json"));
      OutputOptions.requireWritable("--codebook-out", book, List.of(data));
      require(
          !Files.exists(book),
          "--codebook-out: there is a file %s; a codebook is filled in by hand and never replaced",
          book);
    }
    DataOverview overview = Sources.open(data, terminal.files(), reading()).overview();
    if (book != null) {
      output.beside(book, Codebook.draft(overview).getBytes(StandardCharsets.UTF_8));
    }
    List<String> suggestions = Suggestions.of(overview, data, terminal.name());
    Report report = output.report();
    output.write(
        report == Report.TEXT
            ? Report.text(overview, suggestions, output.emphasis(terminal))
            : report.of(overview, suggestions),
        terminal);
    return ExitStatus.ANSWERED;
  }

  private Reading reading() {
    Reading said = Reading.usual();
    said = encoding == null ? said : said.encoding(encoding);
    said = sheet == null ? said : said.sheet(sheet);
    return range == null ? said : said.range(range);
  }
}
