package dev.tavik.study.compare;

import dev.tavik.phrase.Reasons;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.VerdictBasis;
import dev.tavik.survey.DesignedComparison;
import dev.tavik.survey.SurveyComparisonInterval;
import dev.tavik.survey.SurveyComparisonTest;
import java.util.List;

/**
 * Makes tests and intervals of two groups of a designed sample, and chooses those that the verdict
 * rests on.
 */
final class DesignedPairMethods {
  private final DesignedPairs pairs;
  private final CompareMethods methods;

  DesignedPairMethods(DesignedPairs pairs) {
    this.pairs = pairs;
    this.methods = new CompareMethods(new CompareAsked(pairs.question()));
  }

  CompareFound found(int one, int two) {
    DesignedComparison compared = pairs.comparisons().get(one).get(two);
    CompareSettings settings = pairs.question().settings();
    for (Method test : settings.tests()) {
      test((SurveyComparisonTest) test, compared);
    }
    // Without a test that was asked for the usual one decides, if there is variance.
    if (methods.tests().isEmpty() && !methods.hasDeclined(SurveyComparisonTest.T_DIFFERENCE)) {
      test(SurveyComparisonTest.T_DIFFERENCE, compared);
    }
    for (Method interval : settings.intervals()) {
      limits((SurveyComparisonInterval) interval, compared);
    }
    if (methods.intervals().isEmpty() && !methods.hasDeclined(SurveyComparisonInterval.WALD)) {
      limits(SurveyComparisonInterval.WALD, compared);
    }
    return methods.found(
        new DesignedPair(pairs, pairs.names().get(one), pairs.names().get(two), compared),
        pairs.names().size() == 2,
        basis());
  }

  private void test(SurveyComparisonTest test, DesignedComparison compared) {
    methods.test(test, hypothesis -> test.of(compared, hypothesis));
  }

  private void limits(SurveyComparisonInterval interval, DesignedComparison compared) {
    double level = pairs.question().settings().level();
    methods.limits(interval, side -> interval.of(compared, level, side));
  }

  private VerdictBasis basis() {
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
