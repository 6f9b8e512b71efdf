package dev.tavik.data;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Names;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.study.CountedFrom;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The words that say where counts come from, which every kind of question has. */
record CountsSpec(Spec spec, Opening opening) {
  /** The words about a file of rows. */
  static final Set<String> WORDS =
      Set.of("data", "outcome", "success", "group", "count", "where", "missing");

  /** Tallies by group, and the groups that had no observation. */
  record Groups(Map<String, Tally> tallies, List<String> empty) {}

  /** The tallies of a word, each with its name before an equals sign; one may be without. */
  static Map<String, Tally> named(List<String> written) {
    Map<String, Tally> groups = new LinkedHashMap<>();
    for (String each : written) {
      int equals = each.lastIndexOf('=');
      String label = equals < 0 ? "" : each.substring(0, equals).strip();
      if (groups.put(label, Tally.parse(each.substring(equals + 1))) != null) {
        throw new SpecException(
            label.isEmpty()
                ? "several tallies need names, such as North=14/400 South=31/410"
                : "two tallies are called '" + label + "'; give them different names");
      }
    }
    if (groups.size() > 1 && groups.containsKey("")) {
      throw new SpecException("several tallies need names, such as North=14/400 South=31/410");
    }
    return groups;
  }

  /** Counts the combinations of some columns; these must be different ones. */
  Tabulation tabulation(String... columns) {
    return requireSome(source().count(request(columns)));
  }

  /** The same of one column, with the order of the rows. */
  RowsInOrder inOrder(String column) {
    RowsInOrder rows = source().inOrder(request(column));
    requireSome(rows.counts());
    return rows;
  }

  private CountSource source() {
    return Sources.open(spec.required("data", "a file with a header line"), opening);
  }

  private CountRequest request(String... columns) {
    @Nullable String frequency = spec.text("count");
    CountRequest request = CountRequest.of(columns).frequency(frequency).missing(missing());
    for (String filter : filters()) {
      int equals = filter.indexOf('=');
      spec.check(equals > 0, "{where} must be COLUMN=VALUE, got '%s'", filter);
      String column = filter.substring(0, equals).strip();
      spec.check(
          !request.filters().containsKey(column),
          "{where} keeps the rows with one value of a column, got two for %s (%s); ask for each"
              + " by itself, or compare them",
          column,
          String.join(" and ", filters()));
      request =
          request.where(filter.substring(0, equals).strip(), filter.substring(equals + 1).strip());
    }
    return request;
  }

  private static Tabulation requireSome(Tabulation counts) {
    if (counts.total() == 0) {
      throw new DataException(
          DataException.Code.EMPTY,
          "%s: nothing is left to count; %s rows were read, but all lack a value, have a"
              + " frequency of 0 or were filtered out",
          counts.source(),
          counts.rows());
    }
    return counts;
  }

  List<String> filters() {
    return spec.all("where");
  }

  private Missing missing() {
    String policy = spec.text("missing");
    return policy == null ? Missing.DROP : Missing.of(policy);
  }

  /**
   * Refuses counts from nowhere, and from several places.
   *
   * @param written where they are written out, in words; empty if they aren't
   * @param nothing what is said where there are none
   */
  void requireOneSource(String written, String nothing) {
    List<String> sources = new ArrayList<>(written.isEmpty() ? List.of() : List.of(written));
    Stream.of("cells", "table", "data").filter(spec::has).map(spec::name).forEach(sources::add);
    if (sources.isEmpty()) {
      throw new SpecException(nothing);
    }
    if (sources.size() > 1) {
      throw new SpecException(
          "counts come from one place, not from %s; leave one out", String.join(" and ", sources));
    }
  }

  /** Where the counts of a file came from. */
  CountedFrom from(Tabulation counted, Set<String> success) {
    return CountedFrom.of(counted, List.copyOf(success), spec.text("count"), filters());
  }

  /** Refuses one column for two purposes. */
  void requireDifferent(String... words) {
    for (int i = 0; i < words.length; i++) {
      String first = spec.text(words[i]);
      for (String second : List.of(words).subList(i + 1, words.length)) {
        if (first != null && first.equals(spec.text(second))) {
          throw new SpecException(
              "%s and %s must be different columns, got '%s' for both",
              spec.name(words[i]), spec.name(second), first);
        }
      }
    }
  }

  void requireSuccess(String outcome) {
    spec.check(
        spec.has("success"),
        "{success} is needed: the level or levels of %s that count as success",
        outcome);
  }

  /** The levels that count as success: each value as it stands, else split at commas. */
  Set<String> success(Tabulation counts, List<String> levels) {
    Set<String> success = new LinkedHashSet<>();
    for (String written : spec.all("success")) {
      if (levels.contains(written.strip())) {
        success.add(written.strip());
      } else {
        for (String part : Spec.parts(written)) {
          success.add(level(part, levels, counts));
        }
      }
    }
    return success;
  }

  private static String level(String typed, List<String> levels, Tabulation counts) {
    List<String> matching = Names.matching(typed, levels);
    if (matching.size() == 1) {
      return matching.get(0);
    }
    String column = counts.columns().get(0);
    throw new DataException(
        DataException.Code.LEVEL,
        matching.isEmpty()
            ? say(
                "%s: column %s has no level '%s'%s. If it simply never occurred, give the tally"
                    + " itself: 0/%d",
                counts.source(), column, typed, Names.hint(typed, levels), counts.total())
            : say(
                "%s: column %s has several levels that could be '%s': %s; write the one you mean"
                    + " exactly",
                counts.source(), column, typed, String.join(", ", matching)));
  }

  /** The tallies of each level of the second column. */
  static Groups groups(Tabulation counts, Set<String> success) {
    Map<String, Tally> groups = new LinkedHashMap<>();
    List<String> empty = new ArrayList<>();
    for (String level : counts.levels(1)) {
      Tabulation part = counts.where(counts.columns().get(1), level);
      if (part.total() == 0) {
        empty.add(level);
      } else {
        groups.put(level, part.tally(part.columns().get(0), success));
      }
    }
    return new Groups(groups, empty);
  }

  String label(String otherwise) {
    String label = spec.text("label");
    return label == null ? otherwise : label;
  }
}
