package dev.tavik.study.shares;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.association.Shares;
import dev.tavik.association.SharesInterval;
import dev.tavik.association.SharesTest;
import dev.tavik.count.CategoryCounts;
import dev.tavik.plot.Plots;
import dev.tavik.study.InferenceQuestion;
import dev.tavik.study.Provenance;
import org.jspecify.annotations.Nullable;

/**
 * Do counts follow claimed shares?
 *
 * @param label the analyst's name for the question, empty for none
 * @param counts the counts
 * @param claimed one share a category
 * @param settings how strictly, by which methods
 * @param from where the counts came from; null when they were given as counts
 */
public record SharesQuestion(
    String label,
    CategoryCounts counts,
    Shares claimed,
    SharesSettings settings,
    @Nullable Provenance from)
    implements InferenceQuestion<SharesQuestion, SharesSettings, SharesTest, SharesInterval> {

  /**
   * Checks that there is one share for each category.
   *
   * @throws IllegalArgumentException if there isn't
   */
  public SharesQuestion {
    require(
        claimed.size() == counts.size(),
        "there must be one share for each of the %d categories (%s), got %d",
        counts.size(),
        String.join(", ", counts.levels()),
        claimed.size());
  }

  /**
   * Creates a question with the default settings.
   *
   * @param counts the counts
   * @param claimed one share a category
   * @return the question
   * @throws IllegalArgumentException if there isn't one share a category
   */
  public static SharesQuestion of(CategoryCounts counts, Shares claimed) {
    return new SharesQuestion("", counts, claimed, SharesSettings.usual(), null);
  }

  /**
   * Returns a copy with a name for the question.
   *
   * @param name such as {@code Glazes in a mixed box}
   * @return the question
   */
  public SharesQuestion named(String name) {
    return new SharesQuestion(name, counts, claimed, settings, from);
  }

  @Override
  public SharesQuestion settings(SharesSettings changed) {
    return new SharesQuestion(label, counts, claimed, changed, from);
  }

  @Override
  public Answer ask() {
    return new SharesAnalysis(this).answer();
  }

  @Override
  public Plots plots(Answer answer) {
    return SharesPlots.all(this, answer);
  }
}
