package dev.tavik.plot;

import dev.tavik.result.Interval;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Intervals, a row each, in panels one below the other.
 *
 * @param title what is shown
 * @param subtitle by which methods
 * @param panels the panels, from top to bottom
 */
public record IntervalPlot(String title, String subtitle, List<Panel> panels) implements Plot {
  /** Copies the lists. */
  public IntervalPlot {
    panels = List.copyOf(panels);
  }

  /**
   * Rows over one axis.
   *
   * @param axis what the axis shows
   * @param scale how values stand on it
   * @param rows the rows, from top to bottom
   * @param references values that all rows are held against; empty for none
   */
  public record Panel(String axis, Scale scale, List<Row> rows, List<Double> references) {
    /** Copies the lists. */
    public Panel {
      rows = List.copyOf(rows);
      references = List.copyOf(references);
    }
  }

  /**
   * An interval and its estimate.
   *
   * @param name what stands to the left
   * @param estimate the point
   * @param interval the line
   * @param text what stands to the right
   * @param filled whether the point is filled; the text says the same in words
   * @param claimed a value of this row's own that it is held against; null for none
   */
  public record Row(
      String name,
      double estimate,
      Interval interval,
      String text,
      boolean filled,
      @Nullable Double claimed) {
    /**
     * A row that is held against nothing of its own.
     *
     * @param name what stands to the left
     * @param estimate the point
     * @param interval the line
     * @param text what stands to the right
     * @param filled whether the point is filled
     */
    public Row(String name, double estimate, Interval interval, String text, boolean filled) {
      this(name, estimate, interval, text, filled, null);
    }
  }
}
