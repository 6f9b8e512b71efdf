package dev.tavik.count;

import static dev.tavik.result.Figures.require;
import static dev.tavik.result.Figures.say;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

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
 * @param known for each column every level that is known, also those that a part lacks, in the
 *     order of the levels
 * @param remarks what an analyst should know of how the source was read, each the end of a sentence
 * @param unusedWeight a column that is called like a weight and was not used; empty for none
 */
public record Tabulation(
    String source,
    List<String> columns,
    Map<List<String>, Long> counts,
    long rows,
    long filtered,
    Map<String, Long> missing,
    List<List<String>> known,
    List<String> remarks,
    String unusedWeight) {
  /** Copies the parts. */
  public Tabulation {
    known = known.stream().map(List::copyOf).toList();
    remarks = List.copyOf(remarks);
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
    List<List<String>> known = new ArrayList<>();
    for (int column = 0; column < columns.size(); column++) {
      Set<String> levels = new LinkedHashSet<>();
      for (List<String> combination : counts.keySet()) {
        levels.add(combination.get(column));
      }
      known.add(List.copyOf(levels));
    }
    return new Tabulation(source, columns, counts, rows, filtered, missing, known, List.of(), "");
  }

  /**
   * Counts objects, such as {@code
   * orders.stream().collect(Tabulation.counting(Order.class).by("region", Order::region))}.
   *
   * @param objects the class of the objects
   * @param <T> the objects
   * @return a collector without columns yet
   */
  public static <T> ObjectCounter<T> counting(Class<T> objects) {
    return new ObjectCounter<>(objects.getSimpleName() + " objects", Map.of());
  }

  /**
   * The same with levels in an order of their own.
   *
   * @param orders for each column the levels that come first, in their order; the others follow as
   *     they first appear
   * @return the tabulation
   */
  public Tabulation ordered(List<List<String>> orders) {
    List<List<String>> sorted = new ArrayList<>();
    for (int column = 0; column < columns.size(); column++) {
      Set<String> levels = new LinkedHashSet<>(orders.get(column));
      levels.retainAll(known.get(column));
      levels.addAll(known.get(column));
      sorted.add(List.copyOf(levels));
    }
    return new Tabulation(
        source, columns, counts, rows, filtered, missing, sorted, remarks, unusedWeight);
  }

  /**
   * The same with levels of a column that are known, though none of the rows has them.
   *
   * @param name the name of the column
   * @param levels the levels; those that are known already are passed over
   * @return the tabulation
   * @throws IllegalArgumentException if there is no such column
   */
  public Tabulation knowing(String name, List<String> levels) {
    int column = column(name);
    List<List<String>> more = new ArrayList<>(known);
    Set<String> all = new LinkedHashSet<>(known.get(column));
    all.addAll(levels);
    more.set(column, List.copyOf(all));
    return new Tabulation(
        source, columns, counts, rows, filtered, missing, more, remarks, unusedWeight);
  }

  /**
   * The same with remarks.
   *
   * @param said what an analyst should know of how the source was read
   * @return the tabulation
   */
  public Tabulation remarking(List<String> said) {
    return new Tabulation(
        source, columns, counts, rows, filtered, missing, known, said, unusedWeight);
  }

  /**
   * The same with a column that is called like a weight and was not used.
   *
   * @param column its name; empty for none
   * @return the tabulation
   */
  public Tabulation weightUnused(String column) {
    return new Tabulation(source, columns, counts, rows, filtered, missing, known, remarks, column);
  }

  /**
   * The levels of a column, in their order: that of their first appearance, where they have no
   * other.
   *
   * @param column the position of the column, from 0
   * @return those of its levels that occur
   */
  public List<String> levels(int column) {
    Set<String> levels =
        counts.keySet().stream()
            .map(combination -> combination.get(column))
            .collect(Collectors.toSet());
    return known.get(column).stream().filter(levels::contains).toList();
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
   * @param outcome the outcome column
   * @param success the levels that count as success
   * @return the tally
   * @throws IllegalArgumentException if nothing was counted, no level is named, or the column or a
   *     level is unknown: a misspelt one would count as none
   */
  public Tally tally(String outcome, Set<String> success) {
    int column = column(outcome);
    requireLevels(column, success);
    long successes = 0;
    for (Map.Entry<List<String>, Long> entry : counts.entrySet()) {
      if (success.contains(entry.getKey().get(column))) {
        successes += entry.getValue();
      }
    }
    return Tally.of(successes, total());
  }

  /**
   * Successes out of trials over the whole source.
   *
   * @param outcome the outcome column
   * @param success the levels that count as success
   * @return the tally
   * @throws IllegalArgumentException as {@link #tally(String, Set)} says
   */
  public Tally tally(String outcome, String... success) {
    return tally(outcome, Set.of(success));
  }

  /**
   * Successes out of trials of each group.
   *
   * @param outcome the outcome column
   * @param success the level that counts as success
   * @param by the column of groups
   * @return a tally for each group, in the order of their first appearance
   * @throws IllegalArgumentException as {@link #tally(String, Set)} says
   */
  public List<NamedTally> tallies(String outcome, String success, String by) {
    return tallies(outcome, Set.of(success), by);
  }

  /**
   * Successes out of trials of each group, where several levels are successes.
   *
   * @param outcome the outcome column
   * @param success the levels that count as success
   * @param by the column of groups
   * @return a tally for each group, in the order of their first appearance
   * @throws IllegalArgumentException as {@link #tally(String, Set)} says
   */
  public List<NamedTally> tallies(String outcome, Set<String> success, String by) {
    return levels(column(by)).stream()
        .map(group -> new NamedTally(group, where(by, group).tally(outcome, success)))
        .toList();
  }

  /**
   * How often each level of a column occurs.
   *
   * @param column the column
   * @return the counts, in the order of first appearance
   * @throws IllegalArgumentException if the column is unknown or has fewer than two levels
   */
  public CategoryCounts categories(String column) {
    List<String> levels = levels(column(column));
    return CategoryCounts.of(
        levels, levels.stream().map(level -> where(column, level).total()).toList());
  }

  /**
   * A two-way table of two columns.
   *
   * @param rows the column whose levels are the rows
   * @param columns the column whose levels are the columns
   * @return the table, levels in the order of their first appearance
   * @throws IllegalArgumentException if a column is unknown, or has fewer than two levels
   */
  public CrossTable crossTable(String rows, String columns) {
    int down = column(rows);
    int across = column(columns);
    List<List<Long>> cells = new ArrayList<>();
    for (String row : levels(down)) {
      List<Long> line = new ArrayList<>();
      for (String level : levels(across)) {
        line.add(count(down, Set.of(row), across, Set.of(level)));
      }
      cells.add(line);
    }
    return new CrossTable(levels(down), levels(across), cells);
  }

  /**
   * Pairs of judgements of the same units.
   *
   * @param first the column of the first judgement
   * @param second the column of the second
   * @param success the levels that count as success, in both
   * @return the pairs
   * @throws IllegalArgumentException if a column is unknown, or a level in both of them
   */
  public PairedTally pairs(String first, String second, String... success) {
    int one = column(first);
    int other = column(second);
    Set<String> yes = Set.of(success);
    for (String level : yes) {
      if (!known.get(one).contains(level)) {
        requireLevels(other, Set.of(level));
      }
    }
    Set<String> firstNot = without(levels(one), yes);
    Set<String> secondNot = without(levels(other), yes);
    return PairedTally.of(
        count(one, yes, other, yes),
        count(one, yes, other, secondNot),
        count(one, firstNot, other, yes),
        count(one, firstNot, other, secondNot));
  }

  private static Set<String> without(List<String> levels, Set<String> some) {
    return levels.stream().filter(level -> !some.contains(level)).collect(Collectors.toSet());
  }

  private long count(int one, Set<String> levels, int other, Set<String> otherLevels) {
    return counts.entrySet().stream()
        .filter(entry -> levels.contains(entry.getKey().get(one)))
        .filter(entry -> otherLevels.contains(entry.getKey().get(other)))
        .mapToLong(Map.Entry::getValue)
        .sum();
  }

  /**
   * The part of this tabulation in which a column has a level. It stands for itself: its rows are
   * the units that were counted in it, and nothing is left out of it, since for which part a
   * missing value would have counted isn't known.
   *
   * @param column the column
   * @param level the level
   * @return the combinations with that level
   * @throws IllegalArgumentException if the column or the level is unknown
   */
  public Tabulation where(String column, String level) {
    int at = column(column);
    requireLevels(at, Set.of(level));
    Map<List<String>, Long> kept = new LinkedHashMap<>();
    counts.forEach(
        (combination, count) -> {
          if (combination.get(at).equals(level)) {
            kept.put(combination, count);
          }
        });
    long units = kept.values().stream().mapToLong(Long::longValue).sum();
    return new Tabulation(source, columns, kept, units, 0, Map.of(), known, remarks, unusedWeight);
  }

  /**
   * With some levels of a column counted as one.
   *
   * @param column the column
   * @param levels the levels, which need not all occur
   * @param name what they are called together; it stands where the first of them stood
   * @return the tabulation
   * @throws IllegalArgumentException if the column or a level is unknown, or the name is that of
   *     another level
   */
  public Tabulation merged(String column, Set<String> levels, String name) {
    int at = column(column);
    requireLevels(at, levels);
    require(
        levels.contains(name) || !known.get(at).contains(name),
        "a name that is not taken is needed, got '%s', a level of %s",
        name,
        column);
    Map<List<String>, Long> counted = new LinkedHashMap<>();
    counts.forEach(
        (combination, count) -> {
          List<String> named = new ArrayList<>(combination);
          named.set(at, levels.contains(combination.get(at)) ? name : combination.get(at));
          counted.merge(List.copyOf(named), count, Long::sum);
        });
    List<List<String>> levelsNow = new ArrayList<>(known);
    levelsNow.set(
        at,
        known.get(at).stream()
            .map(level -> levels.contains(level) ? name : level)
            .distinct()
            .toList());
    return new Tabulation(
        source, columns, counted, rows, filtered, missing, levelsNow, remarks, unusedWeight);
  }

  /**
   * Returns a copy that recodes the values of a column.
   *
   * @param column the position of the column, from 0
   * @param reading what a level is read as; null for a missing value
   * @param order the levels that come first, in their order
   * @return the tabulation; what is read as missing is left out and counted as such
   */
  public Tabulation recoded(
      int column, Function<String, @Nullable String> reading, List<String> order) {
    Map<List<String>, Long> counted = new LinkedHashMap<>();
    Map<String, Long> lacking = new LinkedHashMap<>(missing);
    counts.forEach(
        (combination, count) -> {
          String read = reading.apply(combination.get(column));
          if (read == null) {
            lacking.merge(columns.get(column), count, Long::sum);
          } else {
            List<String> named = new ArrayList<>(combination);
            named.set(column, read);
            counted.merge(List.copyOf(named), count, Long::sum);
          }
        });
    List<List<String>> orders = new ArrayList<>(known);
    orders.set(column, order);
    return of(source, columns, counted, rows, filtered, lacking)
        .ordered(orders)
        .remarking(remarks)
        .weightUnused(unusedWeight);
  }

  private int column(String name) {
    int column = columns.indexOf(name);
    require(
        column >= 0, "there is no column '%s' in %s%s", name, source, Names.hint(name, columns));
    return column;
  }

  private void requireLevels(int column, Set<String> levels) {
    require(!levels.isEmpty(), "success must name at least one level, got none");
    for (String level : levels) {
      if (!known.get(column).contains(level)) {
        throw new IllegalArgumentException(
            say(
                "there is no level '%s' in column %s%s",
                level,
                columns.get(column),
                Names.hint(level, known.get(column).stream().sorted().toList())));
      }
    }
  }
}
