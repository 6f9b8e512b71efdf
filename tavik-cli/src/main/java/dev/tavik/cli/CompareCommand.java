package dev.tavik.cli;

import dev.tavik.data.CompareSpec;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Do two proportions differ, and by how much? */
@Command(
    name = "compare",
    description =
        "Do proportions differ, and by how much? Always the first group minus the second.",
    sortOptions = false,
    optionListHeading = "%n",
    footer = {
      "",
      "Examples:",
      "  tavik compare North=14/400 South=31/410 --alternative less",
      "  tavik compare North=14/400 South=31/410 --margin 5%% --show equivalent",
      "  tavik compare --data firing-log.csv --outcome grade --success cracked,warped \\",
      "    --group kiln --baseline Tunnel",
      "  tavik compare --table kilns.csv --success cracked",
      "  tavik compare --paired --data regrade.csv \\",
      "    --outcome first_inspector,second_inspector --success cracked",
      "  tavik compare --paired --cells \"14 1; 2 211\""
    })
final class CompareCommand implements Callable<Integer> {
  private final Terminal terminal;

  @picocli.CommandLine.Spec CommandSpec command;

  @Parameters(
      paramLabel = "[NAME=]SUCCESSES/TRIALS",
      arity = "0..*",
      description = "The groups, in place of a file: North=14/400 South=31/410.")
  String @Nullable [] tallies;

  @Option(
      names = "--against",
      paramLabel = "DIFFERENCE",
      description = "The null difference, first minus second: 0 unless given; 2%% or -0.02.")
  @Nullable String against;

  @Option(
      names = "--alternative",
      paramLabel = "two-sided|less|greater",
      description = "less: the first is lower; two-sided unless given.")
  @Nullable String alternative;

  @Option(
      names = "--margin",
      paramLabel = "M",
      description = "The largest difference without practical meaning, such as 3%%.")
  @Nullable String margin;

  @Option(
      names = "--show",
      paramLabel = "difference|noninferior|equivalent",
      description =
          "What is to be shown; the last two need a margin. Non-inferior means not lower by the"
              + " margin, or with --alternative less, where low is good, not higher by it.")
  @Nullable String show;

  @Option(
      names = "--baseline",
      paramLabel = "LEVEL",
      description = "The group that the others are compared with; else all pairs.")
  @Nullable String baseline;

  @Option(
      names = "--alpha",
      paramLabel = "A",
      description = "The significance level; 0.05 unless given.")
  @Nullable String alpha;

  @Option(
      names = "--level",
      paramLabel = "L",
      description = "The confidence level; 1 - alpha unless given, for equivalence 1 - 2 alpha.")
  @Nullable String level;

  @Option(
      names = "--tests",
      paramLabel = "LIST|all",
      description =
          "Which tests: z-pooled, z-pooled-cc, z-separate, score, likelihood-ratio, fisher,"
              + " fisher-doubled, fisher-mid-p, barnard, boschloo; z-pooled and fisher unless given."
              + " Paired: mcnemar, mcnemar-cc, mcnemar-exact, mcnemar-mid-p.")
  String @Nullable [] tests;

  @Option(
      names = "--intervals",
      paramLabel = "LIST|all",
      description =
          "Which intervals; of the difference wald, wald-cc, agresti-caffo, newcombe, newcombe-cc,"
              + " mee, miettinen-nurminen; of the ratio log, koopman, miettinen-nurminen; of the odds"
              + " ratio woolf, gart, score, conditional-exact, conditional-mid-p. Paired: wald,"
              + " bonett-price, newcombe, tango.")
  String @Nullable [] intervals;

  @Option(
      names = "--label",
      paramLabel = "TEXT",
      description = "A name for what is compared, used in the answer.")
  @Nullable String label;

  @Mixin DataOptions data;

  @Option(
      names = "--table",
      paramLabel = "FILE",
      description =
          "A two-way table: a row a group, columns of successes and failures, or of successes and"
              + " total. Totals at its edges are left out.")
  @Nullable String table;

  @Option(
      names = "--total",
      paramLabel = "COLUMN",
      description = "The column of the table that holds the trials, if its name doesn't say so.")
  @Nullable String total;

  @Option(
      names = "--paired",
      description =
          "The same units judged twice: two outcome columns, or --cells; three columns or more:"
              + " cochran-q.")
  boolean paired;

  @Option(
      names = "--cells",
      paramLabel = "\"A B; C D\"",
      description = "Pairs as counts: both, first only; second only, neither.")
  @Nullable String cells;

  @Mixin BayesOptions bayes;

  @Mixin SimulationOptions simulation;

  @Option(
      names = "--null-model",
      paramLabel = "shuffle|pooled",
      description =
          "What is simulated: the outcomes shuffled over both groups, or two samples with the pooled"
              + " rate; shuffle unless given.")
  @Nullable String nullModel;

  @Mixin AnswerOptions answer;

  CompareCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    bayes.draw(answer.pictures);
    simulation.draw(answer.pictures);
    return answer.on(terminal).answer(Words.of(command, CompareSpec.WORDS), CompareSpec::question);
  }
}
