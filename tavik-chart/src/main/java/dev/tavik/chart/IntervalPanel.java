package dev.tavik.chart;

import dev.tavik.plot.IntervalPlot;
import dev.tavik.plot.Scale;
import dev.tavik.result.Interval;
import dev.tavik.result.Side;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Polygon;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import org.jfree.chart.axis.AxisSpace;
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

/** Rows of intervals over one axis, with reference values as dashed lines. */
final class IntervalPanel {
  private static final Color FAINT = new Color(0xDD, 0xDD, 0xDD);

  /** Blue and vermilion stay apart for every kind of colour vision (Okabe and Ito 2008). */
  private static final Color INTERVAL = new Color(0x00, 0x55, 0x8C);

  private static final float TEXT_SIZE = 13;

  private static final Color NULL_VALUE = new Color(0xB8, 0x47, 0x00);
  private static final Shape POINT = new Ellipse2D.Double(-5, -5, 10, 10);
  private static final Shape CLAIMED = new Rectangle2D.Double(-1.5, -13, 3, 26);
  private static final Shape BOUND = new Polygon(new int[] {-6, 6, 0}, new int[] {-13, -13, -2}, 3);
  private static final Shape CAP = new Line2D.Double(0, -7, 0, 7);

  private final String axisLabel;
  private final Scale scale;
  private final List<IntervalRow> rows;
  private final List<Double> references;
  private final double left;
  private final double right;

  IntervalPanel(IntervalPlot.Panel panel) {
    boolean bounded =
        panel.rows().stream().anyMatch(row -> row.interval().side() != Side.TWO_SIDED);
    this.axisLabel = panel.axis() + (bounded ? "; triangle: the one-sided bound" : "");
    this.scale = panel.scale();
    this.rows = IntervalRow.together(panel.rows());
    this.references = panel.references();
    double least = Double.POSITIVE_INFINITY;
    double greatest = Double.NEGATIVE_INFINITY;
    for (double place : places()) {
      if (Double.isFinite(place)) {
        least = Math.min(least, place);
        greatest = Math.max(greatest, place);
      }
    }
    double span = Math.max(greatest - least, scale == Scale.TIMES ? 0.3 : 1e-7);
    this.left = least - 0.05 * span;
    this.right = greatest + 0.05 * span;
  }

  private List<Double> places() {
    List<Double> places = new ArrayList<>();
    references.forEach(value -> places.add(scale.place(value)));
    for (IntervalRow row : rows) {
      Double bound = row.boundary();
      if (bound != null) {
        places.add(scale.place(bound));
      }
      Double claimed = row.row().claimed();
      if (claimed != null) {
        places.add(scale.place(claimed));
      }
      places.add(scale.place(row.estimate()));
      places.add(scale.place(drawnLower(row.interval(), row.estimate())));
      places.add(scale.place(drawnUpper(row.interval(), row.estimate())));
    }
    return places;
  }

  int rowCount() {
    return rows.size();
  }

  /** The longest text before the rows, in characters. */
  int longestName() {
    return rows.stream().mapToInt(row -> row.name().length()).max().orElse(0);
  }

  /** The longest text after the rows, in characters. */
  int longestText() {
    return rows.stream().mapToInt(row -> row.text().length()).max().orElse(0);
  }

  /** A bound's open end is drawn from the point on, not to the end of the scale. */
  private static double drawnLower(Interval interval, double estimate) {
    return interval.side() == Side.UPPER ? estimate : interval.lower();
  }

  private static double drawnUpper(Interval interval, double estimate) {
    return interval.side() == Side.LOWER ? estimate : interval.upper();
  }

  /** The plot, with this much room left and right of the rows; 0 for as much as needed. */
  XYPlot plot(double before, double after) {
    XYPlot plot = new XYPlot();
    plot.setDomainAxis(scale == Scale.TIMES ? ratioAxis() : linearAxis());
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
    references.forEach(value -> plot.addDomainMarker(reference(value), Layer.BACKGROUND));
    if (before > 0) {
      AxisSpace space = new AxisSpace();
      space.setLeft(before);
      space.setRight(after);
      plot.setFixedRangeAxisSpace(space);
    }
    return plot;
  }

  private void draw(int index, XYSeriesCollection data, XYLineAndShapeRenderer renderer) {
    IntervalRow row = rows.get(index);
    double y = rows.size() - 1.0 - index;
    double lower = Math.max(left, scale.place(drawnLower(row.interval(), row.estimate())));
    double upper = Math.min(right, scale.place(drawnUpper(row.interval(), row.estimate())));
    if (Double.isNaN(lower) || Double.isNaN(upper)) {
      return;
    }
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
    Double bound = row.boundary();
    if (bound != null && Double.isFinite(scale.place(bound))) {
      XYSeries mark = new XYSeries("bound " + index);
      mark.add(scale.place(bound), y);
      addSeries(mark, data, renderer, BOUND, true);
    }
    XYSeries point = new XYSeries("point " + index);
    Double claimed = row.row().claimed();
    if (claimed != null) {
      XYSeries mark = new XYSeries("claimed " + index);
      mark.add(scale.place(claimed), y);
      addSeries(mark, data, renderer, CLAIMED, true);
      renderer.setSeriesPaint(data.getSeriesCount() - 1, NULL_VALUE);
      renderer.setSeriesFillPaint(data.getSeriesCount() - 1, NULL_VALUE);
    }
    double place = scale.place(row.estimate());
    if (Double.isFinite(place)) {
      point.add(place, y);
      addSeries(point, data, renderer, POINT, row.row().filled());
    }
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

  private ValueMarker reference(double value) {
    double place = scale.place(value);
    ValueMarker marker =
        new ValueMarker(
            place,
            NULL_VALUE,
            new BasicStroke(
                1.8f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_BEVEL, 1, new float[] {7, 5}, 0));
    marker.setLabel(scale.label(value));
    marker.setLabelFont(BundledFonts.bold(12));
    marker.setLabelPaint(NULL_VALUE);
    marker.setLabelBackgroundColor(new Color(255, 255, 255, 0));
    boolean roomToTheRight = place < left + 0.75 * (right - left);
    marker.setLabelAnchor(roomToTheRight ? RectangleAnchor.TOP_RIGHT : RectangleAnchor.TOP_LEFT);
    marker.setLabelTextAnchor(roomToTheRight ? TextAnchor.TOP_LEFT : TextAnchor.TOP_RIGHT);
    return marker;
  }

  private NumberAxis ratioAxis() {
    NumberAxis axis = new RatioAxis(axisLabel);
    axis.setRange(left, right);
    ChartStyle.plain(axis);
    return axis;
  }

  private NumberAxis linearAxis() {
    NumberAxis axis = ChartStyle.axis(axisLabel);
    axis.setRange(left, right);
    double step = ChartStyle.step(right - left, 10);
    int decimals = Math.max(0, (int) Math.ceil(-Math.log10(step) - 1e-9));
    DecimalFormat format =
        new DecimalFormat(
            "0" + (decimals == 0 ? "" : "." + "0".repeat(decimals)) + scale.unit(),
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
