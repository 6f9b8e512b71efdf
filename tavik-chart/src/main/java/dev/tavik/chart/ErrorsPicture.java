package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Value;
import dev.tavik.planning.Errors;
import dev.tavik.planning.PowerDesign;
import dev.tavik.result.Figures;
import dev.tavik.study.plan.EffectScale;
import dev.tavik.study.plan.PlanDescription;
import dev.tavik.study.plan.Plans.Plan;
import java.awt.BasicStroke;
import java.awt.Color;
import java.util.function.DoubleUnaryOperator;
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
  private static final int SLICES = 40;
  private static final int GRID = 4_000;
  private static final double UNSEEN = 0.0005;
  private static final double STRIP = 17;
  private static final double LEAST_SAID = 0.0005;
  private static final double LEAST_WIDTH = 0.04;
  private static final Color[] REJECTED = {
    new Color(0xC8, 0x6A, 0x2C), new Color(0xDE, 0x94, 0x61)
  };
  private static final Color[] KEPT = {new Color(0x5F, 0x7F, 0x99), new Color(0x8F, 0xA9, 0xBE)};

  private final PowerDesign design;
  private final Plan plan;
  private final Errors errors;
  private final boolean table;
  private final double scale;
  private final XYPlot plot = new XYPlot();

  ErrorsPicture(PowerDesign design, Plan plan) {
    this.design = design;
    this.plan = plan;
    this.errors =
        design
            .errors(plan.sizes(), plan.effect())
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        say(
                            "the picture of both errors is of one test by the normal distribution or of"
                                + " chi-square, not of %s (%s)",
                            design.test(), design.theory().id())));
    EffectScale effects = PlanDescription.of(design).scale();
    this.scale = effects.factor();
    this.table = effects == EffectScale.W;
  }

  Picture picture(String title) {
    NumberAxis across =
        ChartStyle.axis(
            errors.quantity()
                + (table ? "" : difference() ? ", in percentage points" : ", in percent"));
    across.setRange(scale * errors.from(), scale * errors.to());
    ChartStyle.plain(across);
    NumberAxis up = ChartStyle.axis("");
    up.setRange(0, 100);
    up.setVisible(false);
    ChartStyle.frame(
        plot, new XYSeriesCollection(), new XYLineAndShapeRenderer(true, false), across, up);
    String none = table ? "no association" : value(errors.none());
    String expected = table ? EffectScale.W.text(plan.effect()) : value(errors.expected());
    lane(errors.underNull(), 60, "where nothing is there: " + none);
    lane(errors.underAlternative(), 16, "as expected: " + expected);
    edge(errors.rejectedTo(), "rejected up to ");
    edge(errors.rejectedFrom(), "rejected from ");
    return new Picture(
        ChartStyle.titled(
            plot,
            title,
            say(
                "each slice is one in %d results; orange: the test rejects; alpha %s, power %s",
                SLICES, Figures.plain(design.alpha()), Figures.chance(plan.power()))),
        WIDTH,
        HEIGHT);
  }

  /** A world: its results in slices, and how many of them the test would reject. */
  private void lane(DoubleUnaryOperator density, double low, String name) {
    double[] cumulated = cumulated(density);
    double[] cuts = new double[SLICES + 1];
    for (int k = 1; k < SLICES; k++) {
      cuts[k] = quantile(cumulated, (double) k / SLICES);
    }
    cuts[0] = quantile(cumulated, UNSEEN);
    cuts[SLICES] = quantile(cumulated, 1 - UNSEEN);
    double[] edges = {
      errors.from(), within(errors.rejectedTo()), within(errors.rejectedFrom()), errors.to()
    };
    for (int region = 0; region < 3; region++) {
      Color[] fills = region == 1 ? KEPT : REJECTED;
      for (int k = 0; k < SLICES; k++) {
        double from = Math.max(cuts[k], edges[region]);
        double to = Math.min(cuts[k + 1], edges[region + 1]);
        slice(from, to, low, fills[k % 2]);
      }
      double share = at(cumulated, edges[region + 1]) - at(cumulated, edges[region]);
      share(share, edges[region], edges[region + 1], low, region == 1);
    }
    boolean left = within(errors.rejectedTo()) > errors.from() || !table;
    write(
        name,
        left ? errors.from() : errors.to(),
        low - 5,
        left ? TextAnchor.CENTER_LEFT : TextAnchor.CENTER_RIGHT);
  }

  /** The density's integral up to each place of a grid, 1 at its end. */
  private double[] cumulated(DoubleUnaryOperator density) {
    double[] cumulated = new double[GRID + 1];
    for (int i = 1; i <= GRID; i++) {
      double middle = (place(i - 1) + place(i)) / 2;
      cumulated[i] = cumulated[i - 1] + density.applyAsDouble(middle);
    }
    for (int i = 0; i <= GRID; i++) {
      cumulated[i] /= cumulated[GRID] == 0 ? 1 : cumulated[GRID];
    }
    return cumulated;
  }

  private double quantile(double[] cumulated, double share) {
    int at = 0;
    while (cumulated[at] < share) {
      at++;
    }
    return place(at);
  }

  private double place(int step) {
    return errors.from() + (errors.to() - errors.from()) * step / GRID;
  }

  private double at(double[] cumulated, double value) {
    double step = GRID * (value - errors.from()) / (errors.to() - errors.from());
    int below = (int) Math.max(0, Math.min(GRID - 1.0, Math.floor(step)));
    double part = Math.max(0, Math.min(1, step - below));
    return cumulated[below] + part * (cumulated[below + 1] - cumulated[below]);
  }

  private double within(double edge) {
    return Math.max(errors.from(), Math.min(errors.to(), edge));
  }

  private void slice(double from, double to, double low, Color fill) {
    if (from < to) {
      plot.addAnnotation(
          new XYBoxAnnotation(
              scale * from,
              low,
              scale * to,
              low + STRIP,
              new BasicStroke(0.5f),
              Color.WHITE,
              fill));
    }
  }

  private void share(double share, double from, double to, double low, boolean kept) {
    if (share < LEAST_SAID || to - from < LEAST_WIDTH * (errors.to() - errors.from())) {
      return;
    }
    String words = Value.Share.CHANCE.of(share).text() + (kept ? " not rejected" : " rejected");
    write(words, (from + to) / 2, low + STRIP + 5, TextAnchor.CENTER);
  }

  private void edge(double at, String words) {
    if (at > errors.from() && at < errors.to()) {
      plot.addAnnotation(
          new XYLineAnnotation(
              scale * at, 8, scale * at, 92, ChartStyle.dashed(1.4f, 5, 4), ChartStyle.INK));
      write(
          words + Figures.significant(scale * at, 3) + (table || difference() ? "" : "%"),
          at,
          96,
          TextAnchor.CENTER);
    }
  }

  private void write(String words, double x, double y, TextAnchor anchor) {
    ChartStyle.write(plot, words, scale * x, y, anchor, ChartStyle.INK, BundledFonts.plain(12));
  }

  private boolean difference() {
    return errors.quantity().contains("difference");
  }

  private String value(double value) {
    return difference() ? Figures.upTo(100 * value, 4) + " points" : Figures.rate(value);
  }
}
