package dev.tavik.bayes;

import static dev.tavik.result.Figures.require;

import dev.tavik.bayes.Credible.Kind;
import dev.tavik.count.Tally;
import dev.tavik.numeric.Beta;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.LogSpace;
import dev.tavik.numeric.Normal;
import dev.tavik.numeric.PeakIntegral;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimand;
import dev.tavik.result.Proportion;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import org.apache.commons.numbers.rootfinder.BrentSolver;

/**
 * What is believed of the difference, the ratio and the odds ratio of two independent proportions,
 * first against second, each with a beta distribution.
 *
 * <p>A probability is one density times the tail of the other, integrated by the trapezoidal rule
 * over the logit, never drawn: probabilities are right to 10⁻¹² relatively, however small, limits
 * to 10⁻⁸ and better. Beyond 10⁸ trials both are limited by the last place of a double.
 */
public final class ComparedRates {
  /** The measures, as {@link Estimand} names them. */
  public static final List<Estimand> MEASURES =
      List.of(Estimand.DIFFERENCE, Estimand.RATIO, Estimand.ODDS_RATIO);

  /** The smallest parameter of a prior accepted. */
  public static final double LEAST_PARAMETER = 0.1;

  private static final double FARTHEST = 690;
  private static final double CLOSE = 1e-13;
  private static final double NO_SHARE = 1e-9;
  private static final int MOST_WIDENINGS = 200;
  private static final double NUDGE = 1e-6;
  private static final double LEAST_WIDTH = 1e-9;

  /** Logarithm of a Bayes factor from which the data clearly point one way. */
  private static final double CLEAR = 20;

  /** Ratio of the variances, on the scale of the logit, beyond which the two rates change roles. */
  private static final double MUCH = 2;

  private final double a1;
  private final double b1;
  private final double a2;
  private final double b2;
  private final Beta first;
  private final Beta second;

  private ComparedRates(double a1, double b1, double a2, double b2) {
    this.a1 = a1;
    this.b1 = b1;
    this.a2 = a2;
    this.b2 = b2;
    this.first = new Beta(a1, b1);
    this.second = new Beta(a2, b2);
  }

  /**
   * What is believed after the data.
   *
   * @param prior what is believed of either proportion before them
   * @param first the first tally
   * @param second the second tally
   * @return the posterior
   * @throws IllegalArgumentException if a parameter of the prior is below 0.1, where nearly all of
   *     it lies closer to 0 or 1 than numbers go
   */
  public static ComparedRates of(BetaPrior prior, Tally first, Tally second) {
    requireParameters(prior);
    return new ComparedRates(
        prior.a() + first.successes(),
        prior.b() + first.failures(),
        prior.a() + second.successes(),
        prior.b() + second.failures());
  }

  /**
   * {@return what is believed before the data}
   *
   * @param prior what is believed of either proportion
   * @throws IllegalArgumentException if a parameter of the prior is below 0.1
   */
  public static ComparedRates before(BetaPrior prior) {
    requireParameters(prior);
    return new ComparedRates(prior.a(), prior.b(), prior.a(), prior.b());
  }

  private static void requireParameters(BetaPrior prior) {
    require(
        Math.min(prior.a(), prior.b()) >= LEAST_PARAMETER,
        "prior of two rates must have parameters from 0.1, such as 1,1, got %s; below, nearly"
            + " all of it lies at 0 or 1",
        prior);
  }

  /**
   * How much likelier the data are when the proportions differ than when they are equal, the common
   * one with the same prior as each of two.
   *
   * @param prior what is believed of each proportion
   * @param one the first tally
   * @param two the second tally
   * @param alternative the direction; a directional one multiplies by the ratio of the posterior's
   *     and the prior's probability, one half, on its side (the encompassing prior; Klugkist, Laudy
   *     and Hoijtink 2005, Psychological Methods 10, 477-493)
   * @return ln BF, to 10⁻¹¹ relatively or 10⁻¹² absolutely
   * @throws IllegalArgumentException as {@link #of} does, for a directional alternative
   */
  public static double logBayesFactor(
      Tally one, Tally two, Alternative alternative, BetaPrior prior) {
    double a = prior.a() + one.successes() + two.successes();
    double b = prior.b() + one.failures() + two.failures();
    DecimalFraction common = new DecimalFraction(a / (a + b), 0, b / (a + b));
    // Everything that grows with n cancels between densities at the same value.
    double log =
        new Beta(prior.a(), prior.b()).logDensity(common)
            + new Beta(a, b).logDensity(common)
            - new Beta(prior.a() + one.successes(), prior.b() + one.failures()).logDensity(common)
            - new Beta(prior.a() + two.successes(), prior.b() + two.failures()).logDensity(common);
    return switch (alternative) {
      case TWO_SIDED -> log;
      case GREATER -> Math.log(2) + directed(of(prior, one, two), log, prior, common);
      case LESS -> Math.log(2) + directed(of(prior, two, one), log, prior, common);
    };
  }

