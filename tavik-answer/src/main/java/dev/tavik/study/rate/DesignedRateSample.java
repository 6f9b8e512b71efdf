package dev.tavik.study.rate;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.count.SurveyCounts;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Plots;
import dev.tavik.study.parts.DesignedSettings;
import dev.tavik.survey.SurveyInterval;
import dev.tavik.survey.SurveyTest;
import java.util.List;
import java.util.Set;

/**
 * A sample with weights, strata and clusters.
 *
 * @param counts what was counted: the outcome, and a second column where there are groups
 * @param success the levels of the outcome that count as success
 */
record DesignedRateSample(SurveyCounts counts, Set<String> success) implements RateSample {

  DesignedRateSample {
    success = Set.copyOf(success);
    int columns = counts.units().columns().size();
    require(columns == 1 || columns == 2, "counts must have one or two columns, got %s", columns);
    require(!success.isEmpty(), "success must name at least one level, got none");
  }

  boolean alone() {
    return counts.units().columns().size() == 1;
  }

  @Override
  public RateSettings complete(RateSettings settings) {
    require(
        settings.lot() == null,
        "lot is part of the design of a sample; give the size of the population there");
    DesignedSettings.requireFitting(
        settings, settings.bayes(), SurveyTest.values(), SurveyInterval.values());
    return settings.orUsual(
        List.of(SurveyTest.T_LOGIT, SurveyTest.T),
        List.of(SurveyInterval.LOGIT, SurveyInterval.WALD, SurveyInterval.KORN_GRAUBARD));
  }

  @Override
  public Rates rates(RateQuestion question) {
    return DesignedRates.of(question, this);
  }

  @Override
  public Plots plots(RateQuestion question, Answer answer) {
    return Plots.of(IntervalPlot.class, () -> RatesPlots.designed(question, answer));
  }
}
