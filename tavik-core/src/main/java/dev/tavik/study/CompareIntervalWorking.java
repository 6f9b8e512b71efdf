package dev.tavik.study;

import dev.tavik.count.NamedTally;
import dev.tavik.result.Working;
import java.util.List;

/** The closed-form intervals of two proportions as they are done by hand, line by line. */
final class CompareIntervalWorking {
  private CompareIntervalWorking() {}

  static List<Working> of(NamedTally first, NamedTally second, CompareSettings settings) {
    return List.of();
  }
}
