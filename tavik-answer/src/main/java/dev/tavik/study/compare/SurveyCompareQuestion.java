package dev.tavik.study.compare;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.count.SurveyCounts;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Plots;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.study.InferenceOptions;
import dev.tavik.study.InferenceSettings;
import dev.tavik.study.Provenance;
import dev.tavik.survey.SurveyComparisonInterval;
import dev.tavik.survey.SurveyComparisonTest;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Do the rates of two groups or more differ, and by how much, as a sample with weights, strata and
 * clusters tells? Differences are the first group minus the second; clusters may hold units of
 * both.
 *
 * @param label the analyst's name for the question, empty for none
 * @param counts what was counted: the outcome, then the groups
 * @param success the levels of the outcome that count as success
 * @param groups the groups, two or more, in order
 * @param baseline the group that every other one is compared with, as the second; null for all
 *     pairs
 * @param claim what is to be shown: null difference, direction, margin
 * @param choices alpha, level, tests and intervals
 * @param from where the counts came from; null when they were given
 */
public record SurveyCompareQuestion(
    String label,
    SurveyCounts counts,
    Set<String> success,
    List<String> groups,
    @Nullable String baseline,
    ComparisonClaim claim,
    InferenceOptions<SurveyComparisonTest, SurveyComparisonInterval> choices,
    @Nullable Provenance from)
    implements Question,
        InferenceSettings<SurveyCompareQuestion, SurveyComparisonTest, SurveyComparisonInterval> {

  /** Largest number of groups, which make 4,950 pairs. */
  public static final int MOST_GROUPS = 100;

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if there are fewer than two groups or more than {@value
   *     #MOST_GROUPS}, the baseline isn't among them, or a list is empty
   */
  public SurveyCompareQuestion {
    success = Set.copyOf(success);
    groups = List.copyOf(groups);
    require(!success.isEmpty(), "success must name at least one level, got none");
    require(
        counts.units().columns().size() == 2, "counts must have two columns: outcome and group");
    require(
        groups.size() >= 2 && groups.size() <= MOST_GROUPS,
        "groups must be between 2 and %s here, got %s",
        MOST_GROUPS,
        groups.size());
    require(
        baseline == null || groups.contains(baseline),
        "baseline must be one of %s, got '%s'",
        String.join(", ", groups),
        baseline);
    claim.requireAlpha(choices.alpha());
    require(!choices.tests().isEmpty(), "tests must name at least one method, got none");
    require(!choices.intervals().isEmpty(), "intervals must name at least one method, got none");
  }

  /**
   * Asks with the usual methods: no difference, two-sided, alpha 0.05.
   *
   * @param counts what was counted: the outcome, then the groups
   * @param success the levels of the outcome that count as success
   * @return the question
   * @throws IllegalArgumentException as the constructor says
   */
  public static SurveyCompareQuestion of(SurveyCounts counts, String... success) {
    return new SurveyCompareQuestion(
        "",
        counts,
        Set.of(success),
        counts.units().levels(1),
        null,
        ComparisonClaim.NO_DIFFERENCE,
        InferenceOptions.of(
            List.of(SurveyComparisonTest.T_DIFFERENCE), List.of(SurveyComparisonInterval.values())),
        null);
  }

  /**
   * {@return the same question with a name, used in the answer}
   *
   * @param name the name
   */
  public SurveyCompareQuestion named(String name) {
    return new SurveyCompareQuestion(name, counts, success, groups, baseline, claim, choices, from);
  }

  /**
   * {@return the same question of these groups, in this order}
   *
   * @param names the names, in order
   */
  public SurveyCompareQuestion groups(String... names) {
    return new SurveyCompareQuestion(
        label, counts, success, List.of(names), baseline, claim, choices, from);
  }

  /**
   * {@return the same question, every group against one}
   *
   * @param name the name
   */
  public SurveyCompareQuestion baseline(String name) {
    return new SurveyCompareQuestion(label, counts, success, groups, name, claim, choices, from);
  }

  /**
   * {@return the same question about something else that is to be shown}
   *
   * @param other what takes its place
   */
  public SurveyCompareQuestion claiming(ComparisonClaim other) {
    return new SurveyCompareQuestion(
        label, counts, success, groups, baseline, other, choices, from);
  }

  /**
   * {@return the same question with a note of where the counts came from}
   *
   * @param source where the counts come from
   */
  public SurveyCompareQuestion countedFrom(Provenance source) {
    return new SurveyCompareQuestion(
        label, counts, success, groups, baseline, claim, choices, source);
  }

  @Override
  public double matchingLevel() {
    return DecimalFraction.complement(claim.tested().size() * alpha());
  }

  @Override
  public SurveyCompareQuestion choices(
      InferenceOptions<SurveyComparisonTest, SurveyComparisonInterval> changed) {
    return new SurveyCompareQuestion(
        label, counts, success, groups, baseline, claim, changed, from);
  }

  @Override
  public Answer ask() {
    return new SurveyCompareAnalysis(this).answer();
  }

  @Override
  public Plots plots(Answer answer) {
    return Plots.of(IntervalPlot.class, () -> CompareGroupPlots.designed(this, answer));
  }
}
