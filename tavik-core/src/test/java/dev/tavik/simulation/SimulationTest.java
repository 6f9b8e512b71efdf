package dev.tavik.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.tavik.association.Shares;
import dev.tavik.association.SharesTest;
import dev.tavik.association.TableTest;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.CrossTable;
import dev.tavik.count.PairedTally;
import dev.tavik.count.Tally;
import dev.tavik.proportion.FinitePopulationTest;
import dev.tavik.proportion.PairedTest;
import dev.tavik.proportion.ProportionTest;
import dev.tavik.proportion.TwoProportionTest;
import dev.tavik.result.Alternative;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.NotApplicableException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ForkJoinPool;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.rng.core.source64.XoShiRo256PlusPlus;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

@Order(1)
class SimulationTest {
  /** Five standard errors: at fixed seeds either right for good or wrong for good. */
  private static final double BOUND = 5;

  private static void assertEstimates(Simulation simulation, String method, double exact) {
    SimulatedTail tail =
        simulation.tails().stream()
            .filter(each -> each.method().id().equals(method))
            .findFirst()
            .orElseThrow();
    double error = Math.sqrt(exact * (1 - exact) / tail.draws());
    assertThat(tail.pValue())
        .as(method)
        .isCloseTo(exact, within(BOUND * error + 2.0 / tail.draws()));
    assertThat(tail.hits()).isEqualTo(tail.lowerHits() + tail.upperHits());
    assertThat(tail.interval().lower()).isLessThanOrEqualTo(tail.pValue());
    assertThat(tail.interval().upper()).isGreaterThanOrEqualTo(tail.pValue());
    assertThat(simulation.histogram().counts().stream().mapToLong(Long::longValue).sum())
        .isEqualTo(tail.draws());
  }

  @ParameterizedTest
  @EnumSource(Alternative.class)
  void countsAgreeWithTheirExactTests(Alternative alternative) {
    Draws draws = Draws.of(1_000_000, 11);
    Tally first = Tally.of(14, 400);
    Tally second = Tally.of(31, 410);
    Hypothesis hypothesis = new Hypothesis(0.05, alternative);
    assertEstimates(
        NullWorld.ofRate(first, hypothesis).simulate(draws),
        "exact",
        ProportionTest.EXACT.of(first, hypothesis).pValue());
    assertEstimates(
        NullWorld.ofLot(Tally.of(2, 60), 500, hypothesis).simulate(draws),
        "exact",
        FinitePopulationTest.EXACT.of(Tally.of(2, 60), 500, hypothesis).pValue());
    assertEstimates(
        NullWorld.shuffled(first, second, alternative).simulate(draws),
        "fisher",
        TwoProportionTest.FISHER.of(first, second, new Hypothesis(0, alternative)).pValue());
    PairedTally pairs = PairedTally.of(49, 3, 10, 178);
    assertEstimates(
        NullWorld.signFlips(pairs, alternative).simulate(draws),
        "mcnemar-exact",
        PairedTest.MCNEMAR_EXACT.of(pairs, alternative).pValue());
  }

  /** Both groups drawn anew: every pair of outcomes by its binomial probability. */
  @ParameterizedTest
  @CsvSource({"3, 20, 9, 25", "0, 12, 4, 15", "7, 9, 2, 8"})
  void pooledDrawsAgreeWithAllPairsOfOutcomes(int x1, int n1, int x2, int n2) {
    double rate = (double) (x1 + x2) / (n1 + n2);
    BinomialDistribution first = BinomialDistribution.of(n1, rate);
    BinomialDistribution second = BinomialDistribution.of(n2, rate);
    double observed = squaredZ(x1, n1, x2, n2);
    double exact = 0;
    for (int i = 0; i <= n1; i++) {
      for (int j = 0; j <= n2; j++) {
        if (squaredZ(i, n1, j, n2) >= observed - 1e-9) {
          exact += first.probability(i) * second.probability(j);
        }
      }
    }
    assertEstimates(
        NullWorld.pooled(Tally.of(x1, n1), Tally.of(x2, n2), Alternative.TWO_SIDED)
            .simulate(Draws.of(1_000_000, 5)),
        "z-pooled",
        exact);
  }

  /** Pearson's chi-square of four cells, 0 where a margin is empty. */
  private static double squaredZ(double x1, double n1, double x2, double n2) {
    double successes = x1 + x2;
    double failures = n1 + n2 - successes;
    double cross = x1 * (n2 - x2) - x2 * (n1 - x1);
    return successes * failures == 0
        ? 0
        : (n1 + n2) * cross * cross / (n1 * n2 * successes * failures);
  }

  private static CrossTable table(String cells) {
    List<List<Long>> rows =
        Arrays.stream(cells.split(";", -1))
            .map(row -> Stream.of(row.strip().split(" ", -1)).map(Long::valueOf).toList())
            .toList();
    return new CrossTable(
        IntStream.range(0, rows.size()).mapToObj(i -> "r" + i).toList(),
        IntStream.range(0, rows.get(0).size()).mapToObj(i -> "c" + i).toList(),
        rows);
  }

