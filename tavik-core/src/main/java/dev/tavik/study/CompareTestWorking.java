package dev.tavik.study;

import dev.tavik.count.NamedTally;
import dev.tavik.result.TestResult;
import dev.tavik.result.Working;
import java.util.List;

/** The z tests of two proportions as they are done by hand, line by line. */
final class CompareTestWorking {
  private CompareTestWorking() {}

  static List<Working> of(
      NamedTally first, NamedTally second, CompareSettings settings, List<TestResult> results) {
    return List.of();
  }
}
