package dev.tavik.study.rate;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import dev.tavik.proportion.FinitePopulationTest;
import dev.tavik.proportion.LotInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.Proportion;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.InferenceOptions;
import dev.tavik.study.InferenceSettings;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * How a rate is to be judged: against which value, in which direction, how strictly, by which
 * methods.
 *
 * @param hypothesis the null value, strictly between 0 and 1, and the direction
 * @param choices alpha, level, tests and intervals
 * @param lot how many units the lot has from which the sample was drawn without replacement; null
 *     for trials without end
 * @param bayes the prior and region of the Bayesian view; null to leave it out
 */
public record RateSettings(
    Hypothesis hypothesis,
    InferenceOptions<Method, Method> choices,
    @Nullable Long lot,
    @Nullable BayesSettings bayes)
    implements InferenceSettings<RateSettings, Method, Method> {
  /** The tests of tallies where none is chosen. */
  public static final List<ProportionTest> USUAL_TESTS =
      List.of(ProportionTest.SCORE, ProportionTest.EXACT);

  /** The intervals of tallies where none is chosen. */
  public static final List<ProportionInterval> USUAL_INTERVALS =
      List.of(ProportionInterval.WILSON, ProportionInterval.CLOPPER_PEARSON);

  /**
   * Checks the parts.
   *
   * @throws IllegalArgumentException if the null value, alpha or level is not strictly between 0
   *     and 1, or a list is empty, or a lot is given with methods that know none
   */
  public RateSettings {
    Proportion.require("against", hypothesis.against());
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
      requireKnown("tests", choices.tests(), FinitePopulationTest.values());
      requireKnown("intervals", choices.intervals(), LotInterval.values());
    }
  }

  private static void requireKnown(String what, List<Method> chosen, Enum<?>[] known) {
    List<String> names =
        Arrays.stream(known)
            .map(each -> each.name().toLowerCase(Locale.ROOT).replace('_', '-'))
            .toList();
    require(
        names.containsAll(chosen.stream().map(Method::id).toList()),
        "with a lot, %s must be among %s",
        what,
        String.join(", ", names));
  }

  /**
   * The usual settings: two-sided, alpha 0.05, and the methods that are usual for the data. Of a
   * tally these are score and exact tests, Wilson and Clopper-Pearson intervals.
   *
   * @param against the null value, strictly between 0 and 1
   * @return the settings
   * @throws IllegalArgumentException if not 0 &lt; against &lt; 1
   */
  public static RateSettings against(double against) {
    return new RateSettings(Hypothesis.twoSided(against), InferenceOptions.usual(), null, null);
  }

  /** {@return the tests, of a tally} */
  List<ProportionTest> tallyTests() {
    return tests().stream().map(ProportionTest.class::cast).toList();
  }

  /** {@return the intervals, of a tally} */
  List<ProportionInterval> tallyIntervals() {
    return intervals().stream().map(ProportionInterval.class::cast).toList();
  }

  /**
   * {@return whether the tests are the usual ones, to which one may be added that is better here}
   */
  boolean usualTests() {
    return tests().equals(USUAL_TESTS);
  }

  /**
   * Whether any of the methods can be worked by hand: a z test or a closed-form interval.
   *
   * @return whether an answer will have some working
   */
  public boolean hasWorking() {
    InferenceOptions<Method, Method> chosen = choices.orUsual(USUAL_TESTS, USUAL_INTERVALS);
    return lot == null
        && (chosen.tests().stream().anyMatch(TestWorking.TESTS::contains)
            || chosen.intervals().stream().anyMatch(IntervalWorking.INTERVALS::contains));
  }

  /**
   * Returns a copy with another alternative.
   *
   * @param alternative the direction
   * @return the settings
   */
  public RateSettings alternative(Alternative alternative) {
    return new RateSettings(new Hypothesis(hypothesis.against(), alternative), choices, lot, bayes);
  }

  /**
   * Returns a copy for a sample drawn without replacement from a finite lot.
   *
   * @param units how many units the lot has, more than the sample, at most 10¹²
   * @return the settings
   * @throws IllegalArgumentException if a test or an interval has no form for a lot
   */
  public RateSettings lot(long units) {
    return new RateSettings(hypothesis, choices, units, bayes);
  }

  /**
   * Returns a copy with the Bayesian view.
   *
   * @param view the prior and the region
   * @return the settings
   * @throws IllegalArgumentException if there is a lot
   */
  public RateSettings bayes(BayesSettings view) {
    return new RateSettings(hypothesis, choices, lot, view);
  }

  @Override
  public RateSettings choices(InferenceOptions<Method, Method> changed) {
    return new RateSettings(hypothesis, changed, lot, bayes);
  }
}
