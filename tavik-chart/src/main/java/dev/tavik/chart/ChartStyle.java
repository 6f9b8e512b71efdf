package dev.tavik.chart;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Paint;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.Locale;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.AxisSpace;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.ValueAxis;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYItemRenderer;
import org.jfree.chart.title.TextTitle;
import org.jfree.chart.ui.HorizontalAlignment;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYDataset;

/** The common style of all pictures: fonts, colours, left-aligned titles, round steps on axes. */
final class ChartStyle {
  static final Color INK = new Color(0x22, 0x22, 0x22);

  private static final double[] ROUND = {1, 2, 5, 10};

  /** Longest title in letters. The time to break a title into lines grows with its square. */
  private static final int LONGEST_TITLE = 400;

  private ChartStyle() {}

  /** A chart of a plot, with a title and a line below that says what is seen. */
  static JFreeChart titled(XYPlot plot, String title, String subtitle) {
    JFreeChart chart = new JFreeChart(shortened(title), BundledFonts.bold(16), plot, false);
    framed(chart);
    leftAligned(chart.getTitle());
    TextTitle below = new TextTitle(shortened(subtitle), BundledFonts.plain(12));
    leftAligned(below);
    chart.addSubtitle(below);
    return chart;
  }

  private static String shortened(String title) {
    return title.codePointCount(0, title.length()) <= LONGEST_TITLE
        ? title
        : title.substring(0, title.offsetByCodePoints(0, LONGEST_TITLE - 1)) + "…";
  }

  /** Adds a chart to the same picture. */
  static JFreeChart untitled(XYPlot plot) {
    JFreeChart chart = new JFreeChart(null, BundledFonts.bold(16), plot, false);
    framed(chart);
    return chart;
  }

  private static void framed(JFreeChart chart) {
    chart.setBackgroundPaint(Color.WHITE);
    chart.setPadding(new RectangleInsets(12, 14, 10, 24));
  }

  private static void leftAligned(TextTitle text) {
    text.setHorizontalAlignment(HorizontalAlignment.LEFT);
    text.setTextAlignment(HorizontalAlignment.LEFT);
    text.setPaint(INK);
    text.setPadding(0, 2, 6, 0);
  }

  /** Puts data and axes on a plot without lines of its own. */
  static void frame(
      XYPlot plot, XYDataset data, XYItemRenderer renderer, ValueAxis across, ValueAxis up) {
    plot.setDataset(data);
    plot.setRenderer(renderer);
    plot.setDomainAxis(across);
    plot.setRangeAxis(up);
    plot.setBackgroundPaint(Color.WHITE);
    plot.setOutlineVisible(false);
    plot.setDomainGridlinesVisible(false);
    plot.setRangeGridlinesVisible(false);
    plot.setAxisOffset(RectangleInsets.ZERO_INSETS);
  }

  /** Words at a place. */
  static XYTextAnnotation write(
      XYPlot plot, String words, double x, double y, TextAnchor anchor, Paint ink, Font font) {
    XYTextAnnotation text = new XYTextAnnotation(words, x, y);
    text.setFont(font);
    text.setTextAnchor(anchor);
    text.setPaint(ink);
    plot.addAnnotation(text);
    return text;
  }

  /** A line of dashes and gaps. */
  static BasicStroke dashed(float width, float... dashes) {
    return new BasicStroke(width, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND, 1f, dashes, 0f);
  }

  /** An upright line through a place. */
  static ValueMarker marker(double at, Color ink, BasicStroke stroke) {
    ValueMarker marker = new ValueMarker(at);
    marker.setPaint(ink);
    marker.setStroke(stroke);
    return marker;
  }

  /** An axis of densities, whose numbers say nothing. */
  static NumberAxis densities(double top) {
    NumberAxis axis = axis("density");
    axis.setRange(0, top);
    axis.setTickLabelsVisible(false);
    axis.setTickMarksVisible(false);
    plain(axis);
    return axis;
  }

  /** An axis of numbers, which are written one way everywhere. */
  static NumberAxis axis(String label) {
    NumberAxis axis = new NumberAxis(label.isEmpty() ? null : label);
    axis.setStandardTickUnits(NumberAxis.createStandardTickUnits(Locale.ROOT));
    return axis;
  }

  /** As much room for the axis at the left in every plot of a picture, so that these align. */
  static void room(XYPlot plot) {
    AxisSpace space = new AxisSpace();
    space.setLeft(64);
    space.setBottom(44);
    plot.setFixedRangeAxisSpace(space);
  }

  /** A format of numbers, which are written one way everywhere. */
  static DecimalFormat format(String pattern) {
    return new DecimalFormat(pattern, DecimalFormatSymbols.getInstance(Locale.ROOT));
  }

  /** Fonts and ink of an axis. */
  static void plain(ValueAxis axis) {
    axis.setTickLabelFont(BundledFonts.plain(12));
    axis.setLabelFont(BundledFonts.plain(12));
    axis.setTickLabelPaint(INK);
    axis.setLabelPaint(INK);
    axis.setAxisLinePaint(INK);
  }

  /** The smallest step of 1, 2 or 5 times a power of ten that divides a span into few parts. */
  static double step(double span, int most) {
    double power = Math.pow(10, Math.floor(Math.log10(span / most)));
    for (double round : ROUND) {
      if (span / (round * power) <= most) {
        return round * power;
      }
    }
    return 10 * power;
  }
}
