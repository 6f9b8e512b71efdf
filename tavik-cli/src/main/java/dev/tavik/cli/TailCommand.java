package dev.tavik.cli;

import dev.tavik.data.TailSpec;
import dev.tavik.report.Detail;
import dev.tavik.report.TailPicture;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** A probability or a critical value of a distribution. */
@Command(
    name = "tail",
    description = "Looks up a probability or a critical value of a distribution.",
    sortOptions = false,
    optionListHeading = "%n",
    footer = {
      "",
      "Examples:",
      "  tavik tail normal --value 1.96",
      "  tavik tail chi-square --df 2 --area 5%%",
      "  tavik tail binomial --n 400 --p 5%% --area 5%%",
      "  tavik tail hypergeometric --population 500 --successes 25 --n 60 --between 1,4"
    })
final class TailCommand implements Callable<Integer> {
  private final Terminal terminal;

  @picocli.CommandLine.Spec CommandSpec command;

  @Parameters(
      paramLabel = "DISTRIBUTION",
      arity = "0..1",
      description = "normal, t, chi-square, f, binomial, hypergeometric, beta or poisson.")
  @Nullable String distribution;

  @Option(names = "--value", paramLabel = "X", description = "A value: what lies on either side?")
  @Nullable String value;

  @Option(
      names = "--between",
      paramLabel = "A,B",
      description = "Two values: what lies between them?")
  String @Nullable [] between;

  @Option(
      names = "--area",
      paramLabel = "P",
      description = "An area: which values leave it in a tail, or in both?")
  @Nullable String area;

  @Option(names = "--mean", paramLabel = "M", description = "Of normal (0 unless given), poisson.")
  @Nullable String mean;

  @Option(names = "--sd", paramLabel = "S", description = "Of normal; 1 unless given.")
  @Nullable String sd;

  @Option(
      names = "--df",
      paramLabel = "N[,N]",
      description = "Degrees of freedom of t, chi-square and f, which has two.")
  String @Nullable [] df;

  @Option(
      names = "--noncentrality",
      paramLabel = "L",
      description = "Of chi-square; 0 unless given.")
  @Nullable String noncentrality;

  @Option(names = "--shape", paramLabel = "A,B", description = "The parameters of beta.")
  String @Nullable [] shape;

  @Option(names = "--n", paramLabel = "N", description = "Trials, or units drawn.")
  @Nullable String n;

  @Option(names = "--p", paramLabel = "P", description = "The chance of success, of binomial.")
  @Nullable String p;

  @Option(
      names = "--population",
      paramLabel = "N",
      description = "The units drawn from, of hypergeometric.")
  @Nullable String population;

  @Option(
      names = "--successes",
      paramLabel = "K",
      description = "The successes among them, of hypergeometric.")
  @Nullable String successes;

  @Option(
      names = "--label",
      paramLabel = "TEXT",
      description = "A name for it, used in the answer.")
  @Nullable String label;

  @Option(
      names = "--chart",
      paramLabel = "FILE",
      description = "Draw the areas shaded into a .png or .svg file.")
  @Nullable Path chart;

  @Mixin OutputOptions output;

  TailCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    PictureOptions pictures = new PictureOptions();
    pictures.also("--chart", chart, TailPicture::of);
    return new Answering(terminal, output, pictures, Detail.FINDINGS)
        .answer(Words.of(command, TailSpec.WORDS, "distribution"), TailSpec::question);
  }
}
