package dev.tavik.study.rate;

import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.NotApplicableException;
import java.util.List;

/**
 * Which test the verdict on a rate rests on: the first of score, mid-p and exact that rejects a
 * true null hardly more often than alpha at this number of trials. The counts that were seen don't
 * matter to the choice.
 *
 * @param test the test
 * @param size the largest true size of it in any of the samples; NaN where that isn't computed
 */
record SizedTest(ProportionTest test, double size) {
  /** Factor by which a true size may exceed alpha. */
  static final double TOLERATED = 1.1;

  /**
   * Number of trials beyond which the size of the score test is practically alpha and isn't
   * computed.
   */
  static final long MOST_TRIALS = 100_000;

  private static final List<ProportionTest> IN_TURN =
      List.of(ProportionTest.SCORE, ProportionTest.MID_P, ProportionTest.EXACT);

  private static final List<ProportionTest> IN_TURN_BACK =
      List.of(ProportionTest.EXACT, ProportionTest.SCORE);

  /**
   * Chooses among the tests that are asked for; of the usual ones mid-p is one, too.
   *
   * @param samples one rate, or each of several that are judged alike
   */
  static SizedTest of(List<RateMethods> samples, RateSettings settings) {
    List<ProportionTest> asked = settings.tallyTests();
    for (ProportionTest test : IN_TURN) {
      if (asked.contains(test) || (settings.usualTests() && test == ProportionTest.MID_P)) {
        double size = size(samples, test);
        if (!(size > TOLERATED * settings.alpha())) {
          return new SizedTest(test, size);
        }
      }
    }
    for (ProportionTest last : asked.contains(ProportionTest.EXACT) ? IN_TURN_BACK : asked) {
      double size = asked.contains(last) ? size(samples, last) : Double.POSITIVE_INFINITY;
      if (Double.isFinite(size)) {
        return new SizedTest(last, size);
      }
    }
    return new SizedTest(asked.get(0), Double.NaN);
  }

  /** The largest size of a test in any of some samples; NaN where one isn't computed. */
  static double size(List<RateMethods> samples, ProportionTest test) {
    double largest = 0;
    for (RateMethods each : samples) {
      if (each.tally().trials() > MOST_TRIALS) {
        return Double.NaN;
      }
      try {
        largest = Math.max(largest, each.criticalCounts(test).size());
      } catch (NotApplicableException | IllegalArgumentException e) {
        // Mid-p has no form for a lot, and a null that is no whole number of units has no exact
        // one.
        return Double.POSITIVE_INFINITY;
      }
    }
    return largest;
  }

  boolean holds(double alpha) {
    return !(size > TOLERATED * alpha);
  }
}
