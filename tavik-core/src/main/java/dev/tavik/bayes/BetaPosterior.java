package dev.tavik.bayes;

import static dev.tavik.result.Figures.require;

import dev.tavik.bayes.Credible.Kind;
import dev.tavik.numeric.Beta;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.LogSpace;
import dev.tavik.result.Alternative;
import dev.tavik.result.Proportion;
import java.util.Optional;

/**
 * What is believed of a proportion after the data: a beta distribution, whole or cut at a value and
 * renormalised, as a directional hypothesis has it.
 *
 * <p>Limits are right to 10⁻¹⁰, probabilities to 10⁻¹² relative.
 */
public final class BetaPosterior {
  private static final int MOST_HALVINGS = 200;

  private final double alpha;
  private final double beta;
  private final Beta whole;
  private final Alternative side;
  private final double cut;

  /** ln of the probability, in the whole, of what is left. */
  private final double logLeft;

  private BetaPosterior(double alpha, double beta, Alternative side, double cut) {
    this.alpha = alpha;
    this.beta = beta;
    this.whole = new Beta(alpha, beta);
    this.side = side;
    this.cut = cut;
    this.logLeft =
        switch (side) {
          case TWO_SIDED -> 0;
          case LESS -> whole.logLower(DecimalFraction.of(cut));
          case GREATER -> whole.logUpper(DecimalFraction.of(cut));
        };
  }

  /**
   * A whole beta distribution.
   *
   * @param alpha the first parameter, above 0
   * @param beta the second parameter, above 0
   * @return the posterior
   */
  public static BetaPosterior of(double alpha, double beta) {
    return new BetaPosterior(alpha, beta, Alternative.TWO_SIDED, 0);
  }

  /**
   * Cut at a value.
   *
   * @param alternative which side is kept; both for the whole
   * @param value where it is cut, strictly between 0 and 1
   * @return what is left, renormalised
   */
  public BetaPosterior within(Alternative alternative, double value) {
    return new BetaPosterior(alpha, beta, alternative, value);
  }

  /**
   * Whether it is cut.
   *
   * @return whether a side was left out
   */
  public boolean truncated() {
    return side != Alternative.TWO_SIDED;
  }

  /**
   * The mean.
   *
   * @return α/(α + β), for a cut one times the ratio of the tails with α + 1 and with α
   */
  public double mean() {
    Beta longer = new Beta(alpha + 1, beta);
    return switch (side) {
      case TWO_SIDED -> whole.mean();
      case LESS -> whole.mean() * Math.exp(longer.logLower(DecimalFraction.of(cut)) - logLeft);
      case GREATER -> whole.mean() * Math.exp(longer.logUpper(DecimalFraction.of(cut)) - logLeft);
    };
  }

  /**
   * The most probable value.
   *
   * @return (α - 1)/(α + β - 2), no further than the cut; NaN where no single value is
   */
  public double mode() {
    double mode = wholeMode();
    return switch (side) {
      case TWO_SIDED -> mode;
      case LESS -> Math.min(cut, mode);
      case GREATER -> Math.max(cut, mode);
    };
  }

  private double wholeMode() {
    if (alpha > 1 && beta > 1) {
      return (alpha - 1) / (alpha + beta - 2);
    }
    if (alpha == beta || (alpha < 1 && beta < 1)) {
      return Double.NaN;
    }
    return alpha < beta ? 0 : 1;
  }

  /**
   * The median.
   *
   * @return the value with probability ½ on either side
   */
  public double median() {
    return quantile(Math.log(0.5), Math.log(0.5));
  }

  /**
   * The value below which the rate lies with a probability.
   *
   * @param probability strictly between 0 and 1
   * @return the value, right to 10⁻¹⁰ relative
   * @throws IllegalArgumentException if not 0 &lt; probability &lt; 1
   */
  public double quantile(double probability) {
    Proportion.require("probability", probability);
    return quantile(Math.log(probability), Math.log(DecimalFraction.complement(probability)));
  }

  /**
   * The posterior probability of values above one.
   *
   * @param value the value, strictly between 0 and 1
   * @return P(p &gt; value)
   */
  public double probabilityAbove(double value) {
    return Math.exp(logAbove(value));
  }

  private double logAbove(double value) {
    double log = whole.logUpper(DecimalFraction.of(value));
    return switch (side) {
      case TWO_SIDED -> log;
      case GREATER -> value <= cut ? 0 : log - logLeft;
      case LESS -> value >= cut ? Double.NEGATIVE_INFINITY : LogSpace.complement(logBelow(value));
    };
  }

