package dev.tavik.chart;

import dev.tavik.answer.Answer;
import dev.tavik.result.Figures;
import dev.tavik.study.tail.Tails;
import dev.tavik.study.tail.Tails.TailArea;
import dev.tavik.tail.Tail;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Shape;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeriesCollection;

/** Draws a distribution with the areas that were looked up shaded and labelled. */
final class TailPicture {
  private static final int WIDTH = 960;
  private static final int HEIGHT = 440;
  private static final int POINTS = 500;
  private static final int MOST_BARS = 200;
  private static final double SHOWN = 0.0005;
  private static final Pattern LONG = Pattern.compile("([ ≤≥<>] ?)(-?\\d+\\.\\d{5,})(?=[ )])");
  private static final double HEADROOM = 1.25;
  private static final Color PLAIN = new Color(0xB9, 0xD3, 0xE6);
  private static final Color SHADED = new Color(0xB8, 0x47, 0x00);

  private final Tails answer;
  private final Tail tail;
  private final XYPlot plot = new XYPlot();
  private final XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
  private final double left;
  private final double right;
  private final double step;
  private double highest;

  private TailPicture(Tails answer) {
    this.answer = answer;
    this.tail = answer.asked().tail();
    double low = tail.valueBelow(SHOWN);
    double high = tail.valueAbove(SHOWN);
    double reach = 2 * (high - low);
    for (TailArea line : answer.lines()) {
      for (Double value : new Double[] {line.from(), line.to()}) {
        if (value != null && value > low - reach && value < high + reach) {
          low = Math.min(low, value - 0.1 * (high - low));
          high = Math.max(high, value + 0.1 * (high - low));
        }
      }
    }
    this.step =
        tail.counts() ? Math.max(1, Math.ceil((high - low) / MOST_BARS)) : (high - low) / POINTS;
    this.left = Math.max(tail.least(), tail.counts() ? Math.floor(low) : low);
    this.right = Math.min(tail.greatest(), tail.counts() ? Math.ceil(high) : high);
    for (double x = left; x <= right; x += step) {
      highest = Math.max(highest, height(x));
    }
  }

  /**
   * The picture.
   *
   * @param answer an answer about a tail
   * @return the picture
   * @throws IllegalArgumentException if it is about anything else
   */
  public static Picture of(Answer answer) {
    return answer
        .find(Tails.class)
        .map(looked -> new TailPicture(looked).picture())
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "the picture of a tail is of a tail that was looked up"));
  }

  /** A density by the area around; at the ends of the support a little inside. */
  private double height(double x) {
    if (tail.counts()) {
      return tail.between(x, x + step - 1);
    }
    double half = step / 4;
    double from = Math.max(tail.least(), x - half);
    double to = Math.min(tail.greatest(), x + half);
    return tail.between(from, to) / (to - from);
  }

  private Picture picture() {
    double edge = tail.counts() ? step : 0;
    NumberAxis values = ChartStyle.axis("X");
    values.setRange(left - edge, right + edge);
    if (tail.counts()) {
      values.setStandardTickUnits(NumberAxis.createIntegerTickUnits(Locale.ROOT));
    }
    ChartStyle.plain(values);
    NumberAxis heights = ChartStyle.axis(tail.counts() ? "probability" : "density");
    heights.setRange(0, HEADROOM * highest);
    heights.setTickLabelsVisible(tail.counts());
    ChartStyle.plain(heights);
    ChartStyle.frame(plot, new XYSeriesCollection(), renderer, values, heights);
    fill(left, right, PLAIN);
    for (TailArea line : shaded()) {
      shade(line);
    }
    return new Picture(ChartStyle.titled(plot, title(), "shaded: " + described()), WIDTH, HEIGHT);
  }

  /** Of a value the smaller tail; of an area both one-sided tails; what lies between. */
  private List<TailArea> shaded() {
    TailArea first = answer.lines().get(0);
    if (first.side().equals(TailArea.BETWEEN)) {
      return List.of(first);
    }
    TailArea second =
        answer.lines().stream()
            .filter(line -> line.side().equals(TailArea.UPPER))
            .findFirst()
            .orElseThrow();
    if (answer.asked().area() != null) {
      return List.of(first, second);
    }
    return List.of(first.logArea() <= second.logArea() ? first : second);
  }

  private void shade(TailArea line) {
    Double from = line.from();
    Double to = line.to();
    fill(from == null ? left : from, to == null ? right : to, SHADED);
    for (Double end : new Double[] {from, to}) {
      if (end != null) {
        // No higher than the curve, so that the labels above stay clear.
        plot.addAnnotation(
            new XYLineAnnotation(
                end, 0, end, 1.06 * highest, ChartStyle.dashed(1.4f, 4, 3), SHADED));
      }
    }
    String words = words(line);
    if (from != null && to != null) {
      label(words, (left + right) / 2, TextAnchor.CENTER);
    } else if (from != null) {
      label(words + " ", right, TextAnchor.CENTER_RIGHT);
    } else {
      label(" " + words, left, TextAnchor.CENTER_LEFT);
    }
  }

  private void label(String words, double x, TextAnchor anchor) {
    ChartStyle.write(plot, words, x, 1.15 * highest, anchor, SHADED, BundledFonts.bold(12));
  }

  private void fill(double from, double to, Color ink) {
    if (tail.counts()) {
      for (double x = left; x <= right; x += step) {
        if (x >= from && x <= to) {
          double width = 0.84 * step;
          draw(new Rectangle2D.Double(x + (step - 1) / 2 - width / 2, 0, width, height(x)), ink);
        }
      }
      return;
    }
    double start = Math.max(left, from);
    double end = Math.max(start, Math.min(right, to));
    Path2D.Double area = new Path2D.Double();
    area.moveTo(start, 0);
    int points = Math.max(8, (int) Math.ceil((end - start) / step));
    for (int i = 0; i <= points; i++) {
      double x = start + (end - start) * i / points;
      area.lineTo(x, Math.min(height(x), HEADROOM * highest));
    }
    area.lineTo(end, 0);
    area.closePath();
    draw(area, ink);
  }

  private void draw(Shape shape, Color ink) {
    renderer.addAnnotation(
        new FilledShape(shape, new BasicStroke(0.4f), ink, ink), Layer.BACKGROUND);
  }

  private String title() {
    String name = tail.name();
    return answer.asked().label().isEmpty()
        ? Character.toUpperCase(name.charAt(0)) + name.substring(1)
        : answer.asked().label() + ": " + name;
  }

  private String described() {
    TailArea both = answer.lines().get(answer.lines().size() - 1);
    String shown = shaded().stream().map(this::words).collect(Collectors.joining("; "));
    return both.side().equals(TailArea.BOTH) ? shown + "; both: " + words(both) : shown;
  }

  /** A critical value has ten digits in a table, and five here. */
  private String words(TailArea line) {
    return LONG.matcher(Tails.words(answer.asked(), line))
        .replaceAll(
            value -> value.group(1) + Figures.significant(Double.parseDouble(value.group(2)), 5));
  }
}
