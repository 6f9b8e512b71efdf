package dev.tavik.study.compare;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Caution;
import dev.tavik.phrase.Reasons;
import dev.tavik.result.Estimand;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DesignFindings;
import dev.tavik.study.parts.VerdictBasis;
import dev.tavik.survey.DesignedComparison;
import dev.tavik.survey.DesignedSample;
import dev.tavik.survey.SurveyComparisonInterval;
import dev.tavik.survey.SurveyComparisonTest;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Makes tests and intervals of groups of a designed sample, and chooses among them. */
final class SurveyCompareAnalysis {
  private final SurveyCompareQuestion question;
  private final List<String> names;
  private final CompareAsked asked;
  private final DesignFindings design;
  private final Predicate<List<String>> success;
  private final List<List<DesignedComparison>> comparisons;

  SurveyCompareAnalysis(SurveyCompareQuestion question) {
    DesignedSample sample = DesignedSample.of(question.counts());
    this.question = question;
    this.names = question.groups();
    this.asked =
        new CompareAsked(question, question.label(), question.claim(), question, question.from());
    this.design = new DesignFindings(sample);
    this.success = unit -> question.success().contains(unit.get(0));
    this.comparisons = sample.comparisons(1, names, success);
  }

  Answer answer() {
    return names.size() == 2 ? alone() : several();
  }

  private Answer alone() {
    boolean turned = names.get(0).equals(question.baseline());
    CompareFound only = pair(turned ? 1 : 0, turned ? 0 : 1);
    List<Caution> cautions = new ArrayList<>(CompareCautions.of(only));
    cautions.addAll(design.cautions(success, "a success", question.from()));
    return new CompareFindings(only).answer(cautions);
  }

  private Answer several() {
    List<DesignFindings.Group> groups =
        IntStream.range(0, names.size())
            .mapToObj(
                i -> new DesignFindings.Group(names.get(i), comparisons.get(i).get(i).first()))
            .toList();
    String baseline = question.baseline();
    List<CompareFound> pairs =
        CompareGroupsAnalysis.pairs(
            names.size(), baseline == null ? null : names.indexOf(baseline), this::pair);
    return new CompareGroupsAnalysis(
            asked, new DesignedPairs(question, design, success, groups), quantities())
        .answer(pairs);
  }

  /** The quantities of the chosen intervals; the difference if all were chosen. */
  private Set<Estimand> quantities() {
    List<SurveyComparisonInterval> intervals = question.intervals();
    return intervals.size() == SurveyComparisonInterval.values().length
        ? Set.of(Estimand.DIFFERENCE)
        : intervals.stream()
            .map(SurveyComparisonInterval::quantity)
            .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  private CompareFound pair(int one, int two) {
    DesignedComparison compared = comparisons.get(one).get(two);
    CompareMethods methods = new CompareMethods(asked);
    for (SurveyComparisonTest test : question.tests()) {
      test(test, compared, methods);
    }
    // Without a test that was asked for the usual one decides, if there is variance.
    if (methods.tests().isEmpty() && !methods.hasDeclined(SurveyComparisonTest.T_DIFFERENCE)) {
      test(SurveyComparisonTest.T_DIFFERENCE, compared, methods);
    }
    for (SurveyComparisonInterval interval : question.intervals()) {
      limits(interval, compared, methods);
    }
    if (methods.intervals().isEmpty() && !methods.hasDeclined(SurveyComparisonInterval.WALD)) {
      limits(SurveyComparisonInterval.WALD, compared, methods);
    }
    return methods.found(
        new DesignedPair(question, design, names.get(one), names.get(two), compared),
        names.size() == 2,
        basis(methods));
  }

  private static void test(
      SurveyComparisonTest test, DesignedComparison compared, CompareMethods to) {
    to.test(test, hypothesis -> test.of(compared, hypothesis));
  }

  private void limits(
      SurveyComparisonInterval interval, DesignedComparison compared, CompareMethods to) {
    to.limits(interval, side -> interval.of(compared, question.level(), side));
  }

  private static VerdictBasis basis(CompareMethods methods) {
    List<TestResult> tests = methods.tests();
    Method test = tests.isEmpty() ? SurveyComparisonTest.T_DIFFERENCE : tests.get(0).method();
    List<SurveyComparisonInterval> made =
        methods.intervals().stream()
            .map(Interval::method)
            .map(SurveyComparisonInterval.class::cast)
            .toList();
    SurveyComparisonInterval interval =
        made.stream()
            .filter(each -> each.inverts() == test)
            .findFirst()
            .orElse(made.isEmpty() ? SurveyComparisonInterval.WALD : made.get(0));
    String reason =
        test == SurveyComparisonTest.T_DIFFERENCE
            ? Reasons.difference()
            : Reasons.asked(test, tests.size() == 1);
    return new VerdictBasis(test, interval, reason);
  }
}
