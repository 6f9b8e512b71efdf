package dev.tavik.count;

import static dev.tavik.result.Figures.require;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/**
 * Counts the same units judged several times: how often each pattern of successes was counted.
 *
 * @param names what judged, at least two, all different
 * @param patterns by pattern, one entry a name, how many units had it
 */
public record MatchedTallies(List<String> names, Map<List<Boolean>, Long> patterns) {
  /**
   * Copies the parts.
   *
   * @throws IllegalArgumentException if there are fewer than two names, two are alike, a pattern
   *     doesn't have one entry a name, a count is negative, or all are 0
   */
  public MatchedTallies {
    names = List.copyOf(names);
    patterns = Map.copyOf(patterns);
    int size = names.size();
    require(
        size >= 2 && new HashSet<>(names).size() >= size,
        "names must be at least two different ones, got %s",
        String.join(", ", names));
    require(
        !patterns.keySet().stream().anyMatch(pattern -> pattern.size() != size),
        "every pattern must have %s entries",
        size);
    require(
        !patterns.values().stream().anyMatch(count -> count < 0)
            && !patterns.values().stream().allMatch(count -> count == 0),
        "counts must not be negative, nor all 0");
  }

  /**
   * All units.
   *
   * @return their number
   */
  public long units() {
    return patterns.values().stream().mapToLong(Long::longValue).sum();
  }

  /**
   * The successes by one judgement.
   *
   * @param index its position, from 0
   * @return the tally
   */
  public Tally tally(int index) {
    return Tally.of(count(pattern -> pattern.get(index)), units());
  }

  /**
   * Two of the judgements.
   *
   * @param first the position of one, from 0
   * @param second the position of the other
   * @return their pairs
   */
  public PairedTally pair(int first, int second) {
    return PairedTally.of(
        count(pattern -> pattern.get(first) && pattern.get(second)),
        count(pattern -> pattern.get(first) && !pattern.get(second)),
        count(pattern -> !pattern.get(first) && pattern.get(second)),
        count(pattern -> !pattern.get(first) && !pattern.get(second)));
  }

  private long count(Predicate<List<Boolean>> wanted) {
    return patterns.entrySet().stream()
        .filter(entry -> wanted.test(entry.getKey()))
        .mapToLong(Map.Entry::getValue)
        .sum();
  }

  /**
   * How many units had so many successes.
   *
   * @return by number of successes, from none to all
   */
  public List<Long> bySuccesses() {
    List<Long> counts = new ArrayList<>();
    for (int successes = 0; successes <= names.size(); successes++) {
      int wanted = successes;
      counts.add(count(pattern -> pattern.stream().filter(each -> each).count() == wanted));
    }
    return counts;
  }
}
