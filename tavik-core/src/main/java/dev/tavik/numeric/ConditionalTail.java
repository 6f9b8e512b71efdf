package dev.tavik.numeric;

/**
 * How probable one count is, and all beyond it, under Fisher's noncentral hypergeometric
 * distribution, as functions of the logarithm u of the odds ratio (Fisher 1935, "The logic of
 * inductive inference", Journal of the Royal Statistical Society 98, 39-54).
 *
 * <p>Probabilities are summed as multiples of the count's own, upwards and downwards: all terms are
 * positive, no factorial is needed, and the tails' slopes and curvatures fall out as means and
 * variances: the logarithm of P(X ≥ x) rises by E(X | X ≥ x) - E(X).
 *
 * <p>Where the odds ratio makes the count all but impossible, summing ends on the way to the mode;
 * a tail is then known to be next to 0 or 1.
 */
public final class ConditionalTail {
  /**
   * Largest multiple of the count's own probability; beyond it the count is practically impossible.
   */
  private static final double FAR = 1e250;

  private static final double LAST_PLACE = 0x1p-56;

  private final Ratios up;
  private final Ratios down;
  private final Sum above = new Sum();
  private final Sum below = new Sum();

  /**
   * The tails from one count on.
   *
   * @param x the count, within its range
   * @param first the size of the sample that is looked at, at least 1
   * @param second the size of the other, at least 1
   * @param successes how many came up in both, 0 to first + second
   */
  public ConditionalTail(long x, long first, long second, long successes) {
    Hypergeometric central = new Hypergeometric(first + second, successes, first);
    this.up = central.upwards(x);
    this.down = central.downwards(x);
  }

  /** Σ term, Σ distance·term and Σ distance²·term, the count itself left out. */
  private static final class Sum {
    private double whole;
    private double first;
    private double second;

    void of(Ratios ratios, double odds) {
      double sum = 0;
      double mean = 0;
      double square = 0;
      double term = 1;
      double a = ratios.a();
      double b = ratios.b();
      double c = ratios.c();
      double d = ratios.d();
      double steps = ratios.steps();
      for (double at = 0; at < steps; ) {
        double ratio = odds * ((a - at) * (b - at)) / ((c + at) * (d + at));
        term *= ratio;
        at++;
        double part = term * at;
        sum += term;
        mean += part;
        square += part * at;
        if (ratio < 1 ? part * at <= LAST_PLACE * square * (1 - ratio) : sum > FAR) {
          break;
        }
      }
      whole = sum;
      first = mean;
      second = square;
    }
  }

  /**
   * Moves to another odds ratio.
   *
   * @param logOdds its logarithm
   * @return this tail
   */
  public ConditionalTail at(double logOdds) {
    above.of(up, Math.exp(logOdds));
    below.of(down, Math.exp(-logOdds));
    return this;
  }

  private double total() {
    return 1 + above.whole + below.whole;
  }

  /**
   * How far the expected count lies above the count.
   *
   * @return E(X) - x
   */
  public double away() {
    return (above.first - below.first) / total();
  }

  /**
   * The variance of the count.
   *
   * @return the variance
   */
  public double variance() {
    return (above.second + below.second) / total() - away() * away();
  }

  /**
   * The upper tail.
   *
   * @param weight how much of the count's own probability is in it, above 0 and up to 1
   * @return ln(P(X &gt; x) + w P(X = x)) and its slope
   */
  public Newton.Point upper(double weight) {
    double tail = weight + above.whole;
    return new Newton.Point(Math.log(tail / total()), above.first / tail - away());
  }

  /**
   * The lower tail.
   *
   * @param weight how much of the count's own probability is in it, above 0 and up to 1
   * @return ln(P(X &lt; x) + w P(X = x)) and its slope, which falls
   */
  public Newton.Point lower(double weight) {
    double tail = weight + below.whole;
    return new Newton.Point(Math.log(tail / total()), -below.first / tail - away());
  }
}
