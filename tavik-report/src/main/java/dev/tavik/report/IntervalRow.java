package dev.tavik.report;

import dev.tavik.result.Interval;

/**
 * One row of an interval picture.
 *
 * @param name what stands to the left
 * @param estimate the point
 * @param interval the line
 * @param text what stands to the right
 * @param filled whether the point is filled; the text says the same in words
 */
record IntervalRow(String name, double estimate, Interval interval, String text, boolean filled) {}
