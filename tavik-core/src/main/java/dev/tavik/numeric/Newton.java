package dev.tavik.numeric;

/** Roots of rising functions whose slope is known, by Newton's method within a bracket. */
public final class Newton {
  private static final double TOLERANCE = 1e-14;

  /** Steps that shrink so fast are Newton's, near the root. */
  private static final double SHRINKING = 0.05;

  private static final int MOST_STEPS = 500;

  private Newton() {}

  /** What a function is at one place, and how fast it rises there. */
  public record Point(double value, double slope) {}

  /** A function with its slope. */
  @FunctionalInterface
  public interface Sloped {
    /**
     * Looks at a place.
     *
     * @param u the place
     * @return the value and the slope there
     */
    Point at(double u);
  }

  /**
   * Where a function passes zero upwards.
   *
   * @param rising the function, below zero at the low end and above it at the high one
   * @param low the low end
   * @param high the high end
   * @param start where to begin, from low to high
   * @return the place, to 10⁻¹³ absolutely or the last places
   */
  public static double root(Sloped rising, double low, double high, double start) {
    double below = low;
    double above = high;
    double at = start;
    double last = Double.POSITIVE_INFINITY;
    for (int i = 0; i < MOST_STEPS; i++) {
      Point point = rising.at(at);
      if (point.value == 0) {
        return at;
      }
      if (point.value < 0) {
        below = at;
      } else {
        above = at;
      }
      double next = at - point.value / point.slope;
      // Outside the bracket, or nowhere: its middle is as far as one may trust.
      if (!(next > below && next < above)) {
        next = below + (above - below) / 2;
      }
      double step = Math.abs(next - at);
      // Steps shrink to their squares, so that two of them tell the next one.
      double following = step * (step / last) * (step / last);
      boolean near = step <= SHRINKING * last && last < 1 && following <= TOLERANCE;
      if (near || step <= TOLERANCE || !(next > below && next < above)) {
        return next;
      }
      last = step;
      at = next;
    }
    throw new ArithmeticException("no root was found within " + MOST_STEPS + " steps");
  }
}
