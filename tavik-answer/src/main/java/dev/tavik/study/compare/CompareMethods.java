package dev.tavik.study.compare;

import dev.tavik.answer.NotApplicable;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import dev.tavik.study.parts.DirectedTest;
import dev.tavik.study.parts.MethodResults;
import dev.tavik.study.parts.Refusals;
import dev.tavik.study.parts.VerdictBasis;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;

/** Collects what the methods say of two groups, and which of them declined. */
final class CompareMethods {
  private final CompareAsked asked;
  private final List<TestResult> tests = new ArrayList<>();
  private final List<NotApplicable> refusals = new ArrayList<>();
  private final List<DirectedTest> oneSided = new ArrayList<>();
  private final List<Interval> intervals = new ArrayList<>();
  private final List<NotApplicable> without = new ArrayList<>();

  CompareMethods(CompareAsked asked) {
    this.asked = asked;
  }

  /** Makes a test of every hypothesis behind the claim; the largest p-value counts. */
  void test(Method method, Function<Hypothesis, TestResult> made) {
    try {
      List<DirectedTest> each =
          asked.claim().tested().stream()
              .map(hypothesis -> new DirectedTest(hypothesis, made.apply(hypothesis)))
              .toList();
      tests.add(
          each.stream()
              .map(DirectedTest::result)
              .max(Comparator.comparingDouble(TestResult::log10PValue))
              .orElseThrow());
      if (each.size() > 1) {
        oneSided.addAll(each);
      }
    } catch (NotApplicableException | ArithmeticException e) {
      refusals.add(Refusals.of(method, e));
    }
  }

  /** Makes an interval, and its bound where a direction is asked about. */
  void limits(Method method, Function<Side, Interval> made) {
    Refusals.limits(method, made, asked.matching(), intervals, without);
  }

  List<TestResult> tests() {
    return tests;
  }

  List<NotApplicable> refusals() {
    return refusals;
  }

  List<Interval> intervals() {
    return intervals;
  }

  boolean hasMade(Method method) {
    return tests.stream().anyMatch(test -> test.method() == method);
  }

  boolean hasDeclined(Method method) {
    return refusals.stream().anyMatch(each -> each.method() == method)
        || without.stream().anyMatch(each -> each.method() == method);
  }

  CompareFound found(PairData data, boolean alone, VerdictBasis basis) {
    MethodResults made = new MethodResults(tests, refusals, intervals, without);
    return new CompareFound(asked, data, alone, made, oneSided, basis);
  }
}
