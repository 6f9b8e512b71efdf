package dev.tavik.examples.tasks;

import dev.tavik.answer.Answer;
import dev.tavik.count.Tally;
import dev.tavik.report.Report;
import dev.tavik.study.rate.RateQuestion;

/** An answer as JSON. */
public final class AsJson {
  public static String run() throws Exception {
    Answer answer = RateQuestion.of(Tally.of(14, 400), 0.05).ask();
    return Report.JSON.of(answer);
  }
}
