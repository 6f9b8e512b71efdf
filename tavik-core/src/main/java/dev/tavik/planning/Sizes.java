package dev.tavik.planning;

import static dev.tavik.result.Figures.require;

import dev.tavik.result.Figures;
import java.util.Collections;
import java.util.List;

/**
 * How many observations each group has.
 *
 * @param groups the size of each, one group or more, each at least 1
 */
public record Sizes(List<Long> groups) {
  private static final double LEAST_ALLOCATION = 1e-3;

  /** What the last places of a product add to a whole number. */
  private static final double ROUNDING = 1e-9;

  /**
   * Checks and copies the sizes.
   *
   * @throws IllegalArgumentException if there is none, or one is below 1
   */
  public Sizes {
    groups = List.copyOf(groups);
    require(
        !groups.isEmpty() && Collections.min(groups) >= 1,
        "sizes must be at least 1, got %s",
        groups);
  }

  /**
   * One group.
   *
   * @param n its size
   * @return the sizes
   */
  public static Sizes of(long n) {
    return new Sizes(List.of(n));
  }

  /**
   * Two groups.
   *
   * @param first the first's size
   * @param second the second's
   * @return the sizes
   */
  public static Sizes of(long first, long second) {
    return new Sizes(List.of(first, second));
  }

  /**
   * Several groups of one size.
   *
   * @param groups how many groups
   * @param n the size of each
   * @return the sizes
   */
  public static Sizes equal(int groups, long n) {
    return new Sizes(Collections.nCopies(groups, n));
  }

  /**
   * Two groups, the second following from the first before that is rounded.
   *
   * @param first the first's size, above 0, not necessarily whole
   * @param allocation the second's size over the first's, as {@link #requireAllocation} accepts it
   * @return both rounded up
   */
  static Sizes allocated(double first, double allocation) {
    return of((long) Math.ceil(first), (long) Math.ceil(allocation * first - ROUNDING));
  }

  /** Checks how much larger the second group is. */
  static double requireAllocation(double allocation) {
    require(
        allocation >= LEAST_ALLOCATION && allocation <= 1 / LEAST_ALLOCATION,
        "allocation must be from 0.001 to 1000, such as 2 for a second group twice as large,"
            + " got %s",
        Figures.plain(allocation));
    return allocation;
  }

  /**
   * The first group.
   *
   * @return its size
   */
  public long first() {
    return groups.get(0);
  }

  /**
   * All groups together.
   *
   * @return the sum of sizes
   */
  public long total() {
    return groups.stream().mapToLong(Long::longValue).sum();
  }

  /**
   * Whether all groups have one size.
   *
   * @return whether they are equal
   */
  public boolean equal() {
    return groups.stream().distinct().count() == 1;
  }
}
