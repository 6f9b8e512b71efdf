package dev.tavik.bench;

import dev.tavik.count.Tally;
import dev.tavik.proportion.ComparisonInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Hypothesis;
import dev.tavik.tail.Tail;
import java.util.ArrayList;
import java.util.List;

/** Tests and intervals of proportions. */
final class MethodWork {
  private static final Hypothesis NO_DIFFERENCE = Hypothesis.noDifference();

  private MethodWork() {}

  static List<Benchmark> all() {
    List<Benchmark> work = new ArrayList<>();
    work.add(
        Benchmark.of(
            "chi-square p, two wilson, newcombe",
            i -> Kernels.comparison(part(400, i), 400, part(400, i + 5), 400),
            i -> {
              Tally first = Tally.of(some(400, i), 400);
              Tally second = Tally.of(some(400, i + 5), 400);
              return TwoProportionTest.Z_POOLED.of(first, second, NO_DIFFERENCE).pValue()
                  + ProportionInterval.WILSON.of(first, 0.95).lower()
                  + ProportionInterval.WILSON.of(second, 0.95).lower()
                  + ComparisonInterval.DIFFERENCE_NEWCOMBE.of(first, second, 0.95).lower();
            },
            "11",
            "2"));
    fisher(work, 50, "12", "2");
    fisher(work, 5_000, "3.5", "1.5");
    fisher(work, 500_000, "2", "1.5");
    fisher(work, 50_000_000, "2.2", "1.5");
    String[] before = {"1.9", "8", "53"};
    long[] sizes = {100, 10_000, 1_000_000};
    for (int s = 0; s < sizes.length; s++) {
      long n = sizes[s];
      work.add(
          Benchmark.of(
              "clopper-pearson, n = " + n,
              i -> Kernels.clopperPearson(part(n, i), (double) n),
              i -> ProportionInterval.CLOPPER_PEARSON.of(Tally.of(some(n, i), n), 0.95).upper(),
              before[s],
              "2"));
    }
    for (long n : new long[] {100, 10_000, 1_000_000, 100_000_000}) {
      work.add(
          Benchmark.of(
              "mid-p, n = " + n,
              i -> Kernels.clopperPearson(part(n, i), (double) n),
              i -> ProportionInterval.MID_P.of(Tally.of(some(n, i), n), 0.95).upper(),
              n == 1_000_000 ? "60" : "",
              n == 1_000_000 ? "6" : "flat"));
    }
    for (long n : new long[] {100, 10_000, 1_000_000, 100_000_000}) {
      work.add(
          Benchmark.watched(
              "blaker, n = " + n,
              i -> ProportionInterval.BLAKER.of(Tally.of(some(n, i), n), 0.95).upper(),
              n == 1_000_000 ? "2036 µs" : "",
              "flat"));
    }
    for (long n : new long[] {400, 1_000_000}) {
      work.add(
          Benchmark.watched(
              "conditional-exact odds ratio, n = " + n,
              i ->
                  ComparisonInterval.ODDS_RATIO_CONDITIONAL_EXACT
                      .of(Tally.of(some(n, i), n), Tally.of(some(n, i + 5), n), 0.95)
                      .lower(),
              n == 400 ? "" : "1251 µs",
              n == 400 ? "" : "400 µs"));
    }
    for (TwoProportionTest test : List.of(TwoProportionTest.BARNARD, TwoProportionTest.BOSCHLOO)) {
      for (int n : new int[] {50, 200, 1000}) {
        work.add(
            Benchmark.of(
                test.id() + ", less, n = " + n + " + " + n,
                i -> SizeKernel.barnard((int) some(n, i), (int) some(n, 3 * i + 7), n),
                i ->
                    test.of(
                            Tally.of(some(n, i), n),
                            Tally.of(some(n, 3 * i + 7), n),
                            Hypothesis.less(0))
                        .pValue(),
                test == TwoProportionTest.BARNARD ? "2.1" : "2.4-4.6",
                "2"));
      }
    }
    double[] lambdas = {10, 300, 900, 100_000};
    String[] noncentral = {"3.4", "2.7", "2.2", "1.5"};
    for (int l = 0; l < lambdas.length; l++) {
      double lambda = lambdas[l];
      work.add(
          Benchmark.of(
              "noncentral chi-square, lambda = " + lambda,
              i -> Kernels.noncentral(lambda + i % 100, 6, Math.min(lambda, 900)),
              i -> Tail.chiSquare(6, lambda).upper(lambda + i % 100),
              noncentral[l],
              "2"));
    }
    return work;
  }

  private static void fisher(List<Benchmark> work, long n, String before, String wanted) {
    work.add(
        Benchmark.of(
            "fisher two-sided, n = " + 2 * n,
            i -> Kernels.fisher(part(n, i), (double) n, part(n, 3 * i + 7), (double) n),
            i ->
                TwoProportionTest.FISHER
                    .of(Tally.of(some(n, i), n), Tally.of(some(n, 3 * i + 7), n), NO_DIFFERENCE)
                    .pValue(),
            before,
            wanted));
  }

  private static double part(long n, int i) {
    return (double) some(n, i);
  }

  /** About a tenth of n, differing from call to call. */
  static long some(long n, int i) {
    long spread = Math.max(3, (long) Math.sqrt((double) n));
    return Math.min(n, n / 10 + i % spread);
  }
}
