package dev.tavik.cli;

import dev.tavik.data.WeighSpec;
import dev.tavik.report.Detail;
import dev.tavik.report.WeighPicture;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** How do the methods behave at this size: true coverage, true size? */
@Command(
    name = "weigh",
    description =
        "Tells how methods behave with samples of a size: the true coverage of intervals, the true size"
            + " of tests.",
    sortOptions = false,
    optionListHeading = "%n",
    footer = {
      "",
      "Examples:",
      "  tavik weigh rate --n 50 --p 5%%",
      "  tavik weigh rate --n 50 --p 1%%..20%%:1%% --intervals wilson,wald --chart coverage.png",
      "  tavik weigh compare --n 40,60 --p 5%% --tests all"
    })
final class WeighCommand implements Callable<Integer> {
  private final Terminal terminal;

  @picocli.CommandLine.Spec CommandSpec command;

  @Parameters(paramLabel = "rate|compare", arity = "0..1", description = "Whose methods.")
  @Nullable String kind;

  @Option(
      names = "--n",
      paramLabel = "N[,N]",
      description = "The size of the sample, or of both groups.")
  String @Nullable [] n;

  @Option(
      names = "--p",
      paramLabel = "P[,P]|A..B:STEP",
      description =
          "The true rates to look at. To compare, one for both groups, or two for the first and the"
              + " second: then tests show their power.")
  String @Nullable [] p;

  @Option(
      names = "--level",
      paramLabel = "L",
      description = "The confidence level; 1 - alpha unless given.")
  @Nullable String level;

  @Option(
      names = "--alpha",
      paramLabel = "A",
      description = "The significance level; 0.05 unless given.")
  @Nullable String alpha;

  @Option(
      names = "--alternative",
      paramLabel = "two-sided|less|greater",
      description = "The direction of tests; two-sided unless given.")
  @Nullable String alternative;

  @Option(
      names = "--intervals",
      paramLabel = "LIST|all",
      description = "Which intervals, as for rate and compare.")
  String @Nullable [] intervals;

  @Option(
      names = "--tests",
      paramLabel = "LIST|all",
      description = "Which tests, as for rate and compare.")
  String @Nullable [] tests;

  @Option(
      names = "--label",
      paramLabel = "TEXT",
      description = "A name for it, used in the answer.")
  @Nullable String label;

  @Option(
      names = "--chart",
      paramLabel = "FILE",
      description =
          "Draw the coverage of up to five intervals over the rate into a .png or .svg file.")
  @Nullable Path chart;

  @Mixin OutputOptions output;

  WeighCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    PictureOptions pictures = new PictureOptions();
    pictures.also("--chart", chart, WeighPicture::of);
    return new Answering(terminal, output, pictures, Detail.FINDINGS)
        .answer(Words.of(command, WeighSpec.WORDS, "for"), WeighSpec::question);
  }
}
