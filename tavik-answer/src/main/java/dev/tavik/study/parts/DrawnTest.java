package dev.tavik.study.parts;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Finding;
import dev.tavik.answer.Value;
import dev.tavik.association.Shares;
import dev.tavik.count.CategoryCounts;
import dev.tavik.count.CrossTable;
import dev.tavik.result.Figures;
import dev.tavik.result.NotApplicableException;
import dev.tavik.result.TestResult;
import dev.tavik.simulation.DrawnMethod;
import dev.tavik.simulation.Draws;
import dev.tavik.simulation.NullWorld;
import dev.tavik.simulation.SimulatedTail;
import java.util.List;
import java.util.Optional;

/**
 * A test by drawing, made where the chi-square approximation doesn't hold and the exact test would
 * take too long: the null is drawn often, and what is as extreme as the data is counted. The seed
 * comes from the counts, so that the same counts have the same p-value.
 *
 * @param result the test; its p-value is (hits + 1)/(draws + 1)
 * @param tail how often the null looked as extreme, with the Monte Carlo interval of the p-value
 * @param seed where the random numbers started
 */
public record DrawnTest(TestResult result, SimulatedTail tail, long seed) {
  private static final long DRAWS = 100_000;
  private static final long FEWEST = 2_000;

  /** Total number of cells drawn, which takes some seconds. */
  private static final double MOST_CELLS = 4e7;

  /** Fisher's test of a table, tables with its margins drawn; none for very many units. */
  public static Optional<DrawnTest> of(CrossTable table) {
    long seed = seed(table.cells().stream().flatMap(List::stream).toList());
    int cells = table.rows().size() * table.columns().size();
    try {
      return Optional.of(of(DrawnMethod.FISHER, NullWorld.ofTable(table), cells, seed));
    } catch (NotApplicableException e) {
      return Optional.empty();
    }
  }

  /** Pearson's test of shares, outcomes drawn with the claimed ones; none for very many units. */
  public static Optional<DrawnTest> of(CategoryCounts counts, Shares claimed) {
    long seed = seed(counts.counts());
    try {
      return Optional.of(
          of(DrawnMethod.PEARSON, NullWorld.ofShares(counts, claimed), counts.size(), seed));
    } catch (NotApplicableException e) {
      return Optional.empty();
    }
  }

  private static DrawnTest of(DrawnMethod method, NullWorld world, int cells, long seed) {
    long draws = draws(cells);
    SimulatedTail tail =
        world.simulate(Draws.of(draws, seed)).tails().stream()
            .filter(each -> each.method() == method.rule())
            .findFirst()
            .orElseThrow();
    return new DrawnTest(TestResult.of(method, null, Math.log(tail.pValue())), tail, seed);
  }

  private static long draws(int cells) {
    return Math.max(FEWEST, Math.min(DRAWS, (long) (MOST_CELLS / cells)));
  }

  /** A p-value for readers, "at most" where nothing as extreme was drawn; {@code p = 0.01}. */
  public static String pEquals(TestResult test, int cells) {
    return atMost(test, cells)
        ? "p at most " + Figures.pValue(test.log10PValue())
        : Figures.pEquals(test.log10PValue());
  }

  /**
   * Whether a test was drawn and no draw was as extreme, so that p is the smallest possible value.
   */
  public static boolean atMost(TestResult test, int cells) {
    double least = 1.0 / (draws(cells) + 1);
    return test.method() instanceof DrawnMethod && test.pValue() < 1.5 * least;
  }

  private static long seed(List<Long> counts) {
    long hash = 17;
    for (long count : counts) {
      hash = 31 * hash + count;
    }
    return Math.floorMod(hash, 1_000_000_007L);
  }

  /**
   * The number of draws and the precision of the p-value, in words.
   *
   * @return such as {@code 100,000 draws from seed 7; the p-value lies within 0.011 to 0.013 (99%)}
   */
  public String inWords() {
    return say(
        "%s draws from seed %d, %s as extreme; the p-value lies within %s to %s (%s)",
        Figures.count(tail.draws()),
        seed,
        Figures.count(tail.hits()),
        Figures.significant(tail.interval().lower(), 3),
        Figures.significant(tail.interval().upper(), 3),
        Figures.exactPercent(SimulatedTail.LEVEL));
  }

  /** Whether the draws leave open on which side of alpha the p-value lies. */
  public boolean open(double alpha) {
    return tail.interval().contains(alpha);
  }

  /** Returns what machines see of it; readers find it among the tests. */
  public Finding finding() {
    return Finding.fact(
        "drawn",
        Value.result()
            .with("method", result.method().id())
            .with("draws", tail.draws())
            .with("seed", seed)
            .with("hits", tail.hits())
            .with("pValue", tail.pValue())
            .with("standardError", tail.standardError())
            .with("level", SimulatedTail.LEVEL)
            .with("lower", tail.interval().lower())
            .with("upper", tail.interval().upper()));
  }
}
