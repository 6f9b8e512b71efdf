package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.bayes.Credible;
import dev.tavik.plot.BeliefPlot;
import dev.tavik.result.Figures;
import java.util.Arrays;
import java.util.function.DoubleBinaryOperator;
import java.util.function.DoubleFunction;

/**
 * Cuts a belief into slices that hold a twentieth of it each.
 *
 * @param interval its intervals with equal tails, by level
 * @param inside how much of it lies between two values
 */
public record BeliefSlices(DoubleFunction<Credible> interval, DoubleBinaryOperator inside) {
  /** The part of a belief that an axis is made for. */
  public static final double NEARLY_ALL = 0.999;

  private static final int SLICES = 20;

  /** The lane of a belief over an axis. */
  public BeliefPlot.Lane lane(
      String name, double level, DoubleFunction<String> value, BeliefPlot.Axis over) {
    Credible credible = interval.apply(level);
    return new BeliefPlot.Lane(
        name,
        Arrays.stream(cuts()).boxed().toList(),
        credible.lower(),
        credible.upper(),
        say(
            "%s credible: %s to %s",
            Figures.exactPercent(level),
            value.apply(credible.lower()),
            value.apply(credible.upper())),
        1 - inside.applyAsDouble(over.left(), over.right()));
  }

  /** The places between the slices, from end to end. */
  private double[] cuts() {
    double[] cuts = new double[SLICES + 1];
    cuts[0] = interval.apply(NEARLY_ALL).lower();
    cuts[SLICES] = interval.apply(NEARLY_ALL).upper();
    for (int k = 1; k <= SLICES / 2; k++) {
      boolean middle = 2 * k == SLICES;
      Credible inner = interval.apply(middle ? 1e-9 : 1 - 2.0 * k / SLICES);
      cuts[k] = middle ? (inner.lower() + inner.upper()) / 2 : inner.lower();
      cuts[SLICES - k] = middle ? cuts[k] : inner.upper();
    }
    return cuts;
  }

  /** An axis with some room beside its values, within what is possible. */
  public static BeliefPlot.Axis axis(
      String quantity, double low, double high, double least, double most) {
    double margin = 0.04 * (high - low);
    return new BeliefPlot.Axis(
        quantity, Math.max(least, low - margin), Math.min(most, high + margin));
  }
}
