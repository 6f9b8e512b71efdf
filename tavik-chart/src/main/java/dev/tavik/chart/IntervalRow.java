package dev.tavik.chart;

import dev.tavik.result.Interval;
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
 */
record IntervalRow(
    String name,
    double estimate,
    Interval interval,
    String text,
    boolean filled,
    @Nullable Double claimed) {

  IntervalRow(String name, double estimate, Interval interval, String text, boolean filled) {
    this(name, estimate, interval, text, filled, null);
  }
}
