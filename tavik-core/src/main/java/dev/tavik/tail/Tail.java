package dev.tavik.tail;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.numeric.Beta;
import dev.tavik.numeric.Binomial;
import dev.tavik.numeric.Bisection;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Hypergeometric;
import dev.tavik.numeric.LogSpace;
import dev.tavik.result.Figures;
import dev.tavik.result.Proportion;
import dev.tavik.tail.Shape.Support;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Supplier;
import org.apache.commons.numbers.rootfinder.BrentSolver;

/**
 * Computes the tails of a distribution: areas of values, and critical values of areas.
 *
 * <p>A tail is computed as that tail, to 10⁻¹⁰ relatively down to 10⁻³⁰⁰ (noncentral chi-square
 * 3·10⁻¹² down to 10⁻¹⁵); beyond, read its logarithm. Critical values are right to 10⁻¹²
 * relatively.
 */
public final class Tail {
  private static final String TOO_NEAR =
      "the value with such an area lies below 4e-308, too near to 0 to be written";

  private static final double FARTHEST = 708;

  /** The logarithm of the smallest number. */
  private static final double NEAREST = -744;

  private static final double CLOSE = 1e-14;
  private static final long MOST_COUNT = 1_000_000_000_000L;

  private final Supplier<String> name;
  private final Shape shape;

  private Tail(Supplier<String> name, Shape shape) {
    this.name = name;
    this.shape = shape;
  }

  /**
   * A normal distribution.
   *
   * @param mean its mean
   * @param deviation its standard deviation, above 0
   * @return its tails
   * @throws IllegalArgumentException if a parameter is out of its range
   */
  public static Tail normal(double mean, double deviation) {
    requireFinite("mean", mean);
    requirePositive("sd", deviation);
    String name =
        mean == 0 && deviation == 1
            ? "the standard normal distribution"
            : say(
                "the normal distribution with mean %s and standard deviation %s",
                Figures.plain(mean), Figures.plain(deviation));
    return new Tail(() -> name, new NormalShape(mean, deviation));
  }

  /**
   * Student's t.
   *
   * @param df the degrees of freedom, above 0
   * @return its tails
   * @throws IllegalArgumentException if they are out of their range
   */
  public static Tail t(double df) {
    requirePositive("df", df);
    return new Tail(() -> "Student's t with " + degrees(df), new StudentShape(df));
  }

  /**
   * Chi-square.
   *
   * @param df the degrees of freedom, above 0
   * @return its tails
   * @throws IllegalArgumentException if they are out of their range
   */
  public static Tail chiSquare(double df) {
    requirePositive("df", df);
    return new Tail(() -> "chi-square with " + degrees(df), new ChiSquareShape(df, 0));
  }

  /**
   * Noncentral chi-square.
   *
   * @param df the degrees of freedom, above 0
   * @param noncentrality the noncentrality, from 0
   * @return its tails
   * @throws IllegalArgumentException if a parameter is out of its range
   */
  public static Tail chiSquare(double df, double noncentrality) {
    requirePositive("df", df);
    require(
        noncentrality >= 0 && noncentrality <= 1e9,
        "noncentrality must be from 0 to 1e9, got %s",
        noncentrality);
    return noncentrality == 0
        ? chiSquare(df)
        : new Tail(
            () ->
                say(
                    "chi-square with %s and noncentrality %s",
                    degrees(df), Figures.plain(noncentrality)),
            new ChiSquareShape(df, noncentrality));
  }

  /**
   * Fisher's F.
   *
   * @param above the degrees of freedom of the numerator, above 0
   * @param below those of the denominator, above 0
   * @return its tails
   * @throws IllegalArgumentException if they are out of their range
   */
  public static Tail f(double above, double below) {
    requirePositive("df", above);
    requirePositive("df", below);
    return new Tail(
        () ->
            say("F with %s and %s degrees of freedom", Figures.plain(above), Figures.plain(below)),
        new FisherShape(above, below));
  }

  /**
   * A beta distribution.
   *
   * @param a the first parameter, above 0
   * @param b the second parameter, above 0
   * @return its tails
   * @throws IllegalArgumentException if a parameter is out of its range
   */
  public static Tail beta(double a, double b) {
    requirePositive("shape", a);
    requirePositive("shape", b);
    return new Tail(
        () -> say("Beta(%s, %s)", Figures.plain(a), Figures.plain(b)),
        new BetaShape(new Beta(a, b)));
  }

  /**
   * A binomial distribution.
   *
   * @param trials how many trials, 1 to 10¹²
   * @param p the chance of success, strictly between 0 and 1
   * @return its tails
   * @throws IllegalArgumentException if a parameter is out of its range
   */
  public static Tail binomial(long trials, double p) {
    requireCount("n", 1, trials);
    Proportion.require("p", p);
    return new Tail(
        () ->
            say(
                "the binomial distribution of %s trials at %s",
                Figures.count(trials), Figures.exactPercent(p)),
        new CountShape(new Binomial(trials, DecimalFraction.of(p))));
  }

