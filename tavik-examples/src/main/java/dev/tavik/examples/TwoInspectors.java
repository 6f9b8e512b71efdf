package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tabulation;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.Sources;
import dev.tavik.report.Report;
import dev.tavik.study.paired.PairedQuestion;
import java.io.PrintStream;

/**
 * Is one inspector stricter than the other? Both graded the same 240 tiles, so the question is
 * paired: only the tiles on which they differ can tell.
 */
public final class TwoInspectors {
  private TwoInspectors() {}

  /**
   * Compares the inspectors.
   *
   * @param arguments none
   */
  public static void main(String[] arguments) {
    compare(System.out);
  }

  static Answer compare(PrintStream out) {
    Tabulation grades =
        Sources.open("regrade.csv", DemoFiles::open)
            .count(CountRequest.of("first_inspector", "second_inspector"));
    PairedTally tiles =
        grades.pairs("first_inspector", "second_inspector", "crazed", "cracked", "warped");

    Answer answer = PairedQuestion.of("First inspector", "Second inspector", tiles).ask();
    out.print(Report.TEXT.of(answer, Detail.FINDINGS));
    return answer;
  }
}
