package dev.tavik.numeric;

/**
 * The binomial distribution, its probabilities as natural logarithms, for up to 10¹² trials.
 *
 * <p>A single probability comes from the saddle-point form of Loader (2000, "Fast and accurate
 * computation of binomial probabilities"), which has no large terms that cancel. A tail is that
 * probability times the sum of the ratios to its neighbours outwards: all terms are positive, so
 * nothing is lost. It needs about 9·√(npq) terms at most, 140,000 for n = 10⁹; an incomplete beta
 * function needs as many for its continued fraction and loses digits in its prefactor (1.6·10⁻¹¹ at
 * n = 10⁶ in the library at hand, and growing).
 *
 * <p>The tail on the far side of the mean is more than about a third, and is taken as the
 * complement of the other. Measured relative error of a tail against 60-digit values, down to
 * 10⁻³⁰⁰ and up to n = 10⁹: 10⁻¹² at worst, 10⁻¹³ in the root mean square.
 */
public final class Binomial implements CountDistribution {
  /** ½ ln 2π. */
  private static final double HALF_LN_2_PI = 0.5 * Math.log(2 * Math.PI);

  /** Argument from which four terms of Stirling's series are accurate to 10⁻¹⁵. */
  private static final int STIRLING_FROM = 32;

  /** Largest number of trials for which a tail is summed term by term. */
  private static final long SUMMED_TO = 4_000_000;

  private static final long FEW = 2000;
  private static final double NEAR = 0.3;

  private static final double LAST_PLACE = 0x1p-54;

  private final long trials;
  private final DecimalFraction p;
  private final double mean;
  private final double meanRemainder;

  /**
   * A binomial distribution.
   *
   * @param trials the number of trials, 1 to 10¹²
   * @param p the chance of success in each, strictly between 0 and 1
   */
  public Binomial(long trials, DecimalFraction p) {
    this.trials = trials;
    this.p = p;
    this.mean = trials * p.value();
    this.meanRemainder = Math.fma((double) trials, p.value(), -mean) + trials * p.remainder();
  }

  /**
   * How far a count lies above the mean, x - np, right to the last place even where both nearly
   * agree.
   *
   * @param x a count, 0 to n
   * @return the deviation
   */
  public double deviation(long x) {
    return (x - mean) - meanRemainder;
  }

  /**
   * The variance npq.
   *
   * @return the variance
   */
  public double variance() {
    return mean * p.complement();
  }

  @Override
  public double logMass(long x) {
    if (x < 0 || x > trials) {
      return Double.NEGATIVE_INFINITY;
    }
    if (x == 0) {
      return trials * logOf(p.complement(), p.value());
    }
    if (x == trials) {
      return trials * logOf(p.value(), p.complement());
    }
    long failures = trials - x;
    double deviation = deviation(x);
    double exponent =
        stirlingError(trials)
            - stirlingError(x)
            - stirlingError(failures)
            - Deviance.half((double) x, mean, deviation)
            - Deviance.half((double) failures, trials * p.complement(), -deviation);
    return exponent - HALF_LN_2_PI + 0.5 * Math.log(trials / ((double) x * failures));
  }

  /**
   * Half the deviance of a count, x ln(x/np) + (n - x) ln((n - x)/nq): how far the logarithm of its
   * likelihood lies below the largest one.
   *
   * @param x a count, 0 to n
   * @return half the deviance, at least 0
   */
  public double halfDeviance(long x) {
    if (x == 0 || x == trials) {
      return -logMass(x);
    }
    double deviation = deviation(x);
    return Deviance.half((double) x, mean, deviation)
        + Deviance.half((double) (trials - x), trials * p.complement(), -deviation);
  }

  @Override
  public double logLower(long x) {
    if (x < 0) {
      return Double.NEGATIVE_INFINITY;
    }
    if (x >= trials) {
      return 0;
    }
    if (x > mean) {
      return LogSpace.complement(logUpper(x + 1));
    }
    double odds = p.complement() / p.value();
    return logMass(x)
        + Math.log(
            many(x)
                ? (trials - x)
                    * Beta.shapeFrom(
                        trials - x - 1.0, (double) x, odds, -deviation(x) / p.value() - 1)
                : ratioSum(x, odds));
  }

  @Override
  public double logUpper(long x) {
    if (x <= 0) {
      return 0;
    }
    if (x > trials) {
      return Double.NEGATIVE_INFINITY;
    }
    if (x <= mean) {
      return LogSpace.complement(logLower(x - 1));
    }
    double odds = p.value() / p.complement();
    return logMass(x)
        + Math.log(
            many(x)
                ? x
                    * Beta.shapeFrom(
                        x - 1.0, (double) (trials - x), odds, deviation(x) / p.complement() - 1)
                : ratioSum(trials - x, odds));
  }

  @Override
  public long least() {
    return 0;
  }

  @Override
  public long greatest() {
    return trials;
  }

  @Override
  public long mode() {
    return Math.min(trials, (long) Math.floor((trials + 1.0) * p.value()));
  }

  /** Whether a tail has so many terms that an integral of the beta density's shape is quicker. */
  private boolean many(long x) {
    return trials > SUMMED_TO
        && Math.min(x, trials - x) > FEW
        && Math.abs(deviation(x)) < NEAR * Math.min(x, trials - x);
  }

  /**
   * One plus the ratios of all probabilities further out to the first: the count falls from {@code
   * left} to 0 by ones, each step multiplying by count / (n - count + 1) times the odds. For the
   * upper tail successes and failures change places.
   */
  private double ratioSum(long left, double odds) {
    double term = 1;
    double sum = 1;
    long cap = 200 + 10 * (long) Math.sqrt((double) trials);
    for (long k = left; k > 0; k--) {
      double ratio = k * odds / (trials - k + 1.0);
      term *= ratio;
      sum += term;
      // The ratios decrease, so the remainder is bounded by a geometric series.
      if (term * ratio <= LAST_PLACE * sum * (1 - ratio)) {
        return sum;
      }
      if (left - k > cap) {
        throw new ArithmeticException("binomial tail did not end within " + cap + " terms");
      }
    }
    return sum;
  }

  /** ln(value), from whichever of the value and its complement is smaller. */
  private static double logOf(double value, double complement) {
    return value < 0.5 ? Math.log(value) : Math.log1p(-complement);
  }

  /** The error of Stirling's formula: ln k! - ((k + ½) ln k - k + ½ ln 2π), for k ≥ 1. */
  private static double stirlingError(long k) {
    if (k < STIRLING_FROM) {
      double factorial = 1;
      for (int i = 2; i <= k; i++) {
        factorial *= i;
      }
      return Math.log(factorial) - (k + 0.5) * Math.log((double) k) + k - HALF_LN_2_PI;
    }
    double square = (double) k * k;
    return (1 / 12.0 - (1 / 360.0 - (1 / 1260.0 - 1 / 1680.0 / square) / square) / square) / k;
  }
}
