package dev.tavik.study;

import dev.tavik.count.NamedTally;
import dev.tavik.result.Caution;
import dev.tavik.result.TestResult;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a {@link CompareGroupsQuestion}.
 *
 * @param label the analyst's name for the question, empty for none
 * @param groups the groups, in order
 * @param settings what was to be shown, how strictly, by which methods
 * @param from where the counts came from; null when they were given as counts
 * @param overall the tests of one common proportion in all groups
 * @param pairs one answer a pair, their tests with adjusted p-values; none where {@link
 *     CompareGroupsQuestion#tooManyToPair}
 * @param cautions what to be careful of over all pairs; each pair has its own besides
 * @param conclusion the verdict in words, after adjustment
 */
public record CompareGroupsAnswer(
    String label,
    List<NamedTally> groups,
    CompareSettings settings,
    @Nullable CountedFrom from,
    List<TestResult> overall,
    List<CompareAnswer> pairs,
    List<Caution> cautions,
    String conclusion)
    implements Answer {

  /** Copies the lists. */
  public CompareGroupsAnswer {
    groups = List.copyOf(groups);
    overall = List.copyOf(overall);
    pairs = List.copyOf(pairs);
    cautions = List.copyOf(cautions);
  }

  @Override
  public String question() {
    return "compare";
  }
}
