package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Condition;
import dev.tavik.result.Figures;
import java.util.ArrayList;
import java.util.List;

/** What the methods for one rate take for granted. */
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
    List<Condition> conditions = new ArrayList<>();
    if (Double.isNaN(found.chosen().size())) {
      conditions.addAll(
          NormalApproximation.of(found.tally(), found.settings().hypothesis()).conditions());
    } else {
      conditions.add(size(found));
    }
    Long lot = found.settings().lot();
    conditions.add(lot == null ? INDEPENDENCE : drawnFrom(lot));
    return conditions;
  }

  /** How often the test rejects where the null is true. */
  private static Condition size(RateFound found) {
    double alpha = found.settings().alpha();
    boolean holds = found.chosen().holds(alpha);
    NormalApproximation expected =
        NormalApproximation.of(found.tally(), found.settings().hypothesis());
    return new Condition(
        "true size",
        holds ? Condition.State.MET : Condition.State.NOT_MET,
        say(
            "of %s the null expects %s; where it is true, the %s test rejects it in"
                + " %s of such samples%s",
            Figures.counted(Figures.count(found.tally().trials()), "trial", "trials"),
            expected.both(),
            found.chosen().test().id(),
            Figures.percent(found.chosen().size()),
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
