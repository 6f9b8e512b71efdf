package dev.tavik.planning;

import dev.tavik.result.Alternative;
import java.util.Optional;

/**
 * Holds everything about a planned test but the effect that is expected and the number of
 * observations.
 */
public sealed interface PowerDesign
    permits RateDesign, CompareDesign, PairedDesign, TableDesign, TrendDesign, BayesFactorDesign {
  /** Largest size of the first group that is searched. */
  long MOST = 1_000_000_000_000L;

  /**
   * The id of the test.
   *
   * @return such as {@code score}
   */
  String test();

  /**
   * How power is computed.
   *
   * @return the theory
   */
  PowerMethod theory();

  /**
   * The significance level.
   *
   * @return alpha
   */
  double alpha();

  /**
   * The direction of the test.
   *
   * @return the alternative
   */
  Alternative alternative();

  /**
   * The effects that can be expected.
   *
   * @return their range
   */
  EffectRange effects();

  /**
   * {@return the rate that effects are stated from: the base rate, or the null value; 0 of tables,
   * whose effects are Cohen's w}
   */
  double statedFrom();

  /**
   * The power of groups of these sizes for an effect.
   *
   * @param sizes the sizes
   * @param effect what is expected, in any measure that the design knows
   * @return the chance that the test rejects
   * @throws IllegalArgumentException if the effect isn't of such a design, or gives no rate between
   *     0 and 1
   * @throws dev.tavik.result.NotApplicableException if it would take too long
   */
  default double power(Sizes sizes, Effect effect) {
    return at(sizes).at(effect.of(this));
  }

  /**
   * The sizes for a power.
   *
   * @param effect what is expected, in any measure that the design knows
   * @param power the power wanted, strictly between 0 and 1
   * @return the sizes
   * @throws IllegalArgumentException if the effect isn't of such a design, or a number is out of
   *     its range
   * @throws dev.tavik.result.NotApplicableException if no number that can be looked at reaches the
   *     power
   */
  default Sizes sizeFor(Effect effect, double power) {
    return SampleSize.of(this, effect.of(this), power).sizes();
  }

  /**
   * The sizes of all groups.
   *
   * @param first the size of the first group, above 0; of several in proportion to it, not
   *     necessarily whole
   * @return sizes rounded up
   */
  default Sizes sizes(double first) {
    return Sizes.of((long) Math.ceil(first));
  }

  /**
   * The power of groups of these sizes.
   *
   * @param sizes the sizes
   * @return their power
   * @throws dev.tavik.result.NotApplicableException if it would take too long
   */
  Power at(Sizes sizes);

  /**
   * Computes the power starting from that of a similar size, which is faster.
   *
   * @param sizes the sizes
   * @param near the power of groups that are a little smaller
   * @return their power
   */
  default Power at(Sizes sizes, Power near) {
    return at(sizes);
  }

  /**
   * Power before sizes are rounded, where it rises with the number of observations all along.
   *
   * @param first the size of the first group, not necessarily whole
   * @param effect the effect
   * @return the power
   */
  default double smooth(double first, double effect) {
    return at(sizes(first)).at(effect);
  }

  /**
   * The largest first group that there can be.
   *
   * @return such as the size of the lot
   */
  default long most() {
    return MOST;
  }

  /**
   * Approximate period in observations after which the power no longer swings.
   *
   * @return the length of a few swings; 0 where power only rises
   */
  default long swing() {
    return 0;
  }

  /**
   * About how long the exact power of some sizes takes.
   *
   * @param sizes the sizes
   * @return seconds of an ordinary machine
   */
  default double seconds(Sizes sizes) {
    return 2e-5;
  }

  /**
   * Whether a search may end by {@link #settled} before it has looked far.
   *
   * @param effect the effect
   * @return whether it may
   */
  default boolean settles(double effect) {
    return false;
  }

  /**
   * Whether the power is so near 1 that no larger n falls below what is wanted.
   *
   * @param n the size of the first group
   * @param power its power
   * @param effect the effect
   * @param wanted the power wanted
   * @return whether a search may end here
   */
  default boolean settled(long n, double power, double effect, double wanted) {
    return false;
  }

  /**
   * Largest first group of an exact search for n; beyond it the search would take too long.
   *
   * @return about the largest n that can be solved for; without meaning where power only rises
   */
  default long searchedTo() {
    return MOST;
  }

  /**
   * Whether an effect can be searched for.
   *
   * @return whether power rises with the distance from the null
   */
  default boolean hasEffect() {
    return true;
  }

  /**
   * What the test sees under both hypotheses, for a picture.
   *
   * @param sizes the sizes of all groups
   * @param effect the effect
   * @return both densities; empty where power doesn't rest on a density
   */
  default Optional<Errors> errors(Sizes sizes, double effect) {
    return Optional.empty();
  }
}
