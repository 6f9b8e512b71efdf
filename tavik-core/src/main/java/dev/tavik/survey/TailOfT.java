package dev.tavik.survey;

import dev.tavik.result.Alternative;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.Statistic;
import dev.tavik.tail.Tail;

/** Student's t of a distance and its standard error. */
final class TailOfT {
  private TailOfT() {}

  /** A standard error of 0 says nothing: no statistic, p = 1. */
  static TestResult of(
      Method method, double distance, double error, double df, Alternative alternative) {
    if (!(error > 0)) {
      return TestResult.of(method, null, 0).withDf(df);
    }
    double t = distance / error;
    Tail tail = Tail.t(df);
    double ln =
        switch (alternative) {
          case LESS -> tail.logLower(t);
          case GREATER -> tail.logUpper(t);
          case TWO_SIDED -> tail.logBoth(t);
        };
    return TestResult.of(method, new Statistic("t", t), ln).withDf(df);
  }
}
