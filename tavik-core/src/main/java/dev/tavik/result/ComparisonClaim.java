package dev.tavik.result;

import static dev.tavik.result.Figures.require;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a comparison of two rates claims: that they differ, or that they don't differ by a margin.
 * Differences are always the first less the second.
 *
 * @param goal what is to be shown; non-inferiority and equivalence need a margin
 * @param hypothesis the null difference, strictly between -1 and 1, and the direction
 * @param largest the largest difference without practical meaning, strictly between 0 and 1; null
 *     for none
 */
public record ComparisonClaim(
    ComparisonGoal goal, Hypothesis hypothesis, @Nullable Double largest) {
  /** No difference, doubted to either side. */
  public static final ComparisonClaim NO_DIFFERENCE =
      new ComparisonClaim(ComparisonGoal.DIFFERENCE, Hypothesis.noDifference(), null);

  /**
   * Checks that goal, direction, null value and margin go together.
   *
   * @throws IllegalArgumentException if they don't, or a number is out of its range
   */
  public ComparisonClaim {
    require(
        hypothesis.against() > -1 && hypothesis.against() < 1,
        "against, a null difference, must lie strictly between -1 and 1 (-100 %% and 100 %%),"
            + " got %s",
        hypothesis.against());
    if (largest != null) {
      Proportion.require("margin", largest);
    }
    if (goal != ComparisonGoal.DIFFERENCE) {
      requireMargin(goal, hypothesis, largest);
    }
  }

  private static void requireMargin(
      ComparisonGoal goal, Hypothesis hypothesis, @Nullable Double largest) {
    require(
        largest != null,
        "to show %s a margin is needed: the largest difference without meaning",
        goal.id());
    require(
        hypothesis.against() == 0,
        "against and %s contradict one another: the margin is the null value",
        goal.id());
    boolean twoSided = hypothesis.alternative() == Alternative.TWO_SIDED;
    require(
        goal != ComparisonGoal.EQUIVALENT || twoSided,
        "equivalence is shown by two one-sided tests at alpha below 0.5; leave the"
            + " alternative out");
    require(
        goal != ComparisonGoal.NONINFERIOR || !twoSided,
        "non-inferiority needs a direction: greater where a high rate is good, less where a"
            + " low one is");
  }

  /**
   * {@return the margin}
   *
   * @throws IllegalStateException if there is none
   */
  public double margin() {
    Double margin = largest;
    if (margin == null) {
      throw new IllegalStateException("a claim of a difference may have no margin");
    }
    return margin;
  }

  /** {@return the direction of the first rate against the second} */
  public Alternative alternative() {
    return hypothesis.alternative();
  }

  /** {@return whether the null is no difference, and neither another difference nor a margin} */
  public boolean plain() {
    return hypothesis.against() == 0 && goal == ComparisonGoal.DIFFERENCE;
  }

  /**
   * Refuses an alpha at which two one-sided tests would show anything.
   *
   * @param alpha the significance level
   * @throws IllegalArgumentException if it is 0.5 or more where equivalence is to be shown
   */
  public void requireAlpha(double alpha) {
    require(
        goal != ComparisonGoal.EQUIVALENT || alpha < 0.5,
        "equivalence is shown by two one-sided tests at alpha below 0.5, got %s",
        Figures.plain(alpha));
  }

  /** {@return the hypotheses behind the p-value: one, or for equivalence two one-sided ones} */
  public List<Hypothesis> tested() {
    if (goal == ComparisonGoal.DIFFERENCE) {
      return List.of(hypothesis);
    }
    Hypothesis notLower = Hypothesis.greater(-margin());
    Hypothesis notHigher = Hypothesis.less(margin());
    return goal == ComparisonGoal.EQUIVALENT
        ? List.of(notLower, notHigher)
        : List.of(alternative() == Alternative.GREATER ? notLower : notHigher);
  }

  /**
   * {@return whether a difference points the other way than the alternative says}
   *
   * @param difference the first rate less the second
   */
  public boolean isOpposite(double difference) {
    return goal == ComparisonGoal.DIFFERENCE
        && alternative().isOpposite(difference - hypothesis.against());
  }

  /**
   * {@return whether an interval of the difference lies within the margin}
   *
   * @param interval the interval
   */
  public boolean hasWithinMargin(Interval interval) {
    return largest != null
        && interval.quantity() == Estimand.DIFFERENCE
        && interval.lower() > -largest
        && interval.upper() < largest;
  }

  /**
   * {@return this claim in another direction}
   *
   * @param alternative the direction
   */
  public ComparisonClaim alternative(Alternative alternative) {
    return with(new Hypothesis(hypothesis.against(), alternative));
  }

  /**
   * {@return this claim about another null difference}
   *
   * @param difference the null difference
   */
  public ComparisonClaim against(double difference) {
    return with(new Hypothesis(difference, alternative()));
  }

  /**
   * {@return this claim with a margin that a significant difference is held against}
   *
   * @param margin the largest difference without practical meaning
   */
  public ComparisonClaim margin(double margin) {
    return new ComparisonClaim(goal, hypothesis, margin);
  }

  /**
   * {@return that the first rate isn't worse than the second by a margin or more}
   *
   * @param margin the margin
   * @param alternative greater where a high rate is good, less where a low one is
   */
  public ComparisonClaim noninferior(double margin, Alternative alternative) {
    Hypothesis directed = new Hypothesis(hypothesis.against(), alternative);
    return new ComparisonClaim(ComparisonGoal.NONINFERIOR, directed, margin);
  }

  /**
   * {@return that both rates are within a margin of one another}
   *
   * @param margin the margin
   */
  public ComparisonClaim equivalent(double margin) {
    return new ComparisonClaim(ComparisonGoal.EQUIVALENT, hypothesis, margin);
  }

  private ComparisonClaim with(Hypothesis changed) {
    return new ComparisonClaim(goal, changed, largest);
  }
}
