package dev.tavik.study.compare;

import static dev.tavik.result.Figures.require;

import dev.tavik.numeric.DecimalFraction;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.InferenceOptions;
import dev.tavik.study.InferenceSettings;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How two proportions are to be compared: what is to be shown, in which direction, how strictly, by
 * which methods. Differences are always the first group minus the second.
 *
 * @param claim the null difference and the direction, or the margin and what is to be shown of it
 * @param choices alpha, level, tests (none: those that fit the claim) and intervals
 * @param bayes how the comparison is seen the Bayesian way; null for not at all
 */
public record CompareSettings(
    ComparisonClaim claim, InferenceOptions<Method, Method> choices, @Nullable BayesSettings bayes)
    implements InferenceSettings<CompareSettings, Method, Method> {
  static final List<ComparisonInterval> USUAL_INTERVALS =
      List.of(
          ComparisonInterval.DIFFERENCE_MEE,
          ComparisonInterval.DIFFERENCE_NEWCOMBE,
          ComparisonInterval.RATIO_KOOPMAN,
          ComparisonInterval.ODDS_RATIO_CONDITIONAL_EXACT);

  /**
   * Checks that the parts go together.
   *
   * @throws IllegalArgumentException if the Bayesian view meets another null difference than 0, or
   *     alpha is 0.5 or more where equivalence is to be shown
   */
  public CompareSettings {
    require(
        bayes == null || claim.hypothesis().against() == 0,
        "bayes holds different rates against equal ones; leave against out, and say with a region"
            + " which differences are as good as none");
    claim.requireAlpha(choices.alpha());
  }

  /**
   * The usual settings: no difference, two-sided, alpha 0.05, and the methods that are usual for
   * the data. Of tallies these are Mee's and Newcombe's intervals for the difference, Koopman's for
   * the ratio and the conditional exact one for the odds ratio.
   *
   * @return the settings
   */
  public static CompareSettings usual() {
    return new CompareSettings(ComparisonClaim.NO_DIFFERENCE, InferenceOptions.usual(), null);
  }

  /**
   * The tests to show: the chosen ones, or of tallies {@code z-pooled} and {@code fisher}; for
   * another null difference or a margin {@code score} and {@code z-separate}.
   *
   * @return the tests, at least one
   */
  @Override
  public List<Method> tests() {
    if (!choices.tests().isEmpty()) {
      return choices.tests();
    }
    return plain()
        ? List.of(TwoProportionTest.Z_POOLED, TwoProportionTest.FISHER)
        : List.of(TwoProportionTest.SCORE, TwoProportionTest.Z_SEPARATE);
  }

  /** {@return the tests, of tallies} */
  List<TwoProportionTest> tallyTests() {
    return tests().stream().map(TwoProportionTest.class::cast).toList();
  }

  /** {@return the intervals, of tallies} */
  List<ComparisonInterval> tallyIntervals() {
    return intervals().stream().map(ComparisonInterval.class::cast).toList();
  }

  /** {@return the null difference and the direction} */
  public Hypothesis hypothesis() {
    return claim.hypothesis();
  }

  /**
   * Whether the null is plainly no difference.
   *
   * @return whether neither another null difference nor a margin is tested
   */
  public boolean plain() {
    return claim.plain();
  }

  /**
   * The hypotheses behind the p-value: one, or for equivalence two one-sided ones.
   *
   * @return the hypotheses
   */
  public List<Hypothesis> tested() {
    return claim.tested();
  }

  /**
   * The confidence level at which intervals are as strict as the tests: one minus alpha, and for
   * equivalence, whose two tests each have all of alpha, one minus twice alpha.
   *
   * @return the level
   */
  @Override
  public double matchingLevel() {
    return DecimalFraction.complement(claim.tested().size() * alpha());
  }

  /**
   * Returns a copy with another alternative.
   *
   * @param alternative the direction, of the first group against the second
   * @return the settings
   */
  public CompareSettings alternative(Alternative alternative) {
    return claim(claim.alternative(alternative));
  }

  /**
   * Returns a copy with another null difference.
   *
   * @param difference the null value of the first proportion minus the second, strictly between -1
   *     and 1
   * @return the settings
   * @throws IllegalArgumentException if not -1 &lt; difference &lt; 1
   */
  public CompareSettings against(double difference) {
    return claim(claim.against(difference));
  }

  private CompareSettings claim(ComparisonClaim changed) {
    return new CompareSettings(changed, choices, bayes);
  }

  /**
   * Returns a copy with a margin that a significant difference is compared with.
   *
   * @param value the largest difference without practical meaning, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1
   */
  public CompareSettings margin(double value) {
    return claim(claim.margin(value));
  }

  /**
   * Returns a copy that is to show that the first group isn't worse than the second by a margin or
   * more.
   *
   * @param value the margin, strictly between 0 and 1
   * @param alternative greater where a high rate is good, less where a low one is
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1, or the alternative has no
   *     direction
   */
  public CompareSettings noninferior(double value, Alternative alternative) {
    return claim(claim.noninferior(value, alternative));
  }

  /**
   * Returns a copy that is to show that both groups are within a margin of one another.
   *
   * @param value the margin, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1, or the alternative has a direction
   */
  public CompareSettings equivalent(double value) {
    return claim(claim.equivalent(value));
  }

  /**
   * Returns a copy with the Bayesian view.
   *
   * @param view the prior and the region of the difference; null for none
   * @return the settings
   * @throws IllegalArgumentException if there is another null difference than 0
   */
  public CompareSettings bayes(@Nullable BayesSettings view) {
    return new CompareSettings(claim, choices, view);
  }

  /**
   * The differences that are as good as none, or for non-inferiority good enough.
   *
   * @return the region of the Bayesian view, else what the margin says; null for none
   */
  public BayesSettings.@Nullable Region region() {
    Double margin = claim.largest();
    if (bayes == null || bayes.region() != null || margin == null) {
      return bayes == null ? null : bayes.region();
    }
    if (claim.goal() == ComparisonGoal.NONINFERIOR) {
      return claim.alternative() == Alternative.GREATER
          ? new BayesSettings.Region(-margin, 1)
          : new BayesSettings.Region(-1, margin);
    }
    return new BayesSettings.Region(-margin, margin);
  }

  @Override
  public CompareSettings choices(InferenceOptions<Method, Method> changed) {
    return new CompareSettings(claim, changed, bayes);
  }
}
