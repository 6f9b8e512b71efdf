package dev.tavik.chart;

import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One row of an interval picture.
 *
 * @param name what stands to the left
 * @param estimate the point
 * @param interval the line
 * @param text what stands to the right
 * @param filled whether the point is filled; the text says the same in words
 * @param claimed a value of this row's own that it is held against; null for none
 * @param bound the one-sided bound of the same method; null for none
 */
record IntervalRow(
    String name,
    double estimate,
    Interval interval,
    String text,
    boolean filled,
    @Nullable Double claimed,
    @Nullable Interval bound) {

  IntervalRow(String name, double estimate, Interval interval, String text, boolean filled) {
    this(name, estimate, interval, text, filled, null, null);
  }

  IntervalRow(
      String name,
      double estimate,
      Interval interval,
      String text,
      boolean filled,
      @Nullable Double claimed) {
    this(name, estimate, interval, text, filled, claimed, null);
  }

  /** The same rows, where a bound follows the interval of its method both on one. */
  static List<IntervalRow> together(List<IntervalRow> rows) {
    List<IntervalRow> together = new ArrayList<>();
    for (IntervalRow row : rows) {
      IntervalRow last = together.isEmpty() ? null : together.get(together.size() - 1);
      if (last != null && row.isBoundOf(last)) {
        together.set(together.size() - 1, last.bounded(row));
      } else {
        together.add(row);
      }
    }
    return together;
  }

  private boolean isBoundOf(IntervalRow other) {
    return interval.side() != Side.TWO_SIDED
        && other.interval.side() == Side.TWO_SIDED
        && other.bound == null
        && interval.method() == other.interval.method()
        && interval.quantity() == other.interval.quantity();
  }

  private IntervalRow bounded(IntervalRow by) {
    return new IntervalRow(
        name, estimate, interval, text + "; " + by.text, filled, claimed, by.interval);
  }

  /** Where the bound stands. */
  @Nullable Double boundary() {
    return bound == null ? null : bound.side() == Side.UPPER ? bound.upper() : bound.lower();
  }
}
