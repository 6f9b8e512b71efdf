package dev.tavik.bench;

import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.SampleSize;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Hypothesis;
import java.util.ArrayList;
import java.util.List;

/** Power and sample size by exact tests. */
final class PlanWork {
  private static final double BASE = 0.08;
  private static final double EXPECTED = 0.05;

  private PlanWork() {}

  static List<Benchmark> all() {
    List<Benchmark> work = new ArrayList<>();
    int[] sizes = {200, 500, 1468};
    String[] before = {"6", "9", "15"};
    for (int s = 0; s < sizes.length; s++) {
      int n = sizes[s];
      work.add(
          Benchmark.of(
              "exact power of fisher, n = " + n + " a group",
              i -> FisherPower.of(n, EXPECTED, BASE, 0.05 - i % 10 * 1e-4),
              i ->
                  TwoProportionTest.FISHER
                      .criticalPairs(n, n, Hypothesis.twoSided(0), 0.05 - i % 10 * 1e-4)
                      .chance(EXPECTED, BASE),
              before[s],
              "2"));
    }
    work.add(
        Benchmark.of(
            "n of fisher for 90 %, 1468 a group",
            i -> FisherPower.smallest(BASE, EXPECTED, 0.05, 0.9 - i % 10 * 1e-5),
            i ->
                SampleSize.of(
                        CompareDesign.of(
                            TwoProportionTest.FISHER, BASE, Hypothesis.twoSided(0), 0.05),
                        EXPECTED,
                        0.9 - i % 10 * 1e-5)
                    .lookedTo(),
            "22",
            "2"));
    return work;
  }
}
