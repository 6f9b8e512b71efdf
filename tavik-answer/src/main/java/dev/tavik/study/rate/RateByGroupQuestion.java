package dev.tavik.study.rate;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.count.Tally;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Plots;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.study.InferenceQuestion;
import dev.tavik.study.Provenance;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Is the proportion of each of several groups different from the same value? Every group gets an
 * answer of its own, and p-values adjusted by Holm's method for the number of groups.
 *
 * @param label the analyst's name for the rate, empty for none
 * @param groups a tally for each group that has observations, in order; at least one
 * @param emptyGroups groups without any observation
 * @param settings against which value, how strictly, by which methods
 * @param from where the counts came from; null when they were given as counts
 */
public record RateByGroupQuestion(
    String label,
    Map<String, Tally> groups,
    List<String> emptyGroups,
    RateSettings settings,
    @Nullable Provenance from)
    implements InferenceQuestion<
        RateByGroupQuestion, RateSettings, ProportionTest, ProportionInterval> {

  /**
   * Copies the parts.
   *
   * @throws IllegalArgumentException if there is no group, or a lot is given: each group would need
   *     its own
   */
  public RateByGroupQuestion {
    require(!groups.isEmpty(), "groups must have at least one tally, got none");
    if (settings.lot() != null) {
      throw new IllegalArgumentException(
          "lot is about one rate; several groups can't be drawn from one lot of known parts");
    }
    groups = Collections.unmodifiableMap(new LinkedHashMap<>(groups));
    emptyGroups = List.copyOf(emptyGroups);
  }

  /**
   * Creates a question about several groups.
   *
   * @param groups a tally for each group, in the order in which answers are wanted
   * @param settings the settings
   * @return the question
   * @throws IllegalArgumentException if there is no group
   */
  public static RateByGroupQuestion of(Map<String, Tally> groups, RateSettings settings) {
    return new RateByGroupQuestion("", groups, List.of(), settings, null);
  }

  /**
   * Returns a copy with a name for the rate.
   *
   * @param name the analyst's name for it
   * @return the question
   */
  public RateByGroupQuestion named(String name) {
    return new RateByGroupQuestion(name, groups, emptyGroups, settings, from);
  }

  @Override
  public RateByGroupQuestion settings(RateSettings changed) {
    return new RateByGroupQuestion(label, groups, emptyGroups, changed, from);
  }

  @Override
  public Answer ask() {
    return new RateByGroupAnalysis(this).answer();
  }

  @Override
  public Plots plots(Answer answer) {
    return Plots.of(IntervalPlot.class, () -> RateGroupPlots.groups(this, answer));
  }
}
