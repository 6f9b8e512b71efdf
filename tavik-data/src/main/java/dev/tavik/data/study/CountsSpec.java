package dev.tavik.data.study;

import static dev.tavik.result.Figures.say;

import dev.tavik.count.Crossings;
import dev.tavik.count.Names;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.data.CountRequest;
import dev.tavik.data.CountSource;
import dev.tavik.data.DataException;
import dev.tavik.data.Missing;
import dev.tavik.data.ReadOptions;
import dev.tavik.data.Recoding;
import dev.tavik.data.RowsInOrder;
import dev.tavik.data.SourceOpener;
import dev.tavik.data.Sources;
import dev.tavik.study.Provenance;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The words that say where counts come from, which every kind of question has. */
record CountsSpec(QuestionArguments spec, SourceOpener opening, Recodings recodings) {
  CountsSpec(QuestionArguments spec, SourceOpener opening) {
    this(spec, opening, new Recodings(spec, opening));
  }

  /** The words about a file of rows, beside its name and those of its columns. */
  static final String[] OF_ROWS = {
    "count",
    "where",
    "missing",
    "codebook",
    "cut",
    "merge",
    "split",
    "levels",
    "engine",
    "engine-above"
  };

  /** Tallies by group, and the groups that had no observation. */
  record Groups(Map<String, Tally> tallies, List<String> empty) {}

