package dev.tavik.chart;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Curves;
import dev.tavik.result.Figures;
import java.awt.Color;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTickUnit;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;

/** Draws plans: power over n, power over what is expected. */
final class PlanPicture {
  private static final double TOP = 1.04;

  /** For the words at the ends of curves, a little and for each character. */
  private static final double ROOM = 0.03;

  private static final double CHARACTER = 0.011;

  /** For the piece of line before a name. */
  private static final double KEY = 0.05;

  private static final double LINE = 0.055;
  static final Color QUIET = new Color(0x66, 0x66, 0x66);

  private final Curves.Plot curves;
  private final EndingAxis across;
  private final CurvePlot plot;

  private PlanPicture(Curves.Plot curves, double key) {
    this.curves = curves;
    double factor = curves.across().factor();
    boolean named = curves.curves().size() > 1;
    List<String> names = curves.curves().stream().map(Curves.Curve::name).toList();
    this.across =
        new EndingAxis(
            curves.across().name(),
            factor * curves.across().from(),
            factor * curves.across().to(),
            named ? key + room(names) : 0);
    this.plot = new CurvePlot(across, power());
  }

  /**
   * Power over the number of observations, a curve for each effect.
   *
   * @param answer an answer about a plan
   * @return the picture
   * @throws IllegalArgumentException if it is about anything else, or of more than six curves
   */
  public static Picture ofSizes(Answer answer) {
    return new PlanPicture(curves(answer, Curves.Kind.POWER_OVER_SIZES), 0).sizes();
  }

  /**
   * Power over what is expected, a curve for each number of observations.
   *
   * @param answer an answer about a plan
   * @return the picture
   * @throws IllegalArgumentException if it is about anything else, has no single effect, or more
   *     than six curves
   */
  public static Picture ofEffects(Answer answer) {
    return new PlanPicture(curves(answer, Curves.Kind.POWER_OVER_EFFECTS), KEY).effects();
  }

  private static Curves.Plot curves(Answer answer, Curves.Kind kind) {
    return answer.curves(kind).orElseThrow(PlanPicture::none);
  }

  private static IllegalArgumentException none() {
    return new IllegalArgumentException(
        "the picture of power is of a plan for a test; an interval has none");
  }

  private NumberAxis power() {
    NumberAxis up = ChartStyle.axis(curves.up().name());
    up.setRange(0, TOP);
    up.setTickUnit(
        new NumberTickUnit(
            0.2, new DecimalFormat("0%", DecimalFormatSymbols.getInstance(Locale.ROOT))));
    return up;
  }

  /** Room beyond an axis for the longest of some words. */
  private static double room(List<String> words) {
    return ROOM + CHARACTER * words.stream().mapToInt(String::length).max().orElse(0);
  }

  private XYSeries series(int number) {
    Curves.Curve curve = curves.curves().get(number);
    XYSeries points = new XYSeries(number, false, true);
    for (int i = 0; i < curve.x().size(); i++) {
      points.add(curves.across().factor() * curve.x().get(i), curve.y().get(i));
    }
    return points;
  }

  private void targets() {
    for (double power : curves.wanted()) {
      plot.line(across.getLowerBound(), power, across.end(), power, QUIET, true);
    }
  }

  /** Labels the power that is wanted, after everything else is drawn. */
  private void wanted() {
    for (double power : curves.wanted()) {
      plot.along(
          Figures.exactPercent(power) + " wanted",
          across.getLowerBound(),
          across.end(),
          power,
          QUIET);
    }
  }

  private void beside(Curves.Dot dot) {
    double x = curves.across().factor() * dot.x();
    plot.beside(dot.label(), x, dot.y(), CurvePlot.ink(0), true);
  }

  private Picture picture() {
    return plot.picture(curves.title(), curves.subtitle());
  }

  private Picture sizes() {
    targets();
    List<CurveEnd> ends = new ArrayList<>();
    for (int number = 0; number < curves.curves().size(); number++) {
      Curves.Curve curve = curves.curves().get(number);
      plot.curve(series(number), number);
      ends.add(new CurveEnd(curve.y().get(curve.y().size() - 1), number, curve.name()));
      for (Curves.Dot each : curve.dots()) {
        plot.line(each.x(), 0, each.x(), each.y(), CurvePlot.ink(number), true);
        plot.dot(each.x(), each.y(), CurvePlot.ink(number));
      }
    }
    if (ends.size() == 1) {
      curves.curves().get(0).dots().forEach(this::beside);
    } else {
      CurveEnd.apart(ends, LINE)
          .forEach(
              end ->
                  plot.write(
                      " " + end.words(),
                      curves.across().to(),
                      end.y(),
                      TextAnchor.CENTER_LEFT,
                      CurvePlot.ink(end.curve()),
                      true));
    }
    wanted();
    return picture();
  }

  private Picture effects() {
    targets();
    double factor = curves.across().factor();
    List<Curves.Curve> all = curves.curves();
    for (int i = 0; i < all.size(); i++) {
      plot.curve(series(i), i);
      for (Curves.Dot each : all.get(i).dots()) {
        plot.dot(factor * each.x(), each.y(), CurvePlot.ink(i));
      }
    }
    Double none = curves.none();
    if (none != null) {
      plot.line(factor * none, 0, factor * none, TOP, QUIET, true);
    }
    if (all.size() == 1) {
      all.get(0).dots().forEach(this::beside);
    } else {
      for (int i = 0; i < all.size(); i++) {
        plot.key(i, all.get(i).name(), across.end(), 0.97 - i * LINE);
      }
    }
    wanted();
    if (none != null) {
      plot.upright("the null", factor * none, QUIET);
    }
    return picture();
  }
}
