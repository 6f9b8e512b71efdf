package dev.tavik.simulation;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The result of many draws under the null hypothesis.
 *
 * @param drawn what was drawn, in words
 * @param draws how many draws were made
 * @param asked how many were asked for
 * @param seed where the random numbers started
 * @param clear whether it is clear on which side of the level the p-value lies; null where that
 *     wasn't asked
 * @param tails how often it looked as extreme as the data, a tail for each way to measure that
 * @param histogram the simulated distribution of the first measure
 */
public record Simulation(
    String drawn,
    long draws,
    long asked,
    long seed,
    @Nullable Boolean clear,
    List<SimulatedTail> tails,
    Histogram histogram) {
  /** Copies the list. */
  public Simulation {
    tails = List.copyOf(tails);
  }

  /**
   * Whether it was stopped before its end, other than by being clear.
   *
   * @return whether fewer draws were made than asked for
   */
  public boolean interrupted() {
    return draws < asked && !Boolean.TRUE.equals(clear);
  }

  /**
   * How often each value was drawn.
   *
   * @param measure what the values are
   * @param from the middle of the first bin
   * @param width the distance of neighbours
   * @param counts the draws in each bin; the first and the last also hold what lies beyond
   * @param expected how many draws a formula expects in each bin: the normal curve or chi-square
   * @param observed the value in the data
   * @param lowerCut the largest value that counts as extreme below; negative infinity for none
   * @param upperCut the smallest value that counts as extreme above; infinity for none
   */
  public record Histogram(
      String measure,
      double from,
      double width,
      List<Long> counts,
      List<Double> expected,
      double observed,
      double lowerCut,
      double upperCut) {
    /** Copies the list. */
    public Histogram {
      counts = List.copyOf(counts);
      expected = List.copyOf(expected);
    }

    /**
     * A bin's middle.
     *
     * @param bin its position, from 0
     * @return the value
     */
    public double middle(int bin) {
      return from + bin * width;
    }
  }
}
