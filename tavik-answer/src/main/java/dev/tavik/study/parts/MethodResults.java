package dev.tavik.study.parts;

import dev.tavik.answer.NotApplicable;
import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;
import java.util.List;

/**
 * What methods made of one member, and which of them declined.
 *
 * @param tests the tests
 * @param refusals the tests that declined
 * @param intervals the intervals, each followed by its bound if there is one
 * @param without the intervals that declined
 */
public record MethodResults(
    List<TestResult> tests,
    List<NotApplicable> refusals,
    List<Interval> intervals,
    List<NotApplicable> without) {

  /** The same with adjusted tests. */
  public MethodResults with(List<TestResult> adjusted) {
    return new MethodResults(adjusted, refusals, intervals, without);
  }
}
