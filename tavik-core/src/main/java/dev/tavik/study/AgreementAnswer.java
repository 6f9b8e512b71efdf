package dev.tavik.study;

import dev.tavik.count.SquareTable;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.Estimate;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to an {@link AgreementQuestion}.
 *
 * @param label the analyst's name for the question, empty for none
 * @param first what classified in the rows
 * @param second what classified in the columns
 * @param table the counts
 * @param settings how strictly
 * @param from where the counts came from; null when they were given as counts
 * @param alike the share of units classified alike
 * @param agreements agreement beyond chance: κ, and weighted ones where the levels are ordered
 * @param intervals the intervals of the agreements that have one
 * @param test Bowker's test of symmetry
 * @param conditions what the test takes for granted
 * @param cautions what to be careful of
 * @param conclusion the verdict in words
 */
public record AgreementAnswer(
    String label,
    String first,
    String second,
    SquareTable table,
    CrossSettings settings,
    @Nullable CountedFrom from,
    Estimate alike,
    List<Estimate> agreements,
    List<Interval> intervals,
    TestResult test,
    List<Condition> conditions,
    List<Caution> cautions,
    String conclusion)
    implements Answer {

  /** Copies the lists. */
  public AgreementAnswer {
    agreements = List.copyOf(agreements);
    intervals = List.copyOf(intervals);
    conditions = List.copyOf(conditions);
    cautions = List.copyOf(cautions);
  }

  @Override
  public String question() {
    return "cross";
  }
}
