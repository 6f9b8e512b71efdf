package dev.tavik.count;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * How often each combination of levels of some columns occurs in a source of data, and what was
 * left out. Levels keep the order of their first appearance.
 *
 * @param source the source's name, such as a file name
 * @param columns the names of the columns, as the source writes them
 * @param counts the combinations, one level a column, and how often each occurs
 * @param rows how many rows were read, whatever became of them
 * @param filtered how many rows a filter left out
 * @param missing for each column that lacks values, how many units were left out for it; a unit is
 *     a row, or what the frequency column says of it
 */
public record Tabulation(
    String source,
    List<String> columns,
    Map<List<String>, Long> counts,
    long rows,
    long filtered,
    Map<String, Long> missing) {

  /** Copies the parts. */
  public Tabulation {
    columns = List.copyOf(columns);
    counts = Collections.unmodifiableMap(new LinkedHashMap<>(counts));
    missing = Collections.unmodifiableMap(new LinkedHashMap<>(missing));
  }

  /**
   * The levels of a column, in the order of their first appearance.
   *
   * @param column the position of the column, from 0
   * @return its levels
   */
  public List<String> levels(int column) {
    Set<String> levels = new LinkedHashSet<>();
    counts.keySet().forEach(combination -> levels.add(combination.get(column)));
    return new ArrayList<>(levels);
  }

  /**
   * How many units were counted.
   *
   * @return the sum of all counts
   */
  public long total() {
    return counts.values().stream().mapToLong(Long::longValue).sum();
  }

  /**
   * How many units were left out because a value is missing.
   *
   * @return the sum over the columns
   */
  public long totalMissing() {
    return missing.values().stream().mapToLong(Long::longValue).sum();
  }

  /**
   * Successes out of trials over the whole source.
   *
   * @param outcome the position of the outcome column, from 0
   * @param success the levels that count as success
   * @return the tally
   * @throws IllegalArgumentException if nothing was counted
   */
  public Tally tally(int outcome, Set<String> success) {
    long successes = 0;
    for (Map.Entry<List<String>, Long> entry : counts.entrySet()) {
      if (success.contains(entry.getKey().get(outcome))) {
        successes += entry.getValue();
      }
    }
    return Tally.of(successes, total());
  }

  /**
   * The part of this tabulation in which a column has a level.
   *
   * @param column the position of the column, from 0
   * @param level the level
   * @return the combinations with that level; rows and what was left out are those of the whole
   */
  public Tabulation where(int column, String level) {
    Map<List<String>, Long> kept = new LinkedHashMap<>();
    counts.forEach(
        (combination, count) -> {
          if (combination.get(column).equals(level)) {
            kept.put(combination, count);
          }
        });
    return new Tabulation(source, columns, kept, rows, filtered, missing);
  }
}
