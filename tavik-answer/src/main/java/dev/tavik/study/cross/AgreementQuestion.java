package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.count.SquareTable;
import dev.tavik.plot.NullPlot;
import dev.tavik.plot.Plots;
import dev.tavik.study.LeveledQuestion;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.NullPlots;
import org.jspecify.annotations.Nullable;

/**
 * Do two classifications of the same units agree, and if not, do they differ systematically?
 *
 * @param label the analyst's name for the question, empty for none
 * @param first what classified in the rows
 * @param second what classified in the columns
 * @param table the counts
 * @param settings how strictly, and whether the levels are ordered; its tests are not used here
 * @param from where the counts came from; null when they were given as counts
 */
public record AgreementQuestion(
    String label,
    String first,
    String second,
    SquareTable table,
    CrossSettings settings,
    @Nullable Provenance from)
    implements LeveledQuestion<AgreementQuestion, CrossSettings> {

  /**
   * Creates a question with the default settings.
   *
   * @param first what classified in the rows
   * @param second what classified in the columns
   * @param table the counts
   * @return the question
   */
  public static AgreementQuestion of(String first, String second, SquareTable table) {
    return new AgreementQuestion("", first, second, table, CrossSettings.usual(), null);
  }

  @Override
  public AgreementQuestion settings(CrossSettings changed) {
    return new AgreementQuestion(label, first, second, table, changed, from);
  }

  /**
   * Returns a copy with a name, which the answer uses.
   *
   * @param name what is asked about
   * @return the question with that name
   */
  public AgreementQuestion named(String name) {
    return new AgreementQuestion(name, first, second, table, settings, from);
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
                answer.tests().get(0), "if moves balance those back", settings.alpha()));
  }
}
