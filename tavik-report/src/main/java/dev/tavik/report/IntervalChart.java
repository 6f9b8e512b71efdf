package dev.tavik.report;

import dev.tavik.result.Figures;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTickUnit;
import org.jfree.chart.axis.SymbolAxis;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.RectangleAnchor;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;
import org.jfree.data.xy.XYSeriesCollection;

/** Lays intervals out in rows over a percentage axis, with the null value as a dashed line. */
final class IntervalChart {
  private static final int WIDTH = 960;
  private static final int ROW_HEIGHT = 46;
  private static final int AROUND_ROWS = 170;
  private static final float TEXT_SIZE = 13;
  private static final Color FAINT = new Color(0xDD, 0xDD, 0xDD);

  /** Blue and vermilion stay apart for every kind of colour vision (Okabe and Ito 2008). */
  private static final Color INTERVAL = new Color(0x00, 0x55, 0x8C);

  private static final Color NULL_VALUE = new Color(0xB8, 0x47, 0x00);
  private static final Shape POINT = new Ellipse2D.Double(-5, -5, 10, 10);
  private static final Shape CAP = new Line2D.Double(0, -7, 0, 7);

  private final String title;
  private final String subtitle;
  private final List<IntervalRow> rows;
  private final double against;
  private final double left;
  private final double right;

  IntervalChart(String title, String subtitle, List<IntervalRow> rows, double against) {
    this.title = title;
    this.subtitle = subtitle;
    this.rows = List.copyOf(rows);
    this.against = 100 * against;
    double least = this.against;
    double greatest = this.against;
    for (IntervalRow row : rows) {
      double estimate = 100 * row.estimate();
      least = Math.min(least, Math.min(estimate, 100 * drawnLower(row.interval(), row.estimate())));
      greatest =
          Math.max(greatest, Math.max(estimate, 100 * drawnUpper(row.interval(), row.estimate())));
    }
    double span = Math.max(greatest - least, 1e-7);
    this.left = least - 0.05 * span;
    this.right = greatest + 0.05 * span;
  }

  /** A bound's open end is drawn from the point on, not to the end of the scale. */
  private static double drawnLower(Interval interval, double estimate) {
    return interval.side() == Side.UPPER ? estimate : interval.lower();
  }

  private static double drawnUpper(Interval interval, double estimate) {
    return interval.side() == Side.LOWER ? estimate : interval.upper();
  }

