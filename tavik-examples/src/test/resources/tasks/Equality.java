package dev.tavik.examples.tasks;

import dev.tavik.count.Tally;
import dev.tavik.study.rate.RateQuestion;

/** Answers and questions are equal by value. */
public final class Equality {
  public static String run() throws Exception {
    RateQuestion one = RateQuestion.of(Tally.of(14, 400), 0.05);
    RateQuestion other = RateQuestion.of(Tally.parse("14/400"), 0.05);
    return one.equals(other) + " " + one.ask().equals(other.ask());
  }
}
