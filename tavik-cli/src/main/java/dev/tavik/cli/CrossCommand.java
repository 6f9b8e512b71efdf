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
      "  tavik cross --cells \"12 5; 7 9\" --tests all",
      "  tavik cross --data firing-log.csv --rows shift --columns grade --strata kiln \\",
      "      --merge crazed+cracked+warped=damaged",
      "  tavik cross --data inspections.csv --rows first --columns second --paired"
    })
final class CrossCommand implements Callable<Integer> {
  private final Terminal terminal;

  @picocli.CommandLine.Spec CommandSpec command;

  @Option(
      names = "--cells",
      paramLabel = "\"A B; C D\"",
      description = "The counts, row by row: \"12 5; 7 9\"; with --paired a square.")
  @Nullable String cells;

  @Option(
      names = "--table",
      paramLabel = "FILE",
      description = "A labelled two-way table. Totals and percents are left out.")
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
      names = "--strata",
      paramLabel = "COLUMN",
      description =
          "A third column: is there an association within its levels, and the same in all? For two"
              + " rows and two columns: mantel-haenszel, breslow-day, common odds ratio.")
  @Nullable String strata;

  @Option(
      names = "--paired",
      description =
          "Rows and columns classify the same units by the same levels: agreement (kappa) and"
              + " symmetry (bowker).")
  boolean paired;

  @Option(
      names = "--ordered",
      paramLabel = "rows|columns|both",
      description =
          "Whose levels have an order: adds trend (two by k) or linear, gamma, tau-b, Somers' d;"
              + " with --paired weighted kappas.")
  @Nullable String ordered;

  @Option(
      names = "--row-scores",
      paramLabel = "N,N",
      description =
          "Scores of ordered rows; the levels themselves if they are numbers, else 1, 2, 3.")
  String @Nullable [] rowScores;

  @Option(
      names = "--column-scores",
      paramLabel = "N,N",
      description = "The same of ordered columns.")
  String @Nullable [] columnScores;

  @Option(
      names = "--order",
      paramLabel = "LEVEL,LEVEL",
      description =
          "The order of all rows, all columns or both; by number or as they first appear unless"
              + " given.")
  String @Nullable [] order;

  @Option(
      names = "--merge",
      paramLabel = "A+B=NAME",
      description = "Put levels of rows or of columns together; may be given several times.")
  String @Nullable [] merge;

  @Option(
      names = "--figures",
      paramLabel = "LIST|all",
      description =
          "What to show of each cell beside its count: row-percents, column-percents,"
              + " total-percents, expected, residuals, pearson-residuals, contributions; residuals"
              + " unless given.")
  String @Nullable [] figures;

  @Option(
      names = "--pairwise",
      description = "Compare each two rows as well, p-values adjusted by Holm's method.")
  boolean pairwise;

  @Option(
      names = "--tests",
      paramLabel = "LIST|all",
      description =
          "Which tests: pearson, likelihood-ratio, cressie-read, n-1, yates, fisher, trend,"
              + " linear; pearson and likelihood-ratio unless given, the one for ordered levels, and"
              + " fisher where expected counts are small.")
  String @Nullable [] tests;

  @Option(
      names = "--budget",
      paramLabel = "SECONDS",
      description = "How long fisher may take, about; 5 unless given.")
  @Nullable String budget;

  @Option(
      names = "--bayes",
      description = "Show the Bayesian view beside: Bayes factors for an association.")
  boolean bayes;

  @Option(
      names = "--prior",
      paramLabel = "A",
      description = "The prior parameter of every cell, implies --bayes; 1 unless given.")
  @Nullable String prior;

  @Option(
      names = "--sampling",
      paramLabel = "free|total|rows|columns|both",
      description =
          "What was fixed when the counts were collected, implies --bayes; total unless given.")
  @Nullable String sampling;

  @Mixin SimulationOptions simulation;

  @Mixin StrictnessOptions strictness;

  @Mixin RowOptions rowOptions;

  @Mixin CrossPictureOptions pictures;

  @Mixin OutputOptions output;

  CrossCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    simulation.draw(pictures);
    return new Answering(terminal, output, pictures, Detail.FINDINGS)
        .answer(Words.of(command, CrossSpec.WORDS), CrossSpec::question);
  }
}
