package dev.tavik.planning;

import static dev.tavik.result.Figures.say;

import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;

/**
 * Which effects a design can have.
 *
 * @param none the effect if the null is true; two-sided, effects lie on both sides of it
 * @param least the effects are all above this
 * @param most and below this
 */
public record EffectRange(double none, double least, double most) {
  /** Distance from the ends within which no effect is searched for. */
  private static final double MARGIN = 1e-12;

  /** Effects that are rates. */
  static EffectRange ofRate(double none) {
    return new EffectRange(none, 0, 1);
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
          say(
              "%s must lie strictly between %s and %s, got %s",
              name, text(least), text(most), text(effect)));
    }
    if (effect == none) {
      throw new IllegalArgumentException(
          name + " is the null value itself, " + text(none) + "; no number shows that");
    }
    if (alternative == (effect < none ? Alternative.GREATER : Alternative.LESS)) {
      throw new IllegalArgumentException(
          say(
              "%s %s lies %s the null value %s, but the alternative is %s",
              name, text(effect), effect < none ? "below" : "above", text(none), alternative.id()));
    }
    return effect;
  }

  /** Rates in percent; w, which may be larger than 1, as a number. */
  private String text(double effect) {
    return most <= 1 ? Figures.exactPercent(effect) : Figures.upTo(effect, 10);
  }

  /** The farthest effect on a side, just inside the range. */
  double end(boolean above) {
    return above ? most - MARGIN * (most - none) : least + MARGIN * (none - least);
  }
}
