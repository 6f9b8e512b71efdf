package dev.tavik.study.parts;

import static dev.tavik.result.Figures.require;

import dev.tavik.result.Method;
import dev.tavik.study.InferenceSettings;
import dev.tavik.survey.SurveyInterval;
import dev.tavik.survey.SurveyTableTest;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the settings of a question may ask of a designed sample. */
public final class DesignedSettings {
  private DesignedSettings() {}

  /**
   * Refuses the Bayesian view and methods of other families.
   *
   * @param view the Bayesian view; null for none
   */
  public static void requireFitting(
      InferenceSettings<?, ?, ?> settings,
      @Nullable Object view,
      Method[] tests,
      Method[] intervals) {
    require(
        view == null,
        "a Bayes factor needs a likelihood, which weights and clusters don't give; leave the"
            + " Bayesian view out");
    settings.choices().requireAmong("a designed sample", tests, intervals);
  }

  /** The settings of a question about a table, with the usual methods where none was chosen. */
  public static <S extends InferenceSettings<S, Method, Method>> S ofTable(
      S settings, @Nullable Object view) {
    requireFitting(settings, view, SurveyTableTest.values(), SurveyInterval.values());
    return settings.orUsual(
        List.of(SurveyTableTest.RAO_SCOTT, SurveyTableTest.WALD_F), List.of(SurveyInterval.LOGIT));
  }
}
