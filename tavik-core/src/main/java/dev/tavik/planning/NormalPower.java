package dev.tavik.planning;

import dev.tavik.numeric.Normal;
import dev.tavik.result.Alternative;

/**
 * Power where a test rejects beyond so many null standard errors from the null and the estimate is
 * normal around what is expected: P(|D - δ₀| ≥ z·SE₀) with D of mean δ and standard error SE.
 */
final class NormalPower {
  private NormalPower() {}

  /**
   * The chance to reject.
   *
   * @param distance how far what is expected lies from the null value, with its sign
   * @param correction how much the test takes off the distance for continuity
   * @param nullError the standard error that the test divides by
   * @param error the standard error of the estimate
   */
  static double of(
      double distance,
      double correction,
      double nullError,
      double error,
      Alternative alternative,
      double alpha) {
    double tail = alternative == Alternative.TWO_SIDED ? alpha / 2 : alpha;
    double critical = Normal.upperQuantile(tail) * nullError + correction;
    double above = alternative == Alternative.LESS ? 0 : upper((critical - distance) / error);
    double below = alternative == Alternative.GREATER ? 0 : upper((critical + distance) / error);
    return Math.min(1, above + below);
  }

  /** The upper tail of the standard normal distribution. */
  static double upper(double z) {
    return Math.exp(Normal.logUpper(z));
  }

  private static final double FAR = 4;

  /** The same as densities, around a null value. */
  static Errors errors(
      String quantity,
      double none,
      double distance,
      double nullError,
      double error,
      Alternative alternative,
      double alpha) {
    double tail = alternative == Alternative.TWO_SIDED ? alpha / 2 : alpha;
    double critical = Normal.upperQuantile(tail) * nullError;
    double center = none + distance;
    return new Errors(
        quantity,
        new Errors.World(none, x -> density((x - none) / nullError) / nullError),
        new Errors.World(center, x -> density((x - center) / error) / error),
        new Errors.Range(
            alternative == Alternative.GREATER ? Double.NEGATIVE_INFINITY : none - critical,
            alternative == Alternative.LESS ? Double.POSITIVE_INFINITY : none + critical),
        new Errors.Range(
            Math.min(none - FAR * nullError, center - FAR * error),
            Math.max(none + FAR * nullError, center + FAR * error)));
  }

  private static double density(double z) {
    return Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI);
  }
}
