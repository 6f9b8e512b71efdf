package dev.tavik.study.parts;

import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
import dev.tavik.phrase.Reasons;
import dev.tavik.result.Interval;
import dev.tavik.result.Method;
import dev.tavik.result.Side;
import dev.tavik.result.TestResult;
import java.util.List;

/**
 * Which test and interval a verdict rests on, and why.
 *
 * @param test the test
 * @param interval the interval
 * @param reason why these, in words
 */
public record VerdictBasis(Method test, Method interval, String reason) {
  /** Returns the result of the test, of those that were made. */
  public TestResult among(List<TestResult> tests) {
    return tests.stream().filter(each -> each.method() == test).findFirst().orElseThrow();
  }

  /** Returns the limits of the interval on a side, of those that were made. */
  public Interval among(List<Interval> intervals, Side side) {
    return intervals.stream()
        .filter(each -> each.method() == interval && each.side() == side)
        .findFirst()
        .orElseThrow();
  }

  public Finding finding() {
    return Finding.fact(
        "preferred",
        Value.fields()
            .with("test", test.id())
            .with("interval", interval.id())
            .with("reason", reason));
  }

  public Verdict on(Verdict verdict) {
    return verdict.restingOn(test, interval, Reasons.restsOn(test, interval, reason));
  }

  /** The verdict on several members. */
  public Verdict onEach(Verdict verdict, String member) {
    return verdict.restingOn(test, interval, Reasons.restsOnForEvery(test, interval, member));
  }

  /** The verdict on several pairs, whose intervals nothing adjusts. */
  public Verdict onEachPair(Verdict verdict) {
    return verdict.restingOn(
        test,
        interval,
        Reasons.restsOnForEvery(test, interval, "pair") + Reasons.pairsNotAdjusted());
  }
}
