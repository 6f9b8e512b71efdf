package dev.tavik.chart;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Answer;
import dev.tavik.answer.Posterior;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.ComparedRates;
import dev.tavik.bayes.RateBayesFactor;
import dev.tavik.chart.ChancePlot.Beside;
import dev.tavik.count.Tally;
import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.compare.CompareQuestion;
import dev.tavik.study.compare.CompareSettings;
import dev.tavik.study.rate.RateQuestion;
import java.awt.BasicStroke;
import java.awt.Color;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.jfree.data.xy.XYSeries;
import org.jspecify.annotations.Nullable;

/**
 * Draws the Bayes factor over priors from wide to strong, around one half and around the null value
 * or the common rate: does the conclusion depend on the prior?
 */
record SensitivityPicture(
    BetaPrior own,
    double centre,
    String centreName,
    double least,
    ToDoubleFunction<BetaPrior> log) {
  private static final int WIDTH = 960;
  private static final int HEIGHT = 440;
  private static final double NEXT = 1.2;
  private static final int POINTS = 80;
  private static final double WIDEST = 0.5;
  private static final double STRONGEST = 1000;
  private static final Color EVEN = new Color(0x00, 0x50, 0x8C);
  private static final Color CENTRED = new Color(0xB8, 0x47, 0x00);

  /**
   * The picture.
   *
   * @param answer an answer about one rate, or about two, with its Bayesian view
   * @return the picture
   * @throws IllegalArgumentException if the answer has no such view
   */
  static Picture of(Answer answer) {
    Optional<Posterior> bayes = answer.find(Posterior.class);
    if (bayes.isPresent() && answer.question() instanceof RateQuestion rate) {
      return of(rate, bayes.get());
    }
    if (bayes.isPresent() && answer.question() instanceof CompareQuestion compared) {
      return of(compared, bayes.get());
    }
    throw new IllegalArgumentException(
        "the picture of sensitivity is of one rate or of two, and needs their Bayesian view, --bayes");
  }

  private static BetaPrior prior(@Nullable BayesSettings view) {
    return view == null ? BetaPrior.uniform() : view.prior();
  }

  private static Picture of(RateQuestion rate, Posterior bayes) {
    Hypothesis hypothesis = rate.settings().hypothesis();
    return new SensitivityPicture(
            prior(rate.settings().bayes()),
            hypothesis.against(),
            "the null value " + Figures.exactPercent(hypothesis.against()),
            BetaPrior.LEAST_PARAMETER,
            prior -> RateBayesFactor.log(rate.tally(), hypothesis, prior))
        .picture(
            rate.label().isEmpty() ? "The rate" : rate.label(), bayes.alternative(), bayes.none());
  }

  private static Picture of(CompareQuestion compared, Posterior bayes) {
    Tally first = compared.first().tally();
    Tally second = compared.second().tally();
    CompareSettings settings = compared.settings();
    double common =
        (first.successes() + second.successes() + 1.0) / (first.trials() + second.trials() + 2.0);
    Alternative alternative =
        settings.claim().goal() == ComparisonGoal.DIFFERENCE
            ? settings.hypothesis().alternative()
            : Alternative.TWO_SIDED;
    return new SensitivityPicture(
            prior(settings.bayes()),
            common,
            "the common rate " + Figures.percent(common),
            ComparedRates.LEAST_PARAMETER,
            prior -> ComparedRates.logBayesFactor(first, second, alternative, prior))
        .picture(
            compared.label().isEmpty() ? compared.order() : compared.label(),
            bayes.alternative(),
            "equal rates");
  }

  private Picture picture(String subject, String alternative, String none) {
    XYSeries even = curve("around one half", 0.5);
    XYSeries centred = curve("around " + centreName, centre);
    double ownStrength = Math.log10(own.a() + own.b());
    double ownLog = log.applyAsDouble(own);
    RatioAxis across =
        new RatioAxis("how strong the prior is: as much as so many observations, a + b");
    across.setRange(
        Math.min(Math.log10(WIDEST), ownStrength - 0.2),
        Math.max(Math.log10(STRONGEST), ownStrength + 0.2) + 0.45);
    ChartStyle.plain(across);
    ChancePlot plot = new ChancePlot(across);
    plot.curve(even, EVEN, new BasicStroke(2f));
    plot.curve(centred, CENTRED, ChartStyle.dashed(2f, 7, 4));
    // Below the dot where the curve rises, so that the words don't cross it.
    BetaPrior stronger =
        new BetaPrior(
            Math.min(BetaPrior.MOST_PARAMETER, own.a() * NEXT),
            Math.min(BetaPrior.MOST_PARAMETER, own.b() * NEXT));
    plot.point(
        ownStrength,
        ownLog,
        own + ": " + ChancePlot.words(ownLog),
        ChartStyle.INK,
        log.applyAsDouble(stronger) > ownLog ? Beside.BELOW : Beside.ABOVE);
    plot.ends(alternative, none);
    String title = subject + ": does it depend on the prior?";
    String subtitle =
        say(
            "the chance of the alternative, had both been equally likely; solid: priors around one"
                + " half; dashed: around %s; the dot is the prior chosen",
            centreName);
    return new Picture(ChartStyle.titled(plot.plot(), title, subtitle), WIDTH, HEIGHT);
  }

  private XYSeries curve(String name, double mean) {
    XYSeries points = new XYSeries(name);
    double step = Math.log(STRONGEST / WIDEST) / POINTS;
    for (int i = 0; i <= POINTS; i++) {
      double strength = WIDEST * Math.exp(step * i);
      if (strength * Math.min(mean, 1 - mean) >= least) {
        BetaPrior prior = new BetaPrior(strength * mean, strength * (1 - mean));
        points.add(Math.log10(strength), ChancePlot.chance(log.applyAsDouble(prior)));
      }
    }
    return points;
  }
}
