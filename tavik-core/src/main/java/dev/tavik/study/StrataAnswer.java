package dev.tavik.study;

import dev.tavik.count.StratifiedTables;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.result.Refusal;
import dev.tavik.result.TestResult;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a {@link StrataQuestion}.
 *
 * @param label the analyst's name for the question, empty for none
 * @param tables the comparison in each stratum
 * @param settings how strictly
 * @param from where the counts came from; null when they were given as counts
 * @param common the odds ratio that the strata have in common
 * @param interval its interval; null where it is 0 or infinite
 * @param within the odds ratio of each stratum, labelled by its name
 * @param withinIntervals the score interval of each stratum's odds ratio, in the same order
 * @param together the odds ratio of all strata put together
 * @param tests the tests that could be made
 * @param refusals the tests that declined, and why
 * @param conditions what the tests take for granted
 * @param cautions what to be careful of
 * @param conclusion the verdict in words
 */
public record StrataAnswer(
    String label,
    StratifiedTables tables,
    CrossSettings settings,
    @Nullable CountedFrom from,
    Estimate common,
    @Nullable Interval interval,
    List<Estimate> within,
    List<Interval> withinIntervals,
    Estimate together,
    List<TestResult> tests,
    List<Refusal> refusals,
    List<Condition> conditions,
    List<Caution> cautions,
    String conclusion)
    implements Answer {

  /** Copies the lists. */
  public StrataAnswer {
    within = List.copyOf(within);
    withinIntervals = List.copyOf(withinIntervals);
    tests = List.copyOf(tests);
    refusals = List.copyOf(refusals);
    conditions = List.copyOf(conditions);
    cautions = List.copyOf(cautions);
  }

  @Override
  public String question() {
    return "cross";
  }
}
