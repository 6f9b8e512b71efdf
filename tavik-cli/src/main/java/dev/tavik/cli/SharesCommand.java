package dev.tavik.cli;

import dev.tavik.data.SharesSpec;
import dev.tavik.report.Detail;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Do counts follow claimed shares? */
@Command(
    name = "shares",
    description = "Do the counts of several categories follow claimed shares?",
    sortOptions = false,
    optionListHeading = "%n",
    footer = {
      "",
      "Examples:",
      "  tavik shares ash=31 celadon=22 iron=17 --against 40%%,30%%,30%%",
      "  tavik shares ash=31 celadon=22 iron=17 --against 4:3:3",
      "  tavik shares --data returns.csv --outcome reason --count n --against equal"
    })
final class SharesCommand implements Callable<Integer> {
  private final Terminal terminal;

  @picocli.CommandLine.Spec CommandSpec command;

  @Parameters(
      paramLabel = "NAME=COUNT",
      arity = "0..*",
      description = "The counts, in place of a file: ash=31 iron=22.")
  String @Nullable [] counts;

  @Option(
      names = "--against",
      paramLabel = "SHARES",
      description =
          "The claimed shares, in the order of the categories: 40%%,30%%,30%% or 1/8,7/8, a ratio"
              + " 4:3:3, by name ash=40%%,iron=60%%, or equal.")
  String @Nullable [] against;

  @Option(
      names = "--tests",
      paramLabel = "LIST|all",
      description =
          "Which tests: pearson, likelihood-ratio, exact-multinomial; pearson and exact-multinomial"
              + " unless given.")
  String @Nullable [] tests;

  @Option(
      names = "--intervals",
      paramLabel = "LIST|all",
      description =
          "Which intervals: goodman and sison-glaz, which hold for all shares together, wilson, one at"
              + " a time; goodman unless given.")
  String @Nullable [] intervals;

  @Option(
      names = "--bayes",
      description = "Show the Bayesian view beside: Bayes factor and posterior shares.")
  boolean bayes;

  @Option(
      names = "--prior",
      paramLabel = "A,B,C",
      description =
          "The parameters of the Dirichlet prior, one a category or one for all, implies --bayes; 1"
              + " unless given.")
  String @Nullable [] prior;

  @Option(
      names = "--table",
      paramLabel = "FILE",
      description = "A table of names and counts. A total and percents are left out.")
  @Nullable String table;

  @Option(
      names = "--outcome",
      paramLabel = "COLUMN",
      description = "The column whose levels are counted.")
  @Nullable String outcome;

  @Option(
      names = "--order",
      paramLabel = "LEVEL,LEVEL",
      description = "The order of the levels; by number or as they first appear unless given.")
  String @Nullable [] order;

  @Mixin SimulationOptions simulation;

  @Mixin StrictnessOptions strictness;

  @Mixin RowOptions rows;

  @Mixin PictureOptions pictures;

  @Mixin OutputOptions output;

  SharesCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    simulation.draw(pictures);
    return new Answering(terminal, output, pictures, Detail.FINDINGS)
        .answer(Words.of(command, SharesSpec.WORDS, "counts"), SharesSpec::question);
  }
}
