package dev.tavik.count;

import static dev.tavik.result.Figures.require;

import java.util.LinkedHashSet;
import java.util.List;

/**
 * How often each of several categories was counted: 31 ash, 22 celadon, 17 cobalt.
 *
 * @param levels the categories' names, at least two, all different
 * @param counts one count a category, 0 to 10¹²
 */
public record CategoryCounts(List<String> levels, List<Long> counts) {
  /**
   * Copies the parts.
   *
   * @throws IllegalArgumentException if there are fewer than two categories, two of the same name,
   *     a negative count, or a total that is not between 1 and 10¹²
   */
  public CategoryCounts {
    levels = List.copyOf(levels);
    counts = List.copyOf(counts);
    require(
        levels.size() >= 2 && levels.size() == counts.size(),
        "categories must be at least two, each with a count, got %s names and %s counts",
        levels.size(),
        counts.size());
    require(
        new LinkedHashSet<>(levels).size() >= levels.size(),
        "categories must have different names, got %s",
        String.join(", ", levels));
    long total = 0;
    for (long count : counts) {
      require(
          count >= 0 && count <= Tally.MAX_TRIALS,
          "a count must be between 0 and %,d, got %s",
          Tally.MAX_TRIALS,
          count);
      total = Math.min(total + count, Tally.MAX_TRIALS + 1);
    }
    require(
        total >= 1 && total <= Tally.MAX_TRIALS,
        "counts must add up to between 1 and %,d",
        Tally.MAX_TRIALS);
  }

  /**
   * Counts of named categories.
   *
   * @param levels the names
   * @param counts one count a category
   * @return the counts
   */
  public static CategoryCounts of(List<String> levels, List<Long> counts) {
    return new CategoryCounts(levels, counts);
  }

  /**
   * How many categories there are.
   *
   * @return at least two
   */
  public int size() {
    return counts.size();
  }

  /**
   * How many units were counted.
   *
   * @return the sum of the counts
   */
  public long total() {
    return counts.stream().mapToLong(Long::longValue).sum();
  }

  /**
   * One category against all others.
   *
   * @param category its position, from 0
   * @return its count out of the total
   */
  public Tally tally(int category) {
    return Tally.of(counts.get(category), total());
  }
}
