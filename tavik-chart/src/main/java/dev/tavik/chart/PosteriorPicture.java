package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Posterior;
import dev.tavik.bayes.BetaPosterior;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.Credible;
import dev.tavik.bayes.Evidence;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.rate.RateQuestion;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.util.Optional;
import org.jfree.chart.annotations.XYShapeAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYSeries;
import org.jfree.data.xy.XYSeriesCollection;

/**
 * Draws what is believed of a rate before and after the data, with the heights at the null value:
 * their ratio is the two-sided Bayes factor.
 */
final class PosteriorPicture {
  private static final int WIDTH = 960;
  private static final int HEIGHT = 480;
  private static final double NEARLY_ALL = 0.9999;

  /** The width that a label may need, as a share of the axis. */
  private static final double LABEL = 0.2;

  private static final Color AFTER = new Color(0x00, 0x50, 0x8C);
  private static final Color INSIDE = new Color(0xB9, 0xD3, 0xE6);
  private static final Color BEFORE = new Color(0x77, 0x77, 0x77);
  private static final Color NULL = new Color(0xB8, 0x47, 0x00);

  private final View<RateQuestion> answer;
  private final Posterior bayes;
  private final BetaPrior prior;
  private final BetaPosterior before;
  private final BetaPosterior after;
  private final double against;
  private final double left;
  private final double right;
  private final double[] places;
  private final double highest;
  private final XYPlot plot = new XYPlot();
  private final XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);

  private PosteriorPicture(View<RateQuestion> answer, Posterior bayes) {
    this.answer = answer;
    this.bayes = bayes;
    BayesSettings view = answer.question().settings().bayes();
    this.prior = view == null ? BetaPrior.uniform() : view.prior();
    this.before = BetaPosterior.of(prior.a(), prior.b());
    this.after = prior.posterior(answer.question().tally());
    this.against = answer.question().settings().hypothesis().against();
    Credible most = after.equalTailed(NEARLY_ALL);
    double low = Math.min(most.lower(), against);
    double high = Math.max(most.upper(), against);
    double margin = 0.08 * (high - low);
    this.left = Math.max(0, low - margin);
    this.right = Math.min(1, high + margin);
    this.places = CurvePlaces.of(left, right, most.lower(), most.upper());
    double top = 0;
    for (double place : places) {
      double height = after.density(place);
      top = place > left && place < right ? Math.max(top, height) : top;
    }
    this.highest = top;
  }

  /**
   * The picture; of two rates that of their difference.
   *
   * @param answer an answer about one rate, or about two, with its Bayesian view
   * @return the picture
   * @throws IllegalArgumentException if the answer has no such view
   */
  public static Picture of(Answer answer) {
    Optional<Posterior> bayes = answer.find(Posterior.class);
    if (bayes.isPresent() && answer.question() instanceof RateQuestion rate) {
      return new PosteriorPicture(new View<>(rate, answer), bayes.get()).picture();
    }
    if (bayes.isPresent() && answer.question() instanceof CompareQuestion compared) {
      return new DifferencePicture(new View<>(compared, answer), bayes.get()).picture();
    }
    throw new IllegalArgumentException(
        "the picture of what to believe is of one rate or of two, and needs their Bayesian view,"
            + " --bayes");
  }

  private Picture picture() {
    XYSeriesCollection curves = new XYSeriesCollection();
    curves.addSeries(curve("posterior", after));
    curves.addSeries(curve("prior", before));
    renderer.setDrawSeriesLineAsPath(true);
    renderer.setSeriesPaint(0, AFTER);
    renderer.setSeriesStroke(0, new BasicStroke(2.2f));
    renderer.setSeriesPaint(1, BEFORE);
    renderer.setSeriesStroke(1, ChartStyle.dashed(2f, 7, 4));
    ChartStyle.frame(plot, curves, renderer, rates(), ChartStyle.densities(1.12 * highest));
    credible();
    atNull();
    return new Picture(ChartStyle.titled(plot, title(), subtitle()), WIDTH, HEIGHT);
  }

  private XYSeries curve(String name, BetaPosterior distribution) {
    XYSeries series = new XYSeries(name);
    for (double place : places) {
      double height = distribution.density(place);
      if (Double.isFinite(height)) {
        series.add(100 * place, Math.min(height, 1.12 * highest));
      }
    }
    return series;
  }

  private NumberAxis rates() {
    Credible interval = bayes.beliefs().get(0).credible().get(0);
    NumberAxis axis =
        ChartStyle.axis(
            say(
                "rate, in percent; shaded: %s credible interval, %s to %s",
                Figures.exactPercent(interval.level()),
                Figures.finePercent(interval.lower()),
                Figures.finePercent(interval.upper())));
    axis.setRange(100 * left, 100 * right);
    ChartStyle.plain(axis);
    return axis;
  }

  /** The area of the equal-tailed interval, behind the curves. */
  private void credible() {
    Credible interval = bayes.beliefs().get(0).credible().get(0);
    Path2D.Double area = new Path2D.Double();
    area.moveTo(100 * interval.lower(), 0);
    for (double place : places) {
      if (place >= interval.lower() && place <= interval.upper()) {
        area.lineTo(100 * place, after.density(place));
      }
    }
    area.lineTo(100 * interval.upper(), 0);
    area.closePath();
    renderer.addAnnotation(
        new XYShapeAnnotation(area, new BasicStroke(0.5f), INSIDE, INSIDE), Layer.BACKGROUND);
  }

  private void atNull() {
    double own = before.density(against);
    double changed = after.density(against);
    ValueMarker marker = ChartStyle.marker(100 * against, NULL, ChartStyle.dashed(1.6f, 4, 3));
    plot.addDomainMarker(marker);
    boolean room = against < right - LABEL * (right - left);
    boolean toTheRight =
        against < left + LABEL * (right - left) || (room && against >= after.mean());
    double beside = (toTheRight ? 0.012 : -0.012) * (right - left);
    TextAnchor anchor = toTheRight ? TextAnchor.CENTER_LEFT : TextAnchor.CENTER_RIGHT;
    write(
        "null value " + Figures.exactPercent(against),
        against + beside,
        1.07 * highest,
        anchor,
        NULL);
    dot(own);
    dot(changed);
    // Two labels that would overlap are set apart.
    double gap = 0.055 * highest;
    double low = Math.min(own, changed);
    double high = Math.max(Math.max(own, changed), low + gap);
    write(
        "posterior there " + (changed == 0 ? "below 1e-300" : Figures.significant(changed, 3)),
        against + beside,
        Math.min(changed >= own ? high : low, highest) + 0.02 * highest,
        anchor,
        AFTER);
    write(
        "prior there " + Figures.significant(own, 3),
        against + beside,
        Math.min(changed >= own ? low : high, highest) + 0.02 * highest,
        anchor,
        BEFORE);
  }

  private void dot(double height) {
    double width = 0.9 * (right - left);
    double tall = 0.022 * highest;
    plot.addAnnotation(
        new XYShapeAnnotation(
            new Ellipse2D.Double(100 * against - width / 2, height - tall / 2, width, tall),
            new BasicStroke(1f),
            NULL,
            NULL));
  }

  private void write(String text, double rate, double height, TextAnchor anchor, Color ink) {
    ChartStyle.write(plot, text, 100 * rate, height, anchor, ink, BundledFonts.bold(12));
  }

  private String title() {
    String subject = answer.label().isEmpty() ? "The rate" : answer.label();
    return say(
        "%s: what to believe before (dashed) and after %s of %s",
        subject,
        Figures.count(answer.question().tally().successes()),
        Figures.count(answer.question().tally().trials()));
  }

  private String subtitle() {
    double log = before.logDensity(against) - after.logDensity(against);
    String two =
        say(
            "the heights at %s are in a ratio of %s: the two-sided Bayes factor, for the %s",
            Figures.exactPercent(against), Evidence.times(log), log < 0 ? "null" : "alternative");
    String prior = "prior " + this.prior + "; ";
    return answer.question().settings().hypothesis().alternative() == Alternative.TWO_SIDED
        ? prior + two
        : prior
            + two
            + say(
                "; directional: %s, for the %s",
                Evidence.times(bayes.logBayesFactor()), bayes.favours());
  }
}
