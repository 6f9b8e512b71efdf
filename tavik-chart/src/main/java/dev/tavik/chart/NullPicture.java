package dev.tavik.chart;

import dev.tavik.answer.Answer;
import dev.tavik.plot.NullPlot;
import dev.tavik.plot.NullPlot.Point;
import dev.tavik.plot.NullPlot.Tail;
import dev.tavik.result.Figures;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Shape;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTickUnit;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.RectangleAnchor;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeriesCollection;

/** Lays a null distribution out over counts of successes, bars or a curve, its tails shaded. */
final class NullPicture {
  private static final int WIDTH = 960;
  private static final int HEIGHT = 460;

  /** More bars than these run into one another; they are drawn as one outline. */
  private static final int MOST_BARS = 160;

  /** The width that a label may need, as a share of the axis. */
  private static final double LABEL_SHARE = 0.14;

  private static final Color PLAIN = new Color(0xB9, 0xD3, 0xE6);
  private static final Color SHADED = new Color(0xB8, 0x47, 0x00);

  private final NullPlot distribution;
  private final NullPlot.Marks marks;
  private final double left;
  private final double right;
  private final double highest;
  private final XYPlot plot = new XYPlot();

  /** Where the text of a tail goes, as seen from its end. */
  private enum Direction {
    LEFT,
    RIGHT
  }

  private NullPicture(NullPlot plot) {
    this.distribution = plot;
    this.marks = plot.marks();
    List<Point> points = distribution.points();
    double span = points.get(points.size() - 1).count() - points.get(0).count();
    double bar = distribution.discrete() ? 0.5 : 0;
    this.left = points.get(0).count() - 0.03 * span - bar;
    this.right = points.get(points.size() - 1).count() + 0.03 * span + bar;
    this.highest = points.stream().mapToDouble(Point::height).max().orElse(1);
  }

