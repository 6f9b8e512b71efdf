package dev.tavik.study.compare;

import dev.tavik.result.Interval;
import dev.tavik.result.TestResult;

/**
 * Two groups, and what a verdict on them rests on.
 *
 * @param one the name of the first
 * @param two the name of the second
 * @param test the test
 * @param interval the interval
 */
record Compared(String one, String two, TestResult test, Interval interval) {
  static Compared of(CompareFound found) {
    return new Compared(
        found.first().name(),
        found.second().name(),
        found.preferredTest(),
        found.preferredInterval());
  }
}
