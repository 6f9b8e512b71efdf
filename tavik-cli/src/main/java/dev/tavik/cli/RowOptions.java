package dev.tavik.cli;

import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** Options about a file of rows. Their values are read as words of a spec. */
final class RowOptions {
  @Option(
      names = "--data",
      paramLabel = "FILE",
      description =
          "Rows with a header line, separated by comma, semicolon or tab; - reads standard input.")
  @Nullable String data;

  @Option(
      names = "--count",
      paramLabel = "COLUMN",
      description = "A frequency column: how many units each row stands for.")
  @Nullable String count;

  @Option(
      names = "--where",
      paramLabel = "COLUMN=VALUE",
      description = "Only rows with this value; may be given several times.")
  String @Nullable [] where;

  @Option(
      names = "--missing",
      paramLabel = "drop|level|fail",
      description =
          "What becomes of rows without a value: left out and reported (drop, the default), a level of their own, or an error.")
  @Nullable String missing;
}
