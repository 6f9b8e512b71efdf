package dev.tavik.numeric;

/**
 * A distribution over whole counts that rises to a mode and falls from it, its probabilities as
 * natural logarithms.
 */
public interface CountDistribution {
  /**
   * The smallest count that can occur.
   *
   * @return the lower end of the support
   */
  long least();

  /**
   * The largest count that can occur.
   *
   * @return the upper end of the support
   */
  long greatest();

  /**
   * The most probable count. Where two are equally probable, either of them.
   *
   * @return the mode
   */
  long mode();

  /**
   * The logarithm of the probability of one count, ln P(X = x).
   *
   * @param x a count; outside the support its probability is zero
   * @return the logarithm
   */
  double logMass(long x);

  /**
   * The logarithm of the lower tail, ln P(X ≤ x).
   *
   * @param x a count; below the support the tail is empty
   * @return the logarithm
   */
  double logLower(long x);

  /**
   * The logarithm of the upper tail, ln P(X ≥ x).
   *
   * @param x a count; above the support the tail is empty
   * @return the logarithm
   */
  double logUpper(long x);

  /**
   * The logarithm of the probability of all counts no more probable than one: both tails from
   * wherever they are as improbable on.
   *
   * @param x a count of the support
   * @param lnTie by how much, in the logarithm, a probability may be larger and yet count as tied
   * @return the logarithm; 0 where x is as probable as the mode
   */
  default double logNoMoreProbable(long x, double lnTie) {
    double limit = logMass(x) + lnTie;
    return logMass(mode()) <= limit
        ? 0
        : LogSpace.add(logLower(lastBelowModeAtMost(limit)), logUpper(firstAboveModeAtMost(limit)));
  }

  /**
   * The largest count below the mode whose probability has this logarithm or less.
   *
   * @param logMass the logarithm of a probability
   * @return the count, or one below the support where there is none
   */
  default long lastBelowModeAtMost(double logMass) {
    return Bisection.last(least() - 1, mode() - 1, x -> logMass(x) <= logMass);
  }

  /**
   * The smallest count above the mode whose probability has this logarithm or less.
   *
   * @param logMass the logarithm of a probability
   * @return the count, or one above the support where there is none
   */
  default long firstAboveModeAtMost(double logMass) {
    return Bisection.first(mode() + 1, greatest() + 1, x -> logMass(x) <= logMass);
  }

  /**
   * The largest count whose lower tail has this logarithm or less.
   *
   * @param logTail the logarithm of a probability, at most 0
   * @return the count, or one below the support where there is none
   */
  default long lastLowerAtMost(double logTail) {
    return Bisection.last(least() - 1, greatest(), x -> logLower(x) <= logTail);
  }

  /**
   * The smallest count whose upper tail has this logarithm or less.
   *
   * @param logTail the logarithm of a probability, at most 0
   * @return the count, or one above the support where there is none
   */
  default long firstUpperAtMost(double logTail) {
    return Bisection.first(least(), greatest() + 1, x -> logUpper(x) <= logTail);
  }
}
