package dev.tavik.study;

import dev.tavik.result.TestResult;
import dev.tavik.result.TestResult.AdjustedP;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Holm's adjustment of several p-values (1979, "A simple sequentially rejective multiple test
 * procedure", Scandinavian Journal of Statistics 6, 65-70): the k-th smallest of m is multiplied by
 * m - k + 1, and none may fall below one before it. Worked on logarithms, so that a p-value that
 * has underflowed keeps its order.
 */
final class Holm {
  private Holm() {}

  /** Adjusts each method over all groups. */
  static List<RateAnswer> adjust(List<RateAnswer> groups) {
    List<List<TestResult>> tests = new ArrayList<>();
    groups.forEach(group -> tests.add(new ArrayList<>(group.tests())));
    for (int method = 0; method < tests.get(0).size(); method++) {
      int position = method;
      List<TestResult> adjusted =
          adjusted(tests.stream().map(group -> group.get(position)).toList());
      IntStream.range(0, groups.size())
          .forEach(group -> tests.get(group).set(position, adjusted.get(group)));
    }
    return IntStream.range(0, groups.size())
        .mapToObj(group -> groups.get(group).withTests(tests.get(group)))
        .toList();
  }

  private static List<TestResult> adjusted(List<TestResult> raw) {
    List<TestResult> adjusted = new ArrayList<>(raw);
    List<Integer> ascending =
        IntStream.range(0, raw.size())
            .boxed()
            .sorted(Comparator.comparingDouble(i -> raw.get(i).log10PValue()))
            .toList();
    double floor = Double.NEGATIVE_INFINITY;
    double floorP = 0;
    for (int rank = 0; rank < raw.size(); rank++) {
      int factor = raw.size() - rank;
      TestResult test = raw.get(ascending.get(rank));
      floor = Math.min(0, Math.max(floor, test.log10PValue() + Math.log10(factor)));
      floorP = Math.min(1, Math.max(floorP, test.pValue() * factor));
      adjusted.set(ascending.get(rank), test.withAdjusted(new AdjustedP(floorP, floor)));
    }
    return adjusted;
  }
}
