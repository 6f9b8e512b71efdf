package dev.tavik.chart;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Value;
import dev.tavik.plot.ErrorsPlot;
import java.awt.BasicStroke;
import java.awt.Color;
import org.jfree.chart.annotations.XYBoxAnnotation;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeriesCollection;

/**
 * Draws what a planned test would say in two worlds, a lane each over one axis: that in which
 * nothing is there, and that which is expected. A lane is a strip of slices, each one in forty
 * results, cut at the critical values into what the test rejects and what it doesn't.
 */
final class ErrorsPicture {
  private static final int WIDTH = 960;
  private static final int HEIGHT = 380;
  private static final double STRIP = 17;
  private static final double LEAST_SAID = 0.0005;
  private static final double LEAST_WIDTH = 0.04;
  private static final Color[] REJECTED = {
    new Color(0xC8, 0x6A, 0x2C), new Color(0xDE, 0x94, 0x61)
  };
  private static final Color[] KEPT = {new Color(0x5F, 0x7F, 0x99), new Color(0x8F, 0xA9, 0xBE)};

  private final ErrorsPlot errors;
  private final XYPlot plot = new XYPlot();

  private ErrorsPicture(ErrorsPlot errors) {
    this.errors = errors;
  }

  static Picture of(Answer answer) {
    return answer
        .plot(ErrorsPlot.class)
        .map(errors -> new ErrorsPicture(errors).picture())
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "the picture of power is of a plan for a test; an interval has none"));
  }

  private Picture picture() {
    NumberAxis across = ChartStyle.axis(errors.axis().name());
    across.setRange(errors.axis().from(), errors.axis().to());
    ChartStyle.plain(across);
    NumberAxis up = ChartStyle.axis("");
    up.setRange(0, 100);
    up.setVisible(false);
    ChartStyle.frame(
        plot, new XYSeriesCollection(), new XYLineAndShapeRenderer(true, false), across, up);
    lane(errors.worlds().get(0), 60);
    lane(errors.worlds().get(1), 16);
    errors.edges().forEach(this::edge);
    return new Picture(ChartStyle.titled(plot, errors.title(), errors.subtitle()), WIDTH, HEIGHT);
  }

  /** A world: its results in slices, and how many of them the test would reject. */
  private void lane(ErrorsPlot.World world, double low) {
    for (ErrorsPlot.Part part : world.parts()) {
      Color[] fills = part.rejected() ? REJECTED : KEPT;
      for (int k = 0; k < world.cuts().size() - 1; k++) {
        double from = Math.max(world.cuts().get(k), part.from());
        double to = Math.min(world.cuts().get(k + 1), part.to());
        slice(from, to, low, fills[k % 2]);
      }
      share(part, low);
    }
    // The name stands where the test rejects something.
    ErrorsPlot.Part first = world.parts().get(0);
    boolean left = first.from() < first.to() || !errors.oneTail();
    write(
        world.name(),
        left ? errors.axis().from() : errors.axis().to(),
        low - 5,
        left ? TextAnchor.CENTER_LEFT : TextAnchor.CENTER_RIGHT);
  }

  private void slice(double from, double to, double low, Color fill) {
    if (from < to) {
      plot.addAnnotation(
          new XYBoxAnnotation(
              from, low, to, low + STRIP, new BasicStroke(0.5f), Color.WHITE, fill));
    }
  }

  private void share(ErrorsPlot.Part part, double low) {
    double width = part.to() - part.from();
    if (part.share() < LEAST_SAID
        || width < LEAST_WIDTH * (errors.axis().to() - errors.axis().from())) {
      return;
    }
    write(
        Value.Share.CHANCE.of(part.share()).text()
            + (part.rejected() ? " rejected" : " not rejected"),
        (part.from() + part.to()) / 2,
        low + STRIP + 5,
        TextAnchor.CENTER);
  }

  private void edge(ErrorsPlot.Edge edge) {
    plot.addAnnotation(
        new XYLineAnnotation(
            edge.at(), 8, edge.at(), 92, ChartStyle.dashed(1.4f, 5, 4), ChartStyle.INK));
    write(edge.words(), edge.at(), 96, TextAnchor.CENTER);
  }

  private void write(String words, double x, double y, TextAnchor anchor) {
    ChartStyle.write(plot, words, x, y, anchor, ChartStyle.INK, BundledFonts.plain(12));
  }
}