  @ParameterizedTest
  @CsvSource({
    "1 2 1 0;3 3 6 1;10 10 14 9;6 7 12 11",
    "8 1 4;2 9 3",
    "5 0;1 7",
    "3 0 2;1 8 2;6 1 4",
    // Of few units to a cell, which are shuffled.
    "1 2 1 0 3;3 3 0 1 2;0 1 4 1 1;2 0 1 3 0",
    "1 0 1 2;0 2 1 0;2 1 0 1;1 1 3 0;0 1 0 2"
  })
  void tablesAgreeWithFishersTest(String cells) {
    CrossTable table = table(cells);
    Simulation simulation = NullWorld.ofTable(table).simulate(Draws.of(400_000, 3));
    assertEstimates(simulation, "fisher", TableTest.FISHER.of(table).pValue());
    assertThat(simulation.tails()).extracting(SimulatedTail::method).hasSize(3);
  }

  /** Every table of some margins occurs as often as its hypergeometric probability says. */
  @Test
  void tablesAreDrawnByTheirProbabilities() {
    // Rows 4, 3, 5 and columns 5, 4, 3, one count after another as a table is drawn.
    int[] rows = {4, 3, 5};
    int[] columns = {5, 4, 3};
    Map<String, Integer> drawn = new HashMap<>();
    XoShiRo256PlusPlus random = new XoShiRo256PlusPlus(new long[] {1, 2, 3, 4});
    var logs = new dev.tavik.numeric.LogFactorials(12);
    int draws = 200_000;
    for (int i = 0; i < draws; i++) {
      int a = CountDraws.hypergeometric(random, logs, 12, columns[0], rows[0]);
      int b = CountDraws.hypergeometric(random, logs, 7, columns[1], rows[0] - a);
      int c = CountDraws.hypergeometric(random, logs, 8, columns[0] - a, rows[1]);
      int d =
          CountDraws.hypergeometric(random, logs, 8 - columns[0] + a, columns[1] - b, rows[1] - c);
      drawn.merge(a + " " + b + " " + c + " " + d, 1, Integer::sum);
    }
    double statistic = 0;
    int tables = 0;
    double all = 0;
    for (int a = 0; a <= 4; a++) {
      for (int b = 0; a + b <= 4; b++) {
        for (int c = 0; c <= 3; c++) {
          for (int d = 0; c + d <= 3; d++) {
            int[] cells = {
              a, b, 4 - a - b, c, d, 3 - c - d, 5 - a - c, 4 - b - d, 3 - (4 - a - b) - (3 - c - d)
            };
            if (Arrays.stream(cells).min().orElseThrow() >= 0) {
              double log = logs.log(4) + logs.log(3) + 2 * logs.log(5) + logs.log(4) + logs.log(3);
              for (int cell : cells) {
                log -= logs.log(cell);
              }
              double expected = draws * Math.exp(log - logs.log(12));
              int seen = drawn.getOrDefault(a + " " + b + " " + c + " " + d, 0);
              statistic += (seen - expected) * (seen - expected) / expected;
              all += expected;
              tables++;
            }
          }
        }
      }
    }
    assertThat(all).isCloseTo(draws, within(1e-6));
    assertThat(drawn).hasSizeLessThanOrEqualTo(tables);
    assertThat(ChiSquaredDistribution.of(tables - 1.0).survivalProbability(statistic))
        .isBetween(0.001, 0.999);
  }

  /** Both ways to draw a binomial count, against its probabilities. */
  @ParameterizedTest
  @CsvSource({"20, 0.1", "1000, 0.004", "60, 0.3", "500, 0.9", "1000000, 0.25"})
  void binomialCountsAreDrawnByTheirProbabilities(int n, double p) {
    BinomialDistribution exact = BinomialDistribution.of(n, p);
    double deviation = Math.sqrt(exact.getVariance());
    int[] edges =
        IntStream.rangeClosed(-8, 8)
            .map(i -> (int) Math.floor(exact.getMean() + i * deviation / 3))
            .distinct()
            .toArray();
    long[] seen = new long[edges.length + 1];
    XoShiRo256PlusPlus random = new XoShiRo256PlusPlus(new long[] {7, 2, 3, n});
    int draws = 300_000;
    for (int i = 0; i < draws; i++) {
      long x = CountDraws.binomial(random, n, p);
      int bin = 0;
      while (bin < edges.length && x > edges[bin]) {
        bin++;
      }
      seen[bin]++;
    }
    double statistic = 0;
    double below = 0;
    int bins = 0;
    for (int bin = 0; bin <= edges.length; bin++) {
      double upTo = bin == edges.length ? 1 : exact.cumulativeProbability(edges[bin]);
      double expected = draws * (upTo - below);
      below = upTo;
      if (expected > 0) {
        statistic += (seen[bin] - expected) * (seen[bin] - expected) / expected;
        bins++;
      } else {
        assertThat(seen[bin]).isZero();
      }
    }
    assertThat(ChiSquaredDistribution.of(bins - 1.0).survivalProbability(statistic))
        .isBetween(0.001, 0.999);
  }

