package dev.tavik.chart;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Paint;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.util.function.DoubleUnaryOperator;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;
import org.jfree.data.xy.XYSeriesCollection;

/** Curves over an axis, with dots on them and words beside them. */
final class CurvePlot {
  /** Told apart by eyes that see few colours, and by their dashes. */
  static final Color[] INKS = {
    new Color(0x00, 0x50, 0x8C),
    new Color(0xB8, 0x47, 0x00),
    new Color(0x2E, 0x7D, 0x4F),
    new Color(0x7A, 0x4E, 0x9E),
    new Color(0x55, 0x55, 0x55),
    new Color(0x9A, 0x6A, 0x00)
  };

  private static final float[][] DASHES = {{1, 0}, {8, 4}, {2, 3}, {10, 3, 2, 3}, {5, 5}, {14, 4}};
  private static final int WIDTH = 960;
  private static final int HEIGHT = 520;
  private static final float DOT = 9;

  private final XYPlot plot = new XYPlot();
  private final XYSeriesCollection curves = new XYSeriesCollection();
  private final XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
  private final NumberAxis across;
  private final NumberAxis up;

  CurvePlot(NumberAxis across, NumberAxis up) {
    this.across = across;
    this.up = up;
    ChartStyle.plain(across);
    ChartStyle.plain(up);
    renderer.setDrawSeriesLineAsPath(true);
    ChartStyle.frame(plot, curves, renderer, across, up);
  }

  static Color ink(int curve) {
    return INKS[curve % INKS.length];
  }

  void curve(XYSeries points, int number) {
    int series = curves.getSeriesCount();
    curves.addSeries(points);
    renderer.setSeriesPaint(series, ink(number));
    renderer.setSeriesStroke(
        series,
        number == 0
            ? new BasicStroke(1.6f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND)
            : new BasicStroke(
                1.6f,
                BasicStroke.CAP_BUTT,
                BasicStroke.JOIN_ROUND,
                1f,
                DASHES[number % DASHES.length],
                0f));
  }

  void dot(double x, double y, Color ink) {
    double width = DOT * across.getRange().getLength() / WIDTH * 1.1;
    double height = DOT * up.getRange().getLength() / HEIGHT * 1.25;
    plot.addAnnotation(
        new FilledShape(
            new Ellipse2D.Double(x - width / 2, y - height / 2, width, height),
            new BasicStroke(1.6f),
            Color.WHITE,
            ink));
  }

  void write(String words, double x, double y, TextAnchor anchor, Color ink, boolean strong) {
    ChartStyle.write(
        plot, words, x, y, anchor, ink, strong ? BundledFonts.bold(12) : BundledFonts.plain(12));
  }

  void line(double x1, double y1, double x2, double y2, Color ink, boolean dashed) {
    plot.addAnnotation(
        new XYLineAnnotation(
            x1, y1, x2, y2, dashed ? ChartStyle.dashed(1.2f, 5, 4) : new BasicStroke(1.2f), ink));
  }

  /** The area under a curve, behind everything else. */
  void area(DoubleUnaryOperator height, double from, double to, Paint ink) {
    if (!(from < to)) {
      return;
    }
    int points = 200;
    Path2D.Double area = new Path2D.Double();
    area.moveTo(from, 0);
    for (int i = 0; i <= points; i++) {
      double x = from + (to - from) * i / points;
      area.lineTo(x, Math.min(height.applyAsDouble(x), up.getUpperBound()));
    }
    area.lineTo(to, 0);
    area.closePath();
    renderer.addAnnotation(
        new FilledShape(area, new BasicStroke(0.2f), ink, ink), Layer.BACKGROUND);
  }

  Picture picture(String title, String subtitle) {
    return new Picture(ChartStyle.titled(plot, title, subtitle), WIDTH, HEIGHT);
  }
}
