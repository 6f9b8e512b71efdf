package dev.tavik.numeric;

/**
 * The upper tail P(X ≥ x) of a binomial count as a function of the log odds u of the chance p, with
 * its slope: it is b S, with b the probability of x itself and S the incomplete beta function in
 * units of its density, and its logarithm rises by x q/S.
 *
 * <p>A lower tail is the upper one of the failures, at -u. One tail serves a search; it is moved
 * from place to place.
 */
public final class BinomialTail {
  private final long x;
  private final Beta beta;
  private double p;
  private double q;
  private double logMass;
  private double sum;

  /**
   * The tail from a count on.
   *
   * @param x the count, 1 to n
   * @param n the number of trials
   */
  public BinomialTail(long x, long n) {
    this.x = x;
    this.beta = new Beta(x, n - x + 1.0);
  }

  /**
   * Moves to another chance of success.
   *
   * @param logOdds the logarithm of its odds, within ±700
   * @return this tail
   */
  public BinomialTail at(double logOdds) {
    p = 1 / (1 + Math.exp(-logOdds));
    q = 1 / (1 + Math.exp(logOdds));
    DecimalFraction chance = new DecimalFraction(p, 0, q);
    // The density is x b/p.
    logMass = beta.logDensity(chance) + Math.log(p / x);
    sum =
        beta.lowerIsSmaller(chance)
            ? beta.lowerRatio(chance) * x * q
            : Math.exp(beta.logLower(chance) - logMass);
    return this;
  }

  /**
   * The tail's logarithm.
   *
   * @return ln P(X ≥ x)
   */
  public double log() {
    return Math.min(0, logMass + Math.log(sum));
  }

  /**
   * How fast the logarithm rises with the log odds.
   *
   * @return x q/S, above 0
   */
  public double slope() {
    return x * q / sum;
  }

  /**
   * The tail in units of its first probability.
   *
   * @return P(X ≥ x)/P(X = x), at least 1
   */
  public double sum() {
    return sum;
  }

  double logMass() {
    return logMass;
  }

  double chance() {
    return p;
  }

  double complement() {
    return q;
  }
}
