package dev.tavik.data;

import dev.tavik.count.SurveyCounts.Weights;
import java.util.Arrays;
import java.util.stream.IntStream;

/** Sums of weights by combination while rows are read, and statistics of all weights. */
final class WeightSums {
  private double[] squares = new double[8];
  private long rows;
  private double least = Double.POSITIVE_INFINITY;
  private double greatest;
  private double sum;

  /** The compensation of rounding errors (Neumaier 1974). */
  private double lost;

  /** Adds so many rows of a combination, with the sum of their weights and of their squares. */
  void add(int combination, long units, double weights, double squared) {
    if (combination >= squares.length) {
      squares = Arrays.copyOf(squares, Math.max(combination + 1, 2 * squares.length));
    }
    squares[combination] += squared;
    rows += units;
    double before = sum;
    sum += weights;
    lost += before >= weights ? before - sum + weights : weights - sum + before;
  }

  /** Records the smallest and the largest weight. */
  void seen(double smallest, double largest) {
    least = Math.min(least, smallest);
    greatest = Math.max(greatest, largest);
  }

  Weights weights(int combinations, long zero, long missing) {
    return new Weights(
        rows,
        least,
        greatest,
        sum + lost,
        IntStream.range(0, combinations)
            .mapToObj(c -> c < squares.length ? squares[c] : 0.0)
            .toList(),
        zero,
        missing);
  }
}
