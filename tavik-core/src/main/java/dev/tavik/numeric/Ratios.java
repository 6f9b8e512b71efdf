package dev.tavik.numeric;

/**
 * The ratios of neighbours outwards from a count: ab/cd, with a and b one smaller and c and d one
 * larger at each step.
 */
record Ratios(long steps, double a, double b, double c, double d) {
  private static final double LAST_PLACE = 0x1p-54;

  /** No product is followed further down than this. */
  static final double SMALLEST = 1e-280;

  /** So many terms of a sum are added between two looks at what is left. */
  private static final int UNASKED = 8;

  /** What so many steps come to, or less than matters. */
  double product(long of) {
    double term = 1;
    for (double at = 0; at < of && term > SMALLEST; at++) {
      term *= (a - at) * (b - at) / ((c + at) * (d + at));
    }
    return term;
  }

  /**
   * One plus all the products of steps. Whether what is left matters is asked now and then; the
   * ratios shrink, so it is below a geometric series.
   */
  double sum() {
    double term = 1;
    double sum = 1;
    double asked = UNASKED;
    for (double at = 0; at < steps; at++) {
      double ratio = (a - at) * (b - at) / ((c + at) * (d + at));
      term *= ratio;
      sum += term;
      if (at >= asked) {
        if (term * ratio <= LAST_PLACE * sum * (1 - ratio)) {
          return sum;
        }
        asked += UNASKED;
      }
    }
    return sum;
  }

  Ratios after(long done) {
    return new Ratios(steps - done, a - done, b - done, c + done, d + done);
  }
}
