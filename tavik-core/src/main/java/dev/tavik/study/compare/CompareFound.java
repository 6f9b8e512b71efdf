package dev.tavik.study.compare;

import dev.tavik.count.NamedTally;
import dev.tavik.result.Estimand;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicable;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DirectedTest;
import dev.tavik.study.parts.Preference;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the methods made of two proportions; verdict, cautions and findings are read off it. */
record CompareFound(
    CompareQuestion question, Made made, List<Interval> intervals, Preference preference) {

  /** Tests, those that declined, and the one-sided ones behind a p-value. */
  record Made(List<TestResult> tests, List<NotApplicable> refusals, List<DirectedTest> oneSided) {
    Made {
      tests = List.copyOf(tests);
      refusals = List.copyOf(refusals);
      oneSided = List.copyOf(oneSided);
    }
  }

  String label() {
    return question.label();
  }

  NamedTally first() {
    return question.first();
  }

  NamedTally second() {
    return question.second();
  }

  CompareSettings settings() {
    return question.settings();
  }

  @Nullable Provenance from() {
    return question.from();
  }

  List<TestResult> tests() {
    return made.tests();
  }

  String order() {
    return question.order();
  }

  TestResult preferredTest() {
    return preference.among(tests());
  }

  Interval preferredInterval() {
    Estimand wanted =
        intervals.stream().anyMatch(each -> each.quantity() == Estimand.DIFFERENCE)
            ? Estimand.DIFFERENCE
            : intervals.get(0).quantity();
    return intervals.stream()
        .filter(
            each ->
                each.quantity() == wanted
                    && each.method() == preference.interval()
                    && each.side() == settings().hypothesis().alternative().matchingSide())
        .findFirst()
        .orElseThrow();
  }

  CompareFound withTests(List<TestResult> adjusted) {
    return new CompareFound(
        question, new Made(adjusted, made.refusals(), made.oneSided()), intervals, preference);
  }
}
