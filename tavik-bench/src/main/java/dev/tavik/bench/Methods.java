package dev.tavik.bench;

import dev.tavik.association.AssociationMeasure;
import dev.tavik.association.TableTest;
import dev.tavik.bayes.BayesFactorPath;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.ComparedRates;
import dev.tavik.count.CrossTable;
import dev.tavik.count.OutcomeSequence;
import dev.tavik.count.Tally;
import dev.tavik.planning.CompareDesign;
import dev.tavik.planning.RateDesign;
import dev.tavik.planning.SampleSize;
import dev.tavik.proportion.DifferenceInterval;
import dev.tavik.proportion.OddsRatioInterval;
import dev.tavik.proportion.ProportionInterval;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.RatioInterval;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Quantity;
import dev.tavik.simulation.Draws;
import dev.tavik.simulation.NullWorld;
import dev.tavik.tail.Tail;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;

/** How long tests and intervals of proportions and tables take, warm. */
public final class Methods {
  private static final Hypothesis NO_DIFFERENCE = Hypothesis.noDifference();

  private static final int MILLION = 1_000_000;

  private Methods() {}

  /**
   * Times every method, or those whose line contains a word.
   *
   * @param arguments a word; none for all
   */
  public static void main(String[] arguments) {
    System.out.printf(
        Locale.ROOT, "%-44s %12s %12s %12s%n", "microseconds a call", "least", "median", "most");
    work()
        .forEach(
            (name, each) -> {
              if (arguments.length == 0 || name.contains(arguments[0])) {
                Timing.Result result = Timing.of(each);
                System.out.printf(
                    Locale.ROOT,
                    "%-44s %12.3f %12.3f %12.3f%n",
                    name,
                    result.least(),
                    result.median(),
                    result.greatest());
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
    work.put(
        "cramers-v with its interval, 3 x 4",
        i ->
            AssociationMeasure.CRAMERS_V
                .interval(random(3, 4, 1000, i), 0.95)
                .orElseThrow()
                .lower());
    bayes(work);
    tables(work);
    simulations(work);
    plans(work);
    return work;
  }

  /** On all processors there are; the time is that of one of them. */
  private static void simulations(Map<String, IntToDoubleFunction> work) {
    NullWorld table = NullWorld.ofTable(random(4, 4, 384, 1));
    NullWorld rate = NullWorld.ofRate(Tally.of(14, 400), Hypothesis.twoSided(0.05));
    NullWorld kilns =
        NullWorld.shuffled(Tally.of(16, 408), Tally.of(8, 385), Alternative.TWO_SIDED);
    work.put("simulation, 1000000 tables 4 x 4", i -> table.simulate(Draws.of(MILLION, i)).draws());
    work.put("simulation, 10000000 rates", i -> rate.simulate(Draws.of(10L * MILLION, i)).draws());
    work.put(
        "simulation, 10000000 shuffles", i -> kilns.simulate(Draws.of(10L * MILLION, i)).draws());
  }

  private static void plans(Map<String, IntToDoubleFunction> work) {
    for (double lambda : new double[] {10, 300, 900, 2000, 100_000}) {
      work.put(
          "noncentral chi-square, lambda = " + lambda,
          i -> Tail.chiSquare(6, lambda).upper(lambda + i % 100));
    }
    for (TwoProportionTest test :
        List.of(TwoProportionTest.Z_POOLED, TwoProportionTest.FISHER, TwoProportionTest.BOSCHLOO)) {
      work.put(
          "plan, exact power of " + test.id() + ", n = 500 + 500",
          i ->
              test.criticalPairs(500, 500, Hypothesis.twoSided(0), 0.05 - i % 10 * 1e-4)
                  .chance(0.08, 0.05));
    }
    work.put(
        "plan, n of exact, about 7300",
        i ->
            SampleSize.of(
                    RateDesign.of(ProportionTest.EXACT, Hypothesis.twoSided(0.08), 0.05),
                    0.07 - i % 10 * 1e-5,
                    0.9)
                .lookedTo());
    work.put(
        "plan, n of fisher, about 450 a group",
        i ->
            SampleSize.of(
                    CompareDesign.of(TwoProportionTest.FISHER, 0.08, Hypothesis.twoSided(0), 0.05),
                    0.035 - i % 10 * 1e-5,
                    0.8)
                .lookedTo());
  }

  private static void bayes(Map<String, IntToDoubleFunction> work) {
    BetaPrior prior = BetaPrior.uniform();
    for (long n : new long[] {400, 1_000_000}) {
      work.put(
          "bayes, P(first > second), n = " + n,
          i -> ComparedRates.of(prior, some(n, i), some(n, i + 5)).above(Quantity.DIFFERENCE, 0));
      work.put(
          "bayes, limits of a difference, n = " + n,
          i ->
              ComparedRates.of(prior, some(n, i), some(n, i + 5))
                  .equalTailed(Quantity.DIFFERENCE, 0.95)
                  .lower());
    }
    BitSet successes = new BitSet();
    SplittableRandom random = new SplittableRandom(3);
    for (int i = 0; i < MILLION; i++) {
      successes.set(i, random.nextDouble() < 0.052);
    }
    OutcomeSequence sequence = OutcomeSequence.of(successes, MILLION);
    work.put(
        "bayes, a sequence of 1000000",
        i ->
            BayesFactorPath.of(sequence, Hypothesis.less(0.05 + i % 10 * 1e-4), prior)
                .log(MILLION - 1));
  }

  /**
   * Fisher's test of tables beyond two by two: two that were published as hard, the others random.
   * Where one call fills a batch, only the first of ten random tables is timed.
   */
  private static void tables(Map<String, IntToDoubleFunction> work) {
    CrossTable wide =
        table("1 2 2 1 1 0 1;2 0 0 2 3 0 0;0 1 1 1 2 7 3;1 1 2 0 0 0 1;0 1 1 1 1 0 0");
    CrossTable square = table("1 2 1 0;3 3 6 1;10 10 14 9;6 7 12 11");
    work.put("fisher r x c, published 5 x 7", i -> TableTest.FISHER.of(wide).pValue());
    work.put("fisher r x c, published 4 x 4", i -> TableTest.FISHER.of(square).pValue());
    int[][] shapes = {
      {4, 6, 100},
      {6, 6, 60},
      {2, 20, 200},
      {3, 10, 150},
      {5, 5, 100},
      {8, 8, 64},
      {3, 3, 2000},
      {2, 5, 10_000}
    };
    for (int[] shape : shapes) {
      work.put(
          String.format(Locale.ROOT, "fisher r x c, %d x %d, n = %d", shape[0], shape[1], shape[2]),
          i -> TableTest.FISHER.of(random(shape[0], shape[1], shape[2], i)).pValue());
    }
  }

  private static CrossTable table(String cells) {
    List<List<Long>> rows =
        Arrays.stream(cells.split(";"))
            .map(row -> Arrays.stream(row.split(" ")).map(Long::valueOf).toList())
            .toList();
    return new CrossTable(names(rows.size()), names(rows.get(0).size()), rows);
  }

  private static List<String> names(int size) {
    return IntStream.range(0, size).mapToObj(Integer::toString).toList();
  }

  /** Units that fall into all cells alike; one of ten tables, since each has its own margins. */
  private static CrossTable random(int rows, int columns, int units, int seed) {
    SplittableRandom random = new SplittableRandom(seed % 10);
    long[][] cells = new long[rows][columns];
    for (int unit = 0; unit < units; unit++) {
      cells[random.nextInt(rows)][random.nextInt(columns)]++;
    }
    return new CrossTable(
        names(rows),
        names(columns),
        Arrays.stream(cells).map(row -> Arrays.stream(row).boxed().toList()).toList());
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
