package dev.tavik.examples;

import dev.tavik.count.PairedTally;
import dev.tavik.count.Tabulation;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DelimitedText;
import dev.tavik.data.DemoFiles;
import dev.tavik.report.Detail;
import dev.tavik.report.Emphasis;
import dev.tavik.report.TextReport;
import dev.tavik.study.PairedAnswer;
import dev.tavik.study.PairedQuestion;
import java.io.PrintStream;
import java.util.List;
import java.util.Map;

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

  static PairedAnswer compare(PrintStream out) {
    Tabulation grades =
        DelimitedText.of("regrade.csv", DemoFiles::open)
            .count(CountRequest.of("first_inspector", "second_inspector"));
    long[][] rejected = new long[2][2];
    for (Map.Entry<List<String>, Long> entry : grades.counts().entrySet()) {
      boolean first = !entry.getKey().get(0).equals("sound");
      boolean second = !entry.getKey().get(1).equals("sound");
      rejected[first ? 0 : 1][second ? 0 : 1] += entry.getValue();
    }
    PairedTally tiles =
        PairedTally.of(rejected[0][0], rejected[0][1], rejected[1][0], rejected[1][1]);

    PairedAnswer answer = PairedQuestion.of("First inspector", "Second inspector", tiles).ask();
    out.print(new TextReport(Emphasis.NONE, Detail.FINDINGS).of(answer));
    return answer;
  }
}
