package dev.tavik.study.shares;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.association.Shares;
import dev.tavik.count.SurveyCounts;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Plots;
import dev.tavik.study.InferenceOptions;
import dev.tavik.study.InferenceSettings;
import dev.tavik.study.Provenance;
import dev.tavik.survey.SurveyInterval;
import dev.tavik.survey.SurveyTableTest;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Do the shares of several categories follow claimed ones, as a sample with weights, strata and
 * clusters tells?
 *
 * @param label the analyst's name for the question, empty for none
 * @param counts what was counted: one column
 * @param levels the categories, two or more; one that never occurs has a share of 0
 * @param claimed one share a category
 * @param choices alpha, level, tests and intervals
 * @param from where the counts came from; null when they were given
 */
public record SurveySharesQuestion(
    String label,
    SurveyCounts counts,
    List<String> levels,
    Shares claimed,
    InferenceOptions<SurveyTableTest, SurveyInterval> choices,
    @Nullable Provenance from)
    implements Question, InferenceSettings<SurveySharesQuestion, SurveyTableTest, SurveyInterval> {

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if there isn't one share a category, fewer than two of them,
   *     or a list is empty
   */
  public SurveySharesQuestion {
    levels = List.copyOf(levels);
    require(levels.size() >= 2, "shares need two categories or more, got %s", levels.size());
    require(
        claimed.size() == levels.size(),
        "there must be one share for each of the %d categories (%s), got %d",
        levels.size(),
        String.join(", ", levels),
        claimed.size());
    require(!choices.tests().isEmpty(), "tests must name at least one method, got none");
    require(!choices.intervals().isEmpty(), "intervals must name at least one method, got none");
  }

  /**
   * Asks with the usual methods: alpha 0.05, Rao and Scott's test, logit intervals.
   *
   * @param counts what was counted: one column
   * @param claimed one share for each of its levels
   * @return the question
   * @throws IllegalArgumentException if there isn't one share a level
   */
  public static SurveySharesQuestion of(SurveyCounts counts, Shares claimed) {
    return new SurveySharesQuestion(
        "",
        counts,
        counts.units().levels(0),
        claimed,
        InferenceOptions.of(
            List.of(SurveyTableTest.RAO_SCOTT, SurveyTableTest.WALD_F),
            List.of(SurveyInterval.LOGIT)),
        null);
  }

  /**
   * {@return the same question with a name, used in the answer}
   *
   * @param name the name
   */
  public SurveySharesQuestion named(String name) {
    return new SurveySharesQuestion(name, counts, levels, claimed, choices, from);
  }

  @Override
  public SurveySharesQuestion choices(InferenceOptions<SurveyTableTest, SurveyInterval> changed) {
    return new SurveySharesQuestion(label, counts, levels, claimed, changed, from);
  }

  @Override
  public Answer ask() {
    return new SurveySharesAnalysis(this).answer();
  }

  @Override
  public Plots plots(Answer answer) {
    return Plots.of(IntervalPlot.class, () -> SharesPlots.designed(this, answer));
  }
}
