package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.planning.Design;
import dev.tavik.planning.Errors;
import dev.tavik.planning.TableDesign;
import dev.tavik.result.Figures;
import dev.tavik.study.plan.Plans.Plan;
import java.awt.Color;
import java.util.function.DoubleUnaryOperator;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;

/** Draws what a planned test sees if the null is true and if what is expected is. */
final class ErrorsPicture {
  private static final Color ALPHA = new Color(0xE0, 0x9A, 0x6C);
  private static final Color BETA = new Color(0x9C, 0xBE, 0xDC);
  private static final int POINTS = 480;

  private final Design design;
  private final Plan plan;
  private final Errors errors;
  private final boolean table;
  private final double scale;
  private final Curve none;
  private final Curve expected;

  ErrorsPicture(Design design, Plan plan) {
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
    this.table = design instanceof TableDesign;
    this.scale = table ? 1 : 100;
    this.none = curve("null", errors.underNull());
    this.expected = curve("expected", errors.underAlternative());
  }

  /** A density on the axis that is drawn, its points and its peak. */
  private record Curve(DoubleUnaryOperator density, XYSeries points, double peakAt, double peak) {}

  private Curve curve(String name, DoubleUnaryOperator density) {
    DoubleUnaryOperator scaled = x -> density.applyAsDouble(x / scale) / scale;
    double from = scale * errors.from();
    double to = scale * errors.to();
    XYSeries points = new XYSeries(name, false, true);
    double peakAt = from;
    double peak = 0;
    for (int k = table ? 1 : 0; k <= POINTS; k++) {
      double x = from + (to - from) * k / POINTS;
      double y = scaled.applyAsDouble(x);
      points.add(x, y);
      peakAt = y > peak ? x : peakAt;
      peak = Math.max(peak, y);
    }
    return new Curve(scaled, points, peakAt, peak);
  }

  Picture picture(String title) {
    double from = scale * errors.from();
    double to = scale * errors.to();
    double both = Math.max(none.peak, expected.peak);
    // With one degree of freedom the density has no end at 0.
    double highest = table ? Math.min(both, 3 * expected.peak) : both;
    NumberAxis across =
        ChartStyle.axis(
            errors.quantity()
                + (table ? "" : difference() ? ", in percentage points" : ", in percent"));
    across.setRange(from, to);
    NumberAxis up = ChartStyle.axis("density");
    up.setRange(0, 1.32 * highest);
    up.setTickLabelsVisible(false);
    CurvePlot plot = new CurvePlot(across, up);
    double low = scale * errors.rejectedTo();
    double high = scale * errors.rejectedFrom();
    plot.area(expected.density, Math.max(from, low), Math.min(to, high), BETA);
    plot.area(none.density, from, Math.min(to, low), ALPHA);
    plot.area(none.density, Math.max(from, high), to, ALPHA);
    plot.curve(none.points, 1);
    plot.curve(expected.points, 0);
    edge(plot, low, "rejected up to ", highest);
    edge(plot, high, "rejected from ", highest);
    named(plot, expected.peakAt < none.peakAt ? low : high, highest);
    boolean right = expected.peakAt >= none.peakAt;
    peak(
        plot,
        none,
        "the null" + (table ? "" : ", " + value(errors.none())),
        Math.min(none.peak, highest),
        table || !right,
        1);
    String alternative =
        table
            ? "w = " + Figures.upTo(plan.effect(), 4)
            : "what is expected, " + value(errors.expected());
    peak(plot, expected, alternative, expected.peak, right, 0);
    return plot.picture(
        title,
        say(
            "orange: alpha %s, a true null rejected; blue: beta %s, what is expected missed;"
                + " power %s",
            Figures.plain(design.alpha()),
            Figures.chance(1 - plan.power()),
            Figures.chance(plan.power())));
  }

  private void edge(CurvePlot plot, double at, String words, double highest) {
    if (at > scale * errors.from() && at < scale * errors.to()) {
      plot.line(at, 0, at, 1.1 * highest, PlanPicture.QUIET, true);
      plot.write(
          words + Figures.significant(at, 3) + (table || difference() ? "" : "%"),
          at,
          1.12 * highest,
          TextAnchor.BOTTOM_CENTER,
          PlanPicture.QUIET,
          false);
    }
  }

  /** Names both errors beside the edge that decides between them. */
  private void named(CurvePlot plot, double edge, double highest) {
    boolean nullIsRight = none.peakAt > expected.peakAt;
    double least = 0.03 * highest;
    double beta = Math.max(least, 0.3 * expected.density.applyAsDouble(edge));
    double alpha = Math.max(least, 0.3 * none.density.applyAsDouble(edge));
    TextAnchor rightOf = TextAnchor.CENTER_LEFT;
    TextAnchor leftOf = TextAnchor.CENTER_RIGHT;
    plot.write(" beta ", edge, beta, nullIsRight ? rightOf : leftOf, ChartStyle.INK, true);
    plot.write(" alpha ", edge, alpha, nullIsRight ? leftOf : rightOf, ChartStyle.INK, true);
  }

  private static void peak(
      CurvePlot plot, Curve curve, String words, double y, boolean right, int ink) {
    plot.write(
        right ? "   " + words : words + "   ",
        curve.peakAt,
        y,
        right ? TextAnchor.BOTTOM_LEFT : TextAnchor.BOTTOM_RIGHT,
        CurvePlot.ink(ink),
        true);
  }

  private boolean difference() {
    return errors.quantity().contains("difference");
  }

  private String value(double value) {
    return difference() ? Figures.upTo(100 * value, 4) + " points" : Figures.rate(value);
  }
}
