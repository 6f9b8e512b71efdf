package dev.tavik.study.cross;

import dev.tavik.association.TableTest;
import dev.tavik.association.TestOptions;
import dev.tavik.bayes.SamplingPlan;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Proportion;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How strictly an association is to be judged, by which tests, and what is to be shown.
 *
 * @param alpha the significance level, strictly between 0 and 1
 * @param chosenLevel the confidence level, strictly between 0 and 1; null for 1 - alpha
 * @param tests the tests to show; none for the usual ones, which depend on what is ordered
 * @param ordered which classifications have ordered levels
 * @param options the scores of ordered levels and the budget of exact tests
 * @param shown the tables of cells to show beside the counts
 * @param rowPairs whether each two rows are compared
 * @param bayes how the association is seen the Bayesian way; null for not at all
 */
public record CrossSettings(
    double alpha,
    @Nullable Double chosenLevel,
    List<TableTest> tests,
    Ordered ordered,
    TestOptions options,
    List<CellTable> shown,
    RowPairs rowPairs,
    @Nullable Belief bayes) {
  /**
   * What the Bayesian view of a table rests on.
   *
   * @param plan what was fixed when the counts were collected
   * @param prior the prior parameter of every cell
   */
  public record Belief(SamplingPlan plan, double prior) {
    /**
     * Refuses a prior out of its range.
     *
     * @param plan what was fixed when the counts were collected
     * @param prior the prior parameter of every cell
     */
    public Belief {
      SamplingPlan.requirePrior(prior);
    }
  }

  /** Whether pairs of rows are compared. */
  public enum RowPairs {
    /** They are. */
    COMPARED,
    /** Pairs of rows are not compared. */
    LEFT
  }

  /**
   * Checks the parts.
   *
   * @param alpha the significance level, strictly between 0 and 1
   * @param chosenLevel the confidence level, strictly between 0 and 1
   * @param tests the tests to show
   * @param ordered which classifications have ordered levels
   * @param options the scores of ordered levels and the budget of exact tests
   * @param shown the tables of cells to show beside the counts
   * @param rowPairs whether each two rows are compared
   * @param bayes how the association is seen the Bayesian way
   * @throws IllegalArgumentException if alpha or the level is not strictly between 0 and 1
   */
  public CrossSettings {
    Proportion.require("alpha", alpha);
    if (chosenLevel != null) {
      Proportion.require("level", chosenLevel);
    }
    tests = tests.stream().distinct().toList();
    shown = shown.stream().distinct().toList();
  }

  /**
   * The usual settings: alpha 0.05, nothing ordered, Pearson's and the likelihood-ratio test,
   * adjusted residuals.
   *
   * @return the settings
   */
  public static CrossSettings usual() {
    return new CrossSettings(
        0.05,
        null,
        List.of(),
        Ordered.NONE,
        TestOptions.usual(),
        List.of(CellTable.RESIDUALS),
        RowPairs.LEFT,
        null);
  }

  /**
   * The confidence level of intervals.
   *
   * @return the chosen one, else 1 - alpha
   */
  public double level() {
    return chosenLevel == null ? DecimalFraction.complement(alpha) : chosenLevel;
  }

  /**
   * Returns a copy with another significance level.
   *
   * @param value the significance level, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1
   */
  public CrossSettings alpha(double value) {
    return new CrossSettings(value, chosenLevel, tests, ordered, options, shown, rowPairs, bayes);
  }

  /**
   * Returns a copy with its own confidence level.
   *
   * @param value the confidence level, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1
   */
  public CrossSettings level(double value) {
    return new CrossSettings(alpha, value, tests, ordered, options, shown, rowPairs, bayes);
  }

  /**
   * Returns a copy with these tests only.
   *
   * @param methods the tests; none for the usual ones
   * @return the settings
   */
  public CrossSettings tests(List<TableTest> methods) {
    return new CrossSettings(alpha, chosenLevel, methods, ordered, options, shown, rowPairs, bayes);
  }

  /**
   * Returns a copy with ordered levels.
   *
   * @param which the classifications whose order means something
   * @return the settings
   */
  public CrossSettings ordered(Ordered which) {
    return new CrossSettings(alpha, chosenLevel, tests, which, options, shown, rowPairs, bayes);
  }

  /**
   * Returns a copy with scores of ordered levels or another budget.
   *
   * @param changed the options of the tests
   * @return the settings
   */
  public CrossSettings options(TestOptions changed) {
    return new CrossSettings(alpha, chosenLevel, tests, ordered, changed, shown, rowPairs, bayes);
  }

  /**
   * Returns a copy that shows these tables of cells beside the counts.
   *
   * @param tables what to show; may be none
   * @return the settings
   */
  public CrossSettings shown(List<CellTable> tables) {
    return new CrossSettings(alpha, chosenLevel, tests, ordered, options, tables, rowPairs, bayes);
  }

  /**
   * Returns a copy that compares each two rows, or doesn't.
   *
   * @param choice whether they are
   * @return the settings
   */
  public CrossSettings rowPairs(RowPairs choice) {
    return new CrossSettings(alpha, chosenLevel, tests, ordered, options, shown, choice, bayes);
  }

  /**
   * Returns a copy with the Bayesian view.
   *
   * @param view the sampling plan and the prior; null for none
   * @return the settings
   */
  public CrossSettings bayes(@Nullable Belief view) {
    return new CrossSettings(alpha, chosenLevel, tests, ordered, options, shown, rowPairs, view);
  }
}
