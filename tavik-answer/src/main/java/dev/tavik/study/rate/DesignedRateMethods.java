package dev.tavik.study.rate;

import dev.tavik.answer.NotApplicable;
import dev.tavik.phrase.Reasons;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.MethodResults;
import dev.tavik.study.parts.Refusals;
import dev.tavik.study.parts.VerdictBasis;
import dev.tavik.survey.DesignedProportion;
import dev.tavik.survey.SurveyInterval;
import dev.tavik.survey.SurveyTest;
import java.util.ArrayList;
import java.util.List;

/**
 * Makes tests and intervals of one rate of a designed sample, and chooses those that the verdict
 * rests on.
 *
 * @param settings against which value, how strictly, by which methods
 * @param proportion the estimate
 */
record DesignedRateMethods(RateSettings settings, DesignedProportion proportion) {
  MethodResults made() {
    List<TestResult> tests = new ArrayList<>();
    List<NotApplicable> refusals = new ArrayList<>();
    for (Method test : settings.tests()) {
      test((SurveyTest) test, tests, refusals);
    }
    List<Interval> limits = new ArrayList<>();
    List<NotApplicable> without = new ArrayList<>();
    for (Method method : settings.intervals()) {
      limits((SurveyInterval) method, limits, without);
    }
    // Without visible variance only the binomial limits say how large the rate may be.
    if (tests.isEmpty() || none()) {
      addKornGraubard(tests);
    }
    if (limits.isEmpty() || none()) {
      addLimits(limits);
    }
    return new MethodResults(tests, refusals, limits, without);
  }

  /** Whether there is no visible variance. */
  private boolean none() {
    return !proportion.variance();
  }

  private void test(SurveyTest test, List<TestResult> to, List<NotApplicable> refusals) {
    try {
      to.add(test.of(proportion, settings.hypothesis(), settings.alpha()));
    } catch (NotApplicableException | ArithmeticException e) {
      refusals.add(Refusals.of(test, e));
    }
  }

  private void addKornGraubard(List<TestResult> to) {
    SurveyTest test = SurveyTest.KORN_GRAUBARD;
    if (to.stream().noneMatch(each -> each.method() == test)) {
      to.add(test.of(proportion, settings.hypothesis(), settings.alpha()));
    }
  }

  private void limits(SurveyInterval method, List<Interval> to, List<NotApplicable> without) {
    Refusals.limits(
        method,
        side -> method.of(proportion, settings.level(), side),
        settings.hypothesis().alternative().matchingSide(),
        to,
        without);
  }

  private void addLimits(List<Interval> to) {
    SurveyInterval method = SurveyInterval.KORN_GRAUBARD;
    if (to.stream().noneMatch(each -> each.method() == method)) {
      limits(method, to, new ArrayList<>());
    }
  }

  VerdictBasis basis(MethodResults made) {
    SurveyTest test =
        (SurveyTest)
            made.tests().stream()
                .map(TestResult::method)
                .filter(each -> none() == (each == SurveyTest.KORN_GRAUBARD))
                .findFirst()
                .orElse(made.tests().get(0).method());
    SurveyInterval interval =
        (SurveyInterval)
            made.intervals().stream()
                .map(Interval::method)
                .filter(each -> ((SurveyInterval) each).inverts().filter(test::equals).isPresent())
                .findFirst()
                .orElse(made.intervals().get(0).method());
    String reason =
        none()
            ? Reasons.needsNoVariance()
            : test == SurveyTest.T_LOGIT
                ? Reasons.logit()
                : Reasons.asked(test, made.tests().size() == 1);
    return new VerdictBasis(test, interval, reason);
  }
}
