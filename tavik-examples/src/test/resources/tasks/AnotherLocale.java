package dev.tavik.examples.tasks;

import dev.tavik.answer.Answer;
import dev.tavik.count.Tally;
import dev.tavik.report.Report;
import dev.tavik.study.rate.RateQuestion;
import java.util.Locale;

/** The same words in any locale. */
public final class AnotherLocale {
  public static String run() throws Exception {
    Answer answer = RateQuestion.of(Tally.of(14, 400), 0.05).ask();
    Locale before = Locale.getDefault();
    try {
      Locale.setDefault(Locale.forLanguageTag("ar-EG"));
      return Report.TEXT.of(answer, 100);
    } finally {
      Locale.setDefault(before);
    }
  }
}
