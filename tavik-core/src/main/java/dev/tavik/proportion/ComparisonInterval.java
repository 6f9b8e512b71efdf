package dev.tavik.proportion;

import dev.tavik.count.Tally;
import dev.tavik.result.Estimand;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A confidence interval that compares two independent proportions: of their difference, their ratio
 * or their odds ratio, always the first against the second.
 */
public sealed interface ComparisonInterval extends Method
    permits DifferenceInterval, RatioInterval, OddsRatioInterval {

  /**
   * A two-sided interval or a one-sided bound.
   *
   * @param first the first group's successes and trials
   * @param second the second group's
   * @param level the confidence level, strictly between 0 and 1
   * @param side which ends are limits; the other end is that of the scale
   * @return the interval; infinite where it is unbounded
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  Interval of(Tally first, Tally second, double level, Side side);

  /**
   * A two-sided interval.
   *
   * @param first the first group's successes and trials
   * @param second the second group's
   * @param level the confidence level, strictly between 0 and 1
   * @return the interval; infinite where it is unbounded
   * @throws IllegalArgumentException if not 0 &lt; level &lt; 1
   */
  default Interval of(Tally first, Tally second, double level) {
    return of(first, second, level, Side.TWO_SIDED);
  }

  /**
   * What it is for.
   *
   * @return the quantity
   */
  Estimand quantity();

  /**
   * The test that this interval inverts: at level 1 - alpha it holds exactly the values that the
   * test doesn't reject at alpha.
   *
   * @return the test; empty where the interval inverts none of {@link TwoProportionTest}
   */
  Optional<TwoProportionTest> inverts();

  /**
   * All methods, differences first, then ratios, then odds ratios.
   *
   * @return the methods
   */
  static List<ComparisonInterval> values() {
    List<ComparisonInterval> all = new ArrayList<>(List.of(DifferenceInterval.values()));
    all.addAll(List.of(RatioInterval.values()));
    all.addAll(List.of(OddsRatioInterval.values()));
    return all;
  }
}
