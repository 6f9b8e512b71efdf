package dev.tavik.study.compare;

import dev.tavik.answer.Verdict;
import dev.tavik.count.NamedTally;
import dev.tavik.phrase.ComparisonVerdicts;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.NotApplicable;
import dev.tavik.result.TestResult;
import dev.tavik.study.Provenance;
import dev.tavik.study.parts.DirectedTest;
import dev.tavik.study.parts.VerdictBasis;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The results of all methods for two proportions; verdict, cautions and findings are derived from
 * it.
 */
record CompareFound(
    CompareQuestion question, Made made, List<Interval> intervals, VerdictBasis preference) {

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

  ComparisonVerdicts.Pair pair() {
    double one = first().tally().proportion();
    double two = second().tally().proportion();
    return new ComparisonVerdicts.Pair(
        first().name(),
        second().name(),
        rate(first(), two) + ", " + rate(second(), one),
        one - two,
        preferredTest(),
        preferredInterval());
  }

  private static String rate(NamedTally group, double other) {
    return ComparisonVerdicts.rate(
        group.name(),
        group.tally().proportion(),
        other,
        Figures.outOf(group.tally().successes(), group.tally().trials()));
  }

  Verdict verdict() {
    return preference.on(
        ComparisonVerdicts.pair(label(), pair(), settings().claim(), settings().alpha()));
  }

  CompareFound withTests(List<TestResult> adjusted) {
    return new CompareFound(
        question, new Made(adjusted, made.refusals(), made.oneSided()), intervals, preference);
  }
}
