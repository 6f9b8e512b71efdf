package dev.tavik.examples;

import dev.tavik.count.CrossTable;
import dev.tavik.count.Tabulation;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DelimitedText;
import dev.tavik.data.DemoFiles;
import dev.tavik.report.Detail;
import dev.tavik.report.Emphasis;
import dev.tavik.report.TextReport;
import dev.tavik.study.CrossAnswer;
import dev.tavik.study.CrossQuestion;
import java.io.PrintStream;
import java.util.List;

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

  static CrossAnswer look(PrintStream out) {
    Tabulation returns =
        DelimitedText.of("returns-by-depot.csv", DemoFiles::open)
            .count(CountRequest.of("depot", "reason").frequency("n"));
    List<String> depots = returns.levels(0);
    List<String> reasons = returns.levels(1);
    List<List<Long>> cells =
        depots.stream()
            .map(
                depot ->
                    reasons.stream()
                        .map(reason -> returns.counts().getOrDefault(List.of(depot, reason), 0L))
                        .toList())
            .toList();

    CrossAnswer answer = CrossQuestion.of(new CrossTable(depots, reasons, cells)).ask();
    out.print(new TextReport(Emphasis.NONE, Detail.FINDINGS).of(answer));
    return answer;
  }
}