  /**
   * A Bayes factor times the posterior's probability that the first is higher. Where the data point
   * clearly the other way, both are far from 1 and cancel; then one integral has both.
   */
  private static double directed(
      ComparedRates rates, double log, BetaPrior prior, DecimalFraction common) {
    boolean against =
        log > CLEAR && rates.first.mean() < common.value() && rates.second.mean() > common.value();
    return against ? rates.logAgainst(prior, common) : log + rates.logAbove(Estimand.DIFFERENCE, 0);
  }

  /**
   * With f, g the posterior densities of first and second and c the common proportion, the factor
   * is prior(c) posterior(c)/(f(c) g(c)), the probability ∫ g(t) P(first &gt; t) dt; and the tail
   * is f(t) t (1 - t) times a ratio of moderate size. So f(t) g(t)/(f(c) g(c)) is left, the shape
   * of one beta density near its own mode, and nothing large remains.
   */
  private double logAgainst(BetaPrior prior, DecimalFraction common) {
    double a = a1 + a2 - 1;
    double b = b1 + b2 - 1;
    Beta both = new Beta(a, b);
    double atCommon = both.logDensity(common);
    double integral =
        PeakIntegral.log(
            logit -> {
              double value = 1 / (1 + Math.exp(-logit));
              double rest = 1 / (1 + Math.exp(logit));
              if (value == 0 || rest == 0) {
                return Double.NEGATIVE_INFINITY;
              }
              DecimalFraction t = new DecimalFraction(value, 0, rest);
              return both.logDensity(t)
                  - atCommon
                  + 2 * (Math.log(value) + Math.log(rest))
                  + logUpperRatio(t);
            },
            Math.log(a) - Math.log(b),
            Math.sqrt((a + b) / (a * b)));
    return new Beta(prior.a(), prior.b()).logDensity(common)
        + new Beta(a1 + a2 - prior.a(), b1 + b2 - prior.b()).logDensity(common)
        + integral;
  }

  /** ln P(first &gt; t)/(f(t) t (1 - t)): far below the first's mean no number holds the ratio. */
  private double logUpperRatio(DecimalFraction t) {
    return first.lowerIsSmaller(t)
        ? first.logUpper(t) - first.logDensity(t) - Math.log(t.value()) - Math.log(t.complement())
        : Math.log(first.smallerTailRatio(t));
  }

  /**
   * The probability that a measure is above a value.
   *
   * @param measure one of {@link #MEASURES}
   * @param value a difference from -1 to 1, or a ratio from 0
   * @return P(measure &gt; value)
   */
  public double above(Estimand measure, double value) {
    return Math.exp(logAbove(measure, value));
  }

  /**
   * The probability that a measure lies in a region.
   *
   * @param measure one of {@link #MEASURES}
   * @param low the lower end
   * @param high the upper end
   * @return P(low &lt; measure ≤ high)
   * @throws IllegalArgumentException if not low &lt; high
   */
  public double inside(Estimand measure, double low, double high) {
    require(low < high, "a region must run upwards, got %s to %s", low, high);
    double below = logBelow(measure, low);
    double above = logAbove(measure, high);
    // Of nearly equal tails the difference is taken, of the smaller ones.
    if (below > Math.log(0.5)) {
      return Math.max(0, Math.exp(logAbove(measure, low)) - Math.exp(above));
    }
    if (above > Math.log(0.5)) {
      return Math.max(0, Math.exp(logBelow(measure, high)) - Math.exp(below));
    }
    return Math.max(0, 1 - Math.exp(below) - Math.exp(above));
  }

