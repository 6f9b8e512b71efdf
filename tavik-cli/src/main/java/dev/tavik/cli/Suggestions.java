package dev.tavik.cli;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.ShellWord;
import dev.tavik.count.DataOverview;
import dev.tavik.count.DataOverview.Column;
import dev.tavik.count.DataOverview.Kind;
import dev.tavik.count.SampleDesign;
import dev.tavik.data.study.QuestionArguments;
import dev.tavik.data.words.CommandSchemas;
import dev.tavik.data.words.Parameter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** Commands that would make sense for a file, ready to paste. */
final class Suggestions {
  private static final Set<String> AFFIRMATIVE = Set.of("yes", "true", "1", "y");
  private static final int MOST_GROUPS = 12;

  /**
   * A level without a letter or digit, such as a point or a dash, may stand for a missing value.
   */
  private static final Pattern A_WORD = Pattern.compile("[\\p{L}\\p{N}]");

  private static final int MOST_ROWS = 40;

  private Suggestions() {}

  static List<String> of(DataOverview overview, QuestionArguments spec, String name) {
    String data = source(spec);
    Optional<Column> frequency = frequency(overview);
    List<Column> classes =
        overview.columns().stream()
            .filter(column -> column.kind().classifies() && !column.name().isEmpty())
            .filter(column -> !percentages(column))
            .filter(column -> frequency.isEmpty() || !column.equals(frequency.get()))
            .toList();
    if (spec.has("data") && tabulated(overview)) {
      String table = data.replace(" --data ", " --table ");
      return List.of(ShellWord.quoted(name) + " shares" + table + " --against equal");
    }
    if (classes.isEmpty() || twoWayTable(overview, spec)) {
      return twoWayTable(overview, spec)
          ? List.of(
              ShellWord.quoted(name) + " compare" + data.replace(" --data ", " --table "),
              ShellWord.quoted(name) + " cross" + data.replace(" --data ", " --table "))
          : List.of();
    }
    Column outcome =
        classes.stream()
            .filter(column -> affirmative(column).isPresent())
            .findFirst()
            .orElse(classes.get(classes.size() - 1));
    String success = affirmative(outcome).orElseGet(() -> rarest(outcome));
    String counted =
        say(
            "%s --outcome %s --success %s%s",
            data,
            ShellWord.quoted(outcome.name()),
            ShellWord.quoted(success),
            frequency.map(column -> " --count " + ShellWord.quoted(column.name())).orElse(""));
    String rate =
        ShellWord.quoted(name) + " rate" + counted + " --against " + against(outcome, success);
    Optional<Column> other =
        classes.stream()
            .filter(column -> !column.equals(outcome) && column.distinct() <= MOST_GROUPS)
            // The same levels again are a second judgement of the same units, no groups.
            .filter(column -> !column.levels().keySet().equals(outcome.levels().keySet()))
            .findFirst();
    Optional<String> group = other.map(column -> " --group " + ShellWord.quoted(column.name()));
    List<String> suggestions = new ArrayList<>();
    suggestions.add(rate);
    weight(overview)
        .ifPresent(
            column ->
                suggestions.add(rate + " --design weight=" + ShellWord.quoted(column.name())));
    group.ifPresent(by -> suggestions.add(rate + by));
    suggestions.add(
        group
            .map(by -> ShellWord.quoted(name) + " compare" + counted + by)
            .orElse(rate + " --alternative greater --working"));
    other
        .filter(column -> outcome.distinct() > 2)
        .ifPresent(
            column ->
                suggestions.add(
                    say(
                        "%s cross%s --rows %s --columns %s%s",
                        ShellWord.quoted(name),
                        data,
                        ShellWord.quoted(column.name()),
                        ShellWord.quoted(outcome.name()),
                        frequency
                            .map(each -> " --count " + ShellWord.quoted(each.name()))
                            .orElse(""))));
    paired(classes)
        .ifPresent(
            pair -> {
              String columns =
                  ShellWord.quoted(pair.get(0).name()) + "," + ShellWord.quoted(pair.get(1).name());
              suggestions.add(
                  say(
                      "%s compare --paired%s --outcome %s --success %s",
                      ShellWord.quoted(name), data, columns, ShellWord.quoted(success)));
              suggestions.add(
                  say(
                      "%s cross --paired%s --rows %s --columns %s",
                      ShellWord.quoted(name),
                      data,
                      ShellWord.quoted(pair.get(0).name()),
                      ShellWord.quoted(pair.get(1).name())));
            });
    return suggestions;
  }