  Picture picture() {
    XYPlot plot = new XYPlot();
    plot.setDomainAxis(percentAxis());
    plot.setRangeAxis(rowAxis(IntervalRow::name));
    plot.setRangeAxis(1, rowAxis(IntervalRow::text));
    plot.setBackgroundPaint(Color.WHITE);
    plot.setOutlineVisible(false);
    plot.setDomainGridlinePaint(FAINT);
    plot.setDomainGridlineStroke(new BasicStroke(1));
    plot.setRangeGridlinesVisible(false);
    plot.setAxisOffset(new RectangleInsets(0, 0, 0, 0));
    XYSeriesCollection data = new XYSeriesCollection();
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, true);
    renderer.setDrawSeriesLineAsPath(true);
    renderer.setDefaultFillPaint(Color.WHITE);
    renderer.setUseFillPaint(true);
    for (int row = 0; row < rows.size(); row++) {
      draw(row, data, renderer);
    }
    plot.setDataset(data);
    plot.setRenderer(renderer);
    plot.addDomainMarker(nullValue(), Layer.BACKGROUND);
    JFreeChart chart = ChartStyle.titled(plot, title, subtitle);
    return new Picture(chart, WIDTH, AROUND_ROWS + ROW_HEIGHT * rows.size());
  }

  private void draw(int index, XYSeriesCollection data, XYLineAndShapeRenderer renderer) {
    IntervalRow row = rows.get(index);
    double y = rows.size() - 1.0 - index;
    double lower = 100 * drawnLower(row.interval(), row.estimate());
    double upper = 100 * drawnUpper(row.interval(), row.estimate());
    XYSeries line = new XYSeries("line " + index);
    line.add(lower, y);
    line.add(upper, y);
    addSeries(line, data, renderer, CAP, true);
    if (row.interval().side() != Side.TWO_SIDED) {
      // Only the bound gets a cap; the other end is where the point stands.
      renderer.setSeriesShapesVisible(data.getSeriesCount() - 1, Boolean.FALSE);
      XYSeries cap = new XYSeries("cap " + index);
      cap.add(row.interval().side() == Side.UPPER ? upper : lower, y);
      addSeries(cap, data, renderer, CAP, true);
    }
    XYSeries point = new XYSeries("point " + index);
    point.add(100 * row.estimate(), y);
    addSeries(point, data, renderer, POINT, row.filled());
  }

  private static void addSeries(
      XYSeries series,
      XYSeriesCollection data,
      XYLineAndShapeRenderer renderer,
      Shape shape,
      boolean filled) {
    int index = data.getSeriesCount();
    data.addSeries(series);
    renderer.setSeriesPaint(index, INTERVAL);
    renderer.setSeriesFillPaint(index, filled ? INTERVAL : Color.WHITE);
    renderer.setSeriesStroke(index, new BasicStroke(2.2f));
    renderer.setSeriesShape(index, shape);
    renderer.setSeriesShapesFilled(index, Boolean.TRUE);
    renderer.setSeriesOutlineStroke(index, new BasicStroke(2.2f));
    renderer.setDrawOutlines(true);
  }

  private ValueMarker nullValue() {
    ValueMarker marker =
        new ValueMarker(
            against,
            NULL_VALUE,
            new BasicStroke(
                1.8f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_BEVEL, 1, new float[] {7, 5}, 0));
    marker.setLabel("against " + Figures.exactPercent(against / 100));
    marker.setLabelFont(BundledFonts.bold(12));
    marker.setLabelPaint(NULL_VALUE);
    marker.setLabelBackgroundColor(new Color(255, 255, 255, 0));
    boolean roomToTheRight = against < left + 0.75 * (right - left);
    marker.setLabelAnchor(roomToTheRight ? RectangleAnchor.TOP_RIGHT : RectangleAnchor.TOP_LEFT);
    marker.setLabelTextAnchor(roomToTheRight ? TextAnchor.TOP_LEFT : TextAnchor.TOP_RIGHT);
    return marker;
  }

  private NumberAxis percentAxis() {
    NumberAxis axis = new NumberAxis("proportion, in percent");
    axis.setRange(left, right);
    double step = ChartStyle.step(right - left, 10);
    int decimals = Math.max(0, (int) Math.ceil(-Math.log10(step) - 1e-9));
    DecimalFormat format =
        new DecimalFormat(
            "0" + (decimals == 0 ? "" : "." + "0".repeat(decimals)) + "'%'",
            DecimalFormatSymbols.getInstance(Locale.ROOT));
    axis.setTickUnit(new NumberTickUnit(step, format));
    ChartStyle.plain(axis);
    return axis;
  }

  /** An axis that has a word for each row in place of numbers. */
  private SymbolAxis rowAxis(Function<IntervalRow, String> word) {
    String[] names = new String[rows.size()];
    for (int row = 0; row < rows.size(); row++) {
      names[rows.size() - 1 - row] = word.apply(rows.get(row));
    }
    SymbolAxis axis = new SymbolAxis("", names);
    axis.setRange(-0.6, rows.size() - 0.05);
    axis.setGridBandsVisible(false);
    axis.setTickLabelFont(BundledFonts.plain(TEXT_SIZE));
    axis.setTickLabelPaint(ChartStyle.INK);
    axis.setTickMarksVisible(false);
    axis.setAxisLineVisible(false);
    return axis;
  }
}
