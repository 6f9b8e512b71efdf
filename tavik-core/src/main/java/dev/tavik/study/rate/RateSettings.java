package dev.tavik.study.rate;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.numeric.DecimalFraction;
import dev.tavik.proportion.LotInterval;
import dev.tavik.proportion.LotTest;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Proportion;
import dev.tavik.study.BayesSettings;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * How a rate is to be judged: against which value, in which direction, how strictly, by which
 * methods.
 *
 * @param hypothesis the null value, strictly between 0 and 1, and the direction
 * @param alpha the significance level, strictly between 0 and 1
 * @param chosenLevel the confidence level, strictly between 0 and 1; null for one minus alpha
 * @param tests the tests to show, at least one
 * @param intervals the intervals to show, at least one
 * @param lot how many units the lot has from which the sample was drawn without replacement; null
 *     for trials without end
 * @param bayes the prior and region of the Bayesian view; null to leave it out
 */
public record RateSettings(
    Hypothesis hypothesis,
    double alpha,
    @Nullable Double chosenLevel,
    List<ProportionTest> tests,
    List<ProportionInterval> intervals,
    @Nullable Long lot,
    @Nullable BayesSettings bayes) {

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if the null value, alpha or level is not strictly between 0
   *     and 1, or a list is empty, or a lot is given with methods that know none
   */
  public RateSettings {
    Proportion.require("against", hypothesis.against());
    Proportion.require("alpha", alpha);
    if (chosenLevel != null) {
      Proportion.require("level", chosenLevel);
    }
    tests = requireSome("tests", tests);
    intervals = requireSome("intervals", intervals);
    if (lot != null && bayes != null) {
      throw new IllegalArgumentException(
          "the Bayesian view is of trials without end; leave the lot out");
    }
    if (bayes != null && bayes.region() != null && bayes.region().low() < 0) {
      throw new IllegalArgumentException(
          say(
              "region of a rate must lie between 0 and 1, such as 4%%,6%%, got %s to %s",
              bayes.region().low(), bayes.region().high()));
    }
    if (lot != null) {
      requireKnown("tests", tests.stream().map(Enum::name).toList(), LotTest.values());
      requireKnown("intervals", intervals.stream().map(Enum::name).toList(), LotInterval.values());
    }
  }

  private static void requireKnown(String what, List<String> chosen, Enum<?>[] known) {
    List<String> names = Arrays.stream(known).map(Enum::name).toList();
    if (!names.containsAll(chosen)) {
      throw new IllegalArgumentException(
          say(
              "with a lot, %s must be among %s",
              what,
              names.stream()
                  .map(name -> name.toLowerCase(Locale.ROOT).replace('_', '-'))
                  .collect(Collectors.joining(", "))));
    }
  }

  /**
   * The usual settings: two-sided, alpha 0.05, score and exact tests, Wilson and Clopper-Pearson
   * intervals.
   *
   * @param against the null value, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; against &lt; 1
   */
  public static RateSettings against(double against) {
    return new RateSettings(
        Hypothesis.twoSided(against),
        0.05,
        null,
        List.of(ProportionTest.SCORE, ProportionTest.EXACT),
        List.of(ProportionInterval.WILSON, ProportionInterval.CLOPPER_PEARSON),
        null,
        null);
  }

  private static <T> List<T> requireSome(String name, List<T> methods) {
    List<T> distinct = methods.stream().distinct().toList();
    require(!distinct.isEmpty(), "%s must name at least one method, got none", name);
    return distinct;
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
   * Whether intervals and tests are equally strict.
   *
   * @return whether the level is one minus alpha
   */
  public boolean levelMatchesAlpha() {
    return level() == matchingLevel();
  }

  /**
   * Whether any of the methods can be worked by hand: a z test or a closed-form interval.
   *
   * @return whether an answer will have some working
   */
  public boolean hasWorking() {
    return lot == null
        && (tests.stream().anyMatch(TestWorking.TESTS::contains)
            || intervals.stream().anyMatch(IntervalWorking.INTERVALS::contains));
  }

  /**
   * With another direction.
   *
   * @param alternative the direction
   * @return the settings
   */
  public RateSettings alternative(Alternative alternative) {
    return new RateSettings(
        new Hypothesis(hypothesis.against(), alternative),
        alpha,
        chosenLevel,
        tests,
        intervals,
        lot,
        bayes);
  }

  /**
   * With another significance level.
   *
   * @param value the significance level, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1
   */
  public RateSettings alpha(double value) {
    return new RateSettings(hypothesis, value, chosenLevel, tests, intervals, lot, bayes);
  }

  /**
   * With a confidence level of its own.
   *
   * @param value the confidence level, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; value &lt; 1
   */
  public RateSettings level(double value) {
    return new RateSettings(hypothesis, alpha, value, tests, intervals, lot, bayes);
  }

  /**
   * With these tests only.
   *
   * @param methods the tests, at least one
   * @return the settings
   * @throws IllegalArgumentException if there is none
   */
  public RateSettings tests(List<ProportionTest> methods) {
    return new RateSettings(hypothesis, alpha, chosenLevel, methods, intervals, lot, bayes);
  }

  /**
   * With these intervals only.
   *
   * @param methods the intervals, at least one
   * @return the settings
   * @throws IllegalArgumentException if there is none
   */
  public RateSettings intervals(List<ProportionInterval> methods) {
    return new RateSettings(hypothesis, alpha, chosenLevel, tests, methods, lot, bayes);
  }

  /**
   * For a sample drawn without replacement from a finite lot.
   *
   * @param units how many units the lot has, more than the sample, at most 10¹²
   * @return the settings
   * @throws IllegalArgumentException if a test or an interval has no form for a lot
   */
  public RateSettings lot(long units) {
    return new RateSettings(hypothesis, alpha, chosenLevel, tests, intervals, units, bayes);
  }

  /**
   * With the Bayesian view beside.
   *
   * @param view the prior and the region
   * @return the settings
   * @throws IllegalArgumentException if there is a lot
   */
  public RateSettings bayes(BayesSettings view) {
    return new RateSettings(hypothesis, alpha, chosenLevel, tests, intervals, lot, view);
  }
}
