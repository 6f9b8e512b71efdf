package dev.tavik.study.compare;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.count.SurveyCounts;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Plots;
import dev.tavik.study.parts.DesignedSettings;
import dev.tavik.survey.SurveyComparisonInterval;
import dev.tavik.survey.SurveyComparisonTest;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Groups of a sample with weights, strata and clusters; clusters may hold units of several groups.
 *
 * @param counts what was counted: the outcome, then the groups
 * @param success the levels of the outcome that count as success
 * @param names the groups, in order
 * @param baseline the group that every other one is compared with, as the second; null for all
 *     pairs. Of two it is made the second, and no baseline is kept.
 */
record DesignedGroups(
    SurveyCounts counts, Set<String> success, List<String> names, @Nullable String baseline)
    implements CompareSample {

  DesignedGroups {
    success = Set.copyOf(success);
    require(!success.isEmpty(), "success must name at least one level, got none");
    require(
        counts.units().columns().size() == 2, "counts must have two columns: outcome and group");
    require(
        names.size() >= 2 && names.size() <= CompareQuestion.MOST_PAIRED,
        "groups must be between 2 and %s here, got %s",
        CompareQuestion.MOST_PAIRED,
        names.size());
    requireAmong(baseline, names);
    boolean turned = names.size() == 2 && names.get(0).equals(baseline);
    names = turned ? List.of(names.get(1), names.get(0)) : List.copyOf(names);
    baseline = names.size() == 2 ? null : baseline;
  }

  static void requireAmong(@Nullable String baseline, List<String> names) {
    require(
        baseline == null || names.contains(baseline),
        "baseline must be one of %s, got '%s'",
        String.join(", ", names),
        baseline);
  }

  @Override
  public CompareSample against(String name) {
    return new DesignedGroups(counts, success, names, name);
  }

  @Override
  public CompareSample among(List<String> groups) {
    return new DesignedGroups(counts, success, groups, baseline);
  }

  @Override
  public CompareSettings complete(CompareSettings settings) {
    DesignedSettings.requireFitting(
        settings,
        settings.bayes(),
        SurveyComparisonTest.values(),
        SurveyComparisonInterval.values());
    return settings.orUsual(
        List.of(SurveyComparisonTest.T_DIFFERENCE), List.of(SurveyComparisonInterval.values()));
  }

  @Override
  public PairsData pairs(CompareQuestion question) {
    return DesignedPairs.of(question, this);
  }

  @Override
  public Plots plots(CompareQuestion question, Answer answer) {
    return Plots.of(IntervalPlot.class, () -> PairsPlots.designed(question, answer));
  }
}
