package dev.tavik.proportion;

import dev.tavik.result.Alternative;
import java.util.Arrays;

/**
 * The hypergeometric probabilities of the first group's successes for one total of successes after
 * another, as multiples of the mode's, with their sum. Ratios of neighbours run outwards from the
 * mode; no factorial is needed, and what lies too far out to matter is left out. One buffer serves
 * all totals.
 */
final class ConditionalWeights {
  /** High up, so that weights 580 powers of ten below it are still numbers. */
  private static final double MODE = 1e280;

  private final double first;
  private final double second;
  private final double least;
  private final double[] weights;
  private int from;
  private int to;
  private double total;
  private int rejectedTo;
  private int rejectedFrom;

  /**
   * Weights for two groups.
   *
   * @param first the first group's size
   * @param second the second group's size
   * @param negligible weights below this multiple of the mode's may be left out
   */
  ConditionalWeights(long first, long second, double negligible) {
    this.first = (double) first;
    this.second = (double) second;
    this.least = Math.max(1e-300, MODE * negligible);
    this.weights = new double[(int) first + 1];
  }

  /** Sets up the weights for a total of successes. */
  void of(long successes) {
    int lowest = (int) Math.max(0, successes - second);
    int highest = (int) Math.min((long) first, successes);
    double share = (first + 1.0) / (first + second + 2.0);
    int mode = (int) Math.max(lowest, Math.min(highest, Math.floor((successes + 1) * share)));
    weights[mode] = MODE;
    total = MODE;
    // P(x + 1)/P(x) = (n₁ - x)(s - x)/((x + 1)(n₂ - s + x + 1)), all as doubles that step by one.
    double s = (double) successes;
    double rest = second - successes;
    int x = mode;
    double weight = MODE;
    for (double at = mode; x > lowest && weight > least; at--) {
      weight *= at * (rest + at) / ((first - at + 1) * (s - at + 1));
      weights[--x] = weight;
      total += weight;
    }
    from = x;
    x = mode;
    weight = MODE;
    for (double at = mode; x < highest && weight > least; at++) {
      weight *= (first - at) * (s - at) / ((at + 1) * (rest + at + 1));
      weights[++x] = weight;
      total += weight;
    }
    to = x;
  }

  /** The probability of the counts up to one end and from another on. */
  double outside(long atMost, long atLeast) {
    double sum = 0;
    for (int x = from; x <= Math.min(to, atMost); x++) {
      sum += weights[x];
    }
    for (int x = to; x >= Math.max(from, Math.max(atLeast, atMost + 1)); x--) {
      sum += weights[x];
    }
    return sum / total;
  }

  /**
   * Finds the counts whose p-value by Fisher's test is at most a limit, tied ones together.
   *
   * @return their probability
   */
  double reject(double limit, double tie, Alternative alternative) {
    // What was left out is rejected too, on the sides that count.
    rejectedTo = alternative == Alternative.GREATER ? -1 : from - 1;
    rejectedFrom = alternative == Alternative.LESS ? (int) first + 1 : to + 1;
    double sum = 0;
    double most = limit * total;
    switch (alternative) {
      case LESS -> {
        while (rejectedTo < to && sum + weights[rejectedTo + 1] <= most) {
          sum += weights[++rejectedTo];
        }
      }
      case GREATER -> {
        while (rejectedFrom > from && sum + weights[rejectedFrom - 1] <= most) {
          sum += weights[--rejectedFrom];
        }
      }
      case TWO_SIDED -> sum = leastProbable(most, tie);
    }
    return sum / total;
  }

  /** The p-values by Fisher's test that occur, from the smallest up, tied counts together. */
  double[] pValues(double tie, Alternative alternative) {
    double[] found = new double[to - from + 1];
    int size = 0;
    int low = from;
    int high = to;
    double sum = 0;
    while (low <= high) {
      switch (alternative) {
        case LESS -> sum += weights[low++];
        case GREATER -> sum += weights[high--];
        case TWO_SIDED -> {
          double threshold = Math.min(weights[low], weights[high]) * tie;
          while (low <= high && weights[low] <= threshold) {
            sum += weights[low++];
          }
          while (low <= high && weights[high] <= threshold) {
            sum += weights[high--];
          }
        }
      }
      found[size++] = sum / total;
    }
    return Arrays.copyOf(found, size);
  }

  private double leastProbable(double most, double tie) {
    double sum = 0;
    int low = from;
    int high = to;
    while (low <= high) {
      double threshold = Math.min(weights[low], weights[high]) * tie;
      double next = sum;
      while (low <= high && weights[low] <= threshold) {
        next += weights[low++];
      }
      while (low <= high && weights[high] <= threshold) {
        next += weights[high--];
      }
      if (next > most) {
        return sum;
      }
      sum = next;
      rejectedTo = low - 1;
      rejectedFrom = high + 1;
    }
    return sum;
  }

  /** The largest rejected small count; one below the smallest count if there is none. */
  int rejectedTo() {
    return rejectedTo;
  }

  /** The smallest rejected large count; one above the largest count if there is none. */
  int rejectedFrom() {
    return rejectedFrom;
  }
}
