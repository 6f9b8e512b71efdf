package dev.tavik.simulation;

import dev.tavik.numeric.ChiSquare;
import dev.tavik.numeric.Normal;
import dev.tavik.simulation.Simulation.Histogram;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * Equal bins.
 *
 * @param from the middle of the first
 * @param width the distance of neighbours
 * @param number how many there are
 */
record Bins(double from, double width, int number) {
  /** Around 0, of differences that fall near multiples of a unit, with room for one observed. */
  static Bins around(double deviation, double observed, double unit) {
    double reach = Math.max(5 * deviation, 1.15 * Math.abs(observed));
    double width = unit * Math.max(1, Math.round(deviation / 5 / unit));
    int half = (int) Math.ceil(Math.min(400, reach / width));
    return new Bins(-half * width, width, 2 * half + 1);
  }

  /** Of a statistic that is never negative, by its degrees of freedom. */
  static Bins upwards(double df, double observed) {
    double reach = Math.max(df + 7 * Math.sqrt(2 * df) + 8, 1.15 * observed);
    double width = Math.max(Math.sqrt(2 * df) / 6, reach / 400);
    return new Bins(width / 2, width, (int) Math.ceil(reach / width));
  }

  /** With what a normal curve expects. */
  Histogram histogram(
      Counts counts,
      String measure,
      double mean,
      double deviation,
      double observed,
      double low,
      double high) {
    return histogram(
        counts.bins,
        measure,
        edge -> Math.exp(Normal.logUpper((edge - mean) / deviation)),
        observed,
        low,
        high);
  }

  /** With what chi-square expects. */
  Histogram histogram(Counts counts, String measure, double df, double observed) {
    return histogram(
        counts.bins,
        measure,
        edge -> edge <= 0 ? 1 : Math.exp(ChiSquare.logUpper(edge, df)),
        observed,
        Double.NEGATIVE_INFINITY,
        observed);
  }

  Histogram histogram(
      long[] bins,
      String measure,
      DoubleUnaryOperator above,
      double observed,
      double low,
      double high) {
    double draws = Arrays.stream(bins).sum();
    List<Double> expected = new ArrayList<>();
    for (int i = 0; i < bins.length; i++) {
      double edge = from + (i - 0.5) * width;
      expected.add(draws * (above.applyAsDouble(edge) - above.applyAsDouble(edge + width)));
    }
    return new Histogram(
        measure, from, width, Arrays.stream(bins).boxed().toList(), expected, observed, low, high);
  }
}
