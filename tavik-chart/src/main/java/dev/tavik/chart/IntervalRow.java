package dev.tavik.chart;

import dev.tavik.plot.IntervalPlot;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One row of an interval picture.
 *
 * @param row what it shows
 * @param text what stands to the right
 * @param bound the one-sided bound of the same method; null for none
 */
record IntervalRow(IntervalPlot.Row row, String text, @Nullable Interval bound) {
  /** The rows, where a bound follows the interval of its method both on one. */
  static List<IntervalRow> together(List<IntervalPlot.Row> rows) {
    List<IntervalRow> together = new ArrayList<>();
    for (IntervalPlot.Row row : rows) {
      IntervalRow last = together.isEmpty() ? null : together.get(together.size() - 1);
      if (last != null && last.bound == null && isBoundOf(row.interval(), last.interval())) {
        together.set(
            together.size() - 1,
            new IntervalRow(last.row, last.text + "; " + row.text(), row.interval()));
      } else {
        together.add(new IntervalRow(row, row.text(), null));
      }
    }
    return together;
  }

  private static boolean isBoundOf(Interval bound, Interval interval) {
    return bound.side() != Side.TWO_SIDED
        && interval.side() == Side.TWO_SIDED
        && bound.method() == interval.method()
        && bound.quantity() == interval.quantity();
  }

  String name() {
    return row.name();
  }

  double estimate() {
    return row.estimate();
  }

  Interval interval() {
    return row.interval();
  }

  /** Where the bound stands. */
  @Nullable Double boundary() {
    return bound == null ? null : bound.side() == Side.UPPER ? bound.upper() : bound.lower();
  }
}