  /**
   * The mean.
   *
   * @param measure one of {@link #MEASURES}
   * @return its mean; infinite where a ratio has none, as the second proportion may be next to 0
   */
  public double mean(Estimand measure) {
    return switch (measure) {
      case DIFFERENCE -> (a1 * b2 - a2 * b1) / ((a1 + b1) * (a2 + b2));
      case RATIO -> a2 > 1 ? first.mean() * ((a2 + b2 - 1) / (a2 - 1)) : Double.POSITIVE_INFINITY;
      default -> a2 > 1 && b1 > 1 ? a1 / (b1 - 1) * (b2 / (a2 - 1)) : Double.POSITIVE_INFINITY;
    };
  }

  /**
   * The median.
   *
   * @param measure one of {@link #MEASURES}
   * @return the value with probability ½ on either side
   */
  public double median(Estimand measure) {
    return limit(measure, 0.5, /* fromBelow= */ true);
  }

  /**
   * The interval with equal tails.
   *
   * @param measure one of {@link #MEASURES}
   * @param level its probability, strictly between 0 and 1
   * @return the interval
   * @throws IllegalArgumentException if the level is out of its range
   */
  public Credible equalTailed(Estimand measure, double level) {
    Proportion.require("level", level);
    double tail = DecimalFraction.complement(level) / 2;
    return new Credible(
        Kind.EQUAL_TAILED,
        level,
        limit(measure, tail, /* fromBelow= */ true),
        limit(measure, tail, /* fromBelow= */ false));
  }

  /**
   * The shortest interval.
   *
   * @param measure one of {@link #MEASURES}
   * @param level its probability, strictly between 0 and 1
   * @return the interval; it starts at 0 or -1 or ends at 1 where the density is highest there
   * @throws IllegalArgumentException if the level is out of its range
   */
  public Credible highestDensity(Estimand measure, double level) {
    Proportion.require("level", level);
    double outside = DecimalFraction.complement(level);
    if (fallsToBothEnds(measure)) {
      Ends ends = new Ends(measure, outside);
      if (ends.found()) {
        return new Credible(
            Kind.HIGHEST_DENSITY, level, value(measure, ends.low), value(measure, ends.high));
      }
    }
    DoubleUnaryOperator unequal =
        share ->
            logDensity(measure, limit(measure, share * outside, /* fromBelow= */ true))
                - logDensity(measure, limit(measure, (1 - share) * outside, false));
    if (unequal.applyAsDouble(NO_SHARE) >= 0) {
      double least = measure == Estimand.DIFFERENCE ? -1 : 0;
      return new Credible(
          Kind.HIGHEST_DENSITY, level, least, limit(measure, outside, /* fromBelow= */ false));
    }
    if (unequal.applyAsDouble(1 - NO_SHARE) <= 0) {
      double greatest = measure == Estimand.DIFFERENCE ? 1 : Double.POSITIVE_INFINITY;
      return new Credible(
          Kind.HIGHEST_DENSITY, level, limit(measure, outside, /* fromBelow= */ true), greatest);
    }
    double share = new BrentSolver(0, 1e-12, 0).findRoot(unequal, NO_SHARE, 1 - NO_SHARE);
    return new Credible(
        Kind.HIGHEST_DENSITY,
        level,
        limit(measure, share * outside, /* fromBelow= */ true),
        limit(measure, (1 - share) * outside, /* fromBelow= */ false));
  }

  /** Whether the density is 0 at both ends of the scale, so that it is highest in between. */
  private boolean fallsToBothEnds(Estimand measure) {
    return switch (measure) {
      case DIFFERENCE -> a1 + b2 > 2 && b1 + a2 > 2;
      case RATIO -> a1 > 1 && a2 > 1;
      default -> Math.min(Math.min(a1, b1), Math.min(a2, b2)) > 1;
    };
  }

  /** The value at a place of the scale on which limits are searched. */
  private static double value(Estimand measure, double at) {
    return measure == Estimand.DIFFERENCE ? at : Math.exp(at);
  }

  /**
   * Both ends of the shortest interval at once, by Newton's method: the density is the same at
   * both, and the tails outside add up. The densities' slopes come from one step to the next.
   */
  private final class Ends {
    private static final int MOST_STEPS = 30;
    private static final double FIRST_STEP = 1e-4;

    /** Step length, in units of the scale, that is within the accuracy of the integrals. */
    private static final double SHORT = 1e-11;

    private final Estimand measure;
    private final double outside;
    private final double scale;
    private double low;
    private double high;

    Ends(Estimand measure, double outside) {
      this.measure = measure;
      this.outside = outside;
      this.scale = scale(measure);
      double away = Normal.upperQuantile(outside / 2) * scale;
      this.low = centre(measure) - away;
      this.high = centre(measure) + away;
    }

