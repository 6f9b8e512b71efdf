package dev.tavik.plot;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is believed of a quantity before and after the data, in slices of equal belief.
 *
 * @param title of what
 * @param subtitle what the evidence is
 * @param axis the axis
 * @param held the value held against
 * @param region values that are as good as one another; null for none
 * @param before the belief before the data
 * @param after the belief after them
 */
public record BeliefPlot(
    String title,
    String subtitle,
    Axis axis,
    Held held,
    @Nullable Region region,
    Lane before,
    Lane after)
    implements Plot {
  /**
   * An axis.
   *
   * @param quantity what is believed of, with its unit
   * @param left where the axis begins, as a share
   * @param right where it ends
   */
  public record Axis(String quantity, double left, double right) {}

  /**
   * The value held against.
   *
   * @param value the value
   * @param name what it is
   * @param times how many times denser the belief there became
   */
  public record Held(double value, String name, double times) {}

  /**
   * A stretch of values.
   *
   * @param from the lowest
   * @param to the highest
   */
  public record Region(double from, double to) {}

  /**
   * A belief.
   *
   * @param name which it is
   * @param cuts the places between slices that hold equally much, from end to end
   * @param lower the lower end of the credible interval
   * @param upper its upper end
   * @param credible the interval in words
   * @param beyond how much of the belief lies beyond the axis
   */
  public record Lane(
      String name, List<Double> cuts, double lower, double upper, String credible, double beyond) {
    /** Copies the lists. */
    public Lane {
      cuts = List.copyOf(cuts);
    }
  }
}
