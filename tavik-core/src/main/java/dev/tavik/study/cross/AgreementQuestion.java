package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.count.SquareTable;
import dev.tavik.study.Provenance;
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
    implements Question {

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

  /**
   * Returns a copy with other settings.
   *
   * @param changed the settings
   * @return the question
   */
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

  /**
   * Changes the significance level; 0.05 unless changed.
   *
   * @param alpha strictly between 0 and 1
   * @return another question
   * @throws IllegalArgumentException if not 0 &lt; alpha &lt; 1
   */
  public AgreementQuestion alpha(double alpha) {
    return settings(settings.alpha(alpha));
  }

  /**
   * Chooses a confidence level, where it isn't to be the one that matches alpha.
   *
   * @param level strictly between 0 and 1
   * @return another question
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  public AgreementQuestion level(double level) {
    return settings(settings.level(level));
  }

  @Override
  public Answer ask() {
    return new AgreementAnalysis(this).answer();
  }
}
