package dev.tavik.cli;

import dev.tavik.data.CrossSpec;
import dev.tavik.report.Detail;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;

/** Are two classifications associated, and where? */
@Command(
    name = "cross",
    description = "Are two classifications associated, and where does it sit?",
    sortOptions = false,
    optionListHeading = "%n",
    footer = {
      "",
      "Examples:",
      "  tavik cross --data firing-log.csv --rows kiln --columns grade",
      "  tavik cross --table kilns-by-grade.csv",
      "  tavik cross --cells \"12 5; 7 9\" --tests all"
    })
final class CrossCommand implements Callable<Integer> {
  private final Terminal terminal;

  @picocli.CommandLine.Spec CommandSpec command;

  @Option(
      names = "--cells",
      paramLabel = "\"A B; C D\"",
      description = "The counts, row by row: \"12 5; 7 9\".")
  @Nullable String cells;

  @Option(
      names = "--table",
      paramLabel = "FILE",
      description = "A labelled two-way table. Totals at its edges are left out.")
  @Nullable String table;

  @Option(
      names = "--rows",
      paramLabel = "COLUMN",
      description = "The column whose levels are the rows of the table.")
  @Nullable String rows;

  @Option(
      names = "--columns",
      paramLabel = "COLUMN",
      description = "The column whose levels are the columns of the table.")
  @Nullable String columns;

  @Option(
      names = "--alpha",
      paramLabel = "A",
      description = "The significance level; 0.05 unless given.")
  @Nullable String alpha;

  @Option(
      names = "--tests",
      paramLabel = "LIST|all",
      description =
          "Which tests: pearson, likelihood-ratio, cressie-read, n-1, yates, fisher; pearson"
              + " and likelihood-ratio unless given, and fisher where expected counts are small.")
  String @Nullable [] tests;

  @Option(
      names = "--label",
      paramLabel = "TEXT",
      description = "A name for the question, used in the answer.")
  @Nullable String label;

  @Mixin RowOptions rowOptions;

  @Mixin OutputOptions output;

  CrossCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    return new Answering(terminal, output, new PictureOptions(), Detail.FINDINGS)
        .answer(Words.of(command, CrossSpec.WORDS), CrossSpec::question);
  }
}
