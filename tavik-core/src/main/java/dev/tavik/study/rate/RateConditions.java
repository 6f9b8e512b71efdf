package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Condition;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.List;

/** The assumptions of the methods for one rate. */
final class RateConditions {
  private static final Condition INDEPENDENCE =
      new Condition(
          "independent trials",
          Condition.State.NOT_IN_THE_DATA,
          "each trial is drawn on its own, with the same chance. Units from one batch, shift or"
              + " person are often alike; then p-values come out too small and intervals too narrow."
              + " Counts can't show this: you have to know how they were collected");

  private RateConditions() {}

  static List<Condition> of(RateFound found) {
    List<Condition> conditions =
        new ArrayList<>(
            NormalApproximation.of(found.tally(), found.settings().hypothesis()).conditions());
    Long lot = found.settings().lot();
    conditions.add(lot == null ? INDEPENDENCE : drawnFrom(lot));
    if (!Double.isNaN(found.chosen().size())) {
      conditions.add(size(found));
    }
    return conditions;
  }

  /** How often the test of the verdict rejects where the null is true. */
  private static Condition size(RateFound found) {
    double alpha = found.settings().alpha();
    boolean holds = found.chosen().holds(alpha);
    return new Condition(
        "true size",
        holds ? Condition.State.MET : Condition.State.NOT_MET,
        say(
            "where the null is true, the %s test rejects it in %s of samples of %s%s",
            found.chosen().test().id(),
            Figures.percent(found.chosen().size()),
            Figures.counted(Figures.count(found.tally().trials()), "trial", "trials"),
            holds ? "" : say("; alpha is %s", Figures.plain(alpha))));
  }

  private static Condition drawnFrom(long lot) {
    return new Condition(
        "random sample",
        Condition.State.NOT_IN_THE_DATA,
        say(
            "the units were drawn at random and without replacement from all %s of the lot. Units"
                + " picked because they were at hand, or from one pallet, can mislead at any size",
            Figures.count(lot)));
  }
}
