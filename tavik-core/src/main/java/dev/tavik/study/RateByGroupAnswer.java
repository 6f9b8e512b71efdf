package dev.tavik.study;

import dev.tavik.result.Caution;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a {@link RateByGroupQuestion}.
 *
 * @param label the analyst's name for the rate, empty for none
 * @param settings against which value, how strictly, by which methods
 * @param from where the counts came from; null when they were given as counts
 * @param groups one answer a group, each labelled with its group, their tests with adjusted
 *     p-values
 * @param cautions what to be careful of over all groups; each group has its own besides
 * @param conclusion the verdict in words, after adjustment
 */
public record RateByGroupAnswer(
    String label,
    RateSettings settings,
    @Nullable CountedFrom from,
    List<RateAnswer> groups,
    List<Caution> cautions,
    String conclusion)
    implements Answer {

  /** Copies the lists. */
  public RateByGroupAnswer {
    groups = List.copyOf(groups);
    cautions = List.copyOf(cautions);
  }

  @Override
  public String question() {
    return "rate";
  }
}
