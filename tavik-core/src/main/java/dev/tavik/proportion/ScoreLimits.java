package dev.tavik.proportion;

import java.util.function.DoubleUnaryOperator;
import org.apache.commons.numbers.rootfinder.BrentSolver;

/**
 * The differences δ that lie z restricted standard errors from the estimate d: where d - δ ∓
 * z·SE(δ) passes 0, found by Brent's method to 10⁻¹⁴.
 *
 * <p>Where the estimate lies at an end of what is possible, SE(d) = 0 and δ = d is a root too, but
 * not the limit: near it SE² grows like |δ - d|/n, so that the limit is about z²/n away. The search
 * therefore starts a thousandth of that beside d, on the side where the limit must be: for a lower
 * limit below d, unless the level is under one half and z is negative.
 */
final class ScoreLimits {
  private static final double RELATIVE = 1e-14;
  private static final double ABSOLUTE = 1e-16;
  private static final double BESIDE = 1e-3;

  private ScoreLimits() {}

  static Limits of(double estimate, double z, long trials, DoubleUnaryOperator error) {
    double nudge = BESIDE * Math.min(1, z * z / trials);
    return new Limits(limit(estimate, z, nudge, error, -1), limit(estimate, z, nudge, error, 1));
  }

  private static double limit(
      double estimate, double z, double nudge, DoubleUnaryOperator error, int direction) {
    boolean below = z * direction < 0;
    double low = below ? -1 : Math.min(1, estimate + nudge);
    double high = below ? Math.max(-1, estimate - nudge) : 1;
    DoubleUnaryOperator falling =
        delta -> estimate - delta + direction * z * error.applyAsDouble(delta);
    if (falling.applyAsDouble(low) <= 0) {
      return low;
    }
    return falling.applyAsDouble(high) >= 0
        ? high
        : new BrentSolver(RELATIVE, ABSOLUTE, 0).findRoot(falling, low, high);
  }
}