  private double logBelow(double value) {
    double log = whole.logLower(DecimalFraction.of(value));
    return switch (side) {
      case TWO_SIDED -> log;
      case LESS -> value >= cut ? 0 : log - logLeft;
      case GREATER ->
          value <= cut ? Double.NEGATIVE_INFINITY : LogSpace.complement(logAbove(value));
    };
  }

  /**
   * The posterior probability of a region.
   *
   * @param low its lower end, from 0
   * @param high its upper end, to 1
   * @return P(low &lt; p ≤ high)
   * @throws IllegalArgumentException if not 0 ≤ low &lt; high ≤ 1
   */
  public double inside(double low, double high) {
    require(
        low >= 0 && low < high && high <= 1,
        "a region must run upwards between 0 and 1, got %s to %s",
        low,
        high);
    double below = low == 0 ? Double.NEGATIVE_INFINITY : logBelow(low);
    double above = high == 1 ? Double.NEGATIVE_INFINITY : logAbove(high);
    // From the smaller of the tails, so that a difference of nearly equal numbers is not taken.
    if (below > Math.log(0.5)) {
      return Math.max(0, Math.exp(logAbove(low)) - Math.exp(above));
    }
    if (above > Math.log(0.5)) {
      return Math.max(0, Math.exp(logBelow(high)) - Math.exp(below));
    }
    return Math.max(0, 1 - Math.exp(below) - Math.exp(above));
  }

  /**
   * The interval with equal tails.
   *
   * @param level its probability, strictly between 0 and 1
   * @return the interval
   * @throws IllegalArgumentException if the level is out of its range
   */
  public Credible equalTailed(double level) {
    Proportion.require("level", level);
    double tail = Math.log(DecimalFraction.complement(level) / 2);
    double rest = LogSpace.complement(tail);
    return new Credible(Kind.EQUAL_TAILED, level, quantile(tail, rest), quantile(rest, tail));
  }

  /**
   * The shortest interval.
   *
   * @param level its probability, strictly between 0 and 1
   * @return the interval; none where the density has two peaks or is flat
   * @throws IllegalArgumentException if the level is out of its range
   */
  public Optional<Credible> highestDensity(double level) {
    Proportion.require("level", level);
    if (Double.isNaN(wholeMode())) {
      return Optional.empty();
    }
    double outside = DecimalFraction.complement(level);
    double low = 0;
    double high = 1;
    // The share of what is left out that lies below: where both ends are equally dense.
    for (int i = 0; i < MOST_HALVINGS && high - low > 0x1p-60; i++) {
      double share = low + (high - low) / 2;
      if (logDensity(lower(share * outside)) < logDensity(upper(share, outside))) {
        low = share;
      } else {
        high = share;
      }
    }
    double share = low + (high - low) / 2;
    share = share < 1e-15 ? 0 : share > 1 - 1e-15 ? 1 : share;
    return Optional.of(
        new Credible(Kind.HIGHEST_DENSITY, level, lower(share * outside), upper(share, outside)));
  }

  private double lower(double tail) {
    if (tail <= 0) {
      return side == Alternative.GREATER ? cut : 0;
    }
    return quantile(Math.log(tail), Math.log1p(-tail));
  }

  private double upper(double share, double outside) {
    double tail = (1 - share) * outside;
    if (tail <= 0) {
      return side == Alternative.LESS ? cut : 1;
    }
    return quantile(Math.log1p(-tail), Math.log(tail));
  }

  /**
   * The density of the whole.
   *
   * @param p where, from 0 to 1
   * @return its height, 0 or infinite at an end
   */
  public double density(double p) {
    return Math.exp(logDensity(p));
  }

  /**
   * The density's natural logarithm, also where the density is too small to be a number.
   *
   * @param p where, from 0 to 1
   * @return its logarithm, infinite at an end
   */
  public double logDensity(double p) {
    if (p <= 0 || p >= 1) {
      double parameter = p <= 0 ? alpha : beta;
      return parameter > 1
          ? Double.NEGATIVE_INFINITY
          : parameter < 1 ? Double.POSITIVE_INFINITY : Math.log(p <= 0 ? beta : alpha);
    }
    return whole.logDensity(DecimalFraction.exactly(p));
  }

  /** From chances of what is left to chances of the whole. */
  private double quantile(double logLower, double logUpper) {
    return switch (side) {
      case TWO_SIDED -> whole.quantile(logLower, logUpper);
      case LESS -> whole.quantile(logLower + logLeft, LogSpace.complement(logLower + logLeft));
      case GREATER -> whole.quantile(LogSpace.complement(logUpper + logLeft), logUpper + logLeft);
    };
  }
}
