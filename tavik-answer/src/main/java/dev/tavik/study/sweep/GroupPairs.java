package dev.tavik.study.sweep;

import dev.tavik.result.Adjustment;
import dev.tavik.result.TestResult;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * Tests of each two groups, with p-values adjusted by Holm's method over all pairs.
 *
 * @param groups the groups
 * @param alpha the significance level
 */
record GroupPairs(List<String> groups, double alpha) {
  /** Compares two groups by their positions; null where they can't be compared. */
  interface Comparison {
    @Nullable TestResult of(int one, int other);
  }

  private record Pair(int one, int other, TestResult test) {}

  /** For each group, the groups whose share is smaller. */
  List<List<String>> smaller(Comparison comparison, IntToDoubleFunction share) {
    List<Pair> pairs = pairs(comparison);
    List<TestResult> adjusted = Adjustment.HOLM.of(pairs.stream().map(Pair::test).toList());
    List<List<String>> smaller = new ArrayList<>();
    groups.forEach(group -> smaller.add(new ArrayList<>()));
    for (int i = 0; i < pairs.size(); i++) {
      if (adjusted.get(i).rejectsAdjusted(alpha)) {
        int one = pairs.get(i).one();
        int other = pairs.get(i).other();
        boolean first = share.applyAsDouble(one) > share.applyAsDouble(other);
        smaller.get(first ? one : other).add(groups.get(first ? other : one));
      }
    }
    return smaller;
  }

  private List<Pair> pairs(Comparison comparison) {
    List<Pair> pairs = new ArrayList<>();
    for (int one = 0; one < groups.size(); one++) {
      for (int other = one + 1; other < groups.size(); other++) {
        TestResult test = comparison.of(one, other);
        if (test != null) {
          pairs.add(new Pair(one, other, test));
        }
      }
    }
    return pairs;
  }
}
