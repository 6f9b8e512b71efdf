package dev.tavik.data.study;

import dev.tavik.answer.Question;
import dev.tavik.association.Shares;
import dev.tavik.count.SampleDesign;
import dev.tavik.count.SurveyCounts;
import dev.tavik.count.Tabulation;
import dev.tavik.data.DataException;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableException;
import dev.tavik.study.Provenance;
import dev.tavik.study.Unanswered;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.cross.CrossQuestion;
import dev.tavik.study.rate.RateQuestion;
import dev.tavik.study.rate.RateSettings;
import dev.tavik.study.shares.SharesQuestion;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.SurveyInterval;
import dev.tavik.survey.SurveyTableTest;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Makes questions about designed samples from their words. */
record SurveySpec(QuestionArguments spec, CountsSpec counts) {
  private static final String NO_LIKELIHOOD =
      "a Bayes factor needs a likelihood, which weights and clusters don't give; the nearest is the"
          + " interval by the design";
  private static final String NO_WORLDS =
      "worlds are drawn row by row, and rows of a cluster are alike; the nearest are replicate weights,"
          + " such as method=bootstrap";
  private static final String NO_ROWS =
      "a design is of rows with weights, strata and clusters; give them with data";
  private static final String NOT_BY_DESIGN = "it is of simple random samples; leave it out";

  /** What can't be had by a design, why, and what is nearest. */
  private static final Map<String, String> DECLINED = declined();

  private static Map<String, String> declined() {
    Map<String, String> declined = new LinkedHashMap<>();
    for (String word :
        List.of("bayes", "prior", "region", "sequence", "threshold", "expect", "sampling")) {
      declined.put(word, NO_LIKELIHOOD);
    }
    for (String word : List.of("simulate", "seed", "until-clear", "null-model")) {
      declined.put(word, NO_WORLDS);
    }
    for (String word :
        List.of("tally", "counts", "cells", "table", "first", "second", "total", "planned")) {
      declined.put(word, NO_ROWS);
    }
    declined.put("lot", "a finite population is part of the design: population=N");
    declined.put(
        "working", "variances of linearised values aren't done by hand; JSON has every figure");
    declined.put(
        "paired",
        "pairs by a design aren't offered; compare both columns as rates, each by itself");
    for (String word :
        List.of(
            "ordered", "row-scores", "column-scores", "figures", "pairwise", "budget", "split")) {
      declined.put(word, NOT_BY_DESIGN);
    }
    return declined;
  }

  /** Refuses what can't be had by a design, and a test that is known without one. */
  void requireDesigned(List<? extends Method> tests, List<? extends Method> simple) {
    DECLINED.forEach(
        (word, why) ->
            spec.check(
                !spec.has(word) || (word.equals("split") && offersSplit()),
                "%s doesn't go with {design}: %s",
                spec.name(word),
                why));
    List<String> ids = tests.stream().map(Method::id).toList();
    for (String written : spec.list("tests")) {
      spec.check(
          ids.contains(written) || simple.stream().noneMatch(each -> each.id().equals(written)),
          "{tests}: %s is a test of simple random samples, and gives no right p-value for weights and"
              + " clusters; with {design} there are %s",
          written,
          String.join(", ", ids));
    }
  }

  private boolean offersSplit() {
    return spec.has("outcome") && spec.has("success");
  }

  SampleDesign design() {
    return DesignSpec.of(spec, counts.recodings()::column);
  }

  private SurveyCounts counted(String... columns) {
    return requireVariance(counts.survey(design(), columns));
  }

  /** A sample whose variance can't be told is refused as data that can't be used. */
  private static SurveyCounts requireVariance(SurveyCounts counted) {
    try {
      DesignedSample.of(counted);
      return counted;
    } catch (NotApplicableException e) {
      throw new DataException(
          DataException.Code.COUNT, "%s: %s", counted.units().source(), Unanswered.message(e));
    }
  }

