package dev.tavik.plot;

import java.util.List;

/**
 * What to expect if the null is true, and which part of it the p-value is.
 *
 * @param title in which world
 * @param subtitle by which test
 * @param discrete whether the heights are probabilities of whole counts, or a density
 * @param points values and their heights, rising in the value
 * @param lower the tail at and below a value
 * @param upper the tail at and above a value
 * @param marks what was observed
 */
public record NullPlot(
    String title,
    String subtitle,
    boolean discrete,
    List<Point> points,
    Tail lower,
    Tail upper,
    Marks marks)
    implements Plot {
  /** Copies the lists. */
  public NullPlot {
    points = List.copyOf(points);
  }

  /**
   * A value and how likely it is.
   *
   * @param count the value, such as a count of successes
   * @param height its probability, or its density
   */
  public record Point(double count, double height) {}

  /**
   * One tail of a p-value.
   *
   * @param end the value at which it ends, itself included
   * @param area its probability under the null; 0 where it isn't part of the p-value
   */
  public record Tail(double end, double area) {}

  /**
   * What was observed and where rejection begins.
   *
   * @param axis what the values are
   * @param observed the observed value
   * @param observedText the same as it is written
   * @param critical the values from which on the test rejects, at most one on each side
   */
  public record Marks(String axis, double observed, String observedText, List<Double> critical) {
    /** Copies the lists. */
    public Marks {
      critical = List.copyOf(critical);
    }
  }
}
