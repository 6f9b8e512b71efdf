package dev.tavik.count;

import static dev.tavik.result.Figures.require;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * How often each of several categories was counted: 31 ash, 22 celadon, 17 cobalt. Its total is
 * held.
 */
public final class CategoryCounts {
  private final List<String> levels;
  private final List<Long> counts;
  private final long total;

  /**
   * Copies the parts.
   *
   * @param levels the categories' names, at least two, all different
   * @param counts one count a category, 0 to 10¹²
   * @throws IllegalArgumentException if there are fewer than two categories, two of the same name,
   *     a negative count, or a total that is not between 1 and 10¹²
   */
  public CategoryCounts(List<String> levels, List<Long> counts) {
    this.levels = List.copyOf(levels);
    this.counts = List.copyOf(counts);
    require(
        levels.size() >= 2 && levels.size() == counts.size(),
        "categories must be at least two, each with a count, got %s names and %s counts",
        levels.size(),
        counts.size());
    require(
        new LinkedHashSet<>(levels).size() >= levels.size(),
        "categories must have different names, got %s",
        String.join(", ", levels));
    long sum = 0;
    for (long count : counts) {
      require(
          count >= 0 && count <= Tally.MAX_TRIALS,
          "a count must be between 0 and %,d, got %s",
          Tally.MAX_TRIALS,
          count);
      sum = Math.min(sum + count, Tally.MAX_TRIALS + 1);
    }
    require(
        sum >= 1 && sum <= Tally.MAX_TRIALS,
        "counts must add up to between 1 and %,d",
        Tally.MAX_TRIALS);
    this.total = sum;
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
   * Counts by the name of their category.
   *
   * @param counts one count a category, in the order in which the map has them
   * @return the counts
   * @throws IllegalArgumentException if there are fewer than two categories, a negative count, or a
   *     total that is not between 1 and 10¹²
   */
  public static CategoryCounts of(Map<String, Long> counts) {
    return of(List.copyOf(counts.keySet()), List.copyOf(counts.values()));
  }

  /**
   * The categories' names.
   *
   * @return at least two, all different
   */
  public List<String> levels() {
    return levels;
  }

  /**
   * The counts.
   *
   * @return one a category
   */
  public List<Long> counts() {
    return counts;
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
    return total;
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

  /** Of the same names and counts. */
  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof CategoryCounts those
        && levels.equals(those.levels)
        && counts.equals(those.counts);
  }

  @Override
  public int hashCode() {
    return Objects.hash(levels, counts);
  }

  /** The names and the counts. */
  @Override
  public String toString() {
    return "CategoryCounts[levels=" + levels + ", counts=" + counts + "]";
  }
}
