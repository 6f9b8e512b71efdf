package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.count.Tabulation;
import dev.tavik.data.CountRequest;
import dev.tavik.data.DemoFiles;
import dev.tavik.data.Sources;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.report.Report;
import dev.tavik.study.compare.CompareQuestion;
import java.io.PrintStream;
import java.util.Set;

/**
 * Does the South kiln scrap more than the others since its burners were changed, and by how much?
 * Harrowmere calls a difference of less than two percentage points no difference in practice.
 */
public final class CompareTwoKilns {
  private static final double MARGIN = 0.02;

  private CompareTwoKilns() {}

  /**
   * Compares two kilns.
   *
   * @param arguments the names of both; South and Tunnel without them
   */
  public static void main(String[] arguments) {
    boolean named = arguments.length > 1;
    compare(named ? arguments[0] : "South", named ? arguments[1] : "Tunnel", System.out);
  }

  static Answer compare(String first, String second, PrintStream out) {
    Tabulation log =
        Sources.open("firing-log.csv", DemoFiles::open).count(CountRequest.of("grade", "kiln"));
    Set<String> scrap = Set.of("cracked", "warped");
    CompareQuestion question =
        CompareQuestion.of(
                log.where("kiln", first).tally("grade", scrap),
                log.where("kiln", second).tally("grade", scrap))
            .groups(first, second)
            .named("Scrap")
            .tests(TwoProportionTest.Z_POOLED, TwoProportionTest.FISHER, TwoProportionTest.BOSCHLOO)
            .intervals(
                ComparisonInterval.DIFFERENCE_MEE,
                ComparisonInterval.DIFFERENCE_NEWCOMBE,
                ComparisonInterval.ODDS_RATIO_CONDITIONAL_EXACT);

    Answer answer = question.ask();
    out.print(Report.TEXT.of(answer, Detail.FINDINGS));

    Answer alike = question.tests().equivalent(MARGIN).ask();
    out.println();
    out.println("And are they alike in practice? " + alike.verdict().text());
    return answer;
  }
}
