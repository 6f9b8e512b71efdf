package works.harrowmere;

import dev.tavik.count.Tally;
import dev.tavik.study.rate.RateQuestion;

/** Is the rate 5 %? */
public final class CoreProgram {
  private CoreProgram() {}

  public static void main(String[] arguments) {
    System.out.println(RateQuestion.of(Tally.of(14, 400), 0.05).ask().verdict().text());
  }
}
