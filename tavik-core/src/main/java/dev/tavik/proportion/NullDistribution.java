package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.ChiSquare;
import dev.tavik.numeric.CountDistribution;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Proportion;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.numbers.rootfinder.BrentSolver;

/**
 * What counts of successes to expect if the null is true, and which of them make up a p-value: the
 * material of its picture.
 *
 * @param discrete whether the heights are probabilities of whole counts, or a density
 * @param points counts and their heights, rising in the count
 * @param lower the tail at and below a count; empty area where it isn't part of the p-value
 * @param upper the tail at and above a count; empty area where it isn't part of the p-value
 */
public record NullDistribution(boolean discrete, List<Point> points, Tail lower, Tail upper) {
  /** How many standard deviations to each side are worth showing. */
  private static final double REACH = 4.2;

  private static final int STEPS = 400;

  /** Copies the points. */
  public NullDistribution {
    points = List.copyOf(points);
  }

  /**
   * A count and its probability, or its density.
   *
   * @param count the count
   * @param height its probability, or its density
   */
  public record Point(double count, double height) {}

  /**
   * One tail of a p-value.
   *
   * @param end the count at which it ends, itself included
   * @param area its probability under the null; 0 where it isn't part of the p-value
   */
  public record Tail(double end, double area) {}

  /**
   * The distribution behind a p-value that is an area of it: the binomial for {@code exact}, its
   * normal approximation for {@code score}.
   *
   * @param test the test
   * @param tally the observed counts
   * @param hypothesis the null value, strictly between 0 and 1, and the direction
   * @return the distribution; empty for other tests
   * @throws IllegalArgumentException if not 0 &lt; against &lt; 1
   */
  public static Optional<NullDistribution> of(
      ProportionTest test, Tally tally, Hypothesis hypothesis) {
    Proportion.require("against", hypothesis.against());
    Binomial underNull = new Binomial(tally.trials(), DecimalFraction.of(hypothesis.against()));
    return switch (test) {
      case EXACT -> Optional.of(exact(underNull, tally, hypothesis.alternative()));
      case SCORE -> Optional.of(normal(underNull, tally, hypothesis.alternative()));
      default -> Optional.empty();
    };
  }

  /**
   * The distribution behind a p-value of two proportions: for {@code fisher} that of the first
   * group's successes, both margins held; for {@code z-pooled} the normal one of the difference, in
   * percentage points.
   *
   * @param test the test
   * @param first the first group's successes and trials
   * @param second the second group's
   * @param alternative the direction; the null is no difference
   * @return the distribution; empty for other tests, and where nothing can vary
   */
  public static Optional<NullDistribution> of(
      TwoProportionTest test, Tally first, Tally second, Alternative alternative) {
    TwoTallies data = new TwoTallies(first, second);
    if (data.pooledError() == 0) {
      return Optional.empty();
    }
    return switch (test) {
      case FISHER -> {
        double n = data.total();
        double mean = first.trials() * (data.successes() / n);
        double variance = mean * (data.failures() / n) * (second.trials() / Math.max(1, n - 1));
        yield Optional.of(
            exact(
                HypergeometricTails.underNull(data),
                first.successes(),
                mean,
                variance,
                alternative));
      }
      case Z_POOLED ->
          Optional.of(
              normal(
                  100 * data.difference(),
                  100 * data.difference(),
                  100 * data.pooledError(),
                  alternative));
      default -> Optional.empty();
    };
  }

  /**
   * Where rejection begins, on the scale of {@link #of(TwoProportionTest, Tally, Tally,
   * Alternative)}.
   *
   * @param test {@code fisher} or {@code z-pooled}
   * @param first the first group's successes and trials
   * @param second the second group's
   * @param alternative the direction
   * @param alpha the significance level, strictly between 0 and 1
   * @return the values at and beyond which the test rejects, at most one on each side
   */
  public static List<Double> critical(
      TwoProportionTest test, Tally first, Tally second, Alternative alternative, double alpha) {
    TwoTallies data = new TwoTallies(first, second);
    if (test == TwoProportionTest.Z_POOLED) {
      double tail = alternative == Alternative.TWO_SIDED ? alpha / 2 : alpha;
      double away = 100 * Normal.upperQuantile(tail) * data.pooledError();
      return switch (alternative) {
        case LESS -> List.of(-away);
        case GREATER -> List.of(away);
        case TWO_SIDED -> List.of(-away, away);
      };
    }
    CountDistribution underNull = HypergeometricTails.underNull(data);
    double limit = Math.log(alpha);
    CriticalCounts counts =
        new RejectionRegion(underNull, underNull.least(), underNull.greatest(), alternative)
            .find(
                test,
                first.trials(),
                x -> BinomialTest.logPValue(underNull, x, alternative) <= limit);
    return Stream.of(Optional.ofNullable(counts.atMost()), Optional.ofNullable(counts.atLeast()))
        .flatMap(Optional::stream)
        .map(Long::doubleValue)
        .toList();
  }