  /** The words that name the rows, as they were written. */
  private static String source(QuestionArguments spec) {
    StringBuilder words = new StringBuilder();
    for (Parameter word : CommandSchemas.LOOK.words()) {
      if (!word.name().equals("codebook-out")) {
        spec.all(word.name())
            .forEach(value -> words.append(say(" --%s %s", word.name(), ShellWord.quoted(value))));
      }
    }
    return words.toString();
  }

  /** A name in each row, once, and whole counts in all other columns, of which there are a few. */
  private static boolean twoWayTable(DataOverview overview, QuestionArguments spec) {
    List<Column> columns = overview.columns();
    boolean named =
        columns.size() >= 3
            && columns.get(0).distinct() == overview.rows()
            && columns.get(0).missing() == 0
            && !columns.get(0).kind().equals(Kind.WHOLE_NUMBERS);
    return named
        && spec.has("data")
        && overview.rows() >= 2
        && overview.rows() <= MOST_ROWS
        && columns.stream().skip(1).allMatch(Suggestions::counts);
  }

  /** A name in each row, once, beside shares that somebody has worked out of counts. */
  private static boolean tabulated(DataOverview overview) {
    return overview.columns().stream().anyMatch(Suggestions::percentages)
        && overview.columns().get(0).distinct() == overview.rows();
  }

  /** Shares that somebody has worked out are no levels of anything. */
  private static boolean percentages(Column column) {
    return !column.levels().isEmpty()
        && column.levels().keySet().stream()
            .allMatch(level -> level.matches("[-+]?\\d{1,3}([.,]\\d+)?\\s*%"));
  }

  private static boolean counts(Column column) {
    return column.missing() == 0
        && !column.levels().isEmpty()
        && column.levels().keySet().stream().allMatch(level -> level.matches("\\d{1,12}"));
  }

  /** Two columns with the same levels, as where the same units were judged twice. */
  private static Optional<List<Column>> paired(List<Column> classes) {
    for (int i = 0; i < classes.size(); i++) {
      for (int j = i + 1; j < classes.size(); j++) {
        if (classes.get(i).levels().keySet().equals(classes.get(j).levels().keySet())
            && !AFFIRMATIVE.containsAll(classes.get(i).levels().keySet())) {
          return Optional.of(List.of(classes.get(i), classes.get(j)));
        }
      }
    }
    return Optional.empty();
  }

  /** A column of whole numbers that may say how often each row counts. */
  static Optional<Column> frequency(DataOverview overview) {
    Set<String> usual = Set.of("n", "count", "freq", "frequency", "number", "total");
    return overview.columns().stream()
        .filter(column -> usual.contains(column.name().toLowerCase(Locale.ROOT)))
        .filter(column -> column.kind() == Kind.WHOLE_NUMBERS && column.missing() == 0)
        .filter(column -> !column.range().isEmpty() && !column.range().get(0).startsWith("-"))
        .findFirst();
  }

  /** A column of numbers that is called like a weight. */
  static Optional<Column> weight(DataOverview overview) {
    return overview.columns().stream()
        .filter(column -> SampleDesign.isCalledWeight(column.name()) && !column.range().isEmpty())
        .findFirst();
  }

  private static Optional<String> affirmative(Column column) {
    return column.kind() == Kind.TWO_LEVELS
        ? column.levels().keySet().stream()
            .filter(level -> AFFIRMATIVE.contains(level.toLowerCase(Locale.ROOT)))
            .findFirst()
        : Optional.empty();
  }

  private static String rarest(Column column) {
    return column.levels().entrySet().stream()
        .filter(level -> A_WORD.matcher(level.getKey()).find() || column.levels().size() == 1)
        .min(Comparator.comparingLong(Map.Entry::getValue))
        .map(Map.Entry::getKey)
        .orElseGet(() -> column.levels().keySet().iterator().next());
  }

  /** A round value to be replaced; not one near the data, which would be no test. */
  private static String against(Column outcome, String success) {
    long all = outcome.levels().values().stream().mapToLong(Long::longValue).sum();
    boolean common = 10 * outcome.levels().getOrDefault(success, 0L) > 3 * all;
    return common ? "50%" : "10%";
  }
}