  static Picture of(Answer answer) {
    return answer
        .plot(NullPlot.class)
        .map(plot -> new NullPicture(plot).picture())
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "the picture of a p-value is about one rate or two groups; choose, for example"
                        + " with a filter"));
  }

  private Picture picture() {
    ChartStyle.frame(
        plot, new XYSeriesCollection(), new XYLineAndShapeRenderer(), countAxis(), heightAxis());
    if (distribution.discrete() && distribution.points().size() <= MOST_BARS) {
      bars();
    } else {
      areas();
    }
    tailLabel(distribution.lower(), Direction.LEFT);
    tailLabel(distribution.upper(), Direction.RIGHT);
    critical();
    observed();
    JFreeChart chart = ChartStyle.titled(plot, distribution.title(), distribution.subtitle());
    return new Picture(chart, WIDTH, HEIGHT);
  }

  private boolean inTail(double count) {
    Tail lower = distribution.lower();
    Tail upper = distribution.upper();
    return (lower.area() > 0 && count <= lower.end()) || (upper.area() > 0 && count >= upper.end());
  }

  private void bars() {
    for (Point point : distribution.points()) {
      fill(
          new Rectangle2D.Double(point.count() - 0.42, 0, 0.84, point.height()),
          inTail(point.count()) ? SHADED : PLAIN);
    }
  }

  private void areas() {
    fill(area(left, right), PLAIN);
    if (distribution.lower().area() > 0) {
      fill(area(left, distribution.lower().end()), SHADED);
    }
    if (distribution.upper().area() > 0) {
      fill(area(distribution.upper().end(), right), SHADED);
    }
  }

  /** The area under the points between two counts, cut off straight at both. */
  private Shape area(double from, double to) {
    List<Point> points = distribution.points();
    Path2D.Double path = new Path2D.Double();
    double last = Math.max(from, points.get(0).count());
    path.moveTo(last, 0);
    for (int i = 0; i < points.size(); i++) {
      Point point = points.get(i);
      if (point.count() > to) {
        path.lineTo(to, height(points, i, to));
        last = to;
        break;
      }
      if (point.count() >= from) {
        if (i > 0 && points.get(i - 1).count() < from) {
          path.lineTo(from, height(points, i, from));
        }
        path.lineTo(point.count(), point.height());
        last = point.count();
      }
    }
    path.lineTo(last, 0);
    path.closePath();
    return path;
  }

  /** The height between a point and the one before it. */
  private static double height(List<Point> points, int after, double count) {
    if (after == 0) {
      return points.get(0).height();
    }
    Point low = points.get(after - 1);
    Point high = points.get(after);
    double share = (count - low.count()) / (high.count() - low.count());
    return low.height() + share * (high.height() - low.height());
  }

  private void fill(Shape shape, Color colour) {
    plot.addAnnotation(new FilledShape(shape, new BasicStroke(0.5f), colour, colour));
  }

  /** The area of a tail, beside its end and above its outline. */
  private void tailLabel(Tail tail, Direction direction) {
    if (tail.area() <= 0) {
      return;
    }
    double span = right - left;
    boolean room =
        direction == Direction.LEFT
            ? tail.end() > left + LABEL_SHARE * span
            : tail.end() < right - LABEL_SHARE * span;
    boolean toTheLeft = room == (direction == Direction.LEFT);
    double at = tail.end() + (toTheLeft ? -0.006 : 0.006) * span;
    double reach = at + (toTheLeft ? -LABEL_SHARE : LABEL_SHARE) * span;
    double height =
        distribution.points().stream()
            .filter(
                point ->
                    point.count() >= Math.min(at, reach) - 0.5
                        && point.count() <= Math.max(at, reach) + 0.5)
            .mapToDouble(Point::height)
            .max()
            .orElse(0);
    XYTextAnnotation text =
        new XYTextAnnotation(
            "area " + Figures.pValue(Math.log10(tail.area())),
            at,
            Math.min(height + 0.03 * highest, 1.02 * highest));
    text.setFont(BundledFonts.bold(13));
    text.setPaint(SHADED);
    text.setBackgroundPaint(Color.WHITE);
    text.setTextAnchor(toTheLeft ? TextAnchor.BOTTOM_RIGHT : TextAnchor.BOTTOM_LEFT);
    plot.addAnnotation(text);
  }

  private void observed() {
    ValueMarker marker = new ValueMarker(marks.observed(), ChartStyle.INK, new BasicStroke(1.8f));
    marker.setLabel("observed " + marks.observedText());
    marker.setLabelFont(BundledFonts.bold(13));
    double room = LABEL_SHARE * (right - left);
    boolean right = isFree(marks.observed(), marks.observed() + room);
    boolean left = isFree(marks.observed() - room, marks.observed());
    label(marker, marks.observed(), left && !right ? Direction.LEFT : Direction.RIGHT);
    // Drawn after the other lines, so that its label covers a line that crosses it.
    marker.setLabelBackgroundColor(Color.WHITE);
  }

  /** Whether no other line stands between two counts. */
  private boolean isFree(double from, double to) {
    return marks.critical().stream()
        .noneMatch(each -> each != marks.observed() && each >= from && each <= to);
  }

  private void critical() {
    double middle =
        distribution.points().stream()
            .max(Comparator.comparingDouble(Point::height))
            .orElseThrow()
            .count();
    marks
        .critical()
        .forEach(value -> dotted(value, value < middle ? Direction.LEFT : Direction.RIGHT));
  }

  private void dotted(double count, Direction outwards) {
    if (count < left || count > right || count == marks.observed()) {
      return;
    }
    ValueMarker marker =
        new ValueMarker(
            count,
            ChartStyle.INK,
            new BasicStroke(
                1.2f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_BEVEL, 1, new float[] {2, 4}, 0));
    marker.setLabel(
        distribution.discrete() || Math.abs(count) >= 100
            ? Figures.count(Math.round(count))
            : Figures.upTo(count, 3));
    marker.setLabelFont(BundledFonts.plain(12));
    marker.setLabelOffset(new RectangleInsets(24, 3, 3, 3));
    label(marker, count, outwards);
  }

  /** A label on the wanted side of its line, if there is room. */
  private void label(ValueMarker marker, double count, Direction wanted) {
    double room = LABEL_SHARE * (right - left);
    boolean roomToTheRight = wanted == Direction.RIGHT ? count < right - room : count < left + room;
    marker.setLabelPaint(ChartStyle.INK);
    marker.setLabelBackgroundColor(new Color(255, 255, 255, 0));
    marker.setLabelAnchor(roomToTheRight ? RectangleAnchor.TOP_RIGHT : RectangleAnchor.TOP_LEFT);
    marker.setLabelTextAnchor(roomToTheRight ? TextAnchor.TOP_LEFT : TextAnchor.TOP_RIGHT);
    plot.addDomainMarker(marker);
  }

  private NumberAxis countAxis() {
    NumberAxis axis = ChartStyle.axis(marks.axis());
    axis.setRange(left, right);
    double finest = distribution.discrete() ? 1 : 0;
    double step = Math.max(finest, ChartStyle.step(right - left, 12));
    axis.setTickUnit(
        new NumberTickUnit(
            step, new DecimalFormat("#,##0.####", DecimalFormatSymbols.getInstance(Locale.ROOT))));
    ChartStyle.plain(axis);
    return axis;
  }

  private NumberAxis heightAxis() {
    NumberAxis axis = ChartStyle.axis(distribution.discrete() ? "probability" : "density");
    axis.setRange(0, 1.18 * highest);
    axis.setTickLabelsVisible(false);
    axis.setTickMarksVisible(false);
    ChartStyle.plain(axis);
    axis.setAxisLineVisible(false);
    return axis;
  }
}
