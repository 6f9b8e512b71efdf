package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.count.Tally;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.study.rate.RateQuestion;

/** The shortest ways to an answer and to a single method. */
public final class FirstAnswer {
  private FirstAnswer() {}

  /**
   * Asks whether the North kiln cracks fewer than 5 % of its tiles.
   *
   * @param arguments none
   */
  public static void main(String[] arguments) {
    Tally cracked = Tally.of(14, 400);

    Answer answer =
        RateQuestion.of(cracked, 0.05)
            .named("North kiln cracks")
            .alternative(Alternative.LESS)
            .ask();
    System.out.println(answer.verdict().text());
    answer.cautions().forEach(caution -> System.out.println(caution.message()));

    TestResult exact = ProportionTest.EXACT.of(cracked, Hypothesis.less(0.05));
    Interval wilson = ProportionInterval.WILSON.of(cracked, 0.95);
    System.out.println(exact.pValue() + ", " + wilson.lower() + " to " + wilson.upper());
  }
}
