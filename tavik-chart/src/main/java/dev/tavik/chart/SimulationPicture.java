package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.SimulationFinding;
import dev.tavik.result.Figures;
import dev.tavik.simulation.SimulatedTail;
import dev.tavik.simulation.Simulation;
import dev.tavik.simulation.Simulation.Histogram;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Optional;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;
import org.jfree.data.xy.XYSeriesCollection;

/**
 * Draws what was simulated: a dot for every draw where they are few, bars where they are many, the
 * tails that are as extreme as the data shaded, and what a formula expects as a line.
 */
final class SimulationPicture {
  private static final int WIDTH = 960;
  private static final int HEIGHT = 480;
  private static final double PLOT_WIDTH = 870;
  private static final double PLOT_HEIGHT = 365;
  private static final int MOST_DOTS = 600;
  private static final int MOST_STACKED = 60;
  private static final double CHARACTER = 7.4;
  private static final double HEADROOM = 1.24;
  private static final Color PLAIN = new Color(0xB9, 0xD3, 0xE6);
  private static final Color SHADED = new Color(0xB8, 0x47, 0x00);
  private static final Color FORMULA = new Color(0x33, 0x33, 0x33);

  private final SimulationFinding view;
  private final String label;
  private final Histogram histogram;
  private final XYPlot plot = new XYPlot();
  private final int first;
  private final int last;
  private final double highest;

  private SimulationPicture(SimulationFinding view, String label) {
    this.view = view;
    this.label = label;
    this.histogram = view.simulation().histogram();
    int low = 0;
    int high = histogram.counts().size() - 1;
    while (low < high && empty(low)) {
      low++;
    }
    while (high > low && empty(high)) {
      high--;
    }
    this.first = low;
    this.last = high;
    double most = 1;
    for (int i = first; i <= last; i++) {
      most = Math.max(most, Math.max(histogram.counts().get(i), histogram.expected().get(i)));
    }
    this.highest = most;
  }

  /** Neither drawn nor where the data are. */
  private boolean empty(int bin) {
    return histogram.counts().get(bin) == 0
        && Math.abs(histogram.middle(bin) - histogram.observed()) > histogram.width() / 2;
  }

  /**
   * The picture.
   *
   * @param answer an answer with one simulated view
   * @return the picture
   * @throws IllegalArgumentException if there is none, or one for each of several groups
   */
  public static Picture of(Answer answer) {
    Optional<SimulationFinding> drawn = answer.find(SimulationFinding.class);
    if (drawn.isPresent()) {
      return new SimulationPicture(drawn.get(), answer.label()).picture();
    }
    throw new IllegalArgumentException(
        "the picture of a simulation is of one question, not of several groups, and needs --simulate");
  }

  private Picture picture() {
    XYSeries formula = new XYSeries("formula");
    for (int i = first; i <= last; i++) {
      formula.add(histogram.middle(i), histogram.expected().get(i));
    }
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
    renderer.setDrawSeriesLineAsPath(true);
    renderer.setSeriesPaint(0, FORMULA);
    renderer.setSeriesStroke(0, ChartStyle.dashed(1.6f, 6, 4));
    ChartStyle.frame(plot, new XYSeriesCollection(formula), renderer, values(), draws());
    marks(renderer);
    observed();
    cut(histogram.lowerCut());
    cut(histogram.upperCut());
    tailLabels();
    return new Picture(ChartStyle.titled(plot, title(), subtitle()), WIDTH, HEIGHT);
  }

  private double left() {
    return (histogram.middle(first) - 1.5 * histogram.width());
  }

  private double right() {
    return (histogram.middle(last) + 1.5 * histogram.width());
  }

  private NumberAxis values() {
    NumberAxis axis =
        ChartStyle.axis(histogram.measure() + "; dashed curve: what the formula expects");
    axis.setRange(left(), right());
    ChartStyle.plain(axis);
    return axis;
  }

  private NumberAxis draws() {
    NumberAxis axis = ChartStyle.axis(dots() ? "draws, a dot each" : "draws");
    axis.setRange(0, HEADROOM * highest);
    ChartStyle.plain(axis);
    return axis;
  }

  private boolean dots() {
    return view.simulation().draws() <= MOST_DOTS && highest <= MOST_STACKED;
  }

  private boolean extreme(int bin) {
    double slack = 1e-9 * Math.max(1, Math.abs(histogram.observed()));
    double half = histogram.measure().startsWith("X") ? histogram.width() / 2 : 0;
    return histogram.middle(bin) <= histogram.lowerCut() + slack
        || histogram.middle(bin) + half >= histogram.upperCut() - slack;
  }

