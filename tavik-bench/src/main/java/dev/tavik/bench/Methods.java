package dev.tavik.bench;

import dev.tavik.count.Tally;
import dev.tavik.proportion.DifferenceInterval;
import dev.tavik.proportion.OddsRatioInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.RatioInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Hypothesis;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.IntToDoubleFunction;

/** How long tests and intervals of one and two proportions take, warm. */
public final class Methods {
  private static final Hypothesis NO_DIFFERENCE = Hypothesis.noDifference();

  private Methods() {}

  /**
   * Times every method, or those whose line contains a word.
   *
   * @param arguments a word; none for all
   */
  public static void main(String[] arguments) {
    System.out.printf("%-44s %12s %12s %12s%n", "microseconds a call", "least", "median", "most");
    work()
        .forEach(
            (name, each) -> {
              if (arguments.length == 0 || name.contains(arguments[0])) {
                Timing.Result result = Timing.of(each);
                System.out.printf(
                    "%-44s %12.3f %12.3f %12.3f%n",
                    name, result.least(), result.median(), result.greatest());
              }
            });
    System.out.println("(all results together: " + Timing.kept() + ")");
  }

  /** Each call gets counts a little different from the last, so that nothing can be remembered. */
  private static Map<String, IntToDoubleFunction> work() {
    Map<String, IntToDoubleFunction> work = new LinkedHashMap<>();
    for (long n : new long[] {400, 10_000, 1_000_000}) {
      work.put(
          "rate exact, n = " + n,
          i -> ProportionTest.EXACT.of(some(n, i), Hypothesis.twoSided(0.1)).pValue());
      work.put(
          "rate clopper-pearson, n = " + n,
          i -> ProportionInterval.CLOPPER_PEARSON.of(some(n, i), 0.95).upper());
    }
    for (long n : new long[] {50, 5_000, 500_000}) {
      put(work, TwoProportionTest.FISHER, n);
    }
    for (long n : new long[] {50, 200, 1_000}) {
      put(work, TwoProportionTest.BARNARD, n);
      put(work, TwoProportionTest.BOSCHLOO, n);
    }
    work.put(
        "z-pooled, two wilson and a newcombe, n = 400",
        i -> {
          Tally first = some(400, i);
          Tally second = some(400, i + 5);
          return TwoProportionTest.Z_POOLED.of(first, second, NO_DIFFERENCE).pValue()
              + ProportionInterval.WILSON.of(first, 0.95).lower()
              + ProportionInterval.WILSON.of(second, 0.95).lower()
              + DifferenceInterval.NEWCOMBE.of(first, second, 0.95).lower();
        });
    work.put(
        "mee, n = 400",
        i -> DifferenceInterval.MEE.of(some(400, i), some(400, i + 5), 0.95).lower());
    work.put(
        "koopman, n = 400",
        i -> RatioInterval.KOOPMAN.of(some(400, i), some(400, i + 5), 0.95).lower());
    work.put(
        "conditional-exact, n = 400",
        i -> OddsRatioInterval.CONDITIONAL_EXACT.of(some(400, i), some(400, i + 5), 0.95).lower());
    return work;
  }

  private static void put(Map<String, IntToDoubleFunction> work, TwoProportionTest test, long n) {
    work.put(
        test.id() + ", n = " + n + " + " + n,
        i -> test.of(some(n, i), some(n, 3 * i + 7), NO_DIFFERENCE).pValue());
  }

  /** About a tenth of n, differing from call to call. */
  private static Tally some(long n, int i) {
    long spread = Math.max(3, (long) Math.sqrt((double) n));
    return Tally.of(Math.min(n, n / 10 + i % spread), n);
  }
}
