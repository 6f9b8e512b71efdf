package dev.tavik.study.shares;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.association.Shares;
import dev.tavik.association.SharesInterval;
import dev.tavik.association.SharesTest;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.SurveyCounts;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Plots;
import dev.tavik.study.parts.DesignedSettings;
import java.util.List;
import java.util.Optional;

/** What shares are claimed of, by value: counts of categories, or a designed sample. */
interface SharesSample {
  /** The categories, two or more. */
  List<String> levels();

  /** The share that is claimed of each category. */
  Shares claimed();

  /** The counts; none of a designed sample. */
  default Optional<CategoryCounts> counted() {
    return Optional.empty();
  }

  /**
   * Fills in the methods that are usual for such data where none was chosen.
   *
   * @throws IllegalArgumentException if a setting doesn't fit the data
   */
  SharesSettings complete(SharesSettings settings);

  /** What all methods say. */
  SharesFound found(SharesQuestion question);

  Plots plots(SharesQuestion question, Answer answer);

  private static void requireClaims(List<String> levels, Shares claimed) {
    require(levels.size() >= 2, "shares need two categories or more, got %s", levels.size());
    require(
        claimed.size() == levels.size(),
        "there must be one share for each of the %d categories (%s), got %d",
        levels.size(),
        String.join(", ", levels),
        claimed.size());
  }

  /**
   * Counts of categories.
   *
   * @param counts the counts
   * @param claimed one share a category
   */
  record OfCounts(CategoryCounts counts, Shares claimed) implements SharesSample {
    public OfCounts {
      requireClaims(counts.levels(), claimed);
    }

    @Override
    public List<String> levels() {
      return counts.levels();
    }

    @Override
    public Optional<CategoryCounts> counted() {
      return Optional.of(counts);
    }

    @Override
    public SharesSettings complete(SharesSettings settings) {
      settings.choices().requireAmong("counts", SharesTest.values(), SharesInterval.values());
      return settings.orUsual(SharesSettings.USUAL_TESTS, List.of(SharesInterval.GOODMAN));
    }

    @Override
    public SharesFound found(SharesQuestion question) {
      return new TallySharesMethods(question).found();
    }

    @Override
    public Plots plots(SharesQuestion question, Answer answer) {
      return SharesPlots.all(question, answer);
    }
  }

  /**
   * A sample with weights, strata and clusters.
   *
   * @param counts what was counted: one column
   * @param levels the categories; one that never occurs has a share of 0
   * @param claimed one share a category
   */
  record Designed(SurveyCounts counts, List<String> levels, Shares claimed)
      implements SharesSample {
    public Designed {
      levels = List.copyOf(levels);
      requireClaims(levels, claimed);
    }

    @Override
    public SharesSettings complete(SharesSettings settings) {
      return DesignedSettings.ofTable(settings, settings.prior());
    }

    @Override
    public SharesFound found(SharesQuestion question) {
      return new DesignedSharesMethods(question, counts).found();
    }

    @Override
    public Plots plots(SharesQuestion question, Answer answer) {
      return Plots.of(IntervalPlot.class, () -> SharesPlots.designed(question, answer));
    }
  }
}