  Question rate(RateSettings settings) {
    String outcome = spec.required("outcome", "the column that says what became of each unit");
    counts.requireSuccess(outcome);
    counts.requireDifferent("outcome", "group", "count");
    @Nullable String group = spec.text("group");
    SurveyCounts counted = group == null ? counted(outcome) : counted(outcome, group);
    Tabulation units = counted.units();
    Set<String> success = counts.success(units, counts.levels(units));
    Provenance from = counts.from(units, success);
    return RateQuestion.of(counted, settings, counts.holding(units, success))
        .named(counts.label(from.outcome() + " " + String.join(" or ", success)))
        .countedFrom(from);
  }

  Question compare(CompareSettings settings) {
    String outcome = spec.required("outcome", "the column that says what became of each unit");
    counts.requireSuccess(outcome);
    String group = spec.required("group", "the column whose levels are compared");
    counts.requireDifferent("outcome", "group", "count");
    SurveyCounts counted = counted(outcome, group);
    Tabulation units = counted.units();
    Set<String> success = counts.success(units, counts.levels(units));
    Provenance from = counts.from(units, success);
    List<String> groups = units.levels(1);
    if (groups.size() < 2) {
      throw new DataException(
          DataException.Code.LEVEL,
          "%s: a comparison needs two groups, got only %s",
          units.source(),
          String.join(", ", groups));
    }
    if (groups.size() > CompareQuestion.MOST_PAIRED) {
      throw new DataException(
          DataException.Code.LEVEL,
          "%,d groups are too many to compare; at most %,d; choose a coarser column than %s",
          groups.size(),
          CompareQuestion.MOST_PAIRED,
          group);
    }
    CompareQuestion question =
        CompareQuestion.of(counted, settings, counts.holding(units, success))
            .named(counts.label(from.outcome() + " " + String.join(" or ", success)))
            .countedFrom(from);
    @Nullable String baseline = CompareSpec.baseline(spec, groups);
    return baseline == null ? question : question.baseline(baseline);
  }

  /** What was counted of one column, for its shares. */
  SurveyCounts shares(String outcome) {
    counts.requireDifferent("outcome", "count");
    return counted(outcome);
  }

  Question shares(
      SurveyCounts counted, List<String> levels, Shares claimed, Provenance from, String label) {
    SharesQuestion question =
        SharesQuestion.of(counted, levels, claimed).named(label).countedFrom(from);
    return question.settings(
        spec.choices(
            question.settings(),
            List.of(SurveyTableTest.values()),
            List.of(SurveyInterval.values())));
  }

  /**
   * A table.
   *
   * @param columns the columns of rows and columns, and of layers where there are
   */
  Question cross(String... columns) {
    SurveyCounts counted = counted(columns);
    Tabulation units = counted.units();
    Provenance from = counts.from(units, Set.of());
    Grid grid = CrossSpec.grid(units);
    grid = spec.has("order") ? grid.ordered(spec.list("order"), spec.name("order")) : grid;
    List<String> rows = grid.rows();
    List<String> across = grid.columns();
    if (rows.size() < 2 || across.size() < 2) {
      throw new DataException(
          DataException.Code.LEVEL,
          "%s: a table needs two rows and two columns, got %s and %s",
          units.source(),
          rows.size(),
          across.size());
    }
    CrossQuestion question =
        CrossQuestion.of(counted, rows, across)
            .named(counts.label(units.columns().get(0) + " by " + units.columns().get(1)))
            .countedFrom(from);
    return question.settings(
        spec.choices(
            question.settings(),
            List.of(SurveyTableTest.values()),
            List.of(SurveyInterval.values())));
  }

  /** Many columns, each with the groups. */
  Map<String, SurveyCounts> each(List<String> columns, String group) {
    Map<String, SurveyCounts> each = new LinkedHashMap<>();
    for (SurveyCounts counted : counts.surveyEach(design(), columns, group)) {
      Tabulation units = counted.units();
      Set<String> known = new LinkedHashSet<>(Levels.ordered(units.levels(0)));
      each.put(
          units.columns().get(0),
          requireVariance(
              counted.renamed(
                  counts1 ->
                      counts1.ordered(List.of(List.copyOf(known), counts1.known().get(1))))));
    }
    return each;
  }
}
