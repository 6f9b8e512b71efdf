package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.answer.Verdict;
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
public record Preference(Method test, Method interval, String reason) {
  /** Returns why a test was chosen that was the only one, or the first, asked for. */
  public static String asked(Method test, boolean only) {
    return test.id()
        + (only ? " is the only test asked for" : " is the first of the tests asked for");
  }

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
    return verdict.restingOn(test, interval, say("The verdict rests on %s: %s.", both(), reason));
  }

  /** A test and an interval may have one name. */
  private String both() {
    return test.id().equals(interval.id())
        ? test.id() + ", test and interval"
        : test.id() + " and " + interval.id();
  }

  public Verdict onEach(Verdict verdict, String members, String more) {
    return verdict.restingOn(
        test, interval, say("The verdict rests on %s for every %s.%s", both(), members, more));
  }

  /** The same of pairs, whose intervals nothing adjusts. */
  public Verdict onEachPair(Verdict verdict) {
    return onEach(
        verdict, "pair", " Intervals are each for itself, not adjusted for the number of pairs.");
  }
}
