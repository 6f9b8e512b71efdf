package dev.tavik.report;

import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.Credible;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.study.RateAnswer;
import dev.tavik.study.RateBayes;
import dev.tavik.study.RateByGroupAnswer;
import dev.tavik.study.RateSettings;
import dev.tavik.study.SharesBayes;

/** The Bayesian view in words and tables. */
final class BayesText {
  private final Lines lines;

  BayesText(Lines lines) {
    this.lines = lines;
  }

  void write(RateBayes bayes, RateSettings settings) {
    lines.heading("Bayesian view, prior " + prior(bayes.prior()));
    lines.paragraph("  ", "  ", bayes.conclusion());
    posterior(bayes, settings);
    sensitivity(bayes);
  }

  private void posterior(RateBayes bayes, RateSettings settings) {
    lines.heading("Posterior, credible intervals at " + Figures.exactPercent(settings.level()));
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT, Align.POINT);
    String against = Figures.exactPercent(settings.hypothesis().against());
    for (RateBayes.Posterior posterior : bayes.posteriors()) {
      String side = settings.hypothesis().alternative() == Alternative.LESS ? "below " : "above ";
      table.row(
          posterior.truncated() ? side + against + " only" : "all values",
          "mean",
          Figures.finePercent(posterior.mean()),
          "",
          "");
      table.row("", "median", Figures.finePercent(posterior.median()), "", "");
      if (!Double.isNaN(posterior.mode())) {
        table.row("", "mode", Figures.finePercent(posterior.mode()), "", "");
      }
      for (Credible each : posterior.credible()) {
        table.row(
            "",
            each.kind().id(),
            Figures.finePercent(each.lower()),
            "to",
            Figures.finePercent(each.upper()));
      }
    }
    lines.table(table);
    lines.paragraph(
        "  ",
        "  ",
        String.format(
            "The probability that the rate is above %s is %s.",
            against, probability(bayes.probabilityAbove())));
    var region = bayes.region();
    Double inside = bayes.probabilityInside();
    if (region != null && inside != null) {
      lines.paragraph(
          "  ",
          "  ",
          String.format(
              "The probability that it is between %s and %s is %s.",
              Figures.exactPercent(region.low()),
              Figures.exactPercent(region.high()),
              probability(inside)));
    }
  }

  private static String interval(Credible each) {
    return Figures.finePercent(each.lower()) + " to " + Figures.finePercent(each.upper());
  }

  private static String probability(double value) {
    return value > 0.9995 && value < 1 ? "above 0.9995" : Figures.significant(value, 3);
  }

  private void sensitivity(RateBayes bayes) {
    lines.heading("With other priors, around one half and around the null value");
    TextTable table = new TextTable(Align.LEFT, Align.POINT, Align.LEFT);
    for (RateBayes.Sensitivity each : bayes.sensitivity()) {
      table.row(
          prior(each.prior()),
          RateBayes.times(each.logBayesFactor()),
          each.logBayesFactor() < 0 ? "times for the null" : "times for the alternative");
    }
    lines.table(table);
  }

  private static String prior(BetaPrior prior) {
    return prior.toString();
  }

  /** The shares of several categories. */
  void write(SharesBayes bayes, double level) {
    lines.heading("Bayesian view, prior " + bayes.prior());
    lines.paragraph("  ", "  ", bayes.conclusion());
    lines.heading(
        "Posterior shares, credible intervals at "
            + Figures.exactPercent(level)
            + " one at a time");
    TextTable table = new TextTable(Align.LEFT, Align.POINT, Align.POINT, Align.LEFT, Align.POINT);
    table.header("", "mean", "", "", "");
    for (SharesBayes.Posterior each : bayes.posteriors()) {
      table.row(
          each.label(),
          Figures.finePercent(each.mean()),
          Figures.finePercent(each.credible().lower()),
          "to",
          Figures.finePercent(each.credible().upper()));
    }
    lines.table(table);
  }

  /** A row a group. */
  void write(RateByGroupAnswer answer) {
    lines.heading(
        "Bayesian view, credible intervals at " + Figures.exactPercent(answer.settings().level()));
    TextTable table =
        new TextTable(Align.LEFT, Align.RIGHT, Align.POINT, Align.POINT, Align.LEFT, Align.LEFT);
    table.header("", "tally", "rate", "times", "likelier under", "equal-tailed");
    for (RateAnswer group : answer.groups()) {
      RateBayes bayes = group.bayes();
      if (bayes != null) {
        table.row(
            group.label(),
            group.tally().toString(),
            Figures.percent(group.tally().proportion()),
            RateBayes.times(bayes.logBayesFactor()),
            bayes.favours(),
            interval(bayes.posteriors().get(0).credible().get(0)));
      }
    }
    lines.table(table);
  }
}
