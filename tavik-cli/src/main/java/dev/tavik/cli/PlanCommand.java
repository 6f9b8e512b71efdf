package dev.tavik.cli;

import dev.tavik.data.PlanSpec;
import dev.tavik.report.Detail;
import dev.tavik.report.PlanPicture;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Before data: how many, how much power, how small an effect, how narrow an interval? */
@Command(
    name = "plan",
    description = {
      "Tells how many observations a study needs, how much power it has, how small an effect it finds,"
          + " or how narrow its interval is: whichever of --n, --power and what is expected is left"
          + " out. Lists and ranges give a table."
    },
    sortOptions = false,
    optionListHeading = "%n",
    footer = {
      "",
      "Examples:",
      "  tavik plan rate --against 8%% --expect 5%%,6%%,11%% --power 90%%",
      "  tavik plan compare --base 8%% --expect 4.5%% --power 80%% --units tiles --group kiln",
      "  tavik plan compare --base 8%% --n 500 --power 80%%",
      "  tavik plan shares --against 40%%,30%%,30%% --expect 45%%,30%%,25%% --power 80%%",
      "  tavik plan table --shape 3x4 --w 0.2 --power 90%% --chart power.png",
      "  tavik plan rate --half-width 2%% --expect 5%% --response 40%%"
    })
final class PlanCommand implements Callable<Integer> {
  private final Terminal terminal;

  @picocli.CommandLine.Spec CommandSpec command;

  @Parameters(
      paramLabel = "rate|compare|shares|table",
      arity = "0..1",
      description = "What is planned.")
  @Nullable String kind;

  @Option(
      names = "--against",
      paramLabel = "P[,P]|SHARES",
      description = "The null value of a rate, or the claimed shares of a table.")
  String @Nullable [] against;

  @Option(
      names = "--base",
      paramLabel = "P[,P]",
      description = "To compare: the rate of the group to compare with.")
  String @Nullable [] base;

  @Option(
      names = "--expect",
      paramLabel = "P[,P]|A..B:STEP",
      description =
          "The rate that is expected, or the shares; left out, the smallest rates that are found are told.")
  String @Nullable [] expect;

  @Option(
      names = "--difference",
      paramLabel = "D[,D]",
      description = "What is expected as a difference from the base or null, such as -3%%.")
  String @Nullable [] difference;

  @Option(
      names = "--ratio",
      paramLabel = "R[,R]",
      description = "What is expected as a multiple of the base or null.")
  String @Nullable [] ratio;

  @Option(
      names = "--odds-ratio",
      paramLabel = "R[,R]",
      description = "What is expected as an odds ratio to the base or null.")
  String @Nullable [] oddsRatio;

  @Option(
      names = "--n",
      paramLabel = "N[,N]|A..B:STEP",
      description = "The size of the first group; left out, it is solved for.")
  String @Nullable [] n;

  @Option(
      names = "--power",
      paramLabel = "P[,P]",
      description =
          "The chance to find what is expected, such as 80%%; left out, it is solved for.")
  String @Nullable [] power;

  @Option(
      names = "--alpha",
      paramLabel = "A[,A]",
      description = "The significance level; 0.05 unless given.")
  String @Nullable [] alpha;

  @Option(
      names = "--sides",
      paramLabel = "two-sided|one-sided",
      description = "Whether the test looks to both sides; it does unless said otherwise.")
  String @Nullable [] sides;

  @Option(
      names = "--alternative",
      paramLabel = "two-sided|less|greater",
      description = "The same with the direction.")
  String @Nullable [] alternative;

  @Option(
      names = "--tests",
      paramLabel = "LIST|all",
      description =
          "Which tests: of a rate score unless given, of two rates z-pooled, of pairs mcnemar.")
  String @Nullable [] tests;

  @Option(
      names = "--method",
      paramLabel = "normal|exact",
      description = "Power by the normal distribution, or exactly over all outcomes.")
  String @Nullable [] method;

  @Option(
      names = "--lot",
      paramLabel = "N",
      description = "A finite lot or population, of which the sample is a part.")
  String @Nullable [] lot;

  @Option(
      names = "--allocation",
      paramLabel = "R",
      description = "To compare: the second group's size over the first's; 1 unless given.")
  String @Nullable [] allocation;

  @Option(
      names = "--show",
      paramLabel = "difference|noninferior|equivalent",
      description = "To compare: what is to be shown; the last two want --margin.")
  String @Nullable [] show;

  @Option(
      names = "--margin",
      paramLabel = "M",
      description = "The margin of non-inferiority or equivalence.")
  String @Nullable [] margin;

  @Option(
      names = "--first-only",
      paramLabel = "P[,P]",
      description = "Of pairs: the rate with a success the first time only.")
  String @Nullable [] firstOnly;

  @Option(
      names = "--second-only",
      paramLabel = "P[,P]",
      description = "Of pairs: the rate with a success the second time only.")
  String @Nullable [] secondOnly;

  @Option(names = "--df", paramLabel = "N", description = "Of a table: the degrees of freedom.")
  String @Nullable [] df;

  @Option(
      names = "--shape",
      paramLabel = "RxC",
      description = "Of a table: its rows and columns, such as 3x4.")
  String @Nullable [] shape;

