package dev.tavik.spark;

import java.util.Arrays;
import java.util.List;

/** Counts and sums of groups, by their number. */
final class GroupSums {
  private final int width;
  private long[] rows = new long[16];
  private double[] high = {};
  private double[] low = {};
  private double[] least = {};
  private double[] greatest = {};
  private int size;

  /**
   * Nothing yet.
   *
   * @param summed how many columns are summed, the weight first; the squares of its values are as
   *     well
   */
  GroupSums(int summed) {
    this.width = summed == 0 ? 0 : summed + 1;
    grow(rows.length);
  }

  private void grow(int size) {
    int from = least.length;
    rows = Arrays.copyOf(rows, size);
    if (width > 0) {
      high = Arrays.copyOf(high, size * width);
      low = Arrays.copyOf(low, size * width);
      least = Arrays.copyOf(least, size);
      greatest = Arrays.copyOf(greatest, size);
      Arrays.fill(least, from, size, Double.POSITIVE_INFINITY);
      Arrays.fill(greatest, from, size, Double.NEGATIVE_INFINITY);
    }
  }

  /** How many groups there are, those before the last without rows too. */
  int size() {
    return size;
  }

  long rows(int group) {
    return rows[group];
  }

  void add(int group, long more) {
    size = Math.max(size, group + 1);
    if (group >= rows.length) {
      grow(Math.max(2 * rows.length, group + 1));
    }
    rows[group] += more;
  }

  /** Adds a number to a sum; a weight, at 0, also adds its square and updates the extremes. */
  void add(int group, int sum, double value) {
    PreciseSum.add(high, low, group * width + sum, value, 0);
    if (sum == 0) {
      double square = value * value;
      PreciseSum.add(high, low, group * width + width - 1, square, Math.fma(value, value, -square));
      extremes(group, value, value);
    }
  }

  private void extremes(int group, double smallest, double largest) {
    least[group] = Math.min(least[group], smallest);
    greatest[group] = Math.max(greatest[group], largest);
  }

  /** Adds sums that were computed elsewhere. */
  void merge(int group, Part part) {
    add(group, part.rows());
    for (int i = 0; i < width; i++) {
      PreciseSum.add(high, low, group * width + i, part.high().get(i), part.low().get(i));
    }
    if (width > 0) {
      extremes(group, part.least(), part.greatest());
    }
  }

  /**
   * What is known of a group.
   *
   * @param rows how many rows it has
   * @param high the sums, that of the squared weights last
   * @param low what they lack
   * @param least the smallest weight
   * @param greatest the largest
   */
  record Part(long rows, List<Double> high, List<Double> low, double least, double greatest) {
    Group.Sums sums() {
      int last = high.size() - 1;
      return new Group.Sums(high.subList(0, last), high.get(last), least, greatest);
    }
  }

  Part part(int group) {
    int from = group * width;
    return new Part(
        rows[group],
        part(high, from),
        part(low, from),
        width == 0 ? 0 : least[group],
        width == 0 ? 0 : greatest[group]);
  }

  private List<Double> part(double[] sums, int from) {
    return Arrays.stream(sums, from, from + width).boxed().toList();
  }
}
