package dev.tavik.chart;

import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Locale;
import org.jfree.chart.axis.AxisState;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.ValueTick;
import org.jfree.chart.ui.RectangleEdge;

/** An axis that ends where the data do; what the plot has beyond is room for words. */
final class EndingAxis extends NumberAxis {
  private static final long serialVersionUID = 1;

  private final double end;

  /**
   * An axis below a plot.
   *
   * @param label its name; may be empty
   * @param from where it begins
   * @param end where it ends
   * @param room how much of the plot, as a part of the axis, lies beyond
   */
  EndingAxis(String label, double from, double end, double room) {
    super(label.isEmpty() ? null : label);
    this.end = end;
    setStandardTickUnits(NumberAxis.createStandardTickUnits(Locale.ROOT));
    setRange(from, end + room * (end - from));
    ChartStyle.plain(this);
  }

  double end() {
    return end;
  }

  @Override
  protected void drawAxisLine(
      Graphics2D g2, double cursor, Rectangle2D dataArea, RectangleEdge edge) {
    double width = valueToJava2D(end, dataArea, edge) - dataArea.getX();
    super.drawAxisLine(
        g2,
        cursor,
        new Rectangle2D.Double(dataArea.getX(), dataArea.getY(), width, dataArea.getHeight()),
        edge);
  }

  @Override
  @SuppressWarnings({"rawtypes", "unchecked"})
  public List refreshTicks(
      Graphics2D g2, AxisState state, Rectangle2D dataArea, RectangleEdge edge) {
    return ((List<ValueTick>) super.refreshTicks(g2, state, dataArea, edge))
        .stream().filter(tick -> tick.getValue() <= end).toList();
  }
}
