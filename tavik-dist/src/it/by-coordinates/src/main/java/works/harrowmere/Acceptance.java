package works.harrowmere;

import dev.tavik.answer.Answer;
import dev.tavik.chart.Chart;
import dev.tavik.count.Tally;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.Sources;
import dev.tavik.report.Report;
import dev.tavik.result.Alternative;
import dev.tavik.study.rate.RateQuestion;

/** Are fewer than 10 % of the tiles cracked? */
public final class Acceptance {
  private Acceptance() {}

  public static void main(String[] arguments) {
    Tally cracked =
        Sources.open("firing-log.csv", DemoFiles::open)
            .count(CountRequest.of("grade"))
            .tally("grade", "cracked");
    Answer answer = RateQuestion.of(cracked, 0.1).alternative(Alternative.LESS).ask();
    System.out.println(answer.verdict().text());
    System.out.println(Report.JSON.of(answer).contains("\"tavik\""));
    System.out.println(Chart.main(answer).of(answer).png().length > 1000);
  }
}
