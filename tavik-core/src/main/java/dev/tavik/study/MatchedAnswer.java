package dev.tavik.study;

import dev.tavik.count.MatchedTallies;
import dev.tavik.result.Caution;
import dev.tavik.result.Condition;
import dev.tavik.result.TestResult;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a {@link MatchedQuestion}.
 *
 * @param label what counts as success, empty for none
 * @param tallies the judgements
 * @param alpha the significance level
 * @param from where the counts came from; null when they were given as counts
 * @param test Cochran's Q over all judgements
 * @param pairs each two judgements, the p-values also adjusted by Holm's method
 * @param conditions what the test takes for granted
 * @param cautions what to be careful of
 * @param conclusion the verdict in words
 */
public record MatchedAnswer(
    String label,
    MatchedTallies tallies,
    double alpha,
    @Nullable CountedFrom from,
    TestResult test,
    List<Pair> pairs,
    List<Condition> conditions,
    List<Caution> cautions,
    String conclusion)
    implements Answer {

  /**
   * Two judgements of the same units.
   *
   * @param first the name of one
   * @param second the name of the other
   * @param difference the first rate minus the second
   * @param test McNemar's test
   */
  public record Pair(String first, String second, double difference, TestResult test) {}

  /** Copies the lists. */
  public MatchedAnswer {
    pairs = List.copyOf(pairs);
    conditions = List.copyOf(conditions);
    cautions = List.copyOf(cautions);
  }

  @Override
  public String question() {
    return "compare";
  }
}
