package dev.tavik.numeric;

/**
 * The hypergeometric distribution, its probabilities as natural logarithms: how many marked units
 * come up in a sample drawn without replacement.
 *
 * <p>A single probability is a ratio of three binomial ones with any common chance p, b(x; K, p)
 * b(n - x; N - K, p) / b(n; N, p) (Loader 2000, "Fast and accurate computation of binomial
 * probabilities"); with p = n/N all three are near their modes and nothing cancels. A tail is that
 * probability times the sum of the ratios to its neighbours outwards, as for {@link Binomial}; the
 * tail on the far side of the mean is the complement of the other.
 */
public final class Hypergeometric implements CountDistribution {
  private static final double LAST_PLACE = 0x1p-54;

  private final long population;
  private final long marked;
  private final long drawn;
  private final long least;
  private final long greatest;
  private final double mean;
  private final Binomial fromMarked;
  private final Binomial fromRest;
  private final double logDrawn;

  /**
   * A hypergeometric distribution.
   *
   * @param population how many units there are, N, 2 to 10¹²
   * @param marked how many of them are marked, K, 0 to N
   * @param drawn how many are drawn, n, 1 to N - 1
   */
  public Hypergeometric(long population, long marked, long drawn) {
    this.population = population;
    this.marked = marked;
    this.drawn = drawn;
    this.least = Math.max(0, drawn + marked - population);
    this.greatest = Math.min(drawn, marked);
    this.mean = (double) drawn * ((double) marked / population);
    DecimalFraction chance = DecimalFraction.exactly((double) drawn / population);
    this.fromMarked = new Binomial(marked, chance);
    this.fromRest = new Binomial(population - marked, chance);
    this.logDrawn = new Binomial(population, chance).logMass(drawn);
  }

  @Override
  public double logMass(long x) {
    if (x < least || x > greatest) {
      return Double.NEGATIVE_INFINITY;
    }
    return fromMarked.logMass(x) + fromRest.logMass(drawn - x) - logDrawn;
  }

  @Override
  public double logLower(long x) {
    if (x < least) {
      return Double.NEGATIVE_INFINITY;
    }
    if (x >= greatest) {
      return 0;
    }
    return x > mean ? LogSpace.complement(logUpper(x + 1)) : logMass(x) + Math.log(downwards(x));
  }

  @Override
  public double logUpper(long x) {
    if (x <= least) {
      return 0;
    }
    if (x > greatest) {
      return Double.NEGATIVE_INFINITY;
    }
    return x <= mean ? LogSpace.complement(logLower(x - 1)) : logMass(x) + Math.log(upwards(x));
  }

  @Override
  public long least() {
    return least;
  }

  @Override
  public long greatest() {
    return greatest;
  }

  @Override
  public long mode() {
    double mode = Math.floor((drawn + 1.0) * ((marked + 1.0) / (population + 2.0)));
    return Math.max(least, Math.min(greatest, (long) mode));
  }

  private double downwards(long from) {
    double term = 1;
    double sum = 1;
    for (long x = from; x > least; x--) {
      double ratio =
          (double) x / (marked - x + 1) * ((population - marked - drawn + x) / (drawn - x + 1.0));
      term *= ratio;
      sum += term;
      if (term * ratio <= LAST_PLACE * sum * (1 - ratio)) {
        return sum;
      }
    }
    return sum;
  }

  private double upwards(long from) {
    double term = 1;
    double sum = 1;
    for (long x = from; x < greatest; x++) {
      double ratio =
          (marked - x) / (x + 1.0) * ((drawn - x) / (population - marked - drawn + x + 1.0));
      term *= ratio;
      sum += term;
      if (term * ratio <= LAST_PLACE * sum * (1 - ratio)) {
        return sum;
      }
    }
    return sum;
  }
}
