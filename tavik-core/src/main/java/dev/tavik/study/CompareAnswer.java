package dev.tavik.study;

import dev.tavik.count.NamedTally;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.result.NumberNeeded;
import dev.tavik.result.Quantity;
import dev.tavik.result.Refusal;
import dev.tavik.result.TestResult;
import dev.tavik.result.Working;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a {@link CompareQuestion}.
 *
 * @param label the analyst's name for the question, empty for none
 * @param first the first group
 * @param second the second group
 * @param settings what was to be shown, how strictly, by which methods
 * @param from where the counts came from; null when they were given as counts
 * @param estimates both proportions, then difference, ratio, both odds ratios and Cohen's h, each
 *     labelled with what stands against what
 * @param numberNeeded the number needed with its interval; null without an interval of the
 *     difference
 * @param tests one result for each test that could be made, in the order asked for
 * @param refusals the tests that declined, and why
 * @param oneSided for equivalence both one-sided tests of each method, whose larger p-value counts
 * @param intervals for each method the two-sided interval and, with a direction, the bound that
 *     matches
 * @param preference which test and interval the verdict rests on, and why
 * @param bayes the Bayesian view; null where it wasn't asked for
 * @param conditions what the methods take for granted
 * @param cautions what to be careful of
 * @param working the z tests and the closed-form intervals as they are done by hand
 * @param conclusion the verdict in words
 */
public record CompareAnswer(
    String label,
    NamedTally first,
    NamedTally second,
    CompareSettings settings,
    @Nullable CountedFrom from,
    List<Estimate> estimates,
    @Nullable NumberNeeded numberNeeded,
    List<TestResult> tests,
    List<Refusal> refusals,
    List<DirectedTest> oneSided,
    List<Interval> intervals,
    Preference preference,
    @Nullable CompareBayes bayes,
    List<Condition> conditions,
    List<Caution> cautions,
    List<Working> working,
    String conclusion)
    implements Answer {

  /** Copies the lists. */
  public CompareAnswer {
    estimates = List.copyOf(estimates);
    tests = List.copyOf(tests);
    refusals = List.copyOf(refusals);
    oneSided = List.copyOf(oneSided);
    intervals = List.copyOf(intervals);
    conditions = List.copyOf(conditions);
    cautions = List.copyOf(cautions);
    working = List.copyOf(working);
  }

  @Override
  public String question() {
    return "compare";
  }

  /**
   * The order in which everything is said.
   *
   * @return such as {@code North minus South}
   */
  public String order() {
    return first.name() + " minus " + second.name();
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
    Quantity wanted =
        intervals.stream().anyMatch(each -> each.quantity() == Quantity.DIFFERENCE)
            ? Quantity.DIFFERENCE
            : intervals.get(0).quantity();
    return intervals.stream()
        .filter(
            each ->
                each.quantity() == wanted
                    && each.method() == preference.interval()
                    && each.side() == settings.hypothesis().alternative().matchingSide())
        .findFirst()
        .orElseThrow();
  }

  CompareAnswer withTests(List<TestResult> changed) {
    return new CompareAnswer(
        label,
        first,
        second,
        settings,
        from,
        estimates,
        numberNeeded,
        changed,
        refusals,
        oneSided,
        intervals,
        preference,
        bayes,
        conditions,
        cautions,
        working,
        conclusion);
  }

  CompareAnswer concluded(List<Caution> found, String verdict) {
    return new CompareAnswer(
        label,
        first,
        second,
        settings,
        from,
        estimates,
        numberNeeded,
        tests,
        refusals,
        oneSided,
        intervals,
        preference,
        bayes,
        conditions,
        found,
        working,
        verdict);
  }
}