    private double logDensityAt(double at) {
      return logDensity(measure, value(measure, at));
    }

    /** How fast the probability below grows on the scale. */
    private double rise(double at, double logDensity) {
      return Math.exp(logDensity) * (measure == Estimand.DIFFERENCE ? 1 : value(measure, at));
    }

    boolean found() {
      double atLow = logDensityAt(low);
      double atHigh = logDensityAt(high);
      double step = FIRST_STEP * scale;
      double slopeLow = (logDensityAt(low + step) - atLow) / step;
      double slopeHigh = (atHigh - logDensityAt(high - step)) / step;
      for (int i = 0; i < MOST_STEPS; i++) {
        double unequal = atLow - atHigh;
        double beyond =
            Math.exp(logBelow(measure, value(measure, low)))
                + Math.exp(logAbove(measure, value(measure, high)))
                - outside;
        double riseLow = rise(low, atLow);
        double riseHigh = rise(high, atHigh);
        double determinant = slopeHigh * riseLow - slopeLow * riseHigh;
        // The density must rise at the low end and fall at the high one; beyond the scale it is 0.
        if (!(Double.isFinite(unequal) && slopeLow > 0 && slopeHigh < 0 && determinant < 0)) {
          return false;
        }
        double moveLow = (unequal * riseHigh - slopeHigh * beyond) / determinant;
        double moveHigh = (unequal * riseLow - slopeLow * beyond) / determinant;
        moveLow = Math.max(-scale, Math.min(scale, moveLow));
        moveHigh = Math.max(-scale, Math.min(scale, moveHigh));
        low += moveLow;
        high += moveHigh;
        if (Math.max(Math.abs(moveLow), Math.abs(moveHigh)) <= SHORT * scale) {
          return true;
        }
        double nextLow = logDensityAt(low);
        double nextHigh = logDensityAt(high);
        slopeLow = secant(slopeLow, nextLow - atLow, moveLow);
        slopeHigh = secant(slopeHigh, nextHigh - atHigh, moveHigh);
        atLow = nextLow;
        atHigh = nextHigh;
      }
      return false;
    }

    /** Where the step is long enough to tell. */
    private double secant(double slope, double difference, double move) {
      return Math.abs(move) > FIRST_STEP * scale ? difference / move : slope;
    }
  }

  /**
   * The density.
   *
   * @param measure one of {@link #MEASURES}
   * @param value a difference strictly between -1 and 1, or a ratio above 0
   * @return its height
   */
  public double density(Estimand measure, double value) {
    return Math.exp(logDensity(measure, value));
  }

  /** The value with a tail below or above, searched on the scale on which it is most normal. */
  private double limit(Estimand measure, double tail, boolean fromBelow) {
    double logTail = Math.log(tail);
    boolean difference = measure == Estimand.DIFFERENCE;
    DoubleUnaryOperator unequal =
        at -> {
          double value = value(measure, at);
          return fromBelow
              ? logBelow(measure, value) - logTail
              : logTail - logAbove(measure, value);
        };
    double farthest = difference ? Math.nextDown(1.0) : FARTHEST;
    double step = scale(measure);
    double low = Math.max(-farthest, Math.min(farthest, centre(measure)));
    double high = low;
    if (unequal.applyAsDouble(low) < 0) {
      for (int i = 0; i < MOST_WIDENINGS && high < farthest; i++, step *= 2) {
        high = Math.min(farthest, high + step);
        if (unequal.applyAsDouble(high) >= 0) {
          break;
        }
        low = high;
      }
    } else {
      for (int i = 0; i < MOST_WIDENINGS && low > -farthest; i++, step *= 2) {
        low = Math.max(-farthest, low - step);
        if (unequal.applyAsDouble(low) <= 0) {
          break;
        }
        high = low;
      }
    }
    if (low >= high) {
      return value(measure, low);
    }
    double found = new BrentSolver(CLOSE, CLOSE * scale(measure), 0).findRoot(unequal, low, high);
    return value(measure, found);
  }

  private double centre(Estimand measure) {
    return switch (measure) {
      case DIFFERENCE -> mean(measure);
      case RATIO -> Math.log(first.mean()) - Math.log(second.mean());
      default -> Math.log(a1) - Math.log(b1) - Math.log(a2) + Math.log(b2);
    };
  }

