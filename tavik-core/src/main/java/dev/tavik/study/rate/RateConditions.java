package dev.tavik.study.rate;

import dev.tavik.answer.Condition;
import dev.tavik.phrase.Assumptions;
import java.util.ArrayList;
import java.util.List;

/** The assumptions of the methods for one rate. */
final class RateConditions {
  private RateConditions() {}

  static List<Condition> of(RateFound found) {
    List<Condition> conditions =
        new ArrayList<>(
            NormalApproximation.of(found.tally(), found.settings().hypothesis()).conditions());
    Long lot = found.settings().lot();
    conditions.add(lot == null ? Assumptions.independentTrials() : Assumptions.drawnFrom(lot));
    if (!Double.isNaN(found.chosen().size())) {
      conditions.add(size(found));
    }
    return conditions;
  }

  /** How often the test of the verdict rejects where the null is true. */
  private static Condition size(RateFound found) {
    double alpha = found.settings().alpha();
    return Assumptions.trueSize(
        found.chosen().test(),
        found.chosen().size(),
        found.tally().trials(),
        alpha,
        found.chosen().holds(alpha));
  }
}
