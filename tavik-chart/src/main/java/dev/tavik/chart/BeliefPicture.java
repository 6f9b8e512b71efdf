package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.plot.BeliefPlot;
import dev.tavik.result.Figures;
import java.awt.BasicStroke;
import java.awt.Color;
import java.util.List;
import org.jfree.chart.annotations.XYBoxAnnotation;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeriesCollection;

/**
 * Two lanes over one axis, what was believed before the data and what after. Each is a strip of
 * slices that hold a twentieth of the belief each: narrow where belief is dense. A bracket is the
 * credible interval, one line through both lanes the value held against.
 */
final class BeliefPicture {
  private static final int WIDTH = 960;
  private static final int HEIGHT = 400;
  private static final double STRIP = 17;
  private static final double TOP = 100;
  private static final Color[] AFTER = {new Color(0x2F, 0x74, 0xA8), new Color(0x6F, 0xA6, 0xCC)};
  private static final Color[] BEFORE = {new Color(0x8E, 0x94, 0x99), new Color(0xB9, 0xBE, 0xC2)};
  private static final Color NULL = new Color(0xB0, 0x3F, 0x00);
  private static final Color REGION = new Color(0xF7, 0xE8, 0xD6);
  private static final double CHARACTER = 7.4;
  private static final double LEAST_SAID = 0.01;

  private final XYPlot plot = new XYPlot();
  private final double left;
  private final double right;
  private final double against;
  private final BeliefPlot belief;

  private BeliefPicture(BeliefPlot belief) {
    this.belief = belief;
    this.against = belief.held().value();
    this.left = belief.axis().left();
    this.right = belief.axis().right();
    NumberAxis across = ChartStyle.axis(belief.axis().quantity());
    across.setRange(100 * left, 100 * right);
    ChartStyle.plain(across);
    NumberAxis up = ChartStyle.axis("");
    up.setRange(0, TOP);
    up.setVisible(false);
    ChartStyle.frame(
        plot, new XYSeriesCollection(), new XYLineAndShapeRenderer(true, false), across, up);
  }

  static Picture of(Answer answer) {
    return answer
        .plot(BeliefPlot.class)
        .map(belief -> new BeliefPicture(belief).picture())
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "the picture of what to believe is of one rate or of two, and needs their"
                        + " Bayesian view, --bayes"));
  }

  private void lane(BeliefPlot.Lane lane, double low, String name, Color[] fills) {
    List<Double> cuts = lane.cuts();
    for (int k = 0; k < cuts.size() - 1; k++) {
      double from = Math.max(left, cuts.get(k));
      double to = Math.min(right, cuts.get(k + 1));
      if (from < to) {
        plot.addAnnotation(
            new XYBoxAnnotation(
                100 * from,
                low,
                100 * to,
                low + STRIP,
                new BasicStroke(0.6f),
                Color.WHITE,
                fills[k % fills.length]));
      }
    }
    bracket(lane, low + STRIP + 3);
    write(name + lane.name(), left, low - 5, TextAnchor.CENTER_LEFT, ChartStyle.INK);
    beyond(lane.beyond(), low - 5);
  }

  private void bracket(BeliefPlot.Lane interval, double y) {
    double from = Math.max(left, interval.lower());
    double to = Math.min(right, interval.upper());
    line(from, y, to, y);
    if (interval.lower() >= left) {
      line(from, y - 2, from, y);
    }
    if (interval.upper() <= right) {
      line(to, y - 2, to, y);
    }
    String words = interval.credible();
    write(words, clear(words, (from + to) / 2), y + 5, TextAnchor.CENTER, ChartStyle.INK);
  }

  /** The middle for words, as near to a wanted one as the axis and the line allow. */
  private double clear(String words, double wanted) {
    double half = 0.5 * CHARACTER * words.length() * (right - left) / WIDTH;
    double inside = Math.max(left + half, Math.min(right - half, wanted));
    if (Math.abs(inside - against) > half) {
      return inside;
    }
    double before = against - 1.1 * half;
    double after = against + 1.1 * half;
    boolean nearerBefore = Math.abs(before - wanted) < Math.abs(after - wanted);
    return (nearerBefore && before - half >= left) || after + half > right ? before : after;
  }

  /** How much of the belief lies outside the axis. */
  private void beyond(double outside, double y) {
    if (outside >= LEAST_SAID) {
      write(
          Figures.percent(outside) + " lies beyond this axis",
          right,
          y,
          TextAnchor.CENTER_RIGHT,
          ChartStyle.INK);
    }
  }

  /** A stretch of values that are as good as one another, behind the lanes. */
  private void region(BeliefPlot.Region region) {
    double low = Math.max(left, region.from());
    double high = Math.min(right, region.to());
    plot.addAnnotation(
        new XYBoxAnnotation(100 * low, 4, 100 * high, 90, new BasicStroke(0.5f), REGION, REGION));
  }

  /** The value held against, and what became of the belief there. */
  private void held() {
    plot.addAnnotation(
        new XYLineAnnotation(100 * against, 8, 100 * against, 93, new BasicStroke(2f), NULL));
    boolean toTheRight = against < (left + right) / 2;
    TextAnchor anchor = toTheRight ? TextAnchor.CENTER_LEFT : TextAnchor.CENTER_RIGHT;
    String pad = toTheRight ? "  %s" : "%s  ";
    write(String.format(pad, belief.held().name()), against, 96, anchor, NULL);
    write(String.format(pad, became(belief.held().times())), against, 49, anchor, NULL);
  }

  private static String became(double times) {
    if (times == 0) {
      return "hardly any belief is left here";
    }
    return times >= 1
        ? say("belief here became %s times denser", Figures.significant(times, 3))
        : say("belief here became %s times thinner", Figures.significant(1 / times, 3));
  }

  private void line(double x1, double y1, double x2, double y2) {
    plot.addAnnotation(
        new XYLineAnnotation(100 * x1, y1, 100 * x2, y2, new BasicStroke(1.6f), ChartStyle.INK));
  }

  private void write(String words, double x, double y, TextAnchor anchor, Color ink) {
    ChartStyle.write(plot, words, 100 * x, y, anchor, ink, BundledFonts.plain(12));
  }

  private Picture picture() {
    BeliefPlot.Region region = belief.region();
    if (region != null) {
      region(region);
    }
    lane(belief.before(), 62, "before: ", BEFORE);
    lane(belief.after(), 16, "after: ", AFTER);
    held();
    return new Picture(
        ChartStyle.titled(
            plot,
            belief.title(),
            "each slice holds one twentieth of the belief; " + belief.subtitle()),
        WIDTH,
        HEIGHT);
  }
}
