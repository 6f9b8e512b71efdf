package dev.tavik.numeric;

import org.jspecify.annotations.Nullable;

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
  /** Up to this variance fewer than four hundred counts matter. */
  private static final double FEW = 400;

  private final long population;
  private final long marked;
  private final long drawn;
  private final long least;
  private final long greatest;
  private final double mean;
  private @Nullable Binomials parts;

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
  }

  /** The three binomial distributions whose probabilities make one of these. */
  private record Binomials(Binomial fromMarked, Binomial fromRest, double logDrawn) {}

  private Binomials parts() {
    Binomials known = parts;
    if (known == null) {
      DecimalFraction chance = DecimalFraction.exactly((double) drawn / population);
      known =
          new Binomials(
              new Binomial(marked, chance),
              new Binomial(population - marked, chance),
              new Binomial(population, chance).logMass(drawn));
      parts = known;
    }
    return known;
  }

  @Override
  public double logMass(long x) {
    if (x < least || x > greatest) {
      return Double.NEGATIVE_INFINITY;
    }
    Binomials known = parts();
    return known.fromMarked.logMass(x) + known.fromRest.logMass(drawn - x) - known.logDrawn;
  }

  @Override
  public double logLower(long x) {
    if (x < least) {
      return Double.NEGATIVE_INFINITY;
    }
    if (x >= greatest) {
      return 0;
    }
    return x > mean
        ? LogSpace.complement(logUpper(x + 1))
        : logMass(x) + Math.log(downwards(x).sum());
  }

  @Override
  public double logUpper(long x) {
    if (x <= least) {
      return 0;
    }
    if (x > greatest) {
      return Double.NEGATIVE_INFINITY;
    }
    return x <= mean
        ? LogSpace.complement(logLower(x - 1))
        : logMass(x) + Math.log(upwards(x).sum());
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

  /**
   * Where few counts matter, all are summed as multiples of the mode's and no logarithm is taken
   * but one; else both tails, the far one found near the reflection of the count in the mean.
   */
  @Override
  public double logNoMoreProbable(long x, double lnTie) {
    double share = (double) marked / population;
    double variance = mean * (1 - share) * ((double) (population - drawn) / population);
    if (variance < FEW) {
      double sum = outOfAll(x, Math.exp(lnTie));
      if (sum > 0) {
        return Math.log(sum);
      }
    }
    double limit = logMass(x) + lnTie;
    long mode = mode();
    if (logMass(mode) <= limit) {
      return 0;
    }
    long reflected = Math.round(2 * mean - x);
    return x < mode
        ? LogSpace.add(
            logLower(x), logUpper(firstNear(mode + 1, Math.max(mode + 1, reflected), limit)))
        : LogSpace.add(
            logLower(lastNear(mode - 1, Math.min(mode - 1, reflected), limit)), logUpper(x));
  }

  private long firstNear(long from, long guess, double limit) {
    return Bisection.firstNear(from, greatest + 1, better(guess, limit), x -> logMass(x) <= limit);
  }

  private long lastNear(long to, long guess, double limit) {
    return Bisection.lastNear(least - 1, to, better(guess, limit), x -> logMass(x) <= limit);
  }

  /** One step of Newton's method towards the count whose mass has a given logarithm. */
  private long better(long guess, double limit) {
    if (guess <= least || guess >= greatest) {
      return guess;
    }
    return guess + Math.round((limit - logMass(guess)) / Math.log(upwards(guess).product(1)));
  }

  /**
   * The probability of the counts no more probable than x, ratios of neighbours running outwards
   * from the mode; 0 where x lies so far out that its ratio to the mode's is no double.
   */
  private double outOfAll(long x, double tie) {
    long mode = mode();
    Ratios above = upwards(mode);
    Ratios below = downwards(mode);
    double probability = x < mode ? below.product(mode - x) : above.product(x - mode);
    if (probability <= Ratios.SMALLEST) {
      return 0;
    }
    double limit = probability * tie;
    if (limit >= 1) {
      return 1;
    }
    Split split = new Split(limit);
    split.add(above);
    split.add(below);
    return split.outside / (split.inside + split.outside);
  }

  /** The ratios of all counts below one, each to the one above it. */
  Ratios downwards(long from) {
    return new Ratios(
        from - least,
        (double) from,
        (double) (population - marked - drawn + from),
        marked - from + 1.0,
        drawn - from + 1.0);
  }

  /** The ratios of all counts above one, each to the one below it. */
  Ratios upwards(long from) {
    return new Ratios(
        greatest - from,
        (double) (marked - from),
        (double) (drawn - from),
        from + 1.0,
        population - marked - drawn + from + 1.0);
  }

  /** The sums of what is more probable than a limit and of what isn't, in units of the mode's. */
  private static final class Split {
    private final double limit;
    private double inside = 1;
    private double outside;

    Split(double limit) {
      this.limit = limit;
    }

    /** One side of the mode. */
    void add(Ratios side) {
      double term = 1;
      double steps = side.steps();
      for (double at = 0; at < steps; at++) {
        term *= (side.a() - at) * (side.b() - at) / ((side.c() + at) * (side.d() + at));
        if (term <= limit) {
          outside += term * side.after((long) at + 1).sum();
          return;
        }
        inside += term;
      }
    }
  }
}
