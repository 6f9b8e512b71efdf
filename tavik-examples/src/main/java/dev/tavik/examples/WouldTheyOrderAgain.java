package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.Sources;
import dev.tavik.report.Report;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.DesignedSample;
import java.io.PrintStream;
import java.util.List;
import java.util.Locale;

/**
 * Would customers in the uplands order again less often than those of the moors? The panel drew
 * dealers of each region, then customers of each dealer; the truth is known.
 */
public final class WouldTheyOrderAgain {
  private WouldTheyOrderAgain() {}

  /**
   * Compares two regions by the design.
   *
   * @param arguments none
   */
  public static void main(String[] arguments) {
    compare(System.out);
  }

  static Answer compare(PrintStream out) {
    SampleDesign design = SampleDesign.weighted("weight").strata("region").clusters("dealer");
    SurveyCounts counts =
        Sources.open("panel-survey.csv", DemoFiles::open)
            .survey(design, List.of(CountRequest.of("would_reorder", "region")))
            .get(0);
    Answer answer =
        CompareQuestion.of(counts, "yes")
            .among("Uplands", "Moors")
            .named("Would order again")
            .ask();
    out.print(Report.TEXT.of(answer, Detail.FINDINGS));

    DesignedProportion all =
        DesignedSample.of(counts).proportion(unit -> true, unit -> unit.get(0).equals("yes"));
    out.printf(
        Locale.ROOT,
        "%nOf all customers %.1f%% by the design, %.1f%% of the rows, %.1f%% in truth.%n",
        100 * all.value(),
        100.0 * all.successes() / all.rows(),
        100 * TradePopulation.all().reorders());
    return answer;
  }
}
