package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.count.Tabulation;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.Sources;
import dev.tavik.report.Report;
import dev.tavik.simulation.Draws;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.simulated.SimulatedQuestion;
import dev.tavik.tail.Tail;
import java.io.PrintStream;
import java.util.Locale;
import java.util.Objects;

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

  static Answer shuffle(long draws, PrintStream out) {
    Tabulation log =
        Sources.open("firing-log.csv", DemoFiles::open).count(CountRequest.of("grade", "kiln"));
    CompareQuestion question =
        CompareQuestion.of(
                log.where("kiln", "South").tally("grade", "warped"),
                log.where("kiln", "Tunnel").tally("grade", "warped"))
            .groups("South", "Tunnel");

    Answer answer = SimulatedQuestion.of(question, Draws.of(draws, 7)).ask();

    out.print(Report.TEXT.of(answer, Detail.FINDINGS));
    double z = Objects.requireNonNull(question.ask().tests().get(0).statistic()).value();
    out.printf(
        Locale.ROOT,
        "%nz-pooled takes its p from the normal curve: twice %.4f. Counts of a few warped tiles don't"
            + " follow that curve closely.%n",
        Math.exp(Math.min(Tail.normal(0, 1).logLower(z), Tail.normal(0, 1).logUpper(z))));
    return answer;
  }
}
