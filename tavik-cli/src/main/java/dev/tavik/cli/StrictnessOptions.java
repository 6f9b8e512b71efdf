package dev.tavik.cli;

import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** Options that say how strictly counts are judged. Their values are read as words of a spec. */
final class StrictnessOptions {
  @Option(
      names = "--alpha",
      paramLabel = "A",
      description = "The significance level; 0.05 unless given.")
  @Nullable String alpha;

  @Option(
      names = "--level",
      paramLabel = "L",
      description = "The confidence level; 1 - alpha unless given.")
  @Nullable String level;

  @Option(
      names = "--label",
      paramLabel = "TEXT",
      description = "A name for the question, used in the answer.")
  @Nullable String label;
}