  private void marks(XYLineAndShapeRenderer renderer) {
    double width = 0.84 * histogram.width();
    // Dots are round: as many pixels wide as they are tall.
    double across = right() - left();
    double up = HEADROOM * highest;
    double pixels = Math.min(width / across * PLOT_WIDTH, 0.9 / up * PLOT_HEIGHT);
    double wide = pixels / PLOT_WIDTH * across;
    double tall = pixels / PLOT_HEIGHT * up;
    for (int i = first; i <= last; i++) {
      double middle = histogram.middle(i);
      Color ink = extreme(i) ? SHADED : PLAIN;
      long count = histogram.counts().get(i);
      if (dots()) {
        for (int dot = 0; dot < count; dot++) {
          mark(
              renderer,
              new Ellipse2D.Double(middle - wide / 2, dot + 0.5 - tall / 2, wide, tall),
              ink);
        }
      } else if (count > 0) {
        mark(renderer, new Rectangle2D.Double(middle - width / 2, 0, width, count), ink);
      }
    }
  }

  private static void mark(XYLineAndShapeRenderer renderer, Shape shape, Color ink) {
    renderer.addAnnotation(
        new FilledShape(shape, new BasicStroke(0.4f), ink, ink),
        org.jfree.chart.ui.Layer.BACKGROUND);
  }

  private void observed() {
    ValueMarker marker =
        ChartStyle.marker(histogram.observed(), ChartStyle.INK, new BasicStroke(2f));
    plot.addDomainMarker(marker);
    double at = histogram.observed();
    boolean toTheRight = at < (left() + right()) / 2;
    write(
        say(
            "%sobserved %s%s",
            toTheRight ? " " : "", value(histogram.observed()), toTheRight ? "" : " "),
        at,
        1.19,
        toTheRight ? TextAnchor.CENTER_LEFT : TextAnchor.CENTER_RIGHT,
        ChartStyle.INK);
  }

  private String value(double value) {
    return List.of("X2", "z").contains(histogram.measure())
        ? Figures.significant(value, 4)
        : Figures.plain(value);
  }

  /** Where the other tail starts. */
  private void cut(double value) {
    if (Double.isFinite(value) && Math.abs(value - histogram.observed()) > 1e-12) {
      ValueMarker marker = ChartStyle.marker(value, SHADED, ChartStyle.dashed(1.4f, 4, 3));
      plot.addDomainMarker(marker);
    }
  }

  private void tailLabels() {
    SimulatedTail tail = view.simulation().tails().get(0);
    if (Double.isFinite(histogram.lowerCut())) {
      tailLabel(counted(tail.lowerHits(), tail.draws()), left(), histogram.lowerCut());
    }
    if (Double.isFinite(histogram.upperCut())) {
      tailLabel(counted(tail.upperHits(), tail.draws()), right(), histogram.upperCut());
    }
  }

  /** Between the end of the picture and the cut; inside, with an arrow, where that is too near. */
  private void tailLabel(String words, double end, double cut) {
    double wide = CHARACTER * (words.length() + 3) * (right() - left()) / PLOT_WIDTH;
    boolean room = Math.abs(cut - end) > wide;
    boolean lower = end < cut;
    String arrow = lower ? " \u2190 " + words : words + " \u2192 ";
    write(
        room ? " " + words + " " : arrow,
        room ? end : cut,
        1.08,
        lower ? TextAnchor.CENTER_LEFT : TextAnchor.CENTER_RIGHT,
        SHADED);
  }

  private static String counted(long hits, long draws) {
    return say("%s draws, %s", Figures.count(hits), Figures.percent((double) hits / draws));
  }

  private void write(String text, double x, double height, TextAnchor anchor, Color ink) {
    ChartStyle.write(plot, text, x, height * highest, anchor, ink, BundledFonts.bold(12));
  }

  private String title() {
    Simulation simulation = view.simulation();
    return say(
        "%s%s %s",
        label.isEmpty() ? "" : label + ": ", Figures.count(simulation.draws()), simulation.drawn());
  }

  private String subtitle() {
    SimulatedTail tail = view.simulation().tails().get(0);
    double formula = view.formulas().get(0);
    return say(
        "shaded: %s; simulated p %s (99%%: %s to %s), by formula %s (%s)",
        tail.rule(),
        SimulationFinding.rounded(tail.pValue(), tail),
        SimulationFinding.rounded(tail.interval().lower(), tail),
        SimulationFinding.rounded(tail.interval().upper(), tail),
        Double.isNaN(formula) ? "none" : Figures.pValue(formula),
        tail.method().id());
  }
}
