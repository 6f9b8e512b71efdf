package dev.tavik.data.study;

import dev.tavik.answer.Question;
import dev.tavik.count.Names;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.data.DataException;
import dev.tavik.data.RowsInOrder;
import dev.tavik.data.SourceOpener;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Method;
import dev.tavik.result.Proportion;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.Provenance;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.rate.RateSettings;
import dev.tavik.survey.SurveyInterval;
import dev.tavik.survey.SurveyTest;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Makes a rate question from its words. The counts come from one or more tallies, {@code 14/400} or
 * {@code North=14/400}, or from a file.
 */
final class RateSpec {
  private static final int MOST_LEVELS = 50;

  private final QuestionArguments spec;
  private final CountsSpec counts;

  private RateSpec(QuestionArguments spec, SourceOpener opening) {
    this.spec = spec;
    this.counts = new CountsSpec(spec, opening);
  }

  /**
   * Makes the question. Everything that the words alone can get wrong is refused before a file is
   * opened.
   *
   * @param spec the words
   * @param opening how a file is opened
   * @return a question about one rate or about several
   * @throws SpecException if the words make no question
   * @throws IllegalArgumentException if a value is out of its range
   * @throws DataException if the file can't be read or lacks what is asked for
   */
  public static Question question(QuestionArguments spec, SourceOpener opening) {
    return spec.has("design")
        ? new RateSpec(spec, opening).question()
        : SimulationSpec.of(spec, () -> new RateSpec(spec, opening).question());
  }

  private Question question() {
    if (spec.has("design")) {
      counts.requireRows("design");
      SurveySpec survey = new SurveySpec(spec, counts);
      survey.requireDesigned(List.of(SurveyTest.values()), List.of(ProportionTest.values()));
      return survey.rate(settings(SurveyTest.values(), SurveyInterval.values()));
    }
    if (spec.has("planned")) {
      return new OutlookSpec(spec).question();
    }
    spec.requireWith("planned", "threshold", "expect");
    counts.requireRows("outcome", "success", "group");
    counts.requireFile();
    counts.requireRows(CountsSpec.OF_ROWS);
    boolean inline = spec.has("tally");
    spec.check(
        !inline || !counts.hasRows(),
        "counts come from a tally or from {data}, not from both; leave one out");
    spec.check(
        inline || counts.hasRows(),
        "nothing to count: give a tally such as 14/400, or {data} with {outcome} and"
            + " {success}");
    RateSettings settings = settings(ProportionTest.values(), ProportionInterval.values());
    if (spec.flag("sequence")) {
      requireOrder(inline);
    }
    return inline ? fromTallies(settings) : fromFile(settings);
  }

  private void requireOrder(boolean inline) {
    spec.check(
        !inline && !spec.has("count"),
        "{sequence} follows observations in their order, and counts have none: 14/400 says"
            + " how many successes there were, not when; give a file with a row for each, {data}%s",
        inline ? "" : " without " + spec.name("count"));
    if (spec.has("group")) {
      throw spec.refusal(
          "{sequence} follows one rate; instead of {group} keep one group with {where} %s=LEVEL",
          spec.text("group"));
    }
  }

  private RateSettings settings(Method[] tests, Method[] intervals) {
    String against =
        spec.required(
            "against", "the value that the rate is held against, such as 0.05, 5% or 1/20");
    RateSettings settings = RateSettings.against(Proportion.parse(spec.name("against"), against));
    String alternative = spec.text("alternative");
    if (alternative != null) {
      settings = settings.alternative(Alternative.of(alternative));
    }
    settings = spec.choices(settings, List.of(tests), List.of(intervals));
    String lot = spec.text("lot");
    if (lot != null) {
      spec.check(lot.matches("\\d{1,13}"), "{lot} must be a whole number of units, got '%s'", lot);
      settings = settings.lot(Long.parseLong(lot));
    }
    BayesSettings bayes = new BayesSpec(spec).ofRate();
    if (bayes != null) {
      settings = settings.bayes(bayes);
    }
    spec.check(
        !spec.has("working") || settings.hasWorking(),
        "{working} shows z tests and closed-form intervals for trials without end; leave one"
            + " among {tests} or {intervals}, such as score or wilson");
    return settings;
  }

  private Question fromTallies(RateSettings settings) {
    Map<String, Tally> groups = CountsSpec.named(spec.all("tally"));
    if (groups.size() > 1) {
      return RateQuestion.of(groups, settings).named(counts.label(""));
    }
    Map.Entry<String, Tally> only = groups.entrySet().iterator().next();
    return RateQuestion.of(only.getValue(), settings).named(counts.label(only.getKey()));
  }

