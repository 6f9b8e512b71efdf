package dev.tavik.examples;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Detail;
import dev.tavik.association.Shares;
import dev.tavik.association.SharesInterval;
import dev.tavik.count.CategoryCounts;
import dev.tavik.report.Report;
import dev.tavik.study.shares.SharesQuestion;
import dev.tavik.study.shares.SharesSettings;
import java.io.PrintStream;
import java.util.List;

/**
 * A mixed box says on its label that 40 % of its tiles are ash, 30 % celadon and 30 % iron. Ten
 * boxes were opened and their tiles counted. Do the boxes match their label?
 */
public final class DoBoxesMatchTheirLabel {
  private DoBoxesMatchTheirLabel() {}

  /**
   * Holds the counts against the label.
   *
   * @param arguments none
   */
  public static void main(String[] arguments) {
    check(List.of(392L, 331L, 277L), System.out);
  }

  static Answer check(List<Long> tiles, PrintStream out) {
    Answer answer =
        SharesQuestion.of(
                CategoryCounts.of(List.of("ash", "celadon", "iron"), tiles),
                Shares.of(0.4, 0.3, 0.3))
            .named("Mixed boxes")
            .settings(
                SharesSettings.usual()
                    .intervals(List.of(SharesInterval.GOODMAN, SharesInterval.SISON_GLAZ)))
            .ask();
    out.print(Report.TEXT.of(answer, Detail.FINDINGS));
    return answer;
  }
}
