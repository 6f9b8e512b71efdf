package dev.tavik.study.paired;

import static dev.tavik.result.Figures.require;

import dev.tavik.numeric.DecimalFraction;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Proportion;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How two proportions of the same units are to be compared; the null is no difference.
 *
 * @param alternative the direction, of the first against the second
 * @param alpha the significance level, strictly between 0 and 1
 * @param chosenLevel the confidence level, strictly between 0 and 1; null for one minus alpha
 * @param tests the tests to show, at least one
 * @param intervals the intervals to show, at least one
 */
public record PairedSettings(
    Alternative alternative,
    double alpha,
    @Nullable Double chosenLevel,
    List<PairedTest> tests,
    List<PairedDifferenceInterval> intervals) {

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if alpha or level is not strictly between 0 and 1, or a list
   *     is empty
   */
  public PairedSettings {
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
   * The usual settings: two-sided, alpha 0.05, McNemar's test and the exact one, Tango's and
   * Newcombe's intervals.
   *
   * @return the settings
   */
  public static PairedSettings usual() {
    return new PairedSettings(
        Alternative.TWO_SIDED,
        0.05,
        null,
        List.of(PairedTest.MCNEMAR, PairedTest.MCNEMAR_EXACT),
        List.of(PairedDifferenceInterval.TANGO, PairedDifferenceInterval.NEWCOMBE));
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
   * With another direction.
   *
   * @param direction of the first against the second
   * @return the settings
   */
  public PairedSettings alternative(Alternative direction) {
    return new PairedSettings(direction, alpha, chosenLevel, tests, intervals);
  }

  /**
   * With another significance level.
   *
   * @param value the significance level, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1
   */
  public PairedSettings alpha(double value) {
    return new PairedSettings(alternative, value, chosenLevel, tests, intervals);
  }

  /**
   * With a confidence level of its own.
   *
   * @param value the confidence level, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1
   */
  public PairedSettings level(double value) {
    return new PairedSettings(alternative, alpha, value, tests, intervals);
  }

  /**
   * With these tests only.
   *
   * @param methods the tests, at least one
   * @return the settings
   * @throws IllegalArgumentException if there is none
   */
  public PairedSettings tests(List<PairedTest> methods) {
    return new PairedSettings(alternative, alpha, chosenLevel, methods, intervals);
  }

  /**
   * With these intervals only.
   *
   * @param methods the intervals, at least one
   * @return the settings
   * @throws IllegalArgumentException if there is none
   */
  public PairedSettings intervals(List<PairedDifferenceInterval> methods) {
    return new PairedSettings(alternative, alpha, chosenLevel, tests, methods);
  }
}
