package dev.tavik.chart;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Curves;
import dev.tavik.answer.Posterior;
import dev.tavik.chart.ChancePlot.Beside;
import java.awt.BasicStroke;
import java.awt.Color;
import java.util.List;
import org.jfree.data.xy.XYSeries;

/**
 * Draws the chance of the alternative over priors from wide to strong: does the conclusion depend
 * on the prior?
 */
final class SensitivityPicture {
  private static final int WIDTH = 960;
  private static final int HEIGHT = 440;
  private static final Color EVEN = new Color(0x00, 0x50, 0x8C);
  private static final Color CENTRED = new Color(0xB8, 0x47, 0x00);

  private SensitivityPicture() {}

  /**
   * The picture.
   *
   * @param answer an answer about one rate, or about two, with its Bayesian view
   * @return the picture
   * @throws IllegalArgumentException if the answer has no such view
   */
  static Picture of(Answer answer) {
    Curves.Plot curves =
        answer
            .curves(Curves.Kind.CHANCE_OVER_PRIORS)
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "the picture of sensitivity is of one rate or of two, and needs their"
                            + " Bayesian view, --bayes"));
    Posterior bayes = answer.find(Posterior.class).orElseThrow();
    Curves.Curve even = curves.curves().get(0);
    Curves.Dot own = even.dots().get(0);
    RatioAxis across = new RatioAxis(curves.across().name());
    across.setRange(
        Math.min(Math.log10(even.x().get(0)), Math.log10(own.x()) - 0.2),
        Math.max(Math.log10(even.x().get(even.x().size() - 1)), Math.log10(own.x()) + 0.2) + 0.45);
    ChartStyle.plain(across);
    ChancePlot plot = new ChancePlot(across);
    plot.curve(series(even), EVEN, new BasicStroke(2f));
    plot.curve(series(curves.curves().get(1)), CENTRED, ChartStyle.dashed(2f, 7, 4));
    // Below the dot where the curve rises, so that the words don't cross it.
    plot.point(
        Math.log10(own.x()),
        Math.log(own.y() / (1 - own.y())),
        own.label(),
        ChartStyle.INK,
        rises(even, own.x()) ? Beside.BELOW : Beside.ABOVE);
    plot.ends(bayes.alternative(), bayes.none());
    return new Picture(
        ChartStyle.titled(plot.plot(), curves.title(), curves.subtitle()), WIDTH, HEIGHT);
  }

  private static boolean rises(Curves.Curve curve, double at) {
    List<Double> x = curve.x();
    int next = 1;
    while (next < x.size() - 1 && x.get(next) <= at) {
      next++;
    }
    return curve.y().get(next) > curve.y().get(next - 1);
  }

  private static XYSeries series(Curves.Curve curve) {
    XYSeries points = new XYSeries(curve.name());
    for (int i = 0; i < curve.x().size(); i++) {
      points.add(Math.log10(curve.x().get(i)), 100 * curve.y().get(i));
    }
    return points;
  }
}