  private Question fromFile(RateSettings settings) {
    String outcome = spec.required("outcome", "the column that says what became of each unit");
    boolean everyLevel = (settings.bayes() != null || spec.has("split")) && !spec.has("success");
    if (everyLevel) {
      return ofEveryLevel(outcome, settings);
    }
    counts.requireSuccess(outcome);
    counts.requireDifferent("outcome", "group", "count");
    @Nullable String group = spec.text("group");
    if (group == null && outcome.contains(",") && !spec.flag("sequence")) {
      return ofEachColumn(outcome, settings);
    }
    @Nullable RowsInOrder rows = spec.flag("sequence") ? counts.inOrder(outcome) : null;
    Tabulation counted =
        rows != null
            ? rows.counts()
            : group == null ? counts.tabulation(outcome) : counts.tabulation(outcome, group);
    Set<String> success = counts.success(counted, counts.levels(counted));
    Provenance from = counts.from(counted, success);
    String label = counts.label(from.outcome() + " " + String.join(" or ", success));
    if (group == null) {
      RateQuestion question =
          RateQuestion.of(tally(counted, success), settings).named(label).countedFrom(from);
      return rows == null ? question : question.following(rows.outcomes(success));
    }
    CountsSpec.Groups groups = counts.groups(counted, success);
    return RateQuestion.of(groups.tallies(), settings)
        .withEmptyGroups(groups.empty())
        .named(label)
        .countedFrom(from);
  }

  private Tally tally(Tabulation counted, Set<String> success) {
    return counted.tally(counted.columns().get(0), counts.holding(counted, success));
  }

  /** Several columns side by side, each with the same levels: a rate a column. */
  private Question ofEachColumn(String outcome, RateSettings settings) {
    Set<String> different = new HashSet<>();
    for (String column : Names.parts(outcome)) {
      spec.check(
          different.add(column), "{outcome} must name different columns, got %s twice", column);
    }
    List<Tabulation> each = counts.each(outcome);
    Set<String> levels = new LinkedHashSet<>();
    each.forEach(counted -> levels.addAll(counts.levels(counted)));
    Set<String> success = counts.success(each.get(0), List.copyOf(levels));
    Map<String, Tally> tallies = new LinkedHashMap<>();
    for (Tabulation counted : each) {
      Map<List<String>, Long> held = new LinkedHashMap<>(counted.counts());
      Set<String> holding = counts.holding(counted, success);
      held.keySet().removeIf(level -> !holding.contains(level.get(0)));
      long sum = held.values().stream().mapToLong(Long::longValue).sum();
      String column = counted.columns().get(0);
      boolean other = tallies.put(column, Tally.of(sum, counted.total())) == null;
      spec.check(other, "{outcome} must name different columns, got %s twice", column);
    }
    Provenance from =
        Provenance.each(each, List.copyOf(success), spec.text("count"), counts.filters());
    String said = String.join(" or ", success);
    RateQuestion question =
        each.size() == 1
            ? RateQuestion.of(tallies.values().iterator().next(), settings)
                .named(counts.label(from.outcome() + " " + said))
            : RateQuestion.of(tallies, settings).named(counts.label(said));
    return question.countedFrom(from);
  }

  /**
   * Several answers and the Bayesian view need named successes: every level is compared with the
   * value.
   */
  private Question ofEveryLevel(String outcome, RateSettings settings) {
    for (String word : List.of("group", "sequence")) {
      if (spec.has(word)) {
        counts.requireSuccess(outcome);
      }
    }
    counts.requireDifferent("outcome", "count");
    Tabulation counted = counts.tabulation(outcome);
    List<String> levels = Levels.ordered(counts.levels(counted));
    if (levels.size() > MOST_LEVELS) {
      throw new DataException(
          DataException.Code.LEVEL,
          spec.say(
              "%s: column %s has %d levels, too many for a row each; name those that count with"
                  + " {success}",
              counted.source(), counted.columns().get(0), levels.size()));
    }
    Map<String, Tally> tallies = new LinkedHashMap<>();
    levels.forEach(level -> tallies.put(level, tally(counted, Set.of(level))));
    Provenance from = counts.from(counted, Set.of());
    return RateQuestion.of(tallies, settings)
        .named(counts.label("each level of " + from.outcome()))
        .countedFrom(from);
  }
}
