package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Value;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.geom.Ellipse2D;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTickUnit;
import org.jfree.chart.axis.ValueAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;
import org.jfree.data.xy.XYSeriesCollection;

/**
 * A plot of evidence on the scale of a chance: how likely the alternative is true, had both been
 * equally likely at the start. Half is where the data say nothing.
 */
final class ChancePlot {
  private static final double LOW = -10;
  private static final double HIGH = 107;
  private static final Color QUIET = new Color(0x66, 0x70, 0x7A);

  private final XYPlot plot = new XYPlot();
  private final XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
  private final XYSeriesCollection curves = new XYSeriesCollection();
  private final ValueAxis across;

  ChancePlot(ValueAxis across) {
    this.across = across;
    ChartStyle.frame(plot, curves, renderer, across, chances());
    ChartStyle.room(plot);
    renderer.setDrawSeriesLineAsPath(true);
    plot.addRangeMarker(
        ChartStyle.marker(50, QUIET, ChartStyle.dashed(1f, 2, 3)), Layer.BACKGROUND);
    write("even", across.getUpperBound(), 53.5, TextAnchor.CENTER_RIGHT, QUIET, false);
  }

  private static NumberAxis chances() {
    NumberAxis axis = ChartStyle.axis("chance that the alternative is true");
    axis.setRange(LOW, HIGH);
    axis.setTickUnit(new NumberTickUnit(25, ChartStyle.format("0'%'")));
    ChartStyle.plain(axis);
    return axis;
  }

  /** The chance of the alternative, 0 to 100, of a Bayes factor's natural logarithm. */
  static double chance(double logBayesFactor) {
    return 100 / (1 + Math.exp(-logBayesFactor));
  }

  /** The same in words, told from its ends. */
  static String words(double logBayesFactor) {
    return Value.Share.CHANCE.of(chance(logBayesFactor) / 100).text();
  }

  /** Labels the hypotheses favoured at both ends. */
  void ends(String alternative, String none) {
    double left = across.getLowerBound();
    write(" for " + alternative, left, HIGH - 3, TextAnchor.CENTER_LEFT, ChartStyle.INK, true);
    write(" for " + none, left, LOW + 5, TextAnchor.CENTER_LEFT, ChartStyle.INK, true);
  }

  /** A curve. */
  void curve(XYSeries points, Color ink, BasicStroke stroke) {
    int number = curves.getSeriesCount();
    curves.addSeries(points);
    renderer.setSeriesPaint(number, ink);
    renderer.setSeriesStroke(number, stroke);
  }

  /** Where the words of a point stand. */
  enum Beside {
    ABOVE(5),
    BELOW(-6),
    LEVEL(0);

    private final double up;

    Beside(double up) {
      this.up = up;
    }
  }

  /** A point with words on the side on which there is room for them. */
  void point(double x, double logBayesFactor, String words, Color ink, Beside beside) {
    XYSeries only = new XYSeries("point " + curves.getSeriesCount());
    double y = chance(logBayesFactor);
    only.add(x, y);
    int number = curves.getSeriesCount();
    curve(only, ink, new BasicStroke(1f));
    renderer.setSeriesShapesVisible(number, true);
    renderer.setSeriesShape(number, new Ellipse2D.Double(-4, -4, 8, 8));
    boolean right =
        beside == Beside.LEVEL || x < across.getLowerBound() + 0.6 * across.getRange().getLength();
    write(
        say(right ? "  %s" : "%s  ", words),
        x,
        Math.max(4, Math.min(97, y + beside.up)),
        right ? TextAnchor.CENTER_LEFT : TextAnchor.CENTER_RIGHT,
        ink,
        true);
  }

  private void write(String text, double x, double y, TextAnchor anchor, Color ink, boolean bold) {
    ChartStyle.write(
        plot, text, x, y, anchor, ink, bold ? BundledFonts.bold(12) : BundledFonts.plain(12));
  }

  XYPlot plot() {
    return plot;
  }
}
