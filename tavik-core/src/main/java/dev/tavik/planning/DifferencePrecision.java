package dev.tavik.planning;

import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.proportion.DifferenceInterval;
import dev.tavik.result.DeclinedException;
import dev.tavik.result.Proportion;

/**
 * The half-width of an interval of the difference of two rates, where the rates observed are those
 * expected; of newcombe, whose two sides differ, half of both together. Limits aren't clipped.
 *
 * @param differenceInterval the interval, wald or newcombe
 * @param level its confidence level, strictly between 0 and 1
 * @param base the rate expected in the first group, strictly between 0 and 1
 * @param expected the rate expected in the second
 * @param allocation the second group's size over the first's, above 0
 * @param sampling how units are drawn, in each group
 */
public record DifferencePrecision(
    DifferenceInterval differenceInterval,
    double level,
    double base,
    double expected,
    double allocation,
    Sampling sampling)
    implements Precision {
  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if a number is out of its range
   * @throws DeclinedException if the interval can't be planned for
   */
  public DifferencePrecision {
    Proportion.require("level", level);
    Proportion.require("base", base);
    Proportion.require("expect", expected);
    Sizes.requireAllocation(allocation);
    if (differenceInterval != DifferenceInterval.WALD
        && differenceInterval != DifferenceInterval.NEWCOMBE) {
      throw new DeclinedException(
          differenceInterval.id() + " isn't offered for planning; use wald or newcombe");
    }
  }

  @Override
  public String interval() {
    return differenceInterval.id();
  }

  @Override
  public Sizes sizes(double first) {
    return Sizes.allocated(first, allocation);
  }

  @Override
  public long most() {
    return (long) (sampling.most() / Math.max(1, allocation));
  }

  @Override
  public double halfWidth(Sizes sizes) {
    return halfWidth((double) sizes.groups().get(0), (double) sizes.groups().get(1));
  }

  @Override
  public double halfWidth(double first) {
    return halfWidth(first, allocation * first);
  }

  private double halfWidth(double first, double second) {
    double n1 = sampling.effective(first);
    double n2 = sampling.effective(second);
    double z = Normal.upperQuantile(DecimalFraction.complement(level) / 2);
    if (differenceInterval == DifferenceInterval.WALD) {
      return z * Math.sqrt(base * (1 - base) / n1 + expected * (1 - expected) / n2);
    }
    Wilson one = Wilson.of(base, n1, z);
    Wilson two = Wilson.of(expected, n2, z);
    double below = Math.hypot(expected - two.lower(), one.upper() - base);
    double above = Math.hypot(two.upper() - expected, base - one.lower());
    return (below + above) / 2;
  }
}