  /**
   * A hypergeometric distribution.
   *
   * @param population how many units there are, 1 to 10¹²
   * @param successes how many of them are successes
   * @param drawn how many units are drawn
   * @return its tails
   * @throws IllegalArgumentException if a parameter is out of its range
   */
  public static Tail hypergeometric(long population, long successes, long drawn) {
    requireCount("population", 1, population);
    requireCount("successes", 0, successes);
    requireCount("n", 0, drawn);
    require(
        successes <= population && drawn <= population,
        "successes and n must be at most the population, %s",
        population);
    return new Tail(
        () ->
            say(
                "the hypergeometric distribution of %s drawn from %s with %s successes",
                Figures.count(drawn), Figures.count(population), Figures.count(successes)),
        new CountShape(new Hypergeometric(population, successes, drawn)));
  }

  /**
   * A Poisson distribution.
   *
   * @param mean its mean, above 0 and up to 10¹²
   * @return its tails
   * @throws IllegalArgumentException if it is out of its range
   */
  public static Tail poisson(double mean) {
    requirePositive("mean", mean);
    require(mean <= MOST_COUNT, "mean must be at most 1e12, got %s", mean);
    return new Tail(
        () -> "the Poisson distribution with mean " + Figures.plain(mean), new PoissonShape(mean));
  }

  private static String degrees(double df) {
    return Figures.plain(df) + (df == 1 ? " degree of freedom" : " degrees of freedom");
  }

  private static void requireFinite(String name, double value) {
    require(Double.isFinite(value), "%s must be a number, got %s", name, value);
  }

  private static void requirePositive(String name, double value) {
    require(value > 0 && value <= 1e12, "%s must be above 0 and at most 1e12, got %s", name, value);
  }

  private static void requireCount(String name, long least, long value) {
    require(
        value >= least && value <= MOST_COUNT,
        "%s must be a whole number from %s to 1e12, got %s",
        name,
        least,
        value);
  }

  /**
   * What it is.
   *
   * @return such as {@code chi-square with 2 degrees of freedom}
   */
  public String name() {
    return name.get();
  }

  /**
   * Whether only whole counts can occur.
   *
   * @return whether it is discrete
   */
  public boolean counts() {
    return shape.support() == Support.COUNTS;
  }

  /**
   * The smallest value that can occur.
   *
   * @return the value, perhaps negative infinity
   */
  public double least() {
    return shape.least();
  }

  /**
   * The largest value that can occur.
   *
   * @return the value, perhaps infinity
   */
  public double greatest() {
    return shape.greatest();
  }

  /**
   * The natural logarithm of the lower tail.
   *
   * @param x a value
   * @return ln P(X ≤ x)
   */
  public double logLower(double x) {
    double at = counts() ? Math.floor(x) : x;
    return at < shape.least() || (!counts() && at == shape.least())
        ? Double.NEGATIVE_INFINITY
        : at >= shape.greatest() ? 0 : Math.min(0, shape.logLower(at));
  }

  /**
   * The natural logarithm of the upper tail.
   *
   * @param x a value
   * @return ln P(X &gt; x), of counts ln P(X ≥ x)
   */
  public double logUpper(double x) {
    double at = counts() ? Math.ceil(x) : x;
    if (counts() ? at > shape.greatest() : at >= shape.greatest()) {
      return Double.NEGATIVE_INFINITY;
    }
    return at <= shape.least() ? 0 : Math.min(0, shape.logUpper(at));
  }

  /**
   * The lower tail.
   *
   * @param x a value
   * @return P(X ≤ x)
   */
  public double lower(double x) {
    return Math.exp(logLower(x));
  }

  /**
   * The upper tail.
   *
   * @param x a value
   * @return P(X &gt; x), of counts P(X ≥ x)
   */
  public double upper(double x) {
    return Math.exp(logUpper(x));
  }

  /**
   * Both tails together.
   *
   * @param x a value
   * @return the natural logarithm of twice the smaller tail, at most 0
   */
  public double logBoth(double x) {
    return Math.min(0, Math.log(2) + Math.min(logLower(x), logUpper(x)));
  }

