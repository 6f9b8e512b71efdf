package dev.tavik.count;

import static dev.tavik.result.Figures.require;

import java.util.HashSet;
import java.util.List;

/**
 * Repeats a comparison of two groups in several strata: kilns North and South by cracked or not, in
 * the early and in the late shift.
 *
 * @param rows the names of the two groups
 * @param columns the names of success and failure
 * @param strata one comparison a stratum, at least one; names all different
 */
public record StratifiedTables(List<String> rows, List<String> columns, List<Stratum> strata) {
  /**
   * The comparison in one stratum.
   *
   * @param name the stratum's name
   * @param first the first group's tally
   * @param second the second group's
   */
  public record Stratum(String name, Tally first, Tally second) {
    /**
     * Whether it tells the groups apart: there are both successes and failures.
     *
     * @return whether it is informative
     */
    public boolean informative() {
      return first.successes() + second.successes() > 0 && first.failures() + second.failures() > 0;
    }
  }

  /**
   * Copies the parts.
   *
   * @throws IllegalArgumentException if there aren't two rows and two columns, there is no stratum,
   *     or two of the same name
   */
  public StratifiedTables {
    require(
        rows.size() == 2 && columns.size() == 2,
        "strata must be of two rows and two columns, got %d and %d",
        rows.size(),
        columns.size());
    rows = List.copyOf(rows);
    columns = List.copyOf(columns);
    strata = List.copyOf(strata);
    require(!strata.isEmpty(), "strata must be at least one, got none");
    require(
        new HashSet<>(strata.stream().map(Stratum::name).toList()).size() >= strata.size(),
        "strata must have different names");
  }

  /**
   * The strata that tell the groups apart.
   *
   * @return those with both successes and failures
   */
  public List<Stratum> informative() {
    return strata.stream().filter(Stratum::informative).toList();
  }

  /**
   * All strata together, which can show an association that no stratum has.
   *
   * @return the first group's tally and the second's
   */
  public List<Tally> together() {
    long[] sums = new long[4];
    for (Stratum stratum : strata) {
      sums[0] += stratum.first().successes();
      sums[1] += stratum.first().trials();
      sums[2] += stratum.second().successes();
      sums[3] += stratum.second().trials();
    }
    return List.of(Tally.of(sums[0], sums[1]), Tally.of(sums[2], sums[3]));
  }
}