  /**
   * The chi-square distribution behind a p-value that is its upper tail.
   *
   * @param observed the statistic, at least 0
   * @param df the degrees of freedom, at least 1
   * @return the distribution; its density is cut off where it has no bound, near 0 with one degree
   */
  public static NullDistribution chiSquare(double observed, double df) {
    double highest = Math.max(1.15 * observed, df + 5 * Math.sqrt(2 * df));
    List<Point> points = new ArrayList<>();
    double logScale = -0.5 * df * Math.log(2) - LogGamma.value(df / 2);
    for (int step = 1; step <= STEPS; step++) {
      double x = highest * step / STEPS;
      points.add(new Point(x, Math.exp(logScale + (df / 2 - 1) * Math.log(x) - x / 2)));
    }
    return new NullDistribution(
        false,
        points,
        new Tail(0, 0),
        new Tail(observed, Math.exp(ChiSquare.logUpper(observed, df))));
  }

  /**
   * The value that chi-square passes with a given probability, to a picture's accuracy.
   *
   * @param alpha the probability, strictly between 0 and 1
   * @param df the degrees of freedom, at least 1
   * @return the value, right to 10⁻⁹
   */
  public static double chiSquareAbove(double alpha, double df) {
    double high = df + 1;
    while (ChiSquare.logUpper(high, df) > Math.log(alpha)) {
      high *= 2;
    }
    return new BrentSolver(1e-10, 1e-10, 0)
        .findRoot(x -> ChiSquare.logUpper(x, df) - Math.log(alpha), 0, high);
  }

  private static NullDistribution exact(Binomial underNull, Tally tally, Alternative alternative) {
    return exact(
        underNull,
        tally.successes(),
        tally.successes() - underNull.deviation(tally.successes()),
        underNull.variance(),
        alternative);
  }

  private static NullDistribution exact(
      CountDistribution underNull,
      long observed,
      double mean,
      double variance,
      Alternative alternative) {
    BinomialTest.Ends ends = BinomialTest.ends(underNull, observed, alternative);
    double reach = REACH * Math.sqrt(variance) + 1;
    long from = (long) Math.max((double) underNull.least(), Math.floor(mean - reach));
    long to = (long) Math.min((double) underNull.greatest(), Math.ceil(mean + reach));
    // Beyond a few hundred counts a picture can't show each; every k-th gives the outline.
    long stride = Math.max(1, (to - from) / STEPS);
    List<Point> points = new ArrayList<>();
    for (long count = from; count <= to; count += stride) {
      points.add(new Point(count, Math.exp(underNull.logMass(count))));
    }
    return new NullDistribution(
        true,
        reaching((double) observed, points),
        new Tail(ends.lower(), Math.exp(underNull.logLower(ends.lower()))),
        new Tail(ends.upper(), Math.exp(underNull.logUpper(ends.upper()))));
  }

  private static NullDistribution normal(Binomial underNull, Tally tally, Alternative alternative) {
    return normal(
        (double) tally.successes(),
        underNull.deviation(tally.successes()),
        Math.sqrt(underNull.variance()),
        alternative);
  }

  private static NullDistribution normal(
      double observed, double away, double deviation, Alternative alternative) {
    double mean = observed - away;
    List<Point> points = new ArrayList<>();
    for (int step = 0; step <= STEPS; step++) {
      double z = REACH * (2.0 * step / STEPS - 1);
      double height = Math.exp(-0.5 * z * z) / (deviation * Math.sqrt(2 * Math.PI));
      points.add(new Point(mean + z * deviation, height));
    }
    boolean twoSided = alternative == Alternative.TWO_SIDED;
    double lowerZ = twoSided ? -Math.abs(away) / deviation : away / deviation;
    double upperZ = twoSided ? -lowerZ : lowerZ;
    return new NullDistribution(
        false,
        reaching(observed, points),
        new Tail(
            mean + lowerZ * deviation,
            alternative == Alternative.GREATER ? 0 : Math.exp(Normal.logUpper(-lowerZ))),
        new Tail(
            mean + upperZ * deviation,
            alternative == Alternative.LESS ? 0 : Math.exp(Normal.logUpper(upperZ))));
  }

  /** With the observed count as an end, where the distribution has long come down to nothing. */
  private static List<Point> reaching(double observed, List<Point> points) {
    double first = points.get(0).count();
    double last = points.get(points.size() - 1).count();
    if (observed < first) {
      points.addAll(0, List.of(new Point(observed, 0), new Point(first, 0)));
    } else if (observed > last) {
      points.addAll(List.of(new Point(last, 0), new Point(observed, 0)));
    }
    return points;
  }
}
