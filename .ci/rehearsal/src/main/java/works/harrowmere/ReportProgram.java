package works.harrowmere;

import dev.tavik.count.Tally;
import dev.tavik.report.Report;
import dev.tavik.study.rate.RateQuestion;

/** The answer as JSON. */
public final class ReportProgram {
  private ReportProgram() {}

  public static void main(String[] arguments) {
    System.out.println(Report.JSON.of(RateQuestion.of(Tally.of(14, 400), 0.05).ask()));
  }
}
