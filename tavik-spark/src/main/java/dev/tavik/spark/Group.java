package dev.tavik.spark;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Rows with equal values.
 *
 * @param values the value of each column, as a file would write it; null where it is missing
 * @param rows how many there are
 * @param sums of their weights; null where none are asked for
 */
record Group(List<@Nullable String> values, long rows, @Nullable Sums sums) {

  /**
   * Sums of weights of like sign.
   *
   * @param each of the weight and of each replicate; not a number where a row lacks it
   * @param squares of the squared weights
   * @param least the smallest weight
   * @param greatest the largest
   */
  record Sums(List<Double> each, double squares, double least, double greatest) {}
}
