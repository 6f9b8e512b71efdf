package dev.tavik.bench;

import dev.tavik.association.Shares;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.CrossTable;
import dev.tavik.count.Tally;
import dev.tavik.result.Hypothesis;
import dev.tavik.simulation.Draws;
import dev.tavik.simulation.NullWorld;
import java.util.ArrayList;
import java.util.List;

/** Worlds in which a null is true; the processor time of all threads counts. */
final class DrawWork {
  private DrawWork() {}

  static List<Benchmark> all() {
    List<Benchmark> work = new ArrayList<>();
    NullWorld rate = NullWorld.ofRate(Tally.of(14, 400), Hypothesis.twoSided(0.05));
    int rates = 10_000_000;
    work.add(
        Benchmark.of(
                "10000000 draws of a rate",
                i -> new DrawKernels(i).rates(400, 0.05, rates),
                i -> rate.simulate(Draws.of(rates, i)).draws(),
                "1.7",
                "1.1")
            .onAllThreads());
    CategoryCounts glazes =
        CategoryCounts.of(
            List.of("ash", "celadon", "cobalt", "iron", "plain", "other"),
            List.of(130L, 95L, 105L, 90L, 92L, 88L));
    double[] claimed = {0.2, 0.15, 0.2, 0.15, 0.15, 0.15};
    NullWorld shares = NullWorld.ofShares(glazes, Shares.of(claimed));
    int samples = 500_000;
    work.add(
        Benchmark.of(
                "500000 draws of six shares",
                i -> new DrawKernels(i).shares(600, claimed, samples),
                i -> shares.simulate(Draws.of(samples, i)).draws(),
                "11",
                "1.1")
            .onAllThreads());
    CrossTable table = TableWork.random(10, 10, 1000, 1);
    NullWorld tables = NullWorld.ofTable(table);
    work.add(
        Benchmark.of(
                "50000 tables of ten by ten",
                i -> new DrawKernels(i).tables(table, 50_000),
                i -> tables.simulate(Draws.of(50_000, i)).draws(),
                "1.7",
                "1.1")
            .onAllThreads());
    return work;
  }
}
