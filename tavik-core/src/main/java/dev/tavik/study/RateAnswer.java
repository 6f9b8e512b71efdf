package dev.tavik.study;

import dev.tavik.count.Tally;
import dev.tavik.proportion.CriticalCounts;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.result.Working;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a {@link RateQuestion}.
 *
 * @param label the analyst's name for the rate, empty for none
 * @param tally successes and trials
 * @param settings against which value, how strictly, by which methods
 * @param from where the counts came from; null when they were given as counts
 * @param estimates the observed proportion with its standard error
 * @param tests one result for each test asked for, in that order
 * @param intervals for each method asked for the two-sided interval and, with a directional
 *     alternative, the one-sided bound that matches it
 * @param criticalCounts for each test the counts that it would reject, and its true size
 * @param preference which test and interval the verdict rests on, and why
 * @param bayes the Bayesian view; null unless it was asked for
 * @param conditions what the methods take for granted
 * @param cautions what to be careful of
 * @param working the z tests and the closed-form intervals as they are done by hand
 * @param conclusion the verdict in words
 */
public record RateAnswer(
    String label,
    Tally tally,
    RateSettings settings,
    @Nullable CountedFrom from,
    List<Estimate> estimates,
    List<TestResult> tests,
    List<Interval> intervals,
    List<CriticalCounts> criticalCounts,
    Preference preference,
    @Nullable RateBayes bayes,
    List<Condition> conditions,
    List<Caution> cautions,
    List<Working> working,
    String conclusion)
    implements Answer {

  /** Copies the lists. */
  public RateAnswer {
    estimates = List.copyOf(estimates);
    tests = List.copyOf(tests);
    intervals = List.copyOf(intervals);
    criticalCounts = List.copyOf(criticalCounts);
    conditions = List.copyOf(conditions);
    cautions = List.copyOf(cautions);
    working = List.copyOf(working);
  }

  @Override
  public String question() {
    return "rate";
  }

  /**
   * The test that the verdict rests on.
   *
   * @return the preferred test
   */
  public TestResult preferredTest() {
    return tests.stream()
        .filter(test -> test.method() == preference.test())
        .findFirst()
        .orElseThrow();
  }

  /**
   * The interval that the verdict rests on: two-sided, or the bound that matches the direction.
   *
   * @return the preferred interval
   */
  public Interval preferredInterval() {
    return intervals.stream()
        .filter(
            interval ->
                interval.method() == preference.interval()
                    && interval.side() == settings.hypothesis().alternative().matchingSide())
        .findFirst()
        .orElseThrow();
  }

  RateAnswer withTests(List<TestResult> changed) {
    return new RateAnswer(
        label,
        tally,
        settings,
        from,
        estimates,
        changed,
        intervals,
        criticalCounts,
        preference,
        bayes,
        conditions,
        cautions,
        working,
        conclusion);
  }

  RateAnswer concluded(List<Caution> found, String verdict) {
    return new RateAnswer(
        label,
        tally,
        settings,
        from,
        estimates,
        tests,
        intervals,
        criticalCounts,
        preference,
        bayes,
        conditions,
        found,
        working,
        verdict);
  }
}