  @Test
  void sharesAgreeWithTheExactTest() {
    CategoryCounts counts = CategoryCounts.of(List.of("ash", "iron"), List.of(9L, 31L));
    Shares claimed = Shares.parse(List.of("3:7"));
    Simulation simulation = NullWorld.ofShares(counts, claimed).simulate(Draws.of(500_000, 2));
    // Two categories: X2 orders outcomes by their distance, as the sum over both tails does.
    BinomialDistribution ash = BinomialDistribution.of(40, 0.3);
    double exact = ash.cumulativeProbability(9) + ash.survivalProbability(14);
    assertEstimates(simulation, "pearson", exact);
    assertThat(SharesTest.PEARSON.of(counts, claimed).pValue()).isCloseTo(exact, within(0.1));
  }

  /** Few units by tables of what is left, many by rejection: chi-square is right for both. */
  @ParameterizedTest
  @CsvSource({"600", "60000", "100000000"})
  void sharesOfManyUnitsAgreeWithChiSquare(long n) {
    double[] claimed = {0.2, 0.15, 0.2, 0.15, 0.15, 0.15};
    double step = Math.sqrt(0.3 * n);
    List<Long> seen = new ArrayList<>();
    long left = n;
    for (int i = 0; i < 5; i++) {
      seen.add(Math.round(claimed[i] * n + (i % 2 == 0 ? step : -step)));
      left -= seen.get(i);
    }
    seen.add(left);
    CategoryCounts counts = CategoryCounts.of(List.of("a", "b", "c", "d", "e", "f"), seen);
    Shares shares = Shares.of(claimed);
    Simulation simulation = NullWorld.ofShares(counts, shares).simulate(Draws.of(100_000, 4));
    for (SharesTest test : List.of(SharesTest.PEARSON, SharesTest.LIKELIHOOD_RATIO)) {
      double p = test.of(counts, shares).pValue();
      SimulatedTail tail =
          simulation.tails().stream()
              .filter(each -> each.method() == test)
              .findFirst()
              .orElseThrow();
      assertThat(tail.pValue()).isCloseTo(p, within(5 * Math.sqrt(p / 100_000) + 0.2 / n));
    }
  }

  /** One seed, one answer, whoever computes it. */
  @Test
  void threadsDontMatter() throws Exception {
    CrossTable table = table("3 0 2;1 8 2;6 1 4");
    List<Simulation> seen = new ArrayList<>();
    for (int threads : new int[] {1, 2, 64}) {
      ForkJoinPool pool = new ForkJoinPool(threads);
      try {
        seen.add(pool.submit(() -> NullWorld.ofTable(table).simulate(Draws.of(300_001, 9))).get());
      } finally {
        pool.shutdown();
      }
    }
    assertThat(seen).containsOnly(seen.get(0));
    assertThat(NullWorld.ofTable(table).simulate(Draws.of(300_001, 10))).isNotEqualTo(seen.get(0));
    assertThat(seen.get(0).draws()).isEqualTo(300_001);
  }

  @Test
  void drawingStopsWhenItIsClearOrInterrupted() {
    NullWorld world = NullWorld.ofRate(Tally.of(14, 400), Hypothesis.twoSided(0.05));
    Simulation clear = world.simulate(Draws.of(100_000_000, 1).untilClearOf(0.05));
    assertThat(clear.clear()).isTrue();
    assertThat(clear.draws()).isLessThan(1_000_000);
    assertThat(clear.interrupted()).isFalse();
    // The exact p-value itself as the level: that can't become clear.
    double exact = ProportionTest.EXACT.of(Tally.of(14, 400), Hypothesis.twoSided(0.05)).pValue();
    Simulation capped = world.simulate(Draws.of(1_000_000, 1).untilClearOf(exact));
    assertThat(capped.clear()).isFalse();
    assertThat(capped.draws()).isEqualTo(1_000_000);
    Thread.currentThread().interrupt();
    Simulation cut = world.simulate(Draws.of(Draws.MOST, 1));
    assertThat(Thread.interrupted()).isTrue();
    assertThat(cut.interrupted()).isTrue();
    assertThat(cut.draws()).isBetween(1L, 100_000_000L);
  }

  @Test
  void whatCannotBeDrawnIsRefused() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Draws.of(0, 1))
        .withMessageContaining("draws must be from 1");
    assertThatThrownBy(
            () -> NullWorld.pooled(Tally.of(0, 9), Tally.of(0, 8), Alternative.TWO_SIDED))
        .isInstanceOf(NotApplicableException.class)
        .hasMessage("same-draws");
    assertThatThrownBy(() -> NullWorld.signFlips(PairedTally.of(3, 0, 0, 4), Alternative.TWO_SIDED))
        .isInstanceOf(NotApplicableException.class)
        .hasMessage("no-discordant-pair");
    assertThatThrownBy(
            () ->
                NullWorld.ofRate(
                    Tally.of(500_000_000_000L, 1_000_000_000_000L), Hypothesis.twoSided(0.5)))
        .isInstanceOf(NotApplicableException.class)
        .hasMessageStartingWith("too-many-to-draw (");
  }
}
