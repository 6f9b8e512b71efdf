package dev.tavik.survey;

import dev.tavik.numeric.Beta;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.Statistic;
import dev.tavik.tail.Tail;

/**
 * The binomial that stands for a designed sample, at its effective number of trials, which need not
 * be whole: its tails are those of beta distributions (Korn and Graubard 1998, "Confidence
 * Intervals for Proportions with Small Expected Number of Positive Counts Estimated from Survey
 * Data", Survey Methodology 24, 193-201).
 *
 * @param trials the effective number of trials
 * @param successes as many of them as the share says
 * @param failures the others
 */
record EffectiveBinomial(double trials, double successes, double failures) {
  static EffectiveBinomial of(DesignedProportion proportion, double tail) {
    double trials = proportion.binomialTrials(tail);
    return new EffectiveBinomial(
        trials, trials * proportion.value(), trials * proportion.complement());
  }

  TestResult test(Method method, Hypothesis hypothesis) {
    DecimalFraction against = DecimalFraction.of(hypothesis.against());
    double atMost = failures == 0 ? 0 : new Beta(successes + 1, failures).logUpper(against);
    double atLeast = successes == 0 ? 0 : new Beta(successes, failures + 1).logLower(against);
    double ln =
        switch (hypothesis.alternative()) {
          case LESS -> atMost;
          case GREATER -> atLeast;
          case TWO_SIDED -> Math.min(0, Math.log(2) + Math.min(atMost, atLeast));
        };
    return TestResult.of(method, new Statistic(Statistic.Kind.EFFECTIVE_N, trials), ln);
  }

  /** Both limits with a probability beyond each. */
  Ends limits(double tail) {
    return new Ends(
        successes == 0 ? 0 : Tail.beta(successes, failures + 1).limitBelow(tail),
        failures == 0 ? 1 : Tail.beta(successes + 1, failures).limitAbove(tail));
  }
}
