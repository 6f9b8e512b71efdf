package dev.tavik.planning;

import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;

/**
 * Which effects a design can have.
 *
 * @param none the effect if the null is true; two-sided, effects lie on both sides of it
 * @param least the effects are all above this
 * @param most and below this
 */
public record Effects(double none, double least, double most) {
  /** So near the ends no effect is looked for. */
  private static final double MARGIN = 1e-12;

  /** Effects that are rates. */
  static Effects ofRate(double none) {
    return new Effects(none, 0, 1);
  }

  /**
   * Checks an effect.
   *
   * @param name what it is, for the message
   * @param effect the effect
   * @param alternative the direction of the test
   * @return the effect
   * @throws IllegalArgumentException if it is out of its range, the null's or on its wrong side
   */
  public double require(String name, double effect, Alternative alternative) {
    if (!(effect > least && effect < most)) {
      throw new IllegalArgumentException(
          String.format(
              "%s must lie strictly between %s and %s, got %s",
              name, Figures.plain(least), Figures.plain(most), Figures.upTo(effect, 10)));
    }
    if (effect == none) {
      throw new IllegalArgumentException(
          name + " is the null value itself, " + Figures.plain(none) + "; no number shows that");
    }
    if (alternative == (effect < none ? Alternative.GREATER : Alternative.LESS)) {
      throw new IllegalArgumentException(
          String.format(
              "%s %s lies %s the null value %s, but the alternative is %s",
              name,
              Figures.upTo(effect, 10),
              effect < none ? "below" : "above",
              Figures.upTo(none, 10),
              alternative.id()));
    }
    return effect;
  }

  /** The farthest effect on a side, just inside the range. */
  double end(boolean above) {
    return above ? most - MARGIN * (most - none) : least + MARGIN * (none - least);
  }
}
