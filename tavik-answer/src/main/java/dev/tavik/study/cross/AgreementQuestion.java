package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.count.SquareTable;
import dev.tavik.plot.NullPlot;
import dev.tavik.plot.Plots;
import dev.tavik.result.Method;
import dev.tavik.study.InferenceQuestion;
import dev.tavik.study.parts.NullPlots;
import java.util.List;

/**
 * Do two classifications of the same units agree, and if not, do they differ systematically? All of
 * its tests are made; none can be chosen. Of the settings it uses how strictly, and whether the
 * levels are ordered.
 */
public final class AgreementQuestion
    extends InferenceQuestion<AgreementQuestion, CrossSettings, Method, Method> {
  private final String first;
  private final String second;
  private final SquareTable table;

  private AgreementQuestion(
      Frame<CrossSettings> frame, String first, String second, SquareTable table) {
    super(frame, List.of(first, second, table));
    settings().requireUnchosen("classified pairs");
    this.first = first;
    this.second = second;
    this.table = table;
  }

  /**
   * Creates a question with the default settings.
   *
   * @param first what classified in the rows
   * @param second what classified in the columns
   * @param table the counts
   * @return the question
   */
  public static AgreementQuestion of(String first, String second, SquareTable table) {
    return new AgreementQuestion(Frame.of(CrossSettings.usual()), first, second, table);
  }

  String first() {
    return first;
  }

  String second() {
    return second;
  }

  SquareTable table() {
    return table;
  }

  @Override
  protected AgreementQuestion with(Frame<CrossSettings> changed) {
    return new AgreementQuestion(changed, first, second, table);
  }

  @Override
  public Answer ask() {
    return new AgreementAnalysis(this).answer();
  }

  @Override
  public Plots plots(Answer answer) {
    return Plots.of(
        NullPlot.class,
        () ->
            NullPlots.chiSquare(
                answer.tests().get(0), "if moves balance those back", settings().alpha()));
  }
}
