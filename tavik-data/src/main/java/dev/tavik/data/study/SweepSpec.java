package dev.tavik.data.study;

import dev.tavik.answer.Question;
import dev.tavik.count.CrossTable;
import dev.tavik.count.Crossings;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.Tabulation;
import dev.tavik.data.DataException;
import dev.tavik.data.SourceOpener;
import dev.tavik.result.Adjustment;
import dev.tavik.study.Provenance;
import dev.tavik.study.sweep.SweepQuestion;
import dev.tavik.study.sweep.SweepQuestion.Sorting;
import dev.tavik.study.sweep.SweepQuestion.SweepSettings;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Makes a sweep over the columns of a file from its words. */
final class SweepSpec {
  private static final int MOST_LEVELS = 50;

  private final QuestionArguments spec;
  private final CountsSpec counts;
  private final Map<String, CrossTable> tables = new LinkedHashMap<>();
  private final Map<String, String> leftOut = new LinkedHashMap<>();

  private SweepSpec(QuestionArguments spec, SourceOpener opening) {
    this.spec = spec;
    this.counts = new CountsSpec(spec, opening);
  }

  /**
   * Makes the question.
   *
   * @param spec the words
   * @param opening how a file is opened
   * @throws SpecException if the words make no question
   * @throws DataException if the file can't be read or lacks what is asked for
   */
  static Question question(QuestionArguments spec, SourceOpener opening) {
    return new SweepSpec(spec, opening).question();
  }

  private Question question() {
    counts.requireFile();
    counts.requireRows(CountsSpec.OF_ROWS);
    spec.check(counts.hasRows(), "nothing to count: give {data} with a file of rows, and {group}");
    if (spec.has("design")) {
      new SurveySpec(spec, counts).requireDesigned(List.of(), List.of());
    }
    String group = spec.required("group", "the column of groups that all others are held against");
    SweepSettings settings = settings();
    Crossings swept = counts.against(group, outcomes());
    leftOut.putAll(swept.leftOut());
    swept.tables().forEach(SweepSpec::requireFewGroups);
    swept.tables().forEach(this::add);
    @Nullable String separator = spec.text("split");
    spec.check(
        separator == null || tables.keySet().stream().anyMatch(each -> each.contains(": ")),
        "{split}: no column has values that hold a '%s'; leave it out, or give what stands between"
            + " answers",
        String.valueOf(separator));
    Tabulation first = swept.tables().isEmpty() ? null : swept.tables().get(0);
    if (first == null || tables.isEmpty()) {
      throw new DataException(
          DataException.Code.LEVEL,
          "no column classifies what %s could differ in%s",
          group,
          leftOut.isEmpty()
              ? ": the column of groups is no outcome, and there is no other"
              : leftOut.entrySet().stream()
                  .map(each -> each.getKey() + " (" + each.getValue() + ")")
                  .collect(Collectors.joining(", ", "; left out: ", "")));
    }
    Provenance from =
        Provenance.each(swept.tables(), List.of(), spec.text("count"), counts.filters());
    if (spec.has("design")) {
      return byDesign(first.columns().get(1), settings, from);
    }
    Map<String, CrossTable> found = new LinkedHashMap<>(tables);
    return SweepQuestion.of(first.columns().get(1), found)
        .settings(settings)
        .named(counts.label(""))
        .counted(from, leftOut);
  }

  /** The columns of the design are no outcomes. */
  private Question byDesign(String group, SweepSettings settings, Provenance from) {
    SurveySpec survey = new SurveySpec(spec, counts);
    SampleDesign design = survey.design();
    List<String> columns = new ArrayList<>(tables.keySet());
    columns.removeIf(
        each -> {
          boolean own = ofDesign(design, each);
          if (own) {
            leftOut.put(each, "part of the design");
          }
          return own;
        });
    return SweepQuestion.ofSamples(group, survey.each(columns, group))
        .settings(settings)
        .named(counts.label(""))
        .counted(from, leftOut);
  }

  private static boolean ofDesign(SampleDesign design, String column) {
    return column.equalsIgnoreCase(design.weight())
        || design.clusters().stream().anyMatch(column::equalsIgnoreCase)
        || column.equalsIgnoreCase(design.population());
  }

  private static void requireFewGroups(Tabulation counted) {
    int groups = counted.levels(1).size();
    if (groups > MOST_LEVELS) {
      throw new DataException(
          DataException.Code.LEVEL,
          "%s: column %s has %d different values, too many for groups (at most %d); is it the"
              + " column you meant?",
          counted.source(),
          counted.columns().get(1),
          groups,
          MOST_LEVELS);
    }
  }

  private List<String> outcomes() {
    List<String> said = spec.list("outcomes");
    return said.isEmpty() || said.equals(List.of("all")) ? List.of("*") : said;
  }

  private SweepSettings settings() {
    SweepSettings settings = SweepSettings.usual();
    Double alpha = spec.proportion("alpha");
    settings = alpha == null ? settings : settings.alpha(alpha);
    @Nullable String sort = spec.text("sort");
    if (sort != null) {
      Sorting known =
          Arrays.stream(Sorting.values())
              .filter(each -> each.id().equals(sort))
              .findFirst()
              .orElseThrow(() -> spec.refusal("{sort} must be strength or file, got '%s'", sort));
      settings = settings.sorting(known);
    }
    List<Adjustment> adjustment =
        spec.methods("adjust", List.of(Adjustment.values()), List.of(Adjustment.HOLM));
    spec.check(adjustment.size() == 1, "{adjust} takes one way, got %d", adjustment.size());
    return settings.adjustment(adjustment.get(0));
  }

  /** A column, or where its fields hold several answers, each of these. */
  private void add(Tabulation counted) {
    String name = counted.columns().get(0);
    @Nullable String separator = spec.text("split");
    List<String> fields = counted.levels(0);
    if (separator != null && fields.stream().anyMatch(field -> field.contains(separator))) {
      Answers answers = new Answers(spec, separator);
      for (String answer : answers.in(fields)) {
        add(name + ": " + answer, answers.given(counted, answer));
      }
      return;
    }
    if (fields.size() > MOST_LEVELS) {
      leftOut.put(name, fields.size() + " different values, more than " + MOST_LEVELS);
    } else if (fields.size() < 2) {
      leftOut.put(name, fields.isEmpty() ? "no value" : "one value only");
    } else if (counted.levels(1).size() < 2) {
      leftOut.put(name, "values in one group only");
    } else {
      boolean known = counts.hasOrder(name);
      Tabulation ordered =
          counted.ordered(List.of(known ? fields : Levels.ordered(fields), counted.levels(1)));
      add(name, ordered.crossTable(counted.columns().get(1), name));
    }
  }

  private void add(String name, CrossTable table) {
    tables.put(name, table);
  }
}