  /** About a standard deviation on the scale of the search. */
  private double scale(Estimand measure) {
    return switch (measure) {
      case DIFFERENCE -> Math.sqrt(variance(a1, b1) + variance(a2, b2));
      case RATIO -> Math.sqrt(b1 / a1 / (a1 + b1) + b2 / a2 / (a2 + b2));
      default -> Math.sqrt(1 / a1 + 1 / b1 + 1 / a2 + 1 / b2);
    };
  }

  private static double variance(double a, double b) {
    return a / (a + b) * (b / (a + b)) / (a + b + 1);
  }

  /**
   * The narrower density is integrated over, because the tail of the wider one is smooth there; the
   * tail of the narrower one would be a step across the wider density.
   */
  private double logAbove(Estimand measure, double value) {
    return firstIsSurer()
        ? new ComparedRates(a2, b2, a1, b1).logBelowAlong(measure, turned(measure, value))
        : logAboveAlong(measure, value);
  }

  private double logBelow(Estimand measure, double value) {
    return firstIsSurer()
        ? new ComparedRates(a2, b2, a1, b1).logAboveAlong(measure, turned(measure, value))
        : logBelowAlong(measure, value);
  }

  private boolean firstIsSurer() {
    return MUCH * (1 / a1 + 1 / b1) < 1 / a2 + 1 / b2;
  }

  /** The measure of second against first. */
  private static double turned(Estimand measure, double value) {
    return measure == Estimand.DIFFERENCE ? -value : 1 / value;
  }

  private double logAboveAlong(Estimand measure, double value) {
    EqualLine line = EqualLine.of(measure, value);
    // Below the line's lower end every first proportion is above.
    double certain =
        line.least() > 0
            ? second.logLower(new DecimalFraction(line.least(), 0, 1 - line.least()))
            : Double.NEGATIVE_INFINITY;
    double along =
        along(
            line,
            pair -> first.logUpper(pair.first()),
            line.secondOf(first.mean()) > second.mean());
    return Math.min(0, LogSpace.add(certain, along));
  }

  private double logBelowAlong(Estimand measure, double value) {
    EqualLine line = EqualLine.of(measure, value);
    double certain =
        line.greatest() > 0
            ? second.logUpper(new DecimalFraction(line.least() + line.width(), 0, line.greatest()))
            : Double.NEGATIVE_INFINITY;
    double along =
        along(
            line,
            pair -> first.logLower(pair.first()),
            line.secondOf(first.mean()) < second.mean());
    return Math.min(0, LogSpace.add(certain, along));
  }

  private double logDensity(Estimand measure, double value) {
    EqualLine line = EqualLine.of(measure, value);
    return along(
        line, pair -> first.logDensity(pair.first()) + line.logSpread(pair), /* alike= */ false);
  }

  /**
   * ln of the integral, along a line, of the second's density times a function of the first.
   *
   * @param alike whether that function hardly changes where the second's density is
   */
  private double along(EqualLine line, ToDoubleFunction<EqualLine.Pair> ofFirst, boolean alike) {
    if (line.empty()) {
      return Double.NEGATIVE_INFINITY;
    }
    Peak peak = peak(line, alike);
    return PeakIntegral.log(
        t -> {
          EqualLine.Pair pair = line.at(t);
          return second.logDensity(pair.second()) + pair.logStep() + ofFirst.applyAsDouble(pair);
        },
        peak.at,
        peak.width);
  }

  /** Where about a function along a line is greatest, and how narrow it is there. */
  private record Peak(double at, double width) {}

  private Peak peak(EqualLine line, boolean alike) {
    double own = line.logit(second.mean());
    double ownWidth = width(line, own, variance(a2, b2));
    if (alike) {
      return new Peak(own, ownWidth);
    }
    // A guess between the peaks of both densities, nearer to the narrower one.
    double mean = first.mean();
    double wanted = line.secondOf(mean);
    double slope = (wanted - line.secondOf(mean * (1 - NUDGE))) / (mean * NUDGE);
    double other = line.logit(wanted);
    double otherWidth = width(line, other, variance(a1, b1) * slope * slope);
    double share = ownWidth / Math.hypot(ownWidth, otherWidth);
    return new Peak(own + share * share * (other - own), share * otherWidth);
  }

  private static double width(EqualLine line, double logit, double variance) {
    double width = Math.sqrt(variance) / Math.exp(line.at(logit).logStep());
    return Math.max(LEAST_WIDTH, Math.min(1, width));
  }
}
