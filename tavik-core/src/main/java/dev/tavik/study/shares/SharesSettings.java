package dev.tavik.study.shares;

import static dev.tavik.result.Figures.require;

import dev.tavik.association.SharesInterval;
import dev.tavik.association.SharesTest;
import dev.tavik.bayes.DirichletPrior;
import dev.tavik.numeric.DecimalFraction;
import dev.tavik.result.Proportion;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How strictly counts are held against claimed shares, and by which methods.
 *
 * @param alpha the significance level, strictly between 0 and 1
 * @param chosenLevel the confidence level, strictly between 0 and 1; null for one minus alpha
 * @param tests the tests to show, at least one
 * @param intervals the intervals to show, at least one
 * @param prior what is believed of the shares in the Bayesian view; null to leave it out
 */
public record SharesSettings(
    double alpha,
    @Nullable Double chosenLevel,
    List<SharesTest> tests,
    List<SharesInterval> intervals,
    @Nullable DirichletPrior prior) {

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if alpha or level is not strictly between 0 and 1, or a list
   *     is empty
   */
  public SharesSettings {
    Proportion.require("alpha", alpha);
    if (chosenLevel != null) {
      Proportion.require("level", chosenLevel);
    }
    tests = tests.stream().distinct().toList();
    intervals = intervals.stream().distinct().toList();
    require(
        !tests.isEmpty() && !intervals.isEmpty(),
        "tests and intervals must name at least one method each, got none");
  }

  /**
   * The usual settings: alpha 0.05, Pearson's and the exact test, Goodman's intervals.
   *
   * @return the settings
   */
  public static SharesSettings usual() {
    return new SharesSettings(
        0.05,
        null,
        List.of(SharesTest.PEARSON, SharesTest.EXACT_MULTINOMIAL),
        List.of(SharesInterval.GOODMAN),
        null);
  }

  /**
   * The confidence level: the chosen one, or one minus alpha.
   *
   * @return the level
   */
  public double level() {
    return chosenLevel == null ? matchingLevel() : chosenLevel;
  }

  /**
   * The confidence level at which intervals are as strict as the tests.
   *
   * @return one minus alpha
   */
  public double matchingLevel() {
    return DecimalFraction.complement(alpha);
  }

  /**
   * With another significance level.
   *
   * @param value the significance level, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1
   */
  public SharesSettings alpha(double value) {
    return new SharesSettings(value, chosenLevel, tests, intervals, prior);
  }

  /**
   * With a confidence level of its own.
   *
   * @param value the confidence level, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1
   */
  public SharesSettings level(double value) {
    return new SharesSettings(alpha, value, tests, intervals, prior);
  }

  /**
   * With these tests only.
   *
   * @param methods the tests, at least one
   * @return the settings
   * @throws IllegalArgumentException if there is none
   */
  public SharesSettings tests(List<SharesTest> methods) {
    return new SharesSettings(alpha, chosenLevel, methods, intervals, prior);
  }

  /**
   * With these intervals only.
   *
   * @param methods the intervals, at least one
   * @return the settings
   * @throws IllegalArgumentException if there is none
   */
  public SharesSettings intervals(List<SharesInterval> methods) {
    return new SharesSettings(alpha, chosenLevel, tests, methods, prior);
  }

  /**
   * With the Bayesian view beside.
   *
   * @param before what is believed of the shares before the data, were they not as claimed
   * @return the settings
   */
  public SharesSettings prior(DirichletPrior before) {
    return new SharesSettings(alpha, chosenLevel, tests, intervals, before);
  }
}
