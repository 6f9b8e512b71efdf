package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Bisection;
import dev.tavik.numeric.Hypergeometric;

/**
 * Clopper and Pearson's interval for a sample without replacement (Wright 1991, Exact Confidence
 * Bounds when Sampling from Small Finite Universes): the numbers of successes in the lot that
 * neither one-sided hypergeometric test rejects, over the size of the lot. A tail changes in one
 * direction with that number, so both ends are found by bisection, and are exact.
 */
final class HypergeometricInterval {
  private HypergeometricInterval() {}

  static Limits of(Tally sample, long lot, double tail) {
    double logTail = Math.log(tail);
    long x = sample.successes();
    long n = sample.trials();
    long fewest = x;
    long most = lot - sample.failures();
    long lower =
        Bisection.first(fewest, most, k -> new Hypergeometric(lot, k, n).logUpper(x) > logTail);
    long upper =
        Bisection.last(fewest, most, k -> new Hypergeometric(lot, k, n).logLower(x) > logTail);
    return new Limits((double) lower / lot, (double) upper / lot);
  }
}
