package dev.tavik.study.compare;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.count.NamedTally;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Plots;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.TwoProportionTest;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Tallies of two groups or more.
 *
 * @param tallies the groups, in order; in a pair the earlier one is the first
 * @param empty groups without any observation
 * @param baseline the group that every other one is compared with, as the second; null for all
 *     pairs. Of two it is made the second, and no baseline is kept.
 */
record TallyGroups(List<NamedTally> tallies, List<String> empty, @Nullable String baseline)
    implements CompareSample {

  TallyGroups {
    require(
        tallies.size() >= 2 && tallies.size() <= CompareQuestion.MOST_GROUPS,
        "groups must be between 2 and %s here, got %s",
        CompareQuestion.MOST_GROUPS,
        tallies.size());
    DesignedGroups.requireAmong(baseline, tallies.stream().map(NamedTally::name).toList());
    boolean turned = tallies.size() == 2 && tallies.get(0).name().equals(baseline);
    tallies = turned ? List.of(tallies.get(1), tallies.get(0)) : List.copyOf(tallies);
    empty = List.copyOf(empty);
    baseline = tallies.size() == 2 ? null : baseline;
  }

  @Override
  public List<String> names() {
    return tallies.stream().map(NamedTally::name).toList();
  }

  @Override
  public CompareSample against(String name) {
    return new TallyGroups(tallies, empty, name);
  }

  @Override
  public CompareSample among(List<String> groups) {
    List<NamedTally> chosen = new ArrayList<>();
    for (String group : groups) {
      require(
          names().contains(group),
          "groups must be among %s, got '%s'",
          String.join(", ", names()),
          group);
      chosen.add(tallies.get(names().indexOf(group)));
    }
    return new TallyGroups(chosen, empty, baseline);
  }

  /** Whether there are too many groups to compare each with each. */
  boolean tooManyToPair() {
    return baseline == null && tallies.size() > CompareQuestion.MOST_PAIRED;
  }

  @Override
  public CompareSettings complete(CompareSettings settings) {
    settings
        .choices()
        .requireAmong("tallies", TwoProportionTest.values(), ComparisonInterval.values());
    return settings.orUsual(List.of(), CompareSettings.USUAL_INTERVALS);
  }

  @Override
  public PairsData pairs(CompareQuestion question) {
    return new TallyPairs(question, this);
  }

  @Override
  public Plots plots(CompareQuestion question, Answer answer) {
    return tallies.size() == 2
        ? new ComparePlots(question, answer).all()
        : Plots.of(IntervalPlot.class, () -> PairsPlots.groups(question, answer));
  }
}
