package dev.tavik.data;

import dev.tavik.count.SurveyCounts.Weights;
import java.util.Arrays;
import java.util.stream.IntStream;

/** Sums of weights by combination, while rows come; what is wanted of all weights beside. */
final class WeightSums {
  private static final int LARGEST = 5;

  private double[] squares = new double[8];
  private final double[] largest = new double[LARGEST];
  private long rows;
  private double least = Double.POSITIVE_INFINITY;
  private double sum;
  private boolean together;

  /** Adds so many rows of a combination, with the sum of their weights and of their squares. */
  void add(int combination, long units, double weights, double squared) {
    if (combination >= squares.length) {
      squares = Arrays.copyOf(squares, Math.max(combination + 1, 2 * squares.length));
    }
    squares[combination] += squared;
    rows += units;
    sum += weights;
  }

  /** Takes note of rows that come together: of their weights only the ends are known. */
  void seen(double smallest, double greatest) {
    together = true;
    seen(greatest, 1L);
    least = Math.min(least, smallest);
  }

  /** Takes note of a weight that some row has, so many of them. */
  void seen(double weight, long units) {
    least = Math.min(least, weight);
    for (int i = 0; i < LARGEST && i < units && weight > largest[LARGEST - 1]; i++) {
      int at = LARGEST - 1;
      while (at > 0 && largest[at - 1] < weight) {
        largest[at] = largest[at - 1];
        at--;
      }
      largest[at] = weight;
    }
  }

  Weights weights(int combinations, long zero, long missing) {
    return new Weights(
        rows,
        least,
        largest[0],
        Arrays.stream(largest)
            .limit(together ? 1 : LARGEST)
            .filter(each -> each > 0)
            .boxed()
            .toList(),
        sum,
        IntStream.range(0, combinations)
            .mapToObj(c -> c < squares.length ? squares[c] : 0.0)
            .toList(),
        zero,
        missing);
  }
}
