package dev.tavik.study.cross;

import dev.tavik.answer.Answer;
import dev.tavik.association.TableTest;
import dev.tavik.count.CrossTable;
import dev.tavik.count.SurveyCounts;
import dev.tavik.plot.Plots;
import dev.tavik.result.Method;
import dev.tavik.study.InferenceQuestion;
import dev.tavik.study.parts.ExpectedCounts;
import java.util.List;
import java.util.Optional;

/**
 * Are two classifications associated? It is asked of a table of counts, or of a sample with
 * weights, strata and clusters; where that was counted by a third column, within each of its
 * levels, called layers: strata are what a sample was drawn from.
 *
 * <p>The tests of a table are {@link TableTest}; those of a designed sample are {@link
 * dev.tavik.survey.SurveyTableTest}, and its intervals {@link dev.tavik.survey.SurveyInterval}.
 */
public final class CrossQuestion
    extends InferenceQuestion<CrossQuestion, CrossSettings, Method, Method> {
  private final CrossSample sample;

  private CrossQuestion(Frame<CrossSettings> frame, CrossSample sample) {
    super(frame.with(sample.complete(frame.settings())), sample);
    this.sample = sample;
  }

  /**
   * Asks with the usual settings, as {@link CrossSettings#usual} says.
   *
   * @param table the counts
   * @return the question
   */
  public static CrossQuestion of(CrossTable table) {
    return of(table, List.of(), List.of());
  }

  /**
   * Asks with the usual settings of a table from which something was left out or merged, which the
   * answer tells.
   *
   * @param table the counts
   * @param empty levels without any observation
   * @param merged what was merged, in words
   * @return the question
   */
  public static CrossQuestion of(CrossTable table, List<String> empty, List<String> merged) {
    return new CrossQuestion(
        Frame.of(CrossSettings.usual()), new CrossSample.OfCounts(table, empty, merged));
  }

  /**
   * Asks of a designed sample with the usual methods: alpha 0.05, Rao and Scott's test, logit
   * intervals.
   *
   * @param counts what was counted: rows, columns and perhaps layers
   * @return the question
   * @throws IllegalArgumentException if there are fewer than two rows or columns, or more than
   *     1,000 cells
   */
  public static CrossQuestion of(SurveyCounts counts) {
    return of(counts, counts.units().levels(0), counts.units().levels(1));
  }

  /**
   * Asks of some levels of a designed sample, with the usual methods.
   *
   * @param counts what was counted: rows, columns and perhaps layers
   * @param rows the levels of the rows, two or more, in order
   * @param columns the levels of the columns, two or more, in order
   * @return the question
   * @throws IllegalArgumentException if there are fewer than two rows or columns, or more than
   *     1,000 cells
   */
  public static CrossQuestion of(SurveyCounts counts, List<String> rows, List<String> columns) {
    return new CrossQuestion(
        Frame.of(CrossSettings.usual()), new CrossSample.Designed(counts, rows, columns));
  }

  /** {@return the table of counts; empty for a designed sample} */
  public Optional<CrossTable> table() {
    return sample.counted();
  }

  /**
   * Whether an exact test has to search tables, within its budget: Fisher's of a table larger than
   * two by two, which was asked for, or is made where expected counts are small, or between rows.
   *
   * @return whether the budget matters
   */
  public boolean searchesTables() {
    return table().stream().anyMatch(table -> !table.twoByTwo() && hasFisher(table));
  }

  private boolean hasFisher(CrossTable table) {
    return settings().tests().contains(TableTest.FISHER)
        || settings().rowPairs() == CrossSettings.RowPairs.COMPARED
        || !ExpectedCounts.of(table).enough();
  }

  @Override
  protected CrossQuestion with(Frame<CrossSettings> changed) {
    return new CrossQuestion(changed, sample);
  }

  @Override
  public Answer ask() {
    return sample.answer(this);
  }

  @Override
  public Plots plots(Answer answer) {
    return sample.plots(this, answer);
  }
}
