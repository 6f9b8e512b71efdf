package dev.tavik.data.study;

import dev.tavik.answer.Question;
import dev.tavik.count.NamedTally;
import dev.tavik.count.Names;
import dev.tavik.count.Tabulation;
import dev.tavik.count.Tally;
import dev.tavik.data.DataException;
import dev.tavik.data.SourceOpener;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonClaim;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Method;
import dev.tavik.result.Proportion;
import dev.tavik.study.Provenance;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.survey.SurveyComparisonInterval;
import dev.tavik.survey.SurveyComparisonTest;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Makes a comparison from its words. The counts come from named tallies, from a two-way table file
 * with a row a group, or from a file of rows; with {@code paired}, from two columns of the same
 * units or from four cells.
 */
final class CompareSpec {
  private final QuestionArguments spec;
  private final SourceOpener opening;
  private final CountsSpec counts;

  private CompareSpec(QuestionArguments spec, SourceOpener opening) {
    this.spec = spec;
    this.opening = opening;
    this.counts = new CountsSpec(spec, opening);
  }

  /**
   * Makes the question. Everything that the words alone can get wrong is refused before a file is
   * opened.
   *
   * @param spec the words
   * @param opening how a file is opened
   * @return a question about two groups, several, or pairs
   * @throws SpecException if the words make no question
   * @throws IllegalArgumentException if a value is out of its range
   * @throws DataException if the file can't be read or lacks what is asked for
   */
  public static Question question(QuestionArguments spec, SourceOpener opening) {
    if (spec.has("design")) {
      return new CompareSpec(spec, opening).byDesign();
    }
    if (spec.flag("paired")) {
      requireNoBayes(spec);
      return SimulationSpec.of(spec, () -> new PairedSpec(spec, opening).question());
    }
    return SimulationSpec.of(spec, () -> new CompareSpec(spec, opening).question());
  }

  private static void requireNoBayes(QuestionArguments spec) {
    for (String word : List.of("bayes", "prior", "region")) {
      spec.check(
          !spec.has(word),
          "%s doesn't go with {paired}: of pairs only those count that were judged differently;"
              + " hold them against one half, such as tavik rate 14/16 --against 50%% --bayes for 14"
              + " where only the first and 2 where only the second was a success",
          spec.name(word));
    }
  }

  private Question question() {
    spec.check(
        !spec.has("cells"),
        "{cells} are the four counts of pairs and go with {paired}; two groups are written"
            + " North=14/400 South=31/410");
    counts.requireRows("outcome", "group");
    counts.requireRows(CountsSpec.OF_ROWS);
    spec.requireWith("table", "total");
    spec.check(
        !spec.has("success") || counts.hasRows() || spec.has("table"),
        "{success} names levels of a file; in tallies such as 14/400 the first number is the"
            + " successes");
    boolean tallies = spec.has("tally") || spec.has("first") || spec.has("second");
    counts.requireOneSource(
        tallies ? "tallies" : "",
        spec.say(
            "nothing to compare: give tallies such as North=14/400 South=31/410, or {table} with"
                + " a row a group, or {data} with {outcome}, {success} and {group}"));
    CompareSettings settings = settings(TwoProportionTest.values(), ComparisonInterval.values());
    if (tallies) {
      return fromTallies(settings);
    }
    return spec.has("table") ? fromTable(settings) : fromFile(settings);
  }

  private Question byDesign() {
    counts.requireRows("design");
    SurveySpec survey = new SurveySpec(spec, counts);
    survey.requireDesigned(
        List.of(SurveyComparisonTest.values()), List.of(TwoProportionTest.values()));
    return survey.compare(
        settings(SurveyComparisonTest.values(), SurveyComparisonInterval.values()));
  }

  private CompareSettings settings(Method[] tests, Method[] intervals) {
    return new CompareSettings(
        claim(),
        spec.choices(CompareSettings.usual(), List.of(tests), List.of(intervals)).choices(),
        new BayesSpec(spec).ofComparison());
  }

  private ComparisonClaim claim() {
    @Nullable String alternative = spec.text("alternative");
    @Nullable String against = spec.text("against");
    @Nullable String shown = spec.text("show");
    ComparisonGoal goal = shown == null ? ComparisonGoal.DIFFERENCE : ComparisonGoal.of(shown);
    Alternative direction =
        alternative != null
            ? Alternative.of(alternative)
            : goal == ComparisonGoal.NONINFERIOR ? Alternative.GREATER : Alternative.TWO_SIDED;
    return new ComparisonClaim(
        goal,
        new Hypothesis(
            against == null ? 0 : Proportion.parseDifference(spec.name("against"), against),
            direction),
        spec.proportion("margin"));
  }

