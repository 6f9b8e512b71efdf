package dev.tavik.chart;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Paint;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;
import org.jfree.data.xy.XYSeriesCollection;

/** Curves over an axis, with dots on them and words beside them. */
final class CurvePlot {
  /** Colours that are distinguishable with colour-vision deficiency, and dashes. */
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

  /** The approximate size of the plot, of a letter and of a line, in pixels. */
  private static final double PLOT_WIDTH = 840;

  private static final double PLOT_HEIGHT = 400;
  private static final double CHARACTER = 7.6;
  private static final double LINE = 17;

  private final XYPlot plot = new XYPlot();
  private final XYSeriesCollection curves = new XYSeriesCollection();
  private final XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
  private final NumberAxis across;
  private final NumberAxis up;

  /** Obstacles for words, besides curves. */
  private final List<Line2D> lines = new ArrayList<>();

  private final List<Rectangle2D> taken = new ArrayList<>();

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
    renderer.setSeriesStroke(series, stroke(number));
  }

  private static BasicStroke stroke(int number) {
    return number == 0
        ? new BasicStroke(1.6f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND)
        : ChartStyle.dashed(1.6f, DASHES[number % DASHES.length]);
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
    taken.add(new Rectangle2D.Double(x - width / 2, y - height / 2, width, height));
  }

  /** An entry of a key: a short piece of the curve's line, then its name. */
  void key(int number, String words, double x, double y) {
    double end = x + 34 * across();
    plot.addAnnotation(
        new XYLineAnnotation(x + 6 * across(), y, end, y, stroke(number), ink(number)));
    write(" " + words, end, y, TextAnchor.CENTER_LEFT, ink(number), true);
  }

  /** The length of one pixel on the axis. */
  private double across() {
    return across.getRange().getLength() / PLOT_WIDTH;
  }

  private double up() {
    return up.getRange().getLength() / PLOT_HEIGHT;
  }

  /** Words beside a dot, where nothing runs through them. */
  void beside(String words, double x, double y, Color ink, boolean strong) {
    List<Rectangle2D> places = new ArrayList<>();
    for (int line = 0; line < 4; line++) {
      double below = y - (LINE * (line + 1) + 5) * up();
      double above = y + (LINE * line + 5) * up();
      double right = x + 9 * across();
      double left = x - 9 * across() - width(words);
      places.add(box(words, right, below));
      places.add(box(words, left, below));
      places.add(box(words, left, above));
      places.add(box(words, right, above));
    }
    place(words, places, ink, strong);
  }

  /** Words above or below a level line, where nothing else runs through them. */
  void along(String words, double from, double to, double y, Color ink) {
    List<Rectangle2D> places = new ArrayList<>();
    double first = from + 5 * across();
    double last = to - 5 * across() - width(words);
    for (double part : new double[] {0, 1, 0.2, 0.4, 0.6, 0.8}) {
      double x = first + part * (last - first);
      places.add(box(words, x, y + 2 * up()));
      places.add(box(words, x, y - (LINE + 2) * up()));
    }
    place(words, places, ink, false);
  }

  /** Words beside an upright line, where nothing else runs through them. */
  void upright(String words, double x, Color ink) {
    List<Rectangle2D> places = new ArrayList<>();
    for (double part : new double[] {0.93, 0.86, 0.7, 0.5, 0.3, 0.1}) {
      places.add(box(words, x + 5 * across(), part * up.getUpperBound()));
      places.add(box(words, x - 5 * across() - width(words), part * up.getUpperBound()));
    }
    place(words, places, ink, false);
  }

  private double width(String words) {
    return CHARACTER * words.length() * across();
  }

  private Rectangle2D box(String words, double left, double bottom) {
    return new Rectangle2D.Double(left, bottom, width(words), LINE * up());
  }

  /** Writes at the first free place; if none is free, at the first place, on a white ground. */
  private void place(String words, List<Rectangle2D> places, Color ink, boolean strong) {
    Rectangle2D free = places.stream().filter(this::isFree).findFirst().orElse(null);
    Rectangle2D at = free == null ? places.get(0) : free;
    taken.add(at);
    XYTextAnnotation text =
        write(words, at.getX(), at.getCenterY(), TextAnchor.CENTER_LEFT, ink, strong);
    if (free == null) {
      text.setBackgroundPaint(Color.WHITE);
    }
  }

  private boolean isFree(Rectangle2D box) {
    boolean inside =
        across.getRange().contains(box.getMinX())
            && across.getRange().contains(box.getMaxX())
            && up.getRange().contains(box.getMinY())
            && up.getRange().contains(box.getMaxY());
    return inside
        && lines.stream().noneMatch(line -> line.intersects(box))
        && taken.stream().noneMatch(other -> other.intersects(box))
        && IntStream.range(0, curves.getSeriesCount())
            .noneMatch(series -> strikes(curves.getSeries(series), box));
  }

  private static boolean strikes(XYSeries curve, Rectangle2D box) {
    return IntStream.range(1, curve.getItemCount())
        .anyMatch(
            i ->
                box.intersectsLine(
                    curve.getX(i - 1).doubleValue(),
                    curve.getY(i - 1).doubleValue(),
                    curve.getX(i).doubleValue(),
                    curve.getY(i).doubleValue()));
  }

  XYTextAnnotation write(
      String words, double x, double y, TextAnchor anchor, Color ink, boolean strong) {
    return ChartStyle.write(
        plot, words, x, y, anchor, ink, strong ? BundledFonts.bold(12) : BundledFonts.plain(12));
  }

  void line(double x1, double y1, double x2, double y2, Color ink, boolean dashed) {
    lines.add(new Line2D.Double(x1, y1, x2, y2));
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
