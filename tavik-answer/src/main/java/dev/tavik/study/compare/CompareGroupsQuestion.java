package dev.tavik.study.compare;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.count.NamedTally;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Plots;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.study.InferenceQuestion;
import dev.tavik.study.Provenance;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Do several proportions differ, and which from which? First all groups together, then every pair
 * (of up to {@value #MOST_PAIRED} groups), or every group against a baseline, with p-values
 * adjusted by Holm's method for the number of pairs.
 *
 * @param label the analyst's name for the question, empty for none
 * @param groups the groups, at least three, in order; in a pair the earlier one is the first
 * @param emptyGroups groups without any observation
 * @param baseline the group that every other one is compared with, as the second; null for all
 *     pairs
 * @param settings what is to be shown, how strictly, by which methods
 * @param from where the counts came from; null when they were given as counts
 */
public record CompareGroupsQuestion(
    String label,
    List<NamedTally> groups,
    List<String> emptyGroups,
    @Nullable String baseline,
    CompareSettings settings,
    @Nullable Provenance from)
    implements InferenceQuestion<
        CompareGroupsQuestion, CompareSettings, TwoProportionTest, ComparisonInterval> {
  /** The largest number of groups. */
  public static final int MOST_GROUPS = 1000;

  /**
   * Largest number of groups for all pairs, 4,950; with more and no baseline only the overall test
   * is made.
   */
  public static final int MOST_PAIRED = 100;

  /**
   * Copies the parts.
   *
   * @throws IllegalArgumentException if there are fewer than three groups or more than {@value
   *     #MOST_GROUPS}, or the baseline isn't among them
   */
  public CompareGroupsQuestion {
    groups = List.copyOf(groups);
    emptyGroups = List.copyOf(emptyGroups);
    require(
        groups.size() >= 3 && groups.size() <= MOST_GROUPS,
        "groups must be between 3 and %s here, got %s",
        MOST_GROUPS,
        groups.size());
    if (baseline != null && groups.stream().noneMatch(group -> group.name().equals(baseline))) {
      throw new IllegalArgumentException(
          say(
              "baseline must be one of %s, got '%s'",
              groups.stream().map(NamedTally::name).collect(Collectors.joining(", ")), baseline));
    }
  }

  /**
   * Creates a question about all pairs of several groups.
   *
   * @param groups the groups, at least three
   * @param settings the settings
   * @return the question
   * @throws IllegalArgumentException if there are fewer than three groups or more than {@value
   *     #MOST_GROUPS}
   */
  public static CompareGroupsQuestion of(List<NamedTally> groups, CompareSettings settings) {
    return new CompareGroupsQuestion("", groups, List.of(), null, settings, null);
  }

  /**
   * Whether there are too many groups to compare each with each.
   *
   * @return whether there are more than {@value #MOST_PAIRED} groups and no baseline
   */
  public boolean tooManyToPair() {
    return baseline == null && groups.size() > MOST_PAIRED;
  }

  /**
   * Returns a copy that compares every other group with one.
   *
   * @param name the baseline's name
   * @return the question
   * @throws IllegalArgumentException if no group has that name
   */
  public CompareGroupsQuestion baseline(String name) {
    return new CompareGroupsQuestion(label, groups, emptyGroups, name, settings, from);
  }

  /**
   * Returns a copy with a name, which the answer uses.
   *
   * @param name what is asked about
   * @return the question with that name
   */
  public CompareGroupsQuestion named(String name) {
    return new CompareGroupsQuestion(name, groups, emptyGroups, baseline, settings, from);
  }

  @Override
  public CompareGroupsQuestion settings(CompareSettings changed) {
    return new CompareGroupsQuestion(label, groups, emptyGroups, baseline, changed, from);
  }

  @Override
  public Answer ask() {
    return CompareAnalysis.answer(this);
  }

  @Override
  public Plots plots(Answer answer) {
    return Plots.of(IntervalPlot.class, () -> CompareGroupPlots.groups(this, answer));
  }
}
