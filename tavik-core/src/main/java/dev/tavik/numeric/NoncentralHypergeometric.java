package dev.tavik.numeric;

/**
 * Fisher's noncentral hypergeometric distribution: how many marked units come up in one of two
 * samples, given how many come up in both, when the odds of coming up differ by a factor ψ. The
 * probability of x is proportional to the central one times ψˣ (Fisher 1935, "The logic of
 * inductive inference", Journal of the Royal Statistical Society 98, 39-54).
 *
 * <p>All sums run outwards from the mode, where the ratios of neighbours fall below 1, so that
 * nothing overflows and nothing cancels.
 */
public final class NoncentralHypergeometric {
  private static final double LAST_PLACE = 0x1p-54;

  private final Hypergeometric central;
  private final long first;
  private final long second;
  private final long successes;
  private final double logOdds;
  private final double odds;
  private final long mode;
  private final double logTotal;
  private double mean;
  private double variance;

  /**
   * A noncentral distribution.
   *
   * @param first the size of the sample that is looked at, at least 1
   * @param second the size of the other, at least 1
   * @param successes how many came up in both, 0 to first + second
   * @param logOdds the logarithm of the odds ratio, finite
   */
  public NoncentralHypergeometric(long first, long second, long successes, double logOdds) {
    this.first = first;
    this.second = second;
    this.successes = successes;
    this.logOdds = logOdds;
    this.odds = Math.exp(logOdds);
    this.central = new Hypergeometric(first + second, successes, first);
    this.mode = Bisection.first(central.least(), central.greatest(), x -> upwards(x) < 1);
    this.logTotal = Math.log(total());
  }

  /** P(X = x + 1) / P(X = x). */
  private double upwards(long x) {
    return odds
        * ((double) (first - x) / (x + 1))
        * ((double) (successes - x) / (second - successes + x + 1));
  }

  /** The sum of all probabilities relative to the mode's; the moments fall out on the way. */
  private double total() {
    double sum = 1;
    double deviation = 0;
    double square = 0;
    double term = 1;
    for (long x = mode; x < central.greatest(); x++) {
      term *= upwards(x);
      double away = (double) (x + 1 - mode);
      sum += term;
      deviation += term * away;
      square += term * away * away;
      if (term * away * away <= LAST_PLACE * square) {
        break;
      }
    }
    term = 1;
    for (long x = mode; x > central.least(); x--) {
      term /= upwards(x - 1);
      double away = (double) (mode - x + 1);
      sum += term;
      deviation -= term * away;
      square += term * away * away;
      if (term * away * away <= LAST_PLACE * square) {
        break;
      }
    }
    mean = mode + deviation / sum;
    variance = square / sum - (deviation / sum) * (deviation / sum);
    return sum;
  }

  /**
   * The expected count.
   *
   * @return the mean
   */
  public double mean() {
    return mean;
  }

  /**
   * The variance of the count.
   *
   * @return the variance
   */
  public double variance() {
    return variance;
  }

  /**
   * The logarithm of the probability of one count.
   *
   * @param x a count in the support
   * @return ln P(X = x)
   */
  public double logMass(long x) {
    return central.logMass(x) - central.logMass(mode) + (x - mode) * logOdds - logTotal;
  }

  /**
   * The logarithm of the lower tail, ln P(X ≤ x).
   *
   * @param x a count
   * @return the logarithm; negative infinity below the support
   */
  public double logLower(long x) {
    if (x < central.least()) {
      return Double.NEGATIVE_INFINITY;
    }
    if (x > mode) {
      return LogSpace.complement(logUpper(x + 1));
    }
    double sum = 1;
    double term = 1;
    for (long k = x; k > central.least() && term > LAST_PLACE * sum * 1e-3; k--) {
      term /= upwards(k - 1);
      sum += term;
    }
    return logMass(x) + Math.log(sum);
  }

  /**
   * The logarithm of the upper tail, ln P(X ≥ x).
   *
   * @param x a count
   * @return the logarithm; negative infinity above the support
   */
  public double logUpper(long x) {
    if (x > central.greatest()) {
      return Double.NEGATIVE_INFINITY;
    }
    if (x <= mode) {
      return LogSpace.complement(logLower(x - 1));
    }
    double sum = 1;
    double term = 1;
    for (long k = x; k < central.greatest() && term > LAST_PLACE * sum * 1e-3; k++) {
      term *= upwards(k);
      sum += term;
    }
    return logMass(x) + Math.log(sum);
  }
}
