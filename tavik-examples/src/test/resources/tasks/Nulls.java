package dev.tavik.examples.tasks;

import dev.tavik.count.Tally;
import dev.tavik.study.rate.RateQuestion;

/** A null is refused by the name of its parameter. */
public final class Nulls {
  public static String run() throws Exception {
    try {
      Tally none = null;
      return RateQuestion.of(none, 0.05).ask().toString();
    } catch (NullPointerException e) {
      return e.getMessage();
    }
  }
}
