package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.answer.Verdict;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.Sources;
import dev.tavik.report.Report;
import dev.tavik.result.Alternative;
import dev.tavik.study.rate.RateQuestion;
import java.io.PrintStream;

/**
 * May a kiln stay in use? Harrowmere takes a kiln out when the firing log shows that it scraps more
 * than 8 % of its tiles.
 */
public final class AcceptAKiln {
  private AcceptAKiln() {}

  /**
   * Judges one kiln.
   *
   * @param arguments the kiln's name; South without one
   */
  public static void main(String[] arguments) {
    judge(arguments.length > 0 ? arguments[0] : "South", System.out);
  }

  static Answer judge(String kiln, PrintStream out) {
    Tabulation log =
        Sources.open("firing-log.csv", DemoFiles::open)
            .count(CountRequest.of("grade").where("kiln", kiln));
    Tally scrapped = log.tally("grade", "cracked", "warped");

    Answer answer =
        RateQuestion.of(scrapped, 0.08)
            .named(kiln + " kiln's scrap")
            .alternative(Alternative.GREATER)
            .ask();

    out.print(Report.TEXT.of(answer, Detail.FINDINGS));
    boolean tooMuch = answer.verdict().decision() == Verdict.Decision.REJECTED;
    out.println(tooMuch ? "\nTake the kiln out." : "\nThe kiln may stay in use for now.");
    return answer;
  }
}
