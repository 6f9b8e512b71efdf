package dev.tavik.chart;

import dev.tavik.answer.Answer;
import dev.tavik.plot.DensityPlot;
import dev.tavik.plot.NullPlot.Point;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Shape;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Locale;
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
  private static final double HEADROOM = 1.25;
  private static final Color PLAIN = new Color(0xB9, 0xD3, 0xE6);
  private static final Color SHADED = new Color(0xB8, 0x47, 0x00);

  private final DensityPlot density;
  private final XYPlot plot = new XYPlot();
  private final XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
  private final double left;
  private final double right;
  private final double highest;

  private TailPicture(DensityPlot density) {
    this.density = density;
    List<Point> outline = density.outline();
    this.left = outline.get(0).count();
    this.right = outline.get(outline.size() - 1).count();
    this.highest = outline.stream().mapToDouble(Point::height).max().orElse(0);
  }

  static Picture of(Answer answer) {
    return answer
        .plot(DensityPlot.class)
        .map(density -> new TailPicture(density).picture())
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "the picture of a tail is of a tail that was looked up"));
  }

  private Picture picture() {
    double edge = density.discrete() ? density.step() : 0;
    NumberAxis values = ChartStyle.axis("X");
    values.setRange(left - edge, right + edge);
    if (density.discrete()) {
      values.setStandardTickUnits(NumberAxis.createIntegerTickUnits(Locale.ROOT));
    }
    ChartStyle.plain(values);
    NumberAxis heights = ChartStyle.axis(density.discrete() ? "probability" : "density");
    heights.setRange(0, HEADROOM * highest);
    heights.setTickLabelsVisible(density.discrete());
    ChartStyle.plain(heights);
    ChartStyle.frame(plot, new XYSeriesCollection(), renderer, values, heights);
    fill(density.outline(), PLAIN);
    density.shaded().forEach(this::shade);
    return new Picture(ChartStyle.titled(plot, density.title(), density.subtitle()), WIDTH, HEIGHT);
  }

  private void shade(DensityPlot.Shaded area) {
    Double from = area.from();
    Double to = area.to();
    fill(area.outline(), SHADED);
    for (Double end : new Double[] {from, to}) {
      if (end != null) {
        // No higher than the curve, so that the labels above stay clear.
        plot.addAnnotation(
            new XYLineAnnotation(
                end, 0, end, 1.06 * highest, ChartStyle.dashed(1.4f, 4, 3), SHADED));
      }
    }
    String words = area.words();
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

  private void fill(List<Point> outline, Color ink) {
    if (density.discrete()) {
      double width = 0.84 * density.step();
      for (Point bar : outline) {
        double middle = bar.count() + (density.step() - 1) / 2;
        draw(new Rectangle2D.Double(middle - width / 2, 0, width, bar.height()), ink);
      }
      return;
    }
    Path2D.Double area = new Path2D.Double();
    area.moveTo(outline.get(0).count(), 0);
    for (Point point : outline) {
      area.lineTo(point.count(), Math.min(point.height(), HEADROOM * highest));
    }
    area.lineTo(outline.get(outline.size() - 1).count(), 0);
    area.closePath();
    draw(area, ink);
  }

  private void draw(Shape shape, Color ink) {
    renderer.addAnnotation(
        new FilledShape(shape, new BasicStroke(0.4f), ink, ink), Layer.BACKGROUND);
  }
}
