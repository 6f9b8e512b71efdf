package dev.tavik.chart;

import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/** Where a density is drawn: evenly over the picture, and as often where nearly all of it lies. */
final class CurvePlaces {
  private static final int EACH = 200;

  private CurvePlaces() {}

  /**
   * The places in order, both ends of the picture the first and the last.
   *
   * @param left where the picture begins
   * @param right where it ends
   * @param low from where nearly all of the density lies, within the picture
   * @param high to where
   * @return the places
   */
  static double[] of(double left, double right, double low, double high) {
    return DoubleStream.concat(even(left, right), even(low, high)).sorted().toArray();
  }

  private static DoubleStream even(double from, double to) {
    return IntStream.rangeClosed(0, EACH)
        .mapToDouble(i -> Math.min(to, from + (to - from) * i / EACH));
  }
}
