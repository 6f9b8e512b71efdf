package dev.tavik.proportion;

import dev.tavik.count.Tally;

/**
 * The likeliest two proportions that differ by δ (Miettinen and Nurminen 1985, "Comparative
 * analysis of two rates", Statistics in Medicine 4, 213-226; Farrington and Manning 1990, "Test
 * statistics and sample size formulae for comparative binomial trials", Statistics in Medicine 9,
 * 1447-1454).
 *
 * <p>The slope of the log likelihood, x₁/(p+δ) - y₁/(1-p-δ) + x₂/p - y₂/(1-p) with p the second
 * proportion, falls all the way, so its root is found by Newton's steps inside a shrinking bracket,
 * starting from the closed form of the cubic. Where the slope has one sign throughout, the
 * likeliest pair lies at the end of the range.
 */
record RestrictedDifference(double first, double second) {
  private static final int MOST_STEPS = 200;

  static RestrictedDifference of(Tally first, Tally second, double delta) {
    return of(Group.of(first), Group.of(second), delta);
  }

  /** Of proportions that were not counted but are expected. */
  static RestrictedDifference of(double n1, double p1, double n2, double p2, double delta) {
    return of(
        new Group(n1 * p1, n1 * (1 - p1), n1, p1),
        new Group(n2 * p2, n2 * (1 - p2), n2, p2),
        delta);
  }

  private static RestrictedDifference of(Group first, Group second, double delta) {
    Slope slope = new Slope(first, second, delta);
    double low = Math.max(0, -delta);
    double high = Math.min(1, 1 - delta);
    double p = low < high ? slope.root(low, high) : low;
    return new RestrictedDifference(
        Math.max(0, Math.min(1, p + delta)), Math.max(0, Math.min(1, p)));
  }

  /** The standard error of the difference at these proportions. */
  double error(Tally one, Tally two) {
    return error((double) one.trials(), (double) two.trials());
  }

  double error(double n1, double n2) {
    return Math.sqrt(first * (1 - first) / n1 + second * (1 - second) / n2);
  }

  private record Group(double successes, double failures, double trials, double proportion) {
    static Group of(Tally tally) {
      return new Group(tally.successes(), tally.failures(), tally.trials(), tally.proportion());
    }
  }

  private record Slope(Group one, Group two, double delta) {
    double root(double low, double high) {
      if (at(low) <= 0) {
        return low;
      }
      if (at(high) >= 0) {
        return high;
      }
      double below = low;
      double above = high;
      double p = start(low, high);
      for (int step = 0; step < MOST_STEPS; step++) {
        double value = at(p);
        if (value == 0) {
          return p;
        }
        if (value > 0) {
          below = p;
        } else {
          above = p;
        }
        double next = p + value / steepness(p);
        if (!(next > below && next < above)) {
          next = below + (above - below) / 2;
        }
        if (Math.abs(next - p) <= 0x1p-52 * p || next == below || next == above) {
          return next;
        }
        p = next;
      }
      return p;
    }

    /**
     * The slope of the log likelihood; a term whose count is 0 is absent, also where it divides by
     * 0.
     */
    double at(double p) {
      return term(one.successes(), p + delta)
          - term(one.failures(), 1 - delta - p)
          + term(two.successes(), p)
          - term(two.failures(), 1 - p);
    }

    private static double term(double count, double share) {
      return count == 0 ? 0 : share <= 0 ? Double.POSITIVE_INFINITY : count / share;
    }

    private double steepness(double p) {
      return square(one.successes(), p + delta)
          + square(one.failures(), 1 - delta - p)
          + square(two.successes(), p)
          + square(two.failures(), 1 - p);
    }

    private static double square(double count, double share) {
      return count == 0 ? 0 : count / share / share;
    }

    /** The closed form, as Farrington and Manning give it, where it falls inside the range. */
    private double start(double low, double high) {
      double theta = two.trials() / one.trials();
      double p1 = one.proportion();
      double p2 = two.proportion();
      double a = 1 + theta;
      double b = -(1 + theta + p1 + theta * p2 + delta * (theta + 2));
      double c = delta * delta + delta * (2 * p1 + theta + 1) + p1 + theta * p2;
      double d = -p1 * delta * (1 + delta);
      double third = b / (3 * a);
      double v = third * third * third - b * c / (6 * a * a) + d / (2 * a);
      double u = Math.copySign(Math.sqrt(Math.max(0, third * third - c / (3 * a))), v);
      double cosine = Math.max(-1, Math.min(1, v / (u * u * u)));
      double w = (Math.PI + Math.acos(cosine)) / 3;
      double p = 2 * u * Math.cos(w) - third - delta;
      return p > low && p < high ? p : low + (high - low) / 2;
    }
  }
}
