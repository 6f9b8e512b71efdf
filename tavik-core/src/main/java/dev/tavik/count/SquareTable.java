package dev.tavik.count;

import static dev.tavik.result.Figures.require;

import java.util.HashSet;
import java.util.List;

/**
 * Counts the same units classified twice by the same levels: the first classification in rows, the
 * second in columns.
 *
 * @param levels the levels in their order, at least two, all different
 * @param cells the counts, row by row
 */
public record SquareTable(List<String> levels, List<List<Long>> cells) {
  /**
   * Copies the parts.
   *
   * @throws IllegalArgumentException if there are fewer than two levels or more than {@value
   *     CrossTable#MOST_LEVELS}, two of the same name, not as many rows and columns as levels, a
   *     count that is negative, or a total that is not between 1 and 10¹²
   */
  public SquareTable {
    require(
        levels.size() >= 2 && levels.size() <= CrossTable.MOST_LEVELS,
        "levels must be between 2 and %s, got %s",
        CrossTable.MOST_LEVELS,
        levels.size());
    require(
        new HashSet<>(levels).size() >= levels.size(),
        "levels must have different names, got %s",
        String.join(", ", levels));
    levels = List.copyOf(levels);
    cells = cells.stream().map(List::copyOf).toList();
    int size = levels.size();
    require(
        cells.size() == size && !cells.stream().anyMatch(row -> row.size() != size),
        "cells must have %d rows of %d counts each",
        size,
        size);
    long total = 0;
    for (List<Long> row : cells) {
      for (long count : row) {
        require(count >= 0, "a count must be at least 0, got %s", count);
        total = Math.min(Tally.MAX_TRIALS + 1, total + Math.min(count, Tally.MAX_TRIALS + 1));
      }
    }
    require(
        total >= 1 && total <= Tally.MAX_TRIALS,
        "counts must add up to between 1 and %,d",
        Tally.MAX_TRIALS);
  }

  /**
   * One count.
   *
   * @param first the position of the first classification's level, from 0
   * @param second the position of the second's
   * @return how many units were classified so
   */
  public long count(int first, int second) {
    return cells.get(first).get(second);
  }

  /**
   * All units.
   *
   * @return their number
   */
  public long total() {
    return cells.stream().flatMap(List::stream).mapToLong(Long::longValue).sum();
  }

  /**
   * The units classified alike both times.
   *
   * @return their number
   */
  public long alike() {
    long alike = 0;
    for (int i = 0; i < levels.size(); i++) {
      alike += count(i, i);
    }
    return alike;
  }

  /**
   * The counts as doubles.
   *
   * @return a new array, row by row
   */
  public double[][] doubles() {
    return cells.stream()
        .map(row -> row.stream().mapToDouble(Long::doubleValue).toArray())
        .toArray(double[][]::new);
  }
}
