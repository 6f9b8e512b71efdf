package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.bayes.Credible;
import dev.tavik.result.Figures;
import java.awt.BasicStroke;
import java.awt.Color;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleBinaryOperator;
import java.util.function.DoubleFunction;
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
final class BeliefLanes {
  private static final int WIDTH = 960;
  private static final int HEIGHT = 400;
  private static final int SLICES = 20;
  private static final double NEARLY_ALL = 0.999;
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
  private final DoubleFunction<String> value;

  /**
   * An empty picture.
   *
   * @param quantity what the axis is, with its unit
   * @param left where the axis begins, as a share
   * @param right where it ends
   * @param against the value held against
   * @param value how a value is written
   */
  BeliefLanes(
      String quantity, double left, double right, double against, DoubleFunction<String> value) {
    this.against = against;
    this.left = left;
    this.right = right;
    this.value = value;
    NumberAxis across = ChartStyle.axis(quantity);
    across.setRange(100 * left, 100 * right);
    ChartStyle.plain(across);
    NumberAxis up = ChartStyle.axis("");
    up.setRange(0, TOP);
    up.setVisible(false);
    ChartStyle.frame(
        plot, new XYSeriesCollection(), new XYLineAndShapeRenderer(true, false), across, up);
  }

  /** What is believed, by its intervals with equal tails and by what lies between two values. */
  record Belief(DoubleFunction<Credible> interval, DoubleBinaryOperator inside) {
    /** The places between the slices, from end to end. */
    double[] cuts() {
      double[] cuts = new double[SLICES + 1];
      cuts[0] = interval.apply(NEARLY_ALL).lower();
      cuts[SLICES] = interval.apply(NEARLY_ALL).upper();
      for (int k = 1; k <= SLICES / 2; k++) {
        boolean middle = 2 * k == SLICES;
        Credible inner = interval.apply(middle ? 1e-9 : 1 - 2.0 * k / SLICES);
        cuts[k] = middle ? (inner.lower() + inner.upper()) / 2 : inner.lower();
        cuts[SLICES - k] = middle ? cuts[k] : inner.upper();
      }
      return cuts;
    }
  }

  BeliefLanes before(Belief belief, String words, double level) {
    return lane(belief, 62, "before: " + words, level, BEFORE);
  }

  BeliefLanes after(Belief belief, String words, double level) {
    return lane(belief, 16, "after: " + words, level, AFTER);
  }

  private BeliefLanes lane(Belief belief, double low, String name, double level, Color[] fills) {
    double[] cuts = belief.cuts();
    for (int k = 0; k < SLICES; k++) {
      double from = Math.max(left, cuts[k]);
      double to = Math.min(right, cuts[k + 1]);
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
    bracket(belief.interval().apply(level), level, low + STRIP + 3);
    write(name, left, low - 5, TextAnchor.CENTER_LEFT, ChartStyle.INK);
    beyond(belief, low - 5);
    return this;
  }

  private void bracket(Credible interval, double level, double y) {
    double from = Math.max(left, interval.lower());
    double to = Math.min(right, interval.upper());
    line(from, y, to, y);
    if (interval.lower() >= left) {
      line(from, y - 2, from, y);
    }
    if (interval.upper() <= right) {
      line(to, y - 2, to, y);
    }
    String words =
        say(
            "%s credible: %s to %s",
            Figures.exactPercent(level),
            value.apply(interval.lower()),
            value.apply(interval.upper()));
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
  private void beyond(Belief belief, double y) {
    double outside = 1 - belief.inside().applyAsDouble(left, right);
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
  BeliefLanes region(double from, double to) {
    double low = Math.max(left, from);
    double high = Math.min(right, to);
    plot.addAnnotation(
        new XYBoxAnnotation(100 * low, 4, 100 * high, 90, new BasicStroke(0.5f), REGION, REGION));
    return this;
  }

  /** The value held against, and what became of the belief there. */
  BeliefLanes held(String name, double times) {
    plot.addAnnotation(
        new XYLineAnnotation(100 * against, 8, 100 * against, 93, new BasicStroke(2f), NULL));
    boolean toTheRight = against < (left + right) / 2;
    TextAnchor anchor = toTheRight ? TextAnchor.CENTER_LEFT : TextAnchor.CENTER_RIGHT;
    String pad = toTheRight ? "  %s" : "%s  ";
    write(String.format(pad, name), against, 96, anchor, NULL);
    write(String.format(pad, became(times)), against, 49, anchor, NULL);
    return this;
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

  Picture picture(String title, String subtitle) {
    return new Picture(
        ChartStyle.titled(plot, title, "each slice holds one twentieth of the belief; " + subtitle),
        WIDTH,
        HEIGHT);
  }

  /** Ends of an axis with some room beside them, within what is possible. */
  static List<Double> ends(double low, double high, double least, double most) {
    double margin = 0.04 * (high - low);
    return new ArrayList<>(List.of(Math.max(least, low - margin), Math.min(most, high + margin)));
  }
}
