package dev.tavik.examples.tasks;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Estimates;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Intervals;
import dev.tavik.answer.Tests;
import dev.tavik.count.Tally;
import dev.tavik.study.rate.RateQuestion;

/** Matching on kinds of findings. */
public final class KindsOfFindings {
  public static String run() throws Exception {
    Answer answer = RateQuestion.of(Tally.of(14, 400), 0.05).ask();
    int known = 0;
    for (Finding finding : answer.findings()) {
      if (finding instanceof Estimates || finding instanceof Tests || finding instanceof Intervals) {
        known++;
      }
    }
    return known + " tables";
  }
}
