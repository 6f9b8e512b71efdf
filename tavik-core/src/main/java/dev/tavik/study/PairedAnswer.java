package dev.tavik.study;

import dev.tavik.count.PairedTally;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import dev.tavik.result.Working;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a {@link PairedQuestion}.
 *
 * @param label the analyst's name for the question, empty for none
 * @param first the name of the first judgement
 * @param second the name of the second judgement
 * @param tally the paired counts
 * @param settings the direction, how strictly, by which methods
 * @param from where the counts came from; null when they were given as counts
 * @param estimates both proportions and their difference
 * @param tests one result for each test asked for, in that order
 * @param intervals for each method the two-sided interval and, with a direction, the bound that
 *     matches
 * @param preference which test and interval the verdict rests on, and why
 * @param conditions what the methods take for granted
 * @param cautions what to be careful of
 * @param working the z tests and the closed-form intervals as they are done by hand
 * @param conclusion the verdict in words
 */
public record PairedAnswer(
    String label,
    String first,
    String second,
    PairedTally tally,
    PairedSettings settings,
    @Nullable CountedFrom from,
    List<Estimate> estimates,
    List<TestResult> tests,
    List<Interval> intervals,
    Preference preference,
    List<Condition> conditions,
    List<Caution> cautions,
    List<Working> working,
    String conclusion)
    implements Answer {

  /** Copies the lists. */
  public PairedAnswer {
    estimates = List.copyOf(estimates);
    tests = List.copyOf(tests);
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
   * @return such as {@code first_inspector minus second_inspector}
   */
  public String order() {
    return first + " minus " + second;
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
            each ->
                each.method() == preference.interval()
                    && each.side() == settings.alternative().matchingSide())
        .findFirst()
        .orElseThrow();
  }
}
