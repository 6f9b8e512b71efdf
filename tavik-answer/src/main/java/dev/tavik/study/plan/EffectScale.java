package dev.tavik.study.plan;

import dev.tavik.answer.Value;
import dev.tavik.result.Figures;

/** How the effects of a plan are written and drawn. */
enum EffectScale {
  /** Rates, in percent. */
  RATE("the expected rate", "rate that is expected, in percent", 100),
  /** Cohen's w. */
  W("w", "effect size w", 1);

  private final String subject;
  private final String axis;
  private final double factor;

  EffectScale(String subject, String axis, double factor) {
    this.subject = subject;
    this.axis = axis;
    this.factor = factor;
  }

  /** {@return what an effect is called in a message} */
  public String subject() {
    return subject;
  }

  /** {@return the name of an axis of effects} */
  public String axis() {
    return axis;
  }

  /** {@return the factor from an effect to its place on the axis} */
  public double factor() {
    return factor;
  }

  /**
   * {@return an effect as a cell of a table}
   *
   * @param effect a rate, or w
   */
  public Value value(double effect) {
    return this == W ? Value.upTo(effect, 4) : Value.Share.RATE.of(effect);
  }

  /**
   * {@return an effect in words, such as {@code 5%} or {@code w = 0.2}}
   *
   * @param effect a rate, or w
   */
  public String text(double effect) {
    return this == W ? "w = " + Figures.upTo(effect, 4) : Figures.rate(effect);
  }
}
