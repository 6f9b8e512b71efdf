package dev.tavik.study.rate;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Question;
import dev.tavik.count.SurveyCounts;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Plots;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Proportion;
import dev.tavik.study.InferenceOptions;
import dev.tavik.study.InferenceSettings;
import dev.tavik.study.Provenance;
import dev.tavik.survey.SurveyInterval;
import dev.tavik.survey.SurveyTest;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Is a rate different from a value, as a sample with weights, strata and clusters tells? Of several
 * groups each is held against it, with p-values adjusted by Holm's method.
 *
 * @param label the analyst's name for the rate, empty for none
 * @param counts what was counted: the outcome, and a second column where there are groups
 * @param success the levels of the outcome that count as success
 * @param hypothesis the null value, strictly between 0 and 1, and the direction
 * @param choices alpha, level, tests and intervals
 * @param from where the counts came from; null when they were given
 */
public record SurveyRateQuestion(
    String label,
    SurveyCounts counts,
    Set<String> success,
    Hypothesis hypothesis,
    InferenceOptions<SurveyTest, SurveyInterval> choices,
    @Nullable Provenance from)
    implements Question, InferenceSettings<SurveyRateQuestion, SurveyTest, SurveyInterval> {

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if the null value is not strictly between 0 and 1, no level is
   *     a success, a list is empty, or there are more than two columns
   */
  public SurveyRateQuestion {
    success = Set.copyOf(success);
    Proportion.require("against", hypothesis.against());
    int columns = counts.units().columns().size();
    require(columns == 1 || columns == 2, "counts must have one or two columns, got %s", columns);
    require(!success.isEmpty(), "success must name at least one level, got none");
    require(!choices.tests().isEmpty(), "tests must name at least one method, got none");
    require(!choices.intervals().isEmpty(), "intervals must name at least one method, got none");
  }

  /**
   * Asks with the usual methods: two-sided, alpha 0.05, t test on the logit and logit interval,
   * with Korn and Graubard's beside.
   *
   * @param counts what was counted: the outcome, and a second column where there are groups
   * @param against the null value, strictly between 0 and 1
   * @param success the levels of the outcome that count as success
   * @return the question
   * @throws IllegalArgumentException as the constructor says
   */
  public static SurveyRateQuestion of(SurveyCounts counts, double against, String... success) {
    return new SurveyRateQuestion(
        "",
        counts,
        Set.of(success),
        Hypothesis.twoSided(against),
        InferenceOptions.of(
            List.of(SurveyTest.T_LOGIT, SurveyTest.T),
            List.of(SurveyInterval.LOGIT, SurveyInterval.WALD, SurveyInterval.KORN_GRAUBARD)),
        null);
  }

  /**
   * {@return the same question with a name, used in the answer}
   *
   * @param name the name
   */
  public SurveyRateQuestion named(String name) {
    return new SurveyRateQuestion(name, counts, success, hypothesis, choices, from);
  }

  /**
   * {@return the same question in another direction}
   *
   * @param alternative the direction in which the null is doubted
   */
  public SurveyRateQuestion alternative(Alternative alternative) {
    Hypothesis changed = new Hypothesis(hypothesis.against(), alternative);
    return new SurveyRateQuestion(label, counts, success, changed, choices, from);
  }

  /**
   * {@return the same question with a note of where the counts came from}
   *
   * @param source where the counts come from
   */
  public SurveyRateQuestion countedFrom(Provenance source) {
    return new SurveyRateQuestion(label, counts, success, hypothesis, choices, source);
  }

  @Override
  public SurveyRateQuestion choices(InferenceOptions<SurveyTest, SurveyInterval> changed) {
    return new SurveyRateQuestion(label, counts, success, hypothesis, changed, from);
  }

  /** Whether each group has a rate of its own. */
  boolean hasGroups() {
    return counts.units().columns().size() > 1;
  }

  @Override
  public Answer ask() {
    return new SurveyRateAnalysis(this).answer();
  }

  @Override
  public Plots plots(Answer answer) {
    return Plots.of(IntervalPlot.class, () -> RateGroupPlots.designed(this, answer));
  }
}