  private Question fromTallies(CompareSettings settings) {
    Map<String, Tally> groups = new LinkedHashMap<>();
    if (spec.has("first") || spec.has("second")) {
      if (spec.has("tally")) {
        throw new SpecException("groups are first and second, or tallies, not both");
      }
      one("first", groups);
      one("second", groups);
    } else if (spec.all("tally").stream().noneMatch(each -> each.contains("="))
        && spec.all("tally").size() == 2) {
      groups.put("First", Tally.parse(spec.all("tally").get(0)));
      groups.put("Second", Tally.parse(spec.all("tally").get(1)));
    } else {
      groups.putAll(CountsSpec.named(spec.all("tally")));
    }
    return question(counts.label(""), groups, List.of(), settings, null);
  }

  /** A group written as a mapping with its label and tally. */
  private void one(String word, Map<String, Tally> groups) {
    String name = word.equals("first") ? "First" : "Second";
    @Nullable String tally = null;
    for (String each : spec.all(word)) {
      if (each.startsWith("label=")) {
        name = each.substring("label=".length()).strip();
      } else if (each.startsWith("tally=")) {
        tally = each.substring("tally=".length());
      } else {
        throw new SpecException(
            word + " must be a mapping with label and tally, got '" + each + "'");
      }
    }
    if (tally == null) {
      throw new SpecException(word + " must have a tally such as 14/400");
    }
    if (groups.put(name, Tally.parse(tally)) != null) {
      throw new SpecException("both groups are called '" + name + "'; give them different names");
    }
  }

  private Question fromTable(CompareSettings settings) {
    String file = spec.required("table", "a two-way table with a row a group");
    GroupsTable.Read read =
        new GroupsTable(
                TwoWayTable.read(file, opening, counts.reading()),
                spec.text("total"),
                spec.list("success"))
            .read();
    return question(
        counts.label(String.join(" or ", read.from().success())),
        read.groups(),
        read.empty(),
        settings,
        read.from());
  }

  private Question fromFile(CompareSettings settings) {
    String outcome = spec.required("outcome", "the column that says what became of each unit");
    counts.requireSuccess(outcome);
    String group = spec.required("group", "the column whose levels are compared");
    counts.requireDifferent("outcome", "group", "count");
    Tabulation counted = counts.tabulation(outcome, group);
    Set<String> success = counts.success(counted, counts.levels(counted));
    CountsSpec.Groups groups = counts.groups(counted, success);
    Provenance from = counts.from(counted, success);
    return question(
        counts.label(from.outcome() + " " + String.join(" or ", success)),
        groups.tallies(),
        groups.empty(),
        settings,
        from);
  }

  private Question question(
      String label,
      Map<String, Tally> tallies,
      List<String> empty,
      CompareSettings settings,
      @Nullable Provenance from) {
    List<NamedTally> groups = new ArrayList<>();
    tallies.forEach((name, tally) -> groups.add(new NamedTally(name, tally)));
    if (groups.size() < 2) {
      String found =
          groups.isEmpty() || groups.get(0).name().isEmpty()
              ? "a comparison needs two groups, got " + groups.size()
              : "a comparison needs two groups, got only " + groups.get(0).name();
      throw from == null
          ? new SpecException(found + "; one rate is held against a value with rate")
          : new DataException(DataException.Code.LEVEL, from.data() + ": " + found);
    }
    @Nullable String baseline = baseline(spec, groups.stream().map(NamedTally::name).toList());
    if (groups.size() > CompareQuestion.MOST_GROUPS) {
      throw new DataException(
          DataException.Code.LEVEL,
          "%,d groups are too many to compare; at most %,d; %s",
          groups.size(),
          CompareQuestion.MOST_GROUPS,
          spec.has("group")
              ? "choose a coarser column than " + spec.text("group")
              : "leave some out, or put some together");
    }
    CompareQuestion question =
        CompareQuestion.of(groups, settings).withEmptyGroups(empty).named(label).countedFrom(from);
    return baseline == null ? question : question.baseline(baseline);
  }

  /** The group that the others are compared with, among all groups. */
  static @Nullable String baseline(QuestionArguments spec, List<String> names) {
    String typed = spec.text("baseline");
    if (typed == null) {
      return null;
    }
    List<String> matching = Names.matching(typed, names);
    if (matching.size() != 1) {
      throw new DataException(
          DataException.Code.LEVEL,
          spec.name("baseline") + " names no group '" + typed + "'" + Names.hint(typed, names));
    }
    return matching.get(0);
  }
}
