package works.harrowmere;

import dev.tavik.answer.Answer;
import dev.tavik.chart.Chart;
import dev.tavik.count.Tally;
import dev.tavik.study.rate.RateQuestion;

/** The size of a picture of the answer. */
public final class ChartProgram {
  private ChartProgram() {}

  public static void main(String[] arguments) {
    Answer answer = RateQuestion.of(Tally.of(14, 400), 0.05).ask();
    System.out.println(Chart.main(answer).of(answer).png().length + " bytes");
  }
}