  /** The tallies of a parameter, each with its name before an equals sign; one may have no name. */
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
    return knowing(new LevelMerging(spec, recodings).applied(unmerged(columns)), columns);
  }

  /**
   * Adds levels of the first column that don't occur among the selected rows but are known: from
   * {@code levels}, from the codebook, or from the rest of the source.
   */
  private Tabulation knowing(Tabulation counted, String... columns) {
    spec.check(
        !(spec.has("split") && spec.has("levels")),
        "{levels} doesn't go with {split}: an answer is a level of none of the rows that lack it");
    if (spec.has("split")) {
      return counted;
    }
    List<String> more = new ArrayList<>(spec.list("levels"));
    for (String typed : asked(counted)) {
      Optional<Recoding> book = recodings.of(counted.columns().get(0));
      String level =
          book.filter(each -> each.names(typed)).map(each -> each.of(typed)).orElse(typed);
      if (book.filter(each -> each.levels().contains(level)).isPresent()) {
        more.add(level);
      } else if (!more.contains(level)) {
        elsewhere(typed, columns).ifPresent(more::add);
      }
    }
    if (more.isEmpty()) {
      return counted;
    }
    List<String> never =
        more.stream().filter(level -> !counted.levels(0).contains(level)).distinct().toList();
    List<String> remarks = new ArrayList<>(counted.remarks());
    remarks.add(
        never.isEmpty()
            ? "each of the levels named occurs"
            : "no row at hand has " + String.join(" or ", never));
    return counted.knowing(counted.columns().get(0), more).remarking(remarks);
  }

  /** Levels that were named and don't occur. */
  private List<String> asked(Tabulation counted) {
    List<String> known = new ArrayList<>();
    for (int column = 0; column < counted.columns().size(); column++) {
      known.addAll(counted.levels(column));
    }
    return spec.all("success").stream()
        .filter(written -> !known.contains(written.strip()))
        .flatMap(written -> Names.parts(written).stream())
        .filter(part -> Names.matching(part, known).isEmpty())
        .toList();
  }

  /** The level of this name among the rows that a filter, or another column, leaves out. */
  private Optional<String> elsewhere(String typed, String... columns) {
    if (filters().isEmpty() && columns.length == 1) {
      return Optional.empty();
    }
    Tabulation all = source().count(unfiltered(columns[0]).missing(Missing.DROP));
    List<String> matching = Names.matching(typed, all.levels(0));
    return matching.size() == 1 ? Optional.of(matching.get(0)) : Optional.empty();
  }

  /** Like {@code tabulation}, without merging levels. */
  Tabulation unmerged(String... columns) {
    return recodings.told(requireSome(source().count(request(columns))));
  }

  /** Counts the combinations of some columns of a designed sample. */
  SurveyCounts survey(SampleDesign design, String... columns) {
    SurveyCounts counted = source().survey(design, List.of(request(columns))).get(0);
    requireSome(counted.units());
    SurveyCounts read =
        counted.renamed(units -> new LevelMerging(spec, recodings).applied(recodings.told(units)));
    return read.units(knowing(read.units(), columns));
  }

  /** Counts several columns of a designed sample, each with a column of groups. */
  List<SurveyCounts> surveyEach(SampleDesign design, List<String> columns, String group) {
    List<CountRequest> requests = columns.stream().map(column -> request(column, group)).toList();
    return source().survey(design, requests).stream()
        .map(counted -> counted.renamed(recodings::told))
        .toList();
  }

  /** Counts each of some columns by itself, written with commas between. */
  List<Tabulation> each(String columns) {
    LevelMerging merging = new LevelMerging(spec, recodings);
    List<Tabulation> each =
        source().countEach(request(columns)).stream()
            .map(CountsSpec::requireSome)
            .map(recodings::told)
            .map(merging::applied)
            .map(one -> knowing(one, one.columns().get(0)))
            .toList();
    requireAlike(each);
    return each;
  }

  /** Adjacent columns answer one question, so they share their levels. */
  private void requireAlike(List<Tabulation> each) {
    for (Tabulation one : each) {
      boolean alike =
          each.stream()
              .anyMatch(
                  other -> !other.equals(one) && !Collections.disjoint(levels(other), levels(one)));
      if (!alike && each.size() > 1) {
        throw new DataException(
            DataException.Code.LEVEL,
            "%s: column %s has none of the levels of the others; columns side by side answer one"
                + " question with the same levels",
            one.source(),
            one.columns().get(0));
      }
    }
  }

  /** Counts columns, each against the same groups; codebook and classes as for any question. */
  Crossings against(String group, List<String> columns) {
    List<String> meant = columns.stream().map(recodings::column).toList();
    CountRequest asked = request(meant.toArray(String[]::new));
    CountRequest raw =
        new CountRequest(
            asked.columns(), asked.filters(), asked.frequency(), asked.missing(), filtered(asked));
    Crossings counted = source().countAgainst(recodings.column(group), raw);
    Set<String> described = asked.recodings().keySet();
    boolean known =
        counted.tables().stream().anyMatch(each -> !Collections.disjoint(each.columns(), described))
            || !Collections.disjoint(counted.leftOut().keySet(), described)
            || !raw.recodings().isEmpty();
    spec.check(
        known || described.isEmpty(),
        spec.has("cut")
            ? "{cut} names %s, and these data have no such column to class"
            : "the codebook describes %s, and these data have none of them",
        Names.listed(List.copyOf(described)));
    return new Crossings(
        counted.tables().stream()
            .map(each -> recodings.read(each, missing()))
            .map(recodings::told)
            .toList(),
        counted.leftOut());
  }

  private static Map<String, Recoding> filtered(CountRequest request) {
    Map<String, Recoding> recodings = new LinkedHashMap<>(request.recodings());
    List<String> filters = List.copyOf(request.filters().keySet());
    recodings.keySet().removeIf(column -> Names.matching(column, filters).isEmpty());
    return recodings;
  }

  /** Counts one column with the order of its rows. */
  RowsInOrder inOrder(String column) {
    spec.check(
        !spec.has("merge"),
        "{merge} doesn't go with {sequence}; name all levels that count with {success}");
    spec.check(
        !spec.has("split"),
        "{split} doesn't go with {sequence}: a row with several answers has no single outcome");
    spec.check(!spec.has("levels"), "{levels} doesn't go with {sequence}: name one that occurs");
    RowsInOrder rows = source().inOrder(request(column));
    requireSome(rows.counts());
    return rows;
  }

  /** Whether there are rows to count, of a file or a database. */
  boolean hasRows() {
    return spec.has("data") || spec.has("database");
  }

  /** Refuses words that tell how a file is to be read where there is none. */
  void requireFile() {
    requireRows(ReadOptions.words().toArray(String[]::new));
  }

  /** Refuses words that are about rows where there are none. */
  void requireRows(String... words) {
    if (!spec.has("database")) {
      spec.requireWith("data", words);
    }
    spec.requireWith("database", DatabaseSpec.WORDS);
    spec.check(
        !spec.has("data") || !spec.has("database"),
        "counts come from {data} or from {database}, not from both; leave one out");
  }

  CountSource source() {
    if (spec.has("database")) {
      return new DatabaseSpec(spec).source();
    }
    String data = spec.required("data", "a file of rows, or a database");
    ReadOptions said = reading();
    return opening.source(data).orElseGet(() -> Sources.open(data, opening, said));
  }

  /** How the file is encoded, and which part of a spreadsheet is meant. */
  ReadOptions reading() {
    ReadOptions said = ReadOptions.usual();
    for (String word : ReadOptions.words()) {
      @Nullable String value = spec.text(word);
      said = value == null ? said : said.told(word, value);
    }
    @Nullable String size = spec.text("engine-above");
    spec.check(
        size == null || (size.matches("\\d{1,9}") && !spec.flag("engine")),
        "{engine-above} must be a whole number of megabytes, and instead of {engine}, got '%s'",
        size);
    long above = size == null ? 0 : 1_000_000 * Long.parseLong(size);
    return size == null && !spec.flag("engine") ? said : said.engineAbove(above);
  }

  private CountRequest request(String... columns) {
    CountRequest request = unfiltered(columns);
    for (String filter : filters()) {
      int equals = filter.indexOf('=');
      spec.check(equals > 0, "{where} must be COLUMN=VALUE, got '%s'", filter);
      String column = recodings.column(filter.substring(0, equals).strip());
      spec.check(
          !request.filters().containsKey(column),
          "{where} keeps the rows with one value of a column, got two for %s (%s); ask for each"
              + " by itself, or compare them",
          column,
          String.join(" and ", filters()));
      request = request.where(column, filter.substring(equals + 1).strip());
    }
    return request;
  }

  private CountRequest unfiltered(String... columns) {
    String[] meant = Arrays.stream(columns).map(recodings::column).toArray(String[]::new);
    return recodings.applied(
        CountRequest.of(meant).frequency(spec.text("count")).missing(missing()));
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

  /** Whether the levels of a column have an order that a codebook or a cut gives. */
  boolean hasOrder(String column) {
    return recodings.of(column).filter(each -> !each.levels().isEmpty()).isPresent();
  }

  List<String> filters() {
    return spec.all("where");
  }

  private Missing missing() {
    String policy = spec.text("missing");
    return policy == null ? Missing.DROP : Missing.of(policy);
  }

  /**
   * Refuses counts without a source and counts with several sources.
   *
   * @param written where they are written out, in words; empty if they aren't
   * @param nothing what is said where there are none
   */
  void requireOneSource(String written, String nothing) {
    List<String> sources = new ArrayList<>(written.isEmpty() ? List.of() : List.of(written));
    Stream.of("cells", "table", "data", "database")
        .filter(spec::has)
        .map(spec::name)
        .forEach(sources::add);
    if (sources.isEmpty()) {
      throw new SpecException(nothing);
    }
    for (String word : ReadOptions.words()) {
      spec.check(
          !spec.has(word) || spec.has("data") || spec.has("table"),
          "%s is about a file, and the counts are written out; leave it out",
          spec.name(word));
    }
    if (sources.size() > 1) {
      throw new SpecException(
          "counts come from one place, not from %s; leave one out", String.join(" and ", sources));
    }
  }

  /** Where the counts of a file came from. */
  Provenance from(Tabulation counted, Set<String> success) {
    return Provenance.of(counted, List.copyOf(success), spec.text("count"), filters());
  }

  /** Refuses one column that is named for two purposes. */
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

  /** The combinations of answers that hold one of some; without several answers the same. */
  Set<String> holding(Tabulation counted, Set<String> success) {
    @Nullable Answers answers = answers();
    return answers == null ? success : answers.holding(counted.levels(0), success);
  }

  /** The levels of the first column, or the answers in them. */
  List<String> levels(Tabulation counted) {
    @Nullable Answers answers = answers();
    if (answers == null) {
      return counted.levels(0);
    }
    answers.requireSome(counted.levels(0), counted.columns().get(0));
    return answers.in(counted.levels(0));
  }

  private @Nullable Answers answers() {
    @Nullable String separator = spec.text("split");
    return separator == null ? null : new Answers(spec, separator);
  }

  /** The levels that count as success: each value as it stands, else split at commas. */
  Set<String> success(Tabulation counts, List<String> levels) {
    Set<String> success = new LinkedHashSet<>();
    for (String written : spec.all("success")) {
      if (levels.contains(written.strip())) {
        success.add(written.strip());
      } else {
        for (String part : Names.parts(written)) {
          success.add(level(part, levels, counts));
        }
      }
    }
    return success;
  }

  private String level(String typed, List<String> levels, Tabulation counts) {
    List<String> matching = Names.matching(typed, levels);
    if (matching.size() == 1) {
      return matching.get(0);
    }
    List<String> known = Names.matching(typed, counts.known().get(0));
    if (matching.isEmpty() && known.size() == 1) {
      return known.get(0);
    }
    String column = counts.columns().get(0);
    Optional<String> label =
        recodings.of(column).filter(each -> each.names(typed)).map(each -> each.of(typed));
    if (label.filter(counts.known().get(0)::contains).isPresent()) {
      return label.get();
    }
    throw new DataException(
        DataException.Code.LEVEL,
        matching.isEmpty()
            ? say(
                "%s: column %s has no level '%s'%s. If it is one that simply never occurred, say so:"
                    + " %s %s,%s",
                counts.source(),
                column,
                typed,
                Names.hint(typed, levels),
                spec.name("levels"),
                typed,
                levels.isEmpty() ? "no" : levels.get(0))
            : say(
                "%s: column %s has several levels that could be '%s': %s; write the one you mean"
                    + " exactly",
                counts.source(), column, typed, String.join(", ", matching)));
  }

  /** The tallies of each level of the second column. */
  Groups groups(Tabulation counts, Set<String> success) {
    Set<String> holding = holding(counts, success);
    Map<String, Tally> groups = new LinkedHashMap<>();
    List<String> empty = new ArrayList<>();
    for (String level : counts.levels(1)) {
      Tabulation part = counts.where(counts.columns().get(1), level);
      if (part.total() == 0) {
        empty.add(level);
      } else {
        groups.put(level, part.tally(part.columns().get(0), holding));
      }
    }
    return new Groups(groups, empty);
  }

  String label(String otherwise) {
    String label = spec.text("label");
    return label == null ? otherwise : label;
  }
}
