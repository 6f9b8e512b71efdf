package dev.tavik.cli;

import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * Options that say how successes are counted from a file. Their values are read as words of a spec.
 */
final class DataOptions {
  @Mixin RowOptions rows;

  @Option(
      names = "--outcome",
      paramLabel = "COLUMN",
      description = "The column that says what became of each unit.")
  @Nullable String outcome;

  @Option(
      names = "--success",
      paramLabel = "LEVEL[,LEVEL]",
      description = "The level or levels of the outcome that count as success.")
  String @Nullable [] success;

  @Option(
      names = "--group",
      paramLabel = "COLUMN",
      description = "The column of groups; several p-values are adjusted by Holm's method.")
  @Nullable String group;
}
