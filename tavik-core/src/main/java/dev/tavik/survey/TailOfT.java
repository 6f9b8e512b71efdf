package dev.tavik.survey;

import dev.tavik.result.Alternative;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.Statistic;
import dev.tavik.tail.Tail;

/** Student's t of a distance and its standard error. */
final class TailOfT {
  private TailOfT() {}

  /**
   * The test.
   *
   * @throws NotApplicableException if the standard error is 0 or has no value: that is no
   *     certainty, and has no statistic
   */
  static TestResult of(
      Method method, double distance, double error, double df, Alternative alternative) {
    if (!(error > 0 && Double.isFinite(error))) {
      throw new NotApplicableException(
          error == 0 ? NotApplicableReason.NO_VARIANCE : NotApplicableReason.RATE_WITHOUT_WEIGHT);
    }
    double t = distance / error;
    Tail tail = Tail.t(df);
    double ln =
        switch (alternative) {
          case LESS -> tail.logLower(t);
          case GREATER -> tail.logUpper(t);
          case TWO_SIDED -> tail.logBoth(t);
        };
    return TestResult.of(method, new Statistic(Statistic.Kind.T, t), ln).withDf(df);
  }
}
