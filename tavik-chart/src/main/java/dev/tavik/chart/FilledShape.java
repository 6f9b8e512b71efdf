package dev.tavik.chart;

import java.awt.Graphics2D;
import java.awt.Paint;
import java.awt.Shape;
import java.awt.Stroke;
import java.awt.geom.Rectangle2D;
import org.jfree.chart.annotations.XYShapeAnnotation;
import org.jfree.chart.axis.ValueAxis;
import org.jfree.chart.plot.PlotRenderingInfo;
import org.jfree.chart.plot.XYPlot;

/** A filled shape in a plot. A shape without width or height is not drawn. */
final class FilledShape extends XYShapeAnnotation {
  private static final long serialVersionUID = 1L;

  private final boolean empty;

  FilledShape(Shape shape, Stroke stroke, Paint outline, Paint fill) {
    super(shape, stroke, outline, fill);
    this.empty = shape.getBounds2D().isEmpty();
  }

  @Override
  public void draw(
      Graphics2D graphics,
      XYPlot plot,
      Rectangle2D area,
      ValueAxis across,
      ValueAxis up,
      int renderer,
      PlotRenderingInfo info) {
    if (!empty) {
      super.draw(graphics, plot, area, across, up, renderer, info);
    }
  }
}
