package dev.tavik.examples.tasks;

import dev.tavik.answer.Answer;
import dev.tavik.chart.Charts;
import dev.tavik.count.Tally;
import dev.tavik.report.Report;
import dev.tavik.study.rate.RateQuestion;

/** An answer as a page with its pictures. */
public final class AsHtml {
  public static String run() throws Exception {
    Answer answer = RateQuestion.of(Tally.of(14, 400), 0.05).ask();
    return Report.HTML.of(answer, Charts.of(answer));
  }
}
