package dev.tavik.chart;

import java.awt.BasicStroke;
import java.awt.Color;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.ValueAxis;
import org.jfree.chart.plot.IntervalMarker;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;
import org.jfree.data.xy.XYSeriesCollection;

/**
 * A plot of Bayes factors on a logarithmic axis: upwards for the alternative, downwards for the
 * null, with bands of evidence (Kass and Raftery) named at the side.
 */
final class EvidencePlot {
  private static final int WIDTH = 960;
  private static final int HEIGHT = 520;
  private static final double[] BANDS = {0, Math.log10(3), Math.log10(20), Math.log10(150)};
  private static final String[] NAMES = {"bare mention", "positive", "strong", "very strong"};
  private static final Color[] TINTS = {
    Color.WHITE,
    new Color(0xF3, 0xF5, 0xF7),
    new Color(0xE6, 0xEB, 0xEF),
    new Color(0xD8, 0xE0, 0xE7)
  };
  private static final Color NAME = new Color(0x66, 0x70, 0x7A);
  private static final double LEAST_REACH = 0.8;

  /** A band's name needs so much of the axis. */
  private static final double LINE = 0.05;

  private final XYPlot plot = new XYPlot();
  private final XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
  private final XYSeriesCollection curves = new XYSeriesCollection();
  private final ValueAxis across;
  private final double low;
  private final double high;

  /** Holds log10 Bayes factors from one to another, alternative over null. */
  EvidencePlot(ValueAxis across, double least, double most) {
    this.across = across;
    double from = Math.min(least, -LEAST_REACH);
    double to = Math.max(most, LEAST_REACH);
    double margin = 0.09 * (to - from);
    this.low = from - margin;
    this.high = to + margin;
    ChartStyle.frame(plot, curves, renderer, across, factors());
    renderer.setDrawSeriesLineAsPath(true);
    bands();
    ValueMarker even = ChartStyle.marker(0, ChartStyle.INK, new BasicStroke(1f));
    plot.addRangeMarker(even, Layer.BACKGROUND);
  }

  private NumberAxis factors() {
    NumberAxis axis = new EvidenceAxis("Bayes factor: how many times likelier");
    axis.setRange(low, high);
    ChartStyle.plain(axis);
    return axis;
  }

  private void bands() {
    for (int i = 0; i < BANDS.length; i++) {
      double inner = BANDS[i];
      double outer = i + 1 < BANDS.length ? BANDS[i + 1] : Math.max(high, -low) + 1;
      band(Math.max(low, inner), Math.min(high, outer), i);
      band(Math.max(low, -outer), Math.min(high, -inner), i);
    }
  }

  private void band(double from, double to, int strength) {
    if (to <= from) {
      return;
    }
    IntervalMarker band = new IntervalMarker(from, to, TINTS[strength]);
    band.setAlpha(1);
    plot.addRangeMarker(band, Layer.BACKGROUND);
    if (to - from > LINE * (high - low)) {
      double right = across.getUpperBound();
      write(NAMES[strength] + " ", right, (from + to) / 2, TextAnchor.CENTER_RIGHT, NAME, false);
    }
  }

  /** What is favoured at either end. */
  void ends(String alternative, String none) {
    double left = across.getLowerBound();
    double edge = 0.04 * (high - low);
    write(" for " + alternative, left, high - edge, TextAnchor.CENTER_LEFT, ChartStyle.INK, true);
    write(" for " + none, left, low + edge, TextAnchor.CENTER_LEFT, ChartStyle.INK, true);
  }

  /** A curve. */
  void curve(XYSeries points, Color ink, BasicStroke stroke) {
    int number = curves.getSeriesCount();
    curves.addSeries(points);
    renderer.setSeriesPaint(number, ink);
    renderer.setSeriesStroke(number, stroke);
  }

  /** A single point with its name. */
  void point(double x, double y, Color ink) {
    XYSeries only = new XYSeries("point " + curves.getSeriesCount());
    only.add(x, y);
    int number = curves.getSeriesCount();
    curve(only, ink, new BasicStroke(1f));
    renderer.setSeriesShapesVisible(number, true);
    renderer.setSeriesShape(number, new java.awt.geom.Ellipse2D.Double(-4, -4, 8, 8));
  }

  void write(String text, double x, double y, TextAnchor anchor, Color ink, boolean bold) {
    ChartStyle.write(
        plot, text, x, y, anchor, ink, bold ? BundledFonts.bold(12) : BundledFonts.plain(12));
  }

  /** So much of the height of the axis. */
  double share(double part) {
    return part * (high - low);
  }

  Picture picture(String title, String subtitle) {
    return new Picture(ChartStyle.titled(plot, title, subtitle), WIDTH, HEIGHT);
  }
}
