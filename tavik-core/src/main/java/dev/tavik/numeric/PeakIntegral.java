package dev.tavik.numeric;

import java.util.function.DoubleUnaryOperator;

/**
 * Integrals over the whole line of positive functions with one peak, given as logarithms, so that
 * they may be as small as they like.
 *
 * <p>The trapezoidal rule converges exponentially for functions that are analytic and fall off on
 * both sides (Trefethen and Weideman 2014, SIAM Review 56, 385-458): from the peak outwards, with a
 * step from the peak's curvature, halved until nothing changes.
 */
public final class PeakIntegral {
  private static final double NEGLIGIBLE = 40;
  private static final double AGREED = 4e-15;
  private static final double NOISE = 0x1p-50;
  private static final double FIRST_STEP = 0.9;
  private static final int MOST_HALVINGS = 14;
  private static final int MOST_CLIMBS = 200;

  /** Between these falls of both neighbours together a parabola tells the width. */
  private static final double LEAST_BEND = 0.2;

  private static final double MOST_BEND = 2;

  private static final double MOST_SHRINKING = 4;

  /** A width, in units of the peak's, to which the peak needn't be found more closely. */
  private static final double CLOSE = 0.3;

  private final DoubleUnaryOperator log;
  private double peak;
  private double top;
  private double width;

  private PeakIntegral(DoubleUnaryOperator log, double start, double width) {
    this.log = log;
    this.peak = start;
    this.top = log.applyAsDouble(start);
    this.width = width;
  }

  /**
   * The logarithm of an integral.
   *
   * @param log the logarithm of the function, negative infinity where it is 0
   * @param start where to look for the peak
   * @param width about how wide the peak is, above 0
   * @return ln of the integral, to about 10⁻¹⁴
   */
  public static double log(DoubleUnaryOperator log, double start, double width) {
    PeakIntegral integral = new PeakIntegral(log, start, width);
    integral.climb();
    return integral.sum();
  }

  /** Uphill with growing steps, then back with shrinking ones, until the curvature fits. */
  private void climb() {
    double step = width;
    boolean flat = false;
    boolean steep = false;
    for (int i = 0; i < MOST_CLIMBS; i++) {
      double left = log.applyAsDouble(peak - step);
      double right = log.applyAsDouble(peak + step);
      if (left > top || right > top) {
        boolean toTheLeft = left > right;
        peak += toTheLeft ? -step : step;
        top = toTheLeft ? left : right;
        step *= 2;
        flat = false;
        steep = false;
        continue;
      }
      double bend = 2 * top - left - right;
      if (bend < LEAST_BEND ? steep : bend > MOST_BEND && flat) {
        // A level top with sharp edges has no curvature to go by; its step is halved until it fits.
        width = step;
        return;
      }
      if (bend < LEAST_BEND) {
        flat = true;
        step *= 2;
      } else if (bend <= MOST_BEND) {
        nearer(left, right, step, bend);
        return;
      } else {
        steep = true;
        // Where a side falls far more steeply than a parabola its bend says little of the width.
        step /= Math.max(1.5, Math.min(MOST_SHRINKING, Math.sqrt(bend)));
      }
    }
    throw new ArithmeticException("no peak was found from " + peak);
  }

  /** A parabola through the three points is close enough. */
  private void nearer(double left, double right, double step, double bend) {
    width = step / Math.sqrt(bend);
    double shift = 0.5 * step * (right - left) / bend;
    if (Math.abs(shift) > CLOSE * width) {
      double better = log.applyAsDouble(peak + shift);
      if (better > top) {
        peak += shift;
        top = better;
      }
    }
  }

  private double sum() {
    double step = FIRST_STEP * width;
    double sum = 1 + side(step, step) + side(-step, -step);
    for (int i = 0; i < MOST_HALVINGS; i++) {
      double between = side(step / 2, step) + side(-step / 2, -step);
      // Of a very large exponent the last place is noise.
      double unequal = Math.max(2 * Math.sqrt(AGREED), NOISE * Math.abs(top));
      boolean agreed = Math.abs(between - sum) <= unequal * sum;
      sum += between;
      step /= 2;
      // The error is squared by halving a step, so that two that nearly agree are enough.
      if (agreed) {
        return top + Math.log(sum * step);
      }
    }
    throw new ArithmeticException("integral did not settle around " + peak);
  }

  /** The sum outwards from one point on, relative to the peak. */
  private double side(double from, double step) {
    double sum = 0;
    double last = Double.POSITIVE_INFINITY;
    for (double t = from; ; t += step) {
      double relative = log.applyAsDouble(peak + t) - top;
      if (!(relative < Double.POSITIVE_INFINITY)) {
        throw new ArithmeticException("integrand is not a number around " + peak);
      }
      sum += Math.exp(relative);
      if (relative < -NEGLIGIBLE && relative <= last) {
        return sum;
      }
      last = relative;
    }
  }
}
