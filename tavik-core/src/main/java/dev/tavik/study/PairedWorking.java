package dev.tavik.study;

import dev.tavik.count.PairedTally;
import dev.tavik.result.TestResult;
import dev.tavik.result.Working;
import java.util.List;

/** The tests and closed-form intervals of paired proportions as they are done by hand. */
final class PairedWorking {
  private PairedWorking() {}

  static List<Working> of(PairedTally tally, PairedSettings settings, List<TestResult> results) {
    return List.of();
  }
}
