package dev.tavik.examples.tasks;

import dev.tavik.answer.Answer;
import dev.tavik.count.Tally;
import dev.tavik.report.Report;
import dev.tavik.study.rate.RateQuestion;

/** Figures of an answer from its JSON. */
public final class JsonBack {
  public static String run() throws Exception {
    Answer answer = RateQuestion.of(Tally.of(14, 400), 0.05).ask();
    String json = Report.JSON.of(answer);
    return "p = " + Report.JSON.read(json).tests().get(0).pValue();
  }
}
