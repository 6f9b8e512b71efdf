package dev.tavik.chart;

import java.util.ArrayList;
import java.util.List;
import org.jfree.chart.JFreeChart;

/** A title, a line below it that says what is seen, and panels of intervals one below the other. */
record IntervalChart(String title, String subtitle, List<IntervalPanel> panels) {
  private static final int WIDTH = 960;
  private static final int ROW_HEIGHT = 46;
  private static final int AROUND_ROWS = 170;
  private static final int AROUND_LATER_ROWS = 92;
  private static final double CHARACTER = 7.7;

  /** Panels below one another begin and end at the same places. */
  Picture picture() {
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
              ? ChartStyle.titled(panel.plot(before, after), title, subtitle)
              : ChartStyle.untitled(panel.plot(before, after));
      parts.add(
          new Picture.Part(
              chart, (head ? AROUND_ROWS : AROUND_LATER_ROWS) + ROW_HEIGHT * panel.rowCount()));
    }
    return new Picture(parts, WIDTH);
  }
}
