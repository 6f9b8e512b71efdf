package dev.tavik.study.compare;

import dev.tavik.answer.Answer;
import dev.tavik.count.NamedTally;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tally;
import dev.tavik.plot.Plots;
import dev.tavik.result.Alternative;
import dev.tavik.result.Method;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.InferenceQuestion;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Do two independent proportions differ, and by how much; or of several, which from which? It is
 * asked of tallies, or of groups of a sample with weights, strata and clusters, which may hold
 * units of several groups.
 *
 * <p>All results of a pair compare the first with the second. Of more than two groups, all are
 * first tested together, then every pair (of up to {@value #MOST_PAIRED} groups), or every group
 * against a baseline, with p-values adjusted by Holm's method for the number of pairs.
 *
 * <p>The tests and intervals of tallies are {@link dev.tavik.proportion.TwoProportionTest} and
 * {@link dev.tavik.proportion.ComparisonInterval}; those of a designed sample {@link
 * dev.tavik.survey.SurveyComparisonTest} and {@link dev.tavik.survey.SurveyComparisonInterval}.
 */
public final class CompareQuestion
    extends InferenceQuestion<CompareQuestion, CompareSettings, Method, Method> {
  /** The largest number of tallies. */
  public static final int MOST_GROUPS = 1000;

  /**
   * Largest number of groups for all pairs, 4,950; with more tallies and no baseline only the
   * overall test is made. It is the largest number of groups of a designed sample.
   */
  public static final int MOST_PAIRED = 100;

  private final CompareSample sample;

  private CompareQuestion(Frame<CompareSettings> frame, CompareSample sample) {
    super(frame.with(sample.complete(frame.settings())), sample);
    this.sample = sample;
  }

  /**
   * Creates a question with the default settings, as {@link CompareSettings#usual} says; the groups
   * are called First and Second.
   *
   * @param first the first group's successes and trials
   * @param second the second group's
   * @return the question
   */
  public static CompareQuestion of(Tally first, Tally second) {
    return of(new NamedTally("First", first), new NamedTally("Second", second));
  }

  /**
   * {@return a question about groups that have names, with the usual settings}
   *
   * @param first the group that the other is taken from
   * @param second the other
   * @param others more groups, if there are
   */
  public static CompareQuestion of(NamedTally first, NamedTally second, NamedTally... others) {
    List<NamedTally> groups = new ArrayList<>(List.of(first, second));
    groups.addAll(List.of(others));
    return of(groups, CompareSettings.usual());
  }

  /**
   * Creates a question about groups.
   *
   * @param groups the groups, at least two, at most {@value #MOST_GROUPS}, in order
   * @param settings the settings
   * @return the question
   * @throws IllegalArgumentException if there are fewer or more groups, or a method isn't for
   *     tallies
   */
  public static CompareQuestion of(List<NamedTally> groups, CompareSettings settings) {
    return new CompareQuestion(Frame.of(settings), new TallyGroups(groups, List.of(), null));
  }

  /**
   * Creates a question about all groups of a designed sample: no difference, two-sided, alpha 0.05.
   *
   * @param counts what was counted: the outcome, then the groups
   * @param success the levels of the outcome that count as success
   * @return the question
   * @throws IllegalArgumentException as the form with settings says
   */
  public static CompareQuestion of(SurveyCounts counts, String... success) {
    return of(counts, CompareSettings.usual(), Set.of(success));
  }

  /**
   * Creates a question about all groups of a designed sample, with given settings.
   *
   * @param counts what was counted: the outcome, then the groups
   * @param settings the settings, without a Bayesian view
   * @param success the levels of the outcome that count as success
   * @return the question
   * @throws IllegalArgumentException if there are fewer than two groups or more than {@value
   *     #MOST_PAIRED}, no level is a success, or a setting isn't for a designed sample
   */
  public static CompareQuestion of(
      SurveyCounts counts, CompareSettings settings, Set<String> success) {
    return new CompareQuestion(
        Frame.of(settings), new DesignedGroups(counts, success, counts.units().levels(1), null));
  }

  /** {@return the tallies in order, of two a baseline last; none of a designed sample} */
  public List<NamedTally> tallies() {
    return sample.tallies();
  }

  /**
   * {@return the first of the tallies}
   *
   * @throws IllegalStateException for a designed sample
   */
  public NamedTally first() {
    return tally(0);
  }

  /**
   * {@return the second of the tallies}
   *
   * @throws IllegalStateException for a designed sample
   */
  public NamedTally second() {
    return tally(1);
  }

  private NamedTally tally(int position) {
    if (tallies().isEmpty()) {
      throw new IllegalStateException("a designed sample has no tallies");
    }
    return tallies().get(position);
  }

  /**
   * Returns a copy with names for two tallies.
   *
   * @param firstName such as {@code North kiln}
   * @param secondName such as {@code South kiln}
   * @return the question
   * @throws IllegalArgumentException if it isn't about two tallies
   */
  public CompareQuestion groups(String firstName, String secondName) {
    if (tallies().size() != 2) {
      throw new IllegalArgumentException("only a question about two tallies takes two names");
    }
    List<NamedTally> renamed =
        List.of(
            new NamedTally(firstName, first().tally()),
            new NamedTally(secondName, second().tally()));
    return new CompareQuestion(frame(), new TallyGroups(renamed, List.of(), null));
  }

  /**
   * Returns a copy about some of the groups, in a given order.
   *
   * @param groups their names, at least two
   * @return the question
   * @throws IllegalArgumentException if there are fewer, or no such group
   */
  public CompareQuestion among(String... groups) {
    return new CompareQuestion(frame(), sample.among(List.of(groups)));
  }

  /**
   * Returns a copy that compares every other group with one, which is then the second of a pair.
   *
   * @param name the baseline's name
   * @return the question
   * @throws IllegalArgumentException if no group has that name
   */
  public CompareQuestion baseline(String name) {
    return new CompareQuestion(frame(), sample.against(name));
  }

  /**
   * Returns a copy that names groups without any observation, which the answer tells.
   *
   * @param names the groups
   * @return the question
   * @throws IllegalArgumentException if it isn't about tallies
   */
  public CompareQuestion withEmptyGroups(List<String> names) {
    return new CompareQuestion(frame(), new TallyGroups(tallies(), names, sample.baseline()));
  }

  /**
   * Returns a copy with another alternative.
   *
   * @param alternative the direction, of the first group against the second
   * @return the question
   */
  public CompareQuestion alternative(Alternative alternative) {
    return settings(settings().alternative(alternative));
  }

  /**
   * Returns a copy with another null difference.
   *
   * @param difference the null value of first minus second, strictly between -1 and 1
   * @return the question
   * @throws IllegalArgumentException if not -1 &lt; difference &lt; 1
   */
  public CompareQuestion against(double difference) {
    return settings(settings().against(difference));
  }

  /**
   * Returns a copy with a margin that a significant difference is compared with.
   *
   * @param margin the largest difference without practical meaning, strictly between 0 and 1
   * @return the question
   * @throws IllegalArgumentException if not 0 &lt; margin &lt; 1
   */
  public CompareQuestion margin(double margin) {
    return settings(settings().margin(margin));
  }

  /**
   * Returns a copy that is to show that the first group isn't worse than the second by a margin or
   * more.
   *
   * @param margin the margin, strictly between 0 and 1
   * @param alternative greater where a high rate is good, less where a low one is
   * @return the question
   * @throws IllegalArgumentException if not 0 &lt; margin &lt; 1, or the alternative has no
   *     direction
   */
  public CompareQuestion noninferior(double margin, Alternative alternative) {
    return settings(settings().noninferior(margin, alternative));
  }

  /**
   * Returns a copy that is to show that both groups are within a margin of one another.
   *
   * @param margin the margin, strictly between 0 and 1
   * @return the question
   * @throws IllegalArgumentException if not 0 &lt; margin &lt; 1
   */
  public CompareQuestion equivalent(double margin) {
    return settings(settings().equivalent(margin));
  }

  /**
   * Returns a copy with the Bayesian view.
   *
   * @param view the prior and the region of the difference
   * @return the question
   * @throws IllegalArgumentException if there is another null difference than 0, or a designed
   *     sample
   */
  public CompareQuestion bayes(BayesSettings view) {
    return settings(settings().bayes(view));
  }

  @Override
  protected CompareQuestion with(Frame<CompareSettings> changed) {
    return new CompareQuestion(changed, sample);
  }

  /**
   * Answers the question.
   *
   * @return the answer
   * @throws IllegalArgumentException if every test asked for declines
   */
  @Override
  public Answer ask() {
    return new CompareAnalysis(new CompareAsked(this), sample.pairs(this)).answer();
  }

  /** {@return which is taken from which, in words; for two groups} */
  public String order() {
    return sample.names().get(0) + " minus " + sample.names().get(1);
  }

  @Override
  public Plots plots(Answer answer) {
    return sample.plots(this, answer);
  }
}
