package dev.tavik.bayes;

import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Estimand;

/**
 * The pairs of proportions, first and second, whose difference, ratio or odds ratio is one value: a
 * line across the unit square, on which the first rises with the second from {@code least} to
 * {@code greatest}. It is walked by the logit of how far along it a pair is, so that all four of
 * the proportions and their complements keep their digits near every corner.
 *
 * @param measure which of the three is the same all along
 * @param value what it is
 * @param least the second proportion where the first is 0, or 0
 * @param greatest one minus this is the second proportion where the first is 1, or 0
 */
record EqualLine(Estimand measure, double value, double least, double greatest) {
  /** Logit beyond which a share can't be distinguished from 0. */
  private static final double FARTHEST = 700;

  /** Largest starting point of a search for a peak. */
  private static final double START_WITHIN = 25;

  /**
   * A pair.
   *
   * @param first the first proportion
   * @param second the second
   * @param logStep ln of how fast the second rises with the logit
   */
  record Pair(DecimalFraction first, DecimalFraction second, double logStep) {}

  static EqualLine of(Estimand measure, double value) {
    return switch (measure) {
      case DIFFERENCE -> new EqualLine(measure, value, Math.max(0, -value), Math.max(0, value));
      case RATIO -> new EqualLine(measure, value, 0, value > 1 ? (value - 1) / value : 0);
      case ODDS_RATIO -> new EqualLine(measure, value, 0, 0);
      default -> throw new IllegalArgumentException("two rates have no " + measure.id());
    };
  }

  /** Whether no pair is on it, as for a difference of 1 or a ratio of 0. */
  boolean empty() {
    return measure == Estimand.DIFFERENCE
        ? Math.abs(value) >= 1
        : value <= 0 || value == Double.POSITIVE_INFINITY;
  }

  /** How far the second proportion goes; of a large ratio not as a difference from 1. */
  double width() {
    return measure == Estimand.RATIO ? Math.min(1, 1 / value) : 1 - least - greatest;
  }

  Pair at(double logit) {
    double inner = Math.max(-FARTHEST, Math.min(FARTHEST, logit));
    double share = 1 / (1 + Math.exp(-inner));
    double rest = 1 / (1 + Math.exp(inner));
    double along = width() * share;
    double left = width() * rest;
    DecimalFraction second = new DecimalFraction(least + along, 0, greatest + left);
    DecimalFraction first =
        switch (measure) {
          case DIFFERENCE -> new DecimalFraction(greatest + along, 0, least + left);
          case RATIO ->
              value > 1
                  ? new DecimalFraction(share, 0, rest)
                  : new DecimalFraction(value * share, 0, 1 - value + value * rest);
          default -> {
            double odds = value * share;
            yield new DecimalFraction(odds / (rest + odds), 0, rest / (rest + odds));
          }
        };
    double logStep =
        Math.abs(logit) > FARTHEST
            ? Double.NEGATIVE_INFINITY
            : Math.log(width()) + Math.log(share) + Math.log(rest);
    return new Pair(first, second, logStep);
  }

  /** ln of how fast the first proportion rises with the value, at a pair. */
  double logSpread(Pair pair) {
    return switch (measure) {
      case DIFFERENCE -> 0;
      case RATIO -> Math.log(pair.second().value());
      default ->
          Math.log(pair.first().value()) + Math.log(pair.first().complement()) - Math.log(value);
    };
  }

  /** The logit at which the second proportion is about a value. */
  double logit(double second) {
    double along = second - least;
    double left = least + width() - second;
    if (along <= 0 || left <= 0) {
      return along <= 0 ? -START_WITHIN : START_WITHIN;
    }
    return Math.max(-START_WITHIN, Math.min(START_WITHIN, Math.log(along) - Math.log(left)));
  }

  /** The second proportion that goes with a first one, perhaps outside the square. */
  double secondOf(double first) {
    return switch (measure) {
      case DIFFERENCE -> first - value;
      case RATIO -> first / value;
      default -> first / (first + value * (1 - first));
    };
  }
}
