package dev.tavik.study.cross;

import dev.tavik.association.TestOptions;
import dev.tavik.bayes.SamplingPlan;
import dev.tavik.result.Method;
import dev.tavik.study.InferenceOptions;
import dev.tavik.study.InferenceSettings;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How strictly an association is to be judged, by which tests, and what is to be shown.
 *
 * @param choices alpha, level, and the tests to show: none for the usual ones, which depend on what
 *     is ordered; each measure has its own interval, so that none is chosen
 * @param ordered which classifications have ordered levels
 * @param options the scores of ordered levels and the budget of exact tests
 * @param shown the tables of cells to show beside the counts
 * @param rowPairs whether each two rows are compared
 * @param bayes how the association is seen the Bayesian way; null for not at all
 */
public record CrossSettings(
    InferenceOptions<Method, Method> choices,
    Ordered ordered,
    TestOptions options,
    List<CellTable> shown,
    RowPairs rowPairs,
    @Nullable Belief bayes)
    implements InferenceSettings<CrossSettings, Method, Method> {
  /**
   * What the Bayesian view of a table rests on.
   *
   * @param plan what was fixed when the counts were collected
   * @param prior the prior parameter of every cell
   */
  public record Belief(SamplingPlan plan, double prior) {
    /** Refuses a prior out of its range. */
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

  /** Drops tables that are named twice. */
  public CrossSettings {
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
        InferenceOptions.usual(),
        Ordered.NONE,
        TestOptions.usual(),
        List.of(CellTable.RESIDUALS),
        RowPairs.LEFT,
        null);
  }

  /** Checks that no method was chosen where all are made. */
  void requireUnchosen(String data) {
    choices.requireAmong(data, new Method[0], new Method[0]);
  }

  @Override
  public CrossSettings choices(InferenceOptions<Method, Method> changed) {
    return new CrossSettings(changed, ordered, options, shown, rowPairs, bayes);
  }

  /**
   * Returns a copy with ordered levels.
   *
   * @param which the classifications whose order means something
   * @return the settings
   */
  public CrossSettings ordered(Ordered which) {
    return new CrossSettings(choices, which, options, shown, rowPairs, bayes);
  }

  /**
   * Returns a copy with scores of ordered levels or another budget.
   *
   * @param changed the options of the tests
   * @return the settings
   */
  public CrossSettings options(TestOptions changed) {
    return new CrossSettings(choices, ordered, changed, shown, rowPairs, bayes);
  }

  /**
   * Returns a copy that shows these tables of cells beside the counts.
   *
   * @param tables what to show; may be none
   * @return the settings
   */
  public CrossSettings shown(List<CellTable> tables) {
    return new CrossSettings(choices, ordered, options, tables, rowPairs, bayes);
  }

  /**
   * Returns a copy that compares each two rows, or doesn't.
   *
   * @param choice whether they are
   * @return the settings
   */
  public CrossSettings rowPairs(RowPairs choice) {
    return new CrossSettings(choices, ordered, options, shown, choice, bayes);
  }

  /**
   * Returns a copy with the Bayesian view.
   *
   * @param view the sampling plan and the prior; null for none
   * @return the settings
   */
  public CrossSettings bayes(@Nullable Belief view) {
    return new CrossSettings(choices, ordered, options, shown, rowPairs, view);
  }
}
