package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Posterior;
import dev.tavik.answer.Value;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.ComparedRates;
import dev.tavik.bayes.Credible;
import dev.tavik.bayes.Evidence;
import dev.tavik.result.Figures;
import dev.tavik.result.Quantity;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.compare.CompareQuestion;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.geom.Path2D;
import org.jfree.chart.annotations.XYShapeAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.IntervalMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;
import org.jfree.data.xy.XYSeriesCollection;

/** Draws what is believed of a difference after the data, with no difference and the region. */
final class DifferencePicture {
  private static final int WIDTH = 960;
  private static final int HEIGHT = 480;
  private static final double NEARLY_ALL = 0.9999;
  private static final double HEADROOM = 1.2;

  private static final Color AFTER = new Color(0x00, 0x50, 0x8C);
  private static final Color INSIDE = new Color(0xB9, 0xD3, 0xE6);
  private static final Color NULL = new Color(0xB8, 0x47, 0x00);
  private static final Color REGION = new Color(0xF7, 0xE8, 0xD6);

  private final View<CompareQuestion> answer;
  private final Posterior bayes;
  private final BetaPrior prior;
  private final ComparedRates rates;
  private final double left;
  private final double right;
  private final double[] places;
  private final double[] heights;
  private final XYPlot plot = new XYPlot();
  private final XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
  private double highest;

  DifferencePicture(View<CompareQuestion> answer, Posterior bayes) {
    this.answer = answer;
    this.bayes = bayes;
    BayesSettings view = answer.question().settings().bayes();
    this.prior = view == null ? BetaPrior.uniform() : view.prior();
    this.rates =
        ComparedRates.of(
            prior, answer.question().first().tally(), answer.question().second().tally());
    Credible most = rates.equalTailed(Quantity.DIFFERENCE, NEARLY_ALL);
    double low = Math.min(most.lower(), 0);
    double high = Math.max(most.upper(), 0);
    BayesSettings.Region region = answer.question().settings().region();
    if (region != null) {
      // A region that is far wider than the curve would press it flat.
      double reach = 1.5 * (high - low);
      low = region.low() == -1 ? low : Math.max(low - reach, Math.min(low, region.low()));
      high = region.high() == 1 ? high : Math.min(high + reach, Math.max(high, region.high()));
    }
    double margin = 0.06 * (high - low);
    this.left = Math.max(-1, low - margin);
    this.right = Math.min(1, high + margin);
    this.places = CurvePlaces.of(left, right, most.lower(), most.upper());
    this.heights = new double[places.length];
    for (int i = 0; i < places.length; i++) {
      heights[i] = rates.density(Quantity.DIFFERENCE, places[i]);
      highest = Math.max(highest, heights[i]);
    }
  }

  Picture picture() {
    XYSeries curve = new XYSeries("posterior");
    for (int i = 0; i < places.length; i++) {
      curve.add(100 * places[i], heights[i]);
    }
    renderer.setDrawSeriesLineAsPath(true);
    renderer.setSeriesPaint(0, AFTER);
    renderer.setSeriesStroke(0, new BasicStroke(2.2f));
    ChartStyle.frame(
        plot,
        new XYSeriesCollection(curve),
        renderer,
        differences(),
        ChartStyle.densities(HEADROOM * highest));
    region();
    credible();
    plot.addDomainMarker(ChartStyle.marker(0, NULL, ChartStyle.dashed(1.6f, 4, 3)));
    beside("no difference", 0, 1.14);
    return new Picture(ChartStyle.titled(plot, title(), subtitle()), WIDTH, HEIGHT);
  }

  private Credible interval() {
    return bayes.beliefs().get(0).credible().get(0);
  }

  private NumberAxis differences() {
    NumberAxis axis =
        ChartStyle.axis(
            say(
                "%s, in points; shaded: %s credible interval, %s to %s",
                answer.question().order(),
                Figures.exactPercent(interval().level()),
                Value.points(interval().lower()).text(),
                Value.points(interval().upper()).text()));
    axis.setRange(100 * left, 100 * right);
    ChartStyle.plain(axis);
    return axis;
  }

  private void region() {
    BayesSettings.Region region = answer.question().settings().region();
    Double inside = bayes.inside().orElse(null);
    if (region == null || inside == null) {
      return;
    }
    double low = Math.max(left, region.low());
    double high = Math.min(right, region.high());
    IntervalMarker band = new IntervalMarker(100 * low, 100 * high, REGION);
    band.setAlpha(1);
    plot.addDomainMarker(band, Layer.BACKGROUND);
    boolean besideNone = low < 0 && high > 0;
    beside(
        say(
            "%s: probability %s",
            region.low() == -1 || region.high() == 1 ? "good enough" : "as good as none",
            Value.Share.PROBABILITY.of(inside).text()),
        besideNone ? 0 : (low + high) / 2,
        1.07);
  }

  /** Next to a place, on the side on which there is more room. */
  private void beside(String text, double at, double height) {
    double gap = 0.012 * (right - left);
    boolean toTheRight = right - at > at - left;
    ChartStyle.write(
        plot,
        text,
        100 * (at + (toTheRight ? gap : -gap)),
        height * highest,
        toTheRight ? TextAnchor.CENTER_LEFT : TextAnchor.CENTER_RIGHT,
        NULL,
        BundledFonts.bold(12));
  }

  private void credible() {
    Path2D.Double area = new Path2D.Double();
    area.moveTo(100 * interval().lower(), 0);
    area.lineTo(100 * interval().lower(), rates.density(Quantity.DIFFERENCE, interval().lower()));
    for (int i = 0; i < places.length; i++) {
      if (places[i] > interval().lower() && places[i] < interval().upper()) {
        area.lineTo(100 * places[i], heights[i]);
      }
    }
    area.lineTo(100 * interval().upper(), rates.density(Quantity.DIFFERENCE, interval().upper()));
    area.lineTo(100 * interval().upper(), 0);
    area.closePath();
    renderer.addAnnotation(
        new XYShapeAnnotation(area, new BasicStroke(0.5f), INSIDE, INSIDE), Layer.BACKGROUND);
  }

  private String title() {
    String subject =
        answer.label().isEmpty() ? "What to believe" : answer.label() + ": what to believe";
    return say(
        "%s of the difference after %s of %s and %s of %s",
        subject,
        Figures.count(answer.question().first().tally().successes()),
        Figures.count(answer.question().first().tally().trials()),
        Figures.count(answer.question().second().tally().successes()),
        Figures.count(answer.question().second().tally().trials()));
  }

  private String subtitle() {
    return say(
        "prior %s for each rate; Bayes factor %s, for %s; probability that %s is lower %s,"
            + " higher %s",
        prior,
        Evidence.times(bayes.logBayesFactor()),
        bayes.logBayesFactor() < 0 ? "equal rates" : bayes.alternative(),
        answer.question().first().name(),
        Value.Share.PROBABILITY.of(rates.inside(Quantity.DIFFERENCE, -1, 0)).text(),
        Value.Share.PROBABILITY.of(bayes.above().orElseThrow()).text());
  }
}
