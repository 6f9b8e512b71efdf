package dev.tavik.chart;

import dev.tavik.answer.Answer;
import dev.tavik.plot.IntervalPlot;
import java.util.ArrayList;
import java.util.List;
import org.jfree.chart.JFreeChart;

/**
 * Draws the intervals of an answer: a row a method, or a row a group, with the estimate as a point
 * and the null value as a line through all rows.
 */
final class IntervalPicture {
  private static final int WIDTH = 960;
  private static final int ROW_HEIGHT = 46;
  private static final int AROUND_ROWS = 170;
  private static final int AROUND_LATER_ROWS = 92;
  private static final double CHARACTER = 7.7;

  private IntervalPicture() {}

  static Picture of(Answer answer) {
    return picture(
        answer
            .plot(IntervalPlot.class)
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "this answer has no intervals to draw; ask for two of its judgements, or"
                            + " groups, at a time")));
  }

  /** Panels below one another begin and end at the same places. */
  private static Picture picture(IntervalPlot plot) {
    List<IntervalPanel> panels = plot.panels().stream().map(IntervalPanel::new).toList();
    boolean several = panels.size() > 1;
    double before =
        several
            ? 12 + CHARACTER * panels.stream().mapToInt(IntervalPanel::longestName).max().orElse(0)
            : 0;
    double after =
        several
            ? 12 + CHARACTER * panels.stream().mapToInt(IntervalPanel::longestText).max().orElse(0)
            : 0;
    List<Picture.Part> parts = new ArrayList<>();
    for (IntervalPanel panel : panels) {
      boolean head = parts.isEmpty();
      JFreeChart chart =
          head
              ? ChartStyle.titled(panel.plot(before, after), plot.title(), plot.subtitle())
              : ChartStyle.untitled(panel.plot(before, after));
      parts.add(
          new Picture.Part(
              chart, (head ? AROUND_ROWS : AROUND_LATER_ROWS) + ROW_HEIGHT * panel.rowCount()));
    }
    return new Picture(parts, WIDTH);
  }
}
