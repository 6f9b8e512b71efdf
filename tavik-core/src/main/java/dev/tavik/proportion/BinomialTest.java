package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.LogSpace;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.TestResult;

/**
 * The binomial test; two-sided, outcomes are ordered by their probability (Sterne 1954, "Some
 * remarks on confidence or fiducial limits", Biometrika 41, 275-278).
 *
 * <p>Probabilities fall on both sides of the mode, so the outcomes no more probable than the
 * observed one are two tails, whose ends are found by bisection. Both tails are summed; neither is
 * one minus the rest.
 */
final class BinomialTest {
  /** Probabilities that differ by less, relatively, are tied: rounding must not decide. */
  private static final double LN_TIE = Math.log1p(1e-7);

  private BinomialTest() {}

  static TestResult of(String method, Tally tally, Hypothesis hypothesis) {
    Binomial underNull = new Binomial(tally.trials(), DecimalFraction.of(hypothesis.against()));
    long x = tally.successes();
    double lnPValue =
        switch (hypothesis.alternative()) {
          case LESS -> underNull.logLower(x);
          case GREATER -> underNull.logUpper(x);
          case TWO_SIDED -> logNoMoreProbable(underNull, x);
        };
    return TestResult.of(method, new TestResult.Statistic("successes", x), lnPValue);
  }

  private static double logNoMoreProbable(Binomial underNull, long x) {
    double limit = underNull.logMass(x) + LN_TIE;
    if (underNull.logMass(underNull.mode()) <= limit) {
      return 0;
    }
    return LogSpace.add(
        underNull.logLower(underNull.lastBelowModeAtMost(limit)),
        underNull.logUpper(underNull.firstAboveModeAtMost(limit)));
  }
}
