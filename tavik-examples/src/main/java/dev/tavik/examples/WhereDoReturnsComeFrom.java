package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.count.Tabulation;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.Sources;
import dev.tavik.report.Report;
import dev.tavik.study.cross.CrossQuestion;
import java.io.PrintStream;

/** Do the depots return boxes for the same reasons, and if not, which depot for which reason? */
public final class WhereDoReturnsComeFrom {
  private WhereDoReturnsComeFrom() {}

  /**
   * Looks for the depots and reasons that stand out.
   *
   * @param arguments none
   */
  public static void main(String[] arguments) {
    look(System.out);
  }

  static Answer look(PrintStream out) {
    Tabulation returns =
        Sources.open("returns-by-depot.csv", DemoFiles::open)
            .count(CountRequest.of("depot", "reason").frequency("n"));

    Answer answer = CrossQuestion.of(returns.crossTable("depot", "reason")).ask();
    out.print(Report.TEXT.of(answer, Detail.FINDINGS));
    return answer;
  }
}