  /**
   * What lies between two values, of counts with both.
   *
   * @param from the lower value
   * @param to the upper value
   * @return P(from ≤ X ≤ to)
   * @throws IllegalArgumentException if not from ≤ to
   */
  public double between(double from, double to) {
    require(from <= to, "between must run upwards, got %s to %s", from, to);
    double below = counts() ? logLower(Math.ceil(from) - 1) : logLower(from);
    double above = counts() ? logUpper(Math.floor(to) + 1) : logUpper(to);
    // Of nearly equal tails the difference is taken, of the smaller ones.
    if (below > Math.log(0.5)) {
      return Math.max(0, upper(from) - Math.exp(above));
    }
    if (above > Math.log(0.5)) {
      return Math.max(0, lower(to) - Math.exp(below));
    }
    return Math.max(0, -Math.expm1(LogSpace.add(below, above)));
  }

  /**
   * The value with an area below.
   *
   * @param area the area, strictly between 0 and 1
   * @return x with P(X ≤ x) = area; of counts the largest with P(X ≤ x) ≤ area, one below the
   *     smallest if there is none
   * @throws IllegalArgumentException if the area is out of its range, or the value beyond the
   *     numbers that a double can write
   */
  public double valueBelow(double area) {
    Proportion.require("area", area);
    if (counts()) {
      return Bisection.last(
          (long) shape.least() - 1,
          lastCount(),
          x -> logLower((double) x) <= Math.log(area) + CLOSE);
    }
    return value(Math.log(area), Math.log1p(-area));
  }

  /**
   * The value with an area above.
   *
   * @param area the area, strictly between 0 and 1
   * @return x with P(X &gt; x) = area; of counts the smallest with P(X ≥ x) ≤ area, one above the
   *     largest if there is none
   * @throws IllegalArgumentException if the area is out of its range, or the value beyond the
   *     numbers that a double can write
   */
  public double valueAbove(double area) {
    Proportion.require("area", area);
    if (counts()) {
      return Bisection.first(
          (long) shape.least(),
          lastCount() + 1,
          x -> logUpper((double) x) <= Math.log(area) + CLOSE);
    }
    return value(Math.log1p(-area), Math.log(area));
  }

  /**
   * The same as {@link #valueBelow}, for a limit: where the value is too near to an end of the
   * support to be told from it, that end.
   *
   * @param area the area, strictly between 0 and 1
   * @return the value, of a distribution that isn't of counts
   * @throws IllegalArgumentException if the area is out of its range
   */
  public double limitBelow(double area) {
    Proportion.require("area", area);
    return shape instanceof BetaShape beta
        ? beta.value(Math.log(area), Math.log1p(-area))
        : valueBelow(area);
  }

  /**
   * The same as {@link #valueAbove}, for a limit.
   *
   * @param area the area, strictly between 0 and 1
   * @return the value, or the end of the support
   * @throws IllegalArgumentException if the area is out of its range
   */
  public double limitAbove(double area) {
    Proportion.require("area", area);
    return shape instanceof BetaShape beta
        ? beta.value(Math.log1p(-area), Math.log(area))
        : valueAbove(area);
  }

  private double requireFound(double value) {
    require(
        !Double.isInfinite(value),
        "the value with such an area lies beyond 1e307, the end of the numbers searched");
    if (value == 0) {
      throw new IllegalArgumentException(TOO_NEAR);
    }
    return value;
  }

  /** A value in the unit interval that is told from its ends. */
  private static double requireTold(double value) {
    if (!(value > 2 * Double.MIN_NORMAL && value < 1)) {
      throw new IllegalArgumentException(
          value < 1
              ? TOO_NEAR
              : "the value with such an area lies too near to 1 to be told from it");
    }
    return value;
  }

  private long lastCount() {
    return (long) shape.reach();
  }

  /** Searched on a scale on which the far ends of the support are near. */
  private double value(double logBelow, double logAbove) {
    if (shape instanceof BetaShape beta) {
      return requireTold(beta.value(logBelow, logAbove));
    }
    DoubleUnaryOperator at = shape.support() == Support.LINE ? Math::sinh : Math::exp;
    boolean fromBelow = logBelow < logAbove;
    DoubleUnaryOperator unequal =
        u ->
            fromBelow
                ? logLower(at.applyAsDouble(u)) - logBelow
                : logAbove - logUpper(at.applyAsDouble(u));
    double low = shape.support() == Support.LINE ? -FARTHEST : NEAREST;
    double high = FARTHEST;
    if (unequal.applyAsDouble(low) >= 0) {
      return requireFound(shape.least());
    }
    if (unequal.applyAsDouble(high) <= 0) {
      return requireFound(shape.greatest());
    }
    // Down from the ends to where tails are finite numbers, and to a narrow bracket.
    for (int i = 0; i < 60; i++) {
      double middle = low + (high - low) / 2;
      if (unequal.applyAsDouble(middle) < 0) {
        low = middle;
      } else {
        high = middle;
      }
      if (high - low < 0.5) {
        break;
      }
    }
    return at.applyAsDouble(new BrentSolver(CLOSE, CLOSE, 0).findRoot(unequal, low, high));
  }
}
