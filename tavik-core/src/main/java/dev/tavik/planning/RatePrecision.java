package dev.tavik.planning;

import dev.tavik.numeric.DecimalFraction;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.NotApplicableReason;
import dev.tavik.result.Proportion;
import dev.tavik.tail.Tail;
import java.util.List;

/**
 * Computes the half-width of an interval of one rate, where the rate observed is the one expected:
 * of wald z√(pq/n), of wilson and agresti-coull by their formulas, of clopper-pearson and jeffreys
 * by quantiles of beta distributions at np successes, not necessarily whole. In a finite
 * population, or with a design effect, n is what {@link Sampling} makes of it. Limits aren't
 * clipped.
 *
 * @param proportionInterval the interval
 * @param level its confidence level, strictly between 0 and 1
 * @param expected the rate expected, strictly between 0 and 1; one half is the worst case
 * @param sampling how units are drawn
 */
public record RatePrecision(
    ProportionInterval proportionInterval, double level, double expected, Sampling sampling)
    implements Precision {
  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if a number is out of its range
   * @throws NotApplicableException if the interval can't be planned for
   */
  public RatePrecision {
    Proportion.require("level", level);
    Proportion.require("expect", expected);
    if (!offered().contains(proportionInterval)) {
      throw notOffered(proportionInterval);
    }
  }

  private static NotApplicableException notOffered(ProportionInterval interval) {
    return new NotApplicableException(NotApplicableReason.NO_PLANNED_RATE_INTERVAL, interval.id());
  }

  /**
   * The intervals that can be planned for.
   *
   * @return the intervals
   */
  public static List<ProportionInterval> offered() {
    return List.of(
        ProportionInterval.WILSON,
        ProportionInterval.WALD,
        ProportionInterval.AGRESTI_COULL,
        ProportionInterval.CLOPPER_PEARSON,
        ProportionInterval.JEFFREYS);
  }

  @Override
  public String interval() {
    return proportionInterval.id();
  }

  @Override
  public Sizes sizes(double first) {
    return Sizes.of((long) Math.ceil(first));
  }

  @Override
  public long most() {
    return sampling.most();
  }

  @Override
  public double halfWidth(Sizes sizes) {
    return halfWidth((double) sizes.first());
  }

  @Override
  public double halfWidth(double first) {
    double n = sampling.effective(first);
    if (n == Double.POSITIVE_INFINITY) {
      return 0;
    }
    double tail = DecimalFraction.complement(level) / 2;
    double x = n * expected;
    return switch (proportionInterval) {
      case CLOPPER_PEARSON -> beta(x, n - x + 1, x + 1, n - x, tail);
      case JEFFREYS -> beta(x + 0.5, n - x + 0.5, x + 0.5, n - x + 0.5, tail);
      case WALD, WILSON, AGRESTI_COULL ->
          proportionInterval.centred(x, n, level).orElseThrow().halfWidth();
      default -> throw notOffered(proportionInterval);
    };
  }

  private static double beta(double a1, double b1, double a2, double b2, double tail) {
    return (Tail.beta(a2, b2).limitAbove(tail) - Tail.beta(a1, b1).limitBelow(tail)) / 2;
  }
}
