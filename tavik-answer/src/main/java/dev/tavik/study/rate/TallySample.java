package dev.tavik.study.rate;

import static dev.tavik.result.Figures.require;

import dev.tavik.answer.Answer;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.count.Tally;
import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Plots;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Tallies: one alone, or one for each of several groups.
 *
 * @param groups the tallies by group, in order; at least one
 * @param empty groups without any observation
 * @param alone whether there is one rate, without a group
 * @param sequence the outcomes in their order, of one rate alone; null for none
 */
record TallySample(
    Map<String, Tally> groups,
    List<String> empty,
    boolean alone,
    @Nullable OutcomeSequence sequence)
    implements RateSample {

  TallySample {
    require(!groups.isEmpty(), "groups must have at least one tally, got none");
    groups = Collections.unmodifiableMap(new LinkedHashMap<>(groups));
    empty = List.copyOf(empty);
  }

  static TallySample of(Tally tally, @Nullable OutcomeSequence sequence) {
    return new TallySample(
        Map.of("", Objects.requireNonNull(tally, "tally")), List.of(), true, sequence);
  }

  @Override
  public Optional<Tally> tally() {
    return alone ? Optional.of(groups.values().iterator().next()) : Optional.empty();
  }

  @Override
  public RateSettings complete(RateSettings settings) {
    if (!alone && settings.lot() != null) {
      throw new IllegalArgumentException(
          "lot is about one rate; several groups can't be drawn from one lot of known parts");
    }
    settings
        .choices()
        .requireAmong("a tally", ProportionTest.values(), ProportionInterval.values());
    return settings.orUsual(RateSettings.USUAL_TESTS, RateSettings.USUAL_INTERVALS);
  }

  @Override
  public Rates rates(RateQuestion question) {
    return new TallyRates(question, this);
  }

  @Override
  public Plots plots(RateQuestion question, Answer answer) {
    return alone
        ? new RatePlots(question, answer).all()
        : Plots.of(IntervalPlot.class, () -> RatesPlots.groups(question, answer));
  }
}
