package dev.tavik.proportion;

import static dev.tavik.proportion.LimitSearch.at;

import dev.tavik.count.Tally;

/**
 * The interval of Clopper and Pearson (1934, "The use of confidence or fiducial limits illustrated
 * in the case of the binomial", Biometrika 26, 404-413).
 *
 * <p>The lower limit solves P(X ≥ x) = tail, the upper P(X ≤ x) = tail. At x = 0 and x = n the
 * solution is a root of the tail itself.
 */
final class ClopperPearsonInterval {
  private ClopperPearsonInterval() {}

  static Limits of(Tally tally, double tail) {
    return new Limits(lower(tally, tail), upper(tally, tail));
  }

  static double lower(Tally tally, double tail) {
    long x = tally.successes();
    double lnTail = Math.log(tail);
    if (x == 0) {
      return 0;
    }
    if (tally.failures() == 0) {
      return Math.exp(lnTail / x);
    }
    double guess = WilsonInterval.of(tally, tail).lower();
    return LimitSearch.root(p -> at(tally, p).logUpper(x) - lnTail, guess, tally);
  }

  static double upper(Tally tally, double tail) {
    long x = tally.successes();
    double lnTail = Math.log(tail);
    if (tally.failures() == 0) {
      return 1;
    }
    if (x == 0) {
      return -Math.expm1(lnTail / tally.trials());
    }
    double guess = WilsonInterval.of(tally, tail).upper();
    return LimitSearch.root(p -> lnTail - at(tally, p).logLower(x), guess, tally);
  }
}
