package dev.tavik.data.study;

import dev.tavik.answer.Question;
import dev.tavik.count.MatchedTallies;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tabulation;
import dev.tavik.data.ReadOptions;
import dev.tavik.data.SourceOpener;
import dev.tavik.proportion.PairedDifferenceInterval;
import dev.tavik.proportion.PairedTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Proportion;
import dev.tavik.study.Provenance;
import dev.tavik.study.paired.MatchedQuestion;
import dev.tavik.study.paired.PairedQuestion;
import dev.tavik.study.paired.PairedSettings;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Makes a paired comparison from its words. */
final class PairedSpec {
  private static final String[] NOT_OF_PAIRS = {
    "tally", "first", "second", "table", "total", "group", "baseline", "against", "margin", "show"
  };

  private static final List<String> OF_A_FILE =
      Stream.of(
              Stream.of("data", "outcome", "success", "database"),
              ReadOptions.words().stream(),
              Arrays.stream(CountsSpec.OF_ROWS),
              Arrays.stream(DatabaseSpec.WORDS))
          .flatMap(words -> words)
          .toList();
  private final QuestionArguments spec;
  private final CountsSpec counts;

  PairedSpec(QuestionArguments spec, SourceOpener opening) {
    this.spec = spec;
    this.counts = new CountsSpec(spec, opening);
  }

  Question question() {
    for (String word : NOT_OF_PAIRS) {
      if (spec.has(word)) {
        throw spec.refusal(
            "%s doesn't go with {paired}: pairs are two columns of one file ({outcome} with two"
                + " columns, and {success}), or four counts ({cells} \"14 1; 2 211\"), and the null is"
                + " no difference",
            word.equals("tally") ? "a tally" : spec.name(word));
      }
    }
    spec.check(
        !spec.has("split"), "{split} doesn't go with {paired}; give each judgement a column");
    if (spec.has("cells")) {
      for (String word : OF_A_FILE) {
        spec.check(
            !spec.has(word),
            "%s is about a file, and {cells} gives the counts themselves; leave one out",
            spec.name(word));
      }
    }
    if (!spec.has("cells") && outcomes().size() > 2) {
      return matched();
    }
    PairedSettings settings = settings();
    if (!spec.has("cells")) {
      return fromFile(settings);
    }
    return PairedQuestion.of(cells()).settings(settings).named(counts.label(""));
  }

  private PairedSettings settings() {
    PairedSettings settings =
        spec.choices(
            PairedSettings.usual(),
            List.of(PairedTest.values()),
            List.of(PairedDifferenceInterval.values()));
    @Nullable String alternative = spec.text("alternative");
    return alternative == null ? settings : settings.alternative(Alternative.of(alternative));
  }

  /** Four counts, the first judgement in rows and the second in columns, success before failure. */
  private PairedTally cells() {
    String written = String.join(";", spec.all("cells"));
    String[] numbers = written.strip().split("[\\s,;]+");
    boolean twoRows = written.split(";").length == 2;
    spec.check(
        numbers.length == 4
            && twoRows
            && Arrays.stream(numbers).allMatch(each -> each.matches("\\d{1,12}")),
        "{cells} must be four whole counts in two rows, such as \"14 1; 2 211\" (both, first"
            + " only; second only, neither), got '%s'",
        written);
    return PairedTally.of(
        Long.parseLong(numbers[0]),
        Long.parseLong(numbers[1]),
        Long.parseLong(numbers[2]),
        Long.parseLong(numbers[3]));
  }

  /** Each name as it stands, else split at commas. */
  private List<String> outcomes() {
    return spec.all("outcome").size() > 1 ? spec.all("outcome") : spec.list("outcome");
  }

  /** Three columns or more of the same units. */
  private Question matched() {
    for (String word : List.of("alternative", "level", "tests", "intervals")) {
      boolean own = word.equals("tests") && spec.list(word).equals(List.of("cochran-q"));
      if (spec.has(word) && !own) {
        throw new SpecException(
            "%s goes with two columns of pairs; for more there is cochran-q, and each two by"
                + " mcnemar",
            spec.name(word));
      }
    }
    counts.requireRows();
    if (!spec.has("database")) {
      spec.required("data", "a file with a header line, for the columns of judgements");
    }
    List<String> columns = outcomes();
    spec.check(
        new LinkedHashSet<>(columns).size() >= columns.size(),
        "{outcome} must name different columns, got %s",
        String.join(", ", columns));
    counts.requireSuccess(String.join(" and ", columns));
    Tabulation counted = counts.tabulation(columns.toArray(String[]::new));
    Set<String> levels = new LinkedHashSet<>();
    IntStream.range(0, columns.size()).forEach(i -> levels.addAll(counted.levels(i)));
    Set<String> success = counts.success(counted, new ArrayList<>(levels));
    Map<List<Boolean>, Long> patterns = new LinkedHashMap<>();
    counted
        .counts()
        .forEach(
            (combination, count) ->
                patterns.merge(
                    combination.stream().map(success::contains).toList(), count, Long::sum));
    @Nullable String alpha = spec.text("alpha");
    return new MatchedQuestion(
        counts.label(String.join(" or ", success)),
        new MatchedTallies(counted.columns(), patterns),
        alpha == null ? 0.05 : Proportion.parse(spec.name("alpha"), alpha),
        Provenance.pairs(counted, List.copyOf(success), spec.text("count"), counts.filters()));
  }

  private PairedQuestion fromFile(PairedSettings settings) {
    counts.requireRows();
    if (!spec.has("database")) {
      spec.required("data", "a file with a header line, for the two columns of pairs");
    }
    List<String> columns = outcomes();
    spec.check(
        columns.size() != 2 || !columns.get(0).equals(columns.get(1)),
        "{outcome} must name different columns, got %s twice",
        columns.get(0));
    spec.check(
        columns.size() == 2,
        "{outcome} with {paired} names two columns of the same units, such as %s, got '%s'",
        "first_inspector,second_inspector",
        String.join(", ", columns));
    counts.requireSuccess(String.join(" and ", columns));
    Tabulation counted = counts.tabulation(columns.get(0), columns.get(1));
    Set<String> levels = new LinkedHashSet<>(counted.levels(0));
    levels.addAll(counted.levels(1));
    Set<String> success = counts.success(counted, new ArrayList<>(levels));
    Provenance from =
        Provenance.pairs(counted, List.copyOf(success), spec.text("count"), counts.filters());
    return PairedQuestion.of(
            counted.columns().get(0), counted.columns().get(1), tally(counted, success))
        .settings(settings)
        .named(counts.label(String.join(" or ", success)))
        .countedFrom(from);
  }

  private static PairedTally tally(Tabulation counted, Set<String> success) {
    long[] cells = new long[4];
    for (Map.Entry<List<String>, Long> entry : counted.counts().entrySet()) {
      int row = success.contains(entry.getKey().get(0)) ? 0 : 2;
      int column = success.contains(entry.getKey().get(1)) ? 0 : 1;
      cells[row + column] += entry.getValue();
    }
    return PairedTally.of(cells[0], cells[1], cells[2], cells[3]);
  }
}
