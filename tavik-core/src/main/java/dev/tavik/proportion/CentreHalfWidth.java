package dev.tavik.proportion;

/**
 * Holds a closed-form interval before its limits are clipped or corrected.
 *
 * @param centre its middle
 * @param halfWidth half its length
 */
public record CentreHalfWidth(double centre, double halfWidth) {
  /** The limits, so much wider on both sides, and no further than the scale goes. */
  Limits clipped(double correction) {
    double half = halfWidth + correction;
    return new Limits(
        Math.max(0, Math.min(1, centre - half)), Math.max(0, Math.min(1, centre + half)));
  }
}
