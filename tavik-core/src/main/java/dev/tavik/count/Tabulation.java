package dev.tavik.count;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

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
 * @param known for each column every level that is known, also those that a part lacks
 */
public record Tabulation(
    String source,
    List<String> columns,
    Map<List<String>, Long> counts,
    long rows,
    long filtered,
    Map<String, Long> missing,
    List<Set<String>> known) {
  private static final int MOST_LISTED = 12;

  /** Copies the parts. */
  public Tabulation {
    known = known.stream().map(Set::copyOf).toList();
    columns = List.copyOf(columns);
    counts = Collections.unmodifiableMap(new LinkedHashMap<>(counts));
    missing = Collections.unmodifiableMap(new LinkedHashMap<>(missing));
  }

  /**
   * A tabulation of a whole source, whose levels are those that were counted.
   *
   * @param source the source's name, such as a file name
   * @param columns the names of the columns, as the source writes them
   * @param counts the combinations, one level a column, and how often each occurs
   * @param rows how many rows were read, whatever became of them
   * @param filtered how many rows a filter left out
   * @param missing for each column that lacks values, how many units were left out for it
   * @return the tabulation
   */
  public static Tabulation of(
      String source,
      List<String> columns,
      Map<List<String>, Long> counts,
      long rows,
      long filtered,
      Map<String, Long> missing) {
    List<Set<String>> known = new ArrayList<>();
    for (int column = 0; column < columns.size(); column++) {
      Set<String> levels = new LinkedHashSet<>();
      for (List<String> combination : counts.keySet()) {
        levels.add(combination.get(column));
      }
      known.add(levels);
    }
    return new Tabulation(source, columns, counts, rows, filtered, missing, known);
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
   * @throws IllegalArgumentException if nothing was counted, no level is named, or one is not a
   *     level of the column: a misspelt one would count as none
   */
  public Tally tally(int outcome, Set<String> success) {
    if (success.isEmpty()) {
      throw new IllegalArgumentException("success must name at least one level, got none");
    }
    success.forEach(level -> requireKnown(outcome, level));
    long successes = 0;
    for (Map.Entry<List<String>, Long> entry : counts.entrySet()) {
      if (success.contains(entry.getKey().get(outcome))) {
        successes += entry.getValue();
      }
    }
    return Tally.of(successes, total());
  }

  /**
   * The part of this tabulation in which a column has a level. It stands for itself: its rows are
   * the units that were counted in it, and nothing is left out of it, since for which part a
   * missing value would have counted isn't known.
   *
   * @param column the position of the column, from 0
   * @param level the level
   * @return the combinations with that level
   * @throws IllegalArgumentException if it is not a level of the column
   */
  public Tabulation where(int column, String level) {
    requireKnown(column, level);
    Map<List<String>, Long> kept = new LinkedHashMap<>();
    counts.forEach(
        (combination, count) -> {
          if (combination.get(column).equals(level)) {
            kept.put(combination, count);
          }
        });
    long units = kept.values().stream().mapToLong(Long::longValue).sum();
    return new Tabulation(source, columns, kept, units, 0, Map.of(), known);
  }

  private void requireKnown(int column, String level) {
    if (!known.get(column).contains(level)) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "level must be one of column %s (%s), got '%s'",
              columns.get(column),
              known.get(column).stream()
                  .sorted()
                  .limit(MOST_LISTED)
                  .collect(Collectors.joining(", ")),
              level));
    }
  }
}
