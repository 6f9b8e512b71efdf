package dev.tavik.cli;

import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** Options that say what is asked, and how strictly. Their values are read as words of a spec. */
final class HypothesisOptions {
  @Option(
      names = "--against",
      paramLabel = "VALUE",
      description = "The value that the rate is held against: 0.05, 5%% or 1/20.")
  @Nullable String against;

  @Option(
      names = "--alternative",
      paramLabel = "two-sided|less|greater",
      description = "In which direction the null is doubted; two-sided unless given.")
  @Nullable String alternative;

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
      names = "--tests",
      paramLabel = "LIST|all",
      description =
          "Which tests: score, score-cc, wald, exact, exact-doubled, exact-blaker, mid-p,"
              + " likelihood-ratio; score and exact unless given.")
  String @Nullable [] tests;

  @Option(
      names = "--intervals",
      paramLabel = "LIST|all",
      description =
          "Which intervals: wald, wald-cc, wilson, wilson-cc, agresti-coull, clopper-pearson, mid-p,"
              + " jeffreys, blaker, likelihood; wilson and clopper-pearson unless given.")
  String @Nullable [] intervals;

  @Option(
      names = "--lot",
      paramLabel = "N",
      description =
          "The sample was drawn without replacement from a lot of N units; the rate is the lot's.")
  @Nullable String lot;

  @Option(
      names = "--label",
      paramLabel = "TEXT",
      description = "A name for the rate, used in the answer.")
  @Nullable String label;
}
