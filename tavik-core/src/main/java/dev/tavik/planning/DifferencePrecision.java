package dev.tavik.planning;

import dev.tavik.numeric.DecimalFraction;
import dev.tavik.numeric.Normal;
import dev.tavik.proportion.CentreHalfWidth;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Proportion;

/**
 * Computes the half-width of an interval of the difference of two rates, where the rates observed
 * are those expected; of newcombe, whose two sides differ, half of both together. Limits aren't
 * clipped.
 *
 * @param differenceInterval the interval, wald or newcombe
 * @param level its confidence level, strictly between 0 and 1
 * @param base the rate expected in the first group, strictly between 0 and 1
 * @param expected the rate expected in the second
 * @param allocation the second group's size over the first's, above 0
 * @param sampling how units are drawn, in each group
 */
public record DifferencePrecision(
    ComparisonInterval differenceInterval,
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
   * @throws NotApplicableException if the interval can't be planned for
   */
  public DifferencePrecision {
    Proportion.require("level", level);
    Proportion.require("base", base);
    Proportion.require("expect", expected);
    Sizes.requireAllocation(allocation);
    if (differenceInterval != ComparisonInterval.DIFFERENCE_WALD
        && differenceInterval != ComparisonInterval.DIFFERENCE_NEWCOMBE) {
      throw new NotApplicableException(
          NotApplicableReason.NO_PLANNED_DIFFERENCE_INTERVAL, differenceInterval.id());
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
    if (differenceInterval == ComparisonInterval.DIFFERENCE_WALD) {
      double z = Normal.upperQuantile(DecimalFraction.complement(level) / 2);
      return z * TwoProportionTest.Z_SEPARATE.expectedError(n1, base, n2, expected, 0);
    }
    CentreHalfWidth one = wilson(base, n1);
    CentreHalfWidth two = wilson(expected, n2);
    double below = Math.hypot(below(expected, two), above(base, one));
    double above = Math.hypot(above(expected, two), below(base, one));
    return (below + above) / 2;
  }

  private CentreHalfWidth wilson(double p, double n) {
    return ProportionInterval.WILSON.centred(p * n, n, level).orElseThrow();
  }

  private static double below(double p, CentreHalfWidth wilson) {
    return p - (wilson.centre() - wilson.halfWidth());
  }

  private static double above(double p, CentreHalfWidth wilson) {
    return wilson.centre() + wilson.halfWidth() - p;
  }
}
