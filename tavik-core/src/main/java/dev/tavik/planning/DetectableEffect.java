package dev.tavik.planning;

import dev.tavik.result.Alternative;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Proportion;
import java.util.ArrayList;
import java.util.List;

/** The effect nearest to the null that is found with a given power. */
public final class DetectableEffect {
  private static final double CLOSE = 1e-13;
  private static final int MOST_HALVINGS = 200;

  private DetectableEffect() {}

  /**
   * The smallest effects that groups of these sizes find with a power.
   *
   * @param design the design
   * @param sizes the sizes of its groups
   * @param power the power wanted, strictly between 0 and 1
   * @return the effect below the null, if the alternative looks there and there is one, and the one
   *     above; by bisection, right to 10⁻¹²
   * @throws IllegalArgumentException if the power is out of its range
   * @throws NotApplicableException if there is no such effect, or none can be searched for
   */
  public static List<Double> of(PowerDesign design, Sizes sizes, double power) {
    Proportion.require("power", power);
    if (!design.hasEffect()) {
      throw new NotApplicableException(NotApplicableReason.NO_SINGLE_EFFECT);
    }
    Power at = design.at(sizes);
    EffectRange effects = design.effects();
    List<Double> found = new ArrayList<>();
    if (design.alternative() != Alternative.GREATER) {
      search(at, effects, false, power, found);
    }
    if (design.alternative() != Alternative.LESS) {
      search(at, effects, true, power, found);
    }
    if (found.isEmpty()) {
      throw new NotApplicableException(NotApplicableReason.NO_EFFECT_LARGE_ENOUGH);
    }
    return found;
  }

  private static void search(
      Power at, EffectRange effects, boolean above, double power, List<Double> found) {
    double far = effects.end(above);
    double near = effects.none();
    if (!(at.at(far) >= power)) {
      return;
    }
    for (int i = 0; i < MOST_HALVINGS && Math.abs(far - near) > CLOSE * Math.abs(far); i++) {
      double middle = near + (far - near) / 2;
      if (middle > effects.least() && at.at(middle) >= power) {
        far = middle;
      } else {
        near = middle;
      }
    }
    found.add(far);
  }
}
