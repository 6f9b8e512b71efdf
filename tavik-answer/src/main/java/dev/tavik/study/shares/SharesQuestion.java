package dev.tavik.study.shares;

import dev.tavik.answer.Answer;
import dev.tavik.association.Shares;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.SurveyCounts;
import dev.tavik.plot.Plots;
import dev.tavik.result.Method;
import dev.tavik.study.InferenceQuestion;
import java.util.List;
import java.util.Optional;

/**
 * Do the shares of several categories follow claimed ones? It is asked of counts, or of a sample
 * with weights, strata and clusters.
 *
 * <p>The tests and intervals of counts are {@link dev.tavik.association.SharesTest} and {@link
 * dev.tavik.association.SharesInterval}; those of a designed sample {@link
 * dev.tavik.survey.SurveyTableTest} and {@link dev.tavik.survey.SurveyInterval}.
 */
public final class SharesQuestion
    extends InferenceQuestion<SharesQuestion, SharesSettings, Method, Method> {
  private final SharesSample sample;

  private SharesQuestion(Frame<SharesSettings> frame, SharesSample sample) {
    super(frame.with(sample.complete(frame.settings())), sample);
    this.sample = sample;
  }

  /**
   * Asks with the usual methods, as {@link SharesSettings#usual} says.
   *
   * @param counts the counts of the categories
   * @param claimed one share a category
   * @return the question
   * @throws IllegalArgumentException if there isn't one share a category
   */
  public static SharesQuestion of(CategoryCounts counts, Shares claimed) {
    return new SharesQuestion(
        Frame.of(SharesSettings.usual()), new SharesSample.OfCounts(counts, claimed));
  }

  /**
   * Asks of a designed sample with the usual methods: alpha 0.05, Rao and Scott's test, logit
   * intervals.
   *
   * @param counts what was counted: one column
   * @param claimed one share for each of its levels
   * @return the question
   * @throws IllegalArgumentException if there isn't one share a level
   */
  public static SharesQuestion of(SurveyCounts counts, Shares claimed) {
    return of(counts, counts.units().levels(0), claimed);
  }

  /**
   * Asks of some categories of a designed sample with the usual methods.
   *
   * @param counts what was counted: one column
   * @param levels the categories, two or more; one that never occurs has a share of 0
   * @param claimed one share a category
   * @return the question
   * @throws IllegalArgumentException if there isn't one share a category
   */
  public static SharesQuestion of(SurveyCounts counts, List<String> levels, Shares claimed) {
    return new SharesQuestion(
        Frame.of(SharesSettings.usual()), new SharesSample.Designed(counts, levels, claimed));
  }

  /** {@return the counts; empty for a designed sample} */
  public Optional<CategoryCounts> counts() {
    return sample.counted();
  }

  /** {@return the categories, in order} */
  public List<String> levels() {
    return sample.levels();
  }

  /** {@return the claimed shares, one a category} */
  public Shares claimed() {
    return sample.claimed();
  }

  @Override
  protected SharesQuestion with(Frame<SharesSettings> changed) {
    return new SharesQuestion(changed, sample);
  }

  @Override
  public Answer ask() {
    return new SharesFindings(sample.found(this)).answer();
  }

  @Override
  public Plots plots(Answer answer) {
    return sample.plots(this, answer);
  }
}
