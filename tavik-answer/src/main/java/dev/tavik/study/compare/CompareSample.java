package dev.tavik.study.compare;

import dev.tavik.answer.Answer;
import dev.tavik.count.NamedTally;
import dev.tavik.plot.Plots;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is compared, by value: tallies, or groups of a designed sample. */
interface CompareSample {
  /** The names of the groups, in order; of two, a baseline is the second. */
  List<String> names();

  /** The group that every other one is compared with; null for all pairs. */
  @Nullable String baseline();

  /** Returns the same sample with another baseline. */
  CompareSample against(String name);

  /**
   * Returns the same sample of some of its groups, in a given order.
   *
   * @throws IllegalArgumentException if there is no such group
   */
  CompareSample among(List<String> groups);

  /** The tallies, in order; none of a designed sample. */
  default List<NamedTally> tallies() {
    return List.of();
  }

  /**
   * Fills in the methods that are usual for such data where none was chosen.
   *
   * @throws IllegalArgumentException if a setting doesn't fit the data
   */
  CompareSettings complete(CompareSettings settings);

  /** The pairs, and what the data contribute to the answer about them. */
  PairsData pairs(CompareQuestion question);

  Plots plots(CompareQuestion question, Answer answer);
}
