package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.data.Codebook;
import dev.tavik.data.CountRequest;
import dev.tavik.data.CountSource;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.Recoding;
import dev.tavik.data.Sources;
import dev.tavik.report.Report;
import dev.tavik.study.compare.CompareQuestion;
import java.io.PrintStream;

/**
 * Would customers in the uplands order again less often than those of the coast, and how warmly
 * does the panel recommend the tiles? The export has codes for answers; a codebook beside it says
 * which.
 */
public final class ReadThePanel {
  private ReadThePanel() {}

  /**
   * Compares two regions.
   *
   * @param arguments none
   */
  public static void main(String[] arguments) {
    compare("Uplands", "Coast", System.out);
  }

  static Answer compare(String first, String second, PrintStream out) {
    CountSource panel = Sources.open("panel-codes.csv", DemoFiles::open);
    Codebook codebook = Codebook.read("panel-codes.schema.json", DemoFiles::open);

    Tabulation counts = panel.count(CountRequest.of("reorder", "region").recode(codebook));
    Answer answer =
        CompareQuestion.of(
                counts.where("region", first).tally("reorder", "yes"),
                counts.where("region", second).tally("reorder", "yes"))
            .groups(first, second)
            .named("Would order again")
            .ask();
    out.print(Report.TEXT.of(answer, Detail.FINDINGS));

    Tabulation warmth =
        panel.count(
            CountRequest.of("recommend")
                .recode(codebook)
                .recode("recommend", Recoding.cut("0-6=low,7-8=middle,9-10=high")));
    Tally high = warmth.tally("recommend", "high");
    out.printf("%nRecommend at 9 or 10: %s of %s.%n", high.successes(), high.trials());
    return answer;
  }
}
