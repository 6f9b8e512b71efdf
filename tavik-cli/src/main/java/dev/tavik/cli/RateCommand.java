package dev.tavik.cli;

import dev.tavik.data.RateSpec;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
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

  @Mixin AnswerOptions answer;

  RateCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    answer.pictures.posterior(bayes.chart);
    return answer.on(terminal).answer(Words.of(command, RateSpec.WORDS), RateSpec::question);
  }
}
