package dev.tavik.examples;

import dev.tavik.count.Tabulation;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DelimitedText;
import dev.tavik.data.DemoFiles;
import dev.tavik.report.Detail;
import dev.tavik.report.Emphasis;
import dev.tavik.report.TextReport;
import dev.tavik.simulation.Draws;
import dev.tavik.study.CompareQuestion;
import dev.tavik.study.SimulatedAnswer;
import dev.tavik.study.SimulatedQuestion;
import dev.tavik.tail.Tail;
import java.io.PrintStream;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;

/**
 * What would two kilns look like that warp tiles alike? The outcomes are shuffled over the tiles
 * many times, and the p-values by formula are held against what was seen.
 */
public final class SeeTheNullWorld {
  private SeeTheNullWorld() {}

  /**
   * Shuffles the tiles of two kilns.
   *
   * @param arguments the number of shuffles; 100000 without one
   */
  public static void main(String[] arguments) {
    shuffle(arguments.length > 0 ? Long.parseLong(arguments[0]) : 100_000, System.out);
  }

  static SimulatedAnswer shuffle(long draws, PrintStream out) {
    Tabulation log =
        DelimitedText.of("firing-log.csv", DemoFiles::open).count(CountRequest.of("grade", "kiln"));
    CompareQuestion question =
        CompareQuestion.of(
                log.where(1, "South").tally(0, Set.of("warped")),
                log.where(1, "Tunnel").tally(0, Set.of("warped")))
            .labelled("South", "Tunnel");

    SimulatedAnswer answer = SimulatedQuestion.of(question, Draws.of(draws, 7)).ask();

    out.print(new TextReport(Emphasis.NONE, Detail.FINDINGS).of(answer));
    double z = Objects.requireNonNull(question.ask().tests().get(0).statistic()).value();
    out.printf(
        Locale.ROOT,
        "%nz-pooled takes its p from the normal curve: twice %.4f. Counts of a few warped tiles don't"
            + " follow that curve closely.%n",
        Math.exp(Math.min(Tail.normal(0, 1).logLower(z), Tail.normal(0, 1).logUpper(z))));
    return answer;
  }
}
