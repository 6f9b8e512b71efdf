package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.count.Tabulation;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.ReadOptions;
import dev.tavik.data.Sources;
import dev.tavik.report.Report;
import dev.tavik.study.cross.CrossQuestion;
import java.io.PrintStream;

/**
 * Do the shifts grade alike? The foreman keeps a week in a workbook, with a title above the table
 * and a sheet of notes beside it.
 */
public final class ReadTheWorkbook {
  private ReadTheWorkbook() {}

  /**
   * Asks about one sheet.
   *
   * @param arguments the name of the sheet; Firings without one
   */
  public static void main(String[] arguments) {
    ask(arguments.length > 0 ? arguments[0] : "Firings", System.out);
  }

  static Answer ask(String sheet, PrintStream out) {
    Tabulation week =
        Sources.open("week-18.xlsx", DemoFiles::open, ReadOptions.usual().sheet(sheet))
            .count(CountRequest.of("shift", "grade"));
    out.println(week.rows() + " tiles; " + String.join("; ", week.remarks()) + ".");

    Answer answer =
        CrossQuestion.of(week.crossTable("shift", "grade")).named("Grades by shift").ask();
    out.print(Report.TEXT.of(answer, Detail.FINDINGS));
    return answer;
  }
}