  @Option(
      names = "--categories",
      paramLabel = "K",
      description = "Of claimed shares: how many categories.")
  String @Nullable [] categories;

  @Option(names = "--w", paramLabel = "W[,W]", description = "Of a table: the effect size w.")
  String @Nullable [] w;

  @Option(
      names = "--conventional",
      paramLabel = "small|medium|large",
      description = "Of a table: w of 0.1, 0.3 or 0.5, for want of anything better.")
  String @Nullable [] conventional;

  @Option(
      names = "--cramers-v",
      paramLabel = "V[,V]",
      description = "Of a table: the effect as Cramer's V.")
  String @Nullable [] cramersV;

  @Option(
      names = "--cells",
      paramLabel = "\"A B; C D\"",
      description =
          "Of a table: the probabilities expected in its cells, or the counts of a pilot.")
  String @Nullable [] cells;

  @Option(
      names = "--table",
      paramLabel = "FILE",
      description = "Of a table: a pilot, as a labelled two-way table.")
  String @Nullable [] table;

  @Option(
      names = "--data",
      paramLabel = "FILE",
      description = "Of a table: a pilot, as rows; with --rows and --columns.")
  String @Nullable [] data;

  @Option(names = "--rows", paramLabel = "COLUMN", description = "The pilot's column of rows.")
  String @Nullable [] rows;

  @Option(
      names = "--columns",
      paramLabel = "COLUMN",
      description = "The pilot's column of columns.")
  String @Nullable [] columns;

  @Option(names = "--count", paramLabel = "COLUMN", description = "The pilot's frequency column.")
  String @Nullable [] count;

  @Option(
      names = "--where",
      paramLabel = "COLUMN=VALUE",
      description = "Only these rows of the pilot.")
  String @Nullable [] where;

  @Option(
      names = "--missing",
      paramLabel = "drop|level|fail",
      description = "What to do with missing values of the pilot.")
  String @Nullable [] missing;

  @Option(
      names = "--trend",
      paramLabel = "P,P[,P]",
      description = "Of ordered groups: the rate expected in each.")
  String @Nullable [] trend;

  @Option(
      names = "--scores",
      paramLabel = "S,S[,S]",
      description = "Of ordered groups: their places on a scale; 1, 2, 3 unless given.")
  String @Nullable [] scores;

  @Option(
      names = "--half-width",
      paramLabel = "H[,H]",
      description = "For an interval in place of a test: half its length.")
  String @Nullable [] halfWidth;

  @Option(
      names = "--intervals",
      paramLabel = "LIST|all",
      description = "Which intervals: of a rate wilson unless given, of a difference newcombe.")
  String @Nullable [] intervals;

  @Option(
      names = "--level",
      paramLabel = "L[,L]",
      description = "The confidence level; 1 - alpha unless given.")
  String @Nullable [] level;

  @Option(
      names = "--design-effect",
      paramLabel = "D",
      description = "How many times a cluster sample inflates the variance; 1 unless given.")
  String @Nullable [] designEffect;

  @Option(
      names = "--response",
      paramLabel = "P",
      description = "The share of those invited who will answer.")
  String @Nullable [] response;

  @Option(
      names = "--prior",
      paramLabel = "A,B",
      description = "The beta prior of a Bayes factor; 1,1 unless given.")
  String @Nullable [] prior;

  @Option(
      names = "--threshold",
      paramLabel = "T[,T]",
      description = "What a Bayes factor is to reach; 20 unless given.")
  String @Nullable [] threshold;

  @Option(
      names = "--units",
      paramLabel = "WORD",
      description = "What is observed, for the sentence, such as tiles.")
  String @Nullable [] units;

  @Option(
      names = "--group",
      paramLabel = "WORD",
      description = "What each group is, for the sentence, such as kiln.")
  String @Nullable [] group;

  @Option(
      names = "--label",
      paramLabel = "TEXT",
      description = "A name for the plan, used in the answer.")
  String @Nullable [] label;

  @Option(names = "--paired", description = "Plan for pairs: the same units judged twice.")
  boolean paired;

  @Option(
      names = "--bayes",
      description = "Plan for a Bayes factor, of a rate or of two, to reach a threshold.")
  boolean bayes;

  @Option(
      names = "--chart",
      paramLabel = "FILE",
      description = "Draw power over n into a .png or .svg file.")
  @Nullable Path chart;

  @Option(
      names = "--effect-chart",
      paramLabel = "FILE",
      description = "Draw power over what is expected.")
  @Nullable Path effectChart;

  @Option(
      names = "--errors-chart",
      paramLabel = "FILE",
      description = "Draw what the test sees under both hypotheses, both errors shaded.")
  @Nullable Path errorsChart;

  @Mixin OutputOptions output;

  PlanCommand(Terminal terminal) {
    this.terminal = terminal;
  }

  @Override
  public Integer call() {
    PictureOptions pictures = new PictureOptions();
    pictures.also("--chart", chart, PlanPicture::ofSizes);
    pictures.also("--effect-chart", effectChart, PlanPicture::ofEffects);
    pictures.also("--errors-chart", errorsChart, PlanPicture::ofErrors);
    return new Answering(terminal, output, pictures, Detail.FINDINGS)
        .answer(Words.of(command, PlanSpec.WORDS, "for"), PlanSpec::question);
  }
}
