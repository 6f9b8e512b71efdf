package dev.tavik.cli;

import dev.tavik.data.RateSpec;
import dev.tavik.data.Spec;
import dev.tavik.report.SequencePicture;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Is one proportion different from a value? */
@Command(
    name = "rate",
    description = "Is a proportion different from a value?",
    sortOptions = false,
    optionListHeading = "%n",
    footer = {
      "",
      "Examples:",
      "  tavik rate 14/400 --against 5%% --alternative less",
      "  tavik rate North=14/400 South=31/410 --against 5%%",
      "  tavik rate --data firing-log.csv --outcome grade --success cracked,warped \\",
      "    --against 8%% --group kiln"
    })
final class RateCommand implements Callable<Integer> {
  private final Terminal terminal;

  @picocli.CommandLine.Spec CommandSpec command;

  @Parameters(
      paramLabel = "[NAME=]SUCCESSES/TRIALS",
      arity = "0..*",
      description = "Counts in place of a file: 14/400; several with names.")
  String @Nullable [] tallies;

  @Mixin HypothesisOptions hypothesis;

  @Mixin DataOptions data;

  @Mixin BayesOptions bayes;

  @Option(
      names = "--sequence",
      description =
          "Follow the Bayes factor through the rows of the file in their order, implies --bayes.")
  boolean sequence;

  @Option(
      names = "--sequence-chart",
      paramLabel = "FILE",
      description = "Draw it after each observation into a .png or .svg file.")
  @Nullable Path sequenceChart;

  @Option(
      names = "--planned",
      paramLabel = "N,N|A..B:STEP",
      description =
          "In place of counts: so many observations are planned; what is the chance that their Bayes"
              + " factor reaches a threshold?")
  String @Nullable [] planned;

  @Option(
      names = "--threshold",
      paramLabel = "TIMES",
      description = "That threshold, how many times likelier; 20 unless given.")
  @Nullable String threshold;

  @Option(
      names = "--expect",
      paramLabel = "VALUE",
      description = "A rate at which that chance is wanted too.")
  @Nullable String expect;

  @Mixin SimulationOptions simulation;

  @Mixin AnswerOptions answer;

  RateCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    bayes.draw(answer.pictures);
    simulation.draw(answer.pictures);
    answer.pictures.also("--sequence-chart", sequenceChart, SequencePicture::of);
    Spec words = Words.of(command, RateSpec.WORDS);
    // The picture is of the sequence, so it asks for it.
    return answer
        .on(terminal)
        .answer(sequenceChart == null ? words : words.with("sequence", "true"), RateSpec::question);
  }
}
