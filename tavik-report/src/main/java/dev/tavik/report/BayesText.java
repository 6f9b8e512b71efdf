package dev.tavik.report;

import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.Credible;
import dev.tavik.report.TextTable.Align;
import dev.tavik.result.Alternative;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.result.Quantity;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.CompareAnswer;
import dev.tavik.study.CompareBayes;
import dev.tavik.study.CompareGroupsAnswer;
import dev.tavik.study.CrossBayes;
import dev.tavik.study.FollowedRate;
import dev.tavik.study.RateAnswer;
import dev.tavik.study.RateBayes;
import dev.tavik.study.RateByGroupAnswer;
import dev.tavik.study.RateSettings;
import dev.tavik.study.SharesBayes;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleFunction;
import org.jspecify.annotations.Nullable;

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
    FollowedRate followed = bayes.followed();
    if (followed != null) {
      sequence(followed);
    }
    sensitivity(
        "With other priors, around one half and around the null value", bayes.sensitivity());
  }

  private void sequence(FollowedRate followed) {
    lines.heading("Followed through the file in its order");
    TextTable table = new TextTable(Align.RIGHT, Align.RIGHT, Align.POINT, Align.POINT, Align.LEFT);
    table.header("after", "successes", "rate", "times", "likelier under");
    for (FollowedRate.Stop stop : followed.stops()) {
      table.row(
          Figures.count(stop.observations()),
          Figures.count(stop.successes()),
          Figures.percent((double) stop.successes() / stop.observations()),
          RateBayes.times(stop.logBayesFactor()),
          stop.logBayesFactor() < 0 ? "null" : "alternative");
    }
    lines.table(table);
    farthest(followed, true);
    farthest(followed, false);
  }

  private void farthest(FollowedRate followed, boolean forAlternative) {
    String side = forAlternative ? "alternative" : "null";
    lines.paragraph(
        "  ",
        "  ",
        followed
            .farthest(forAlternative)
            .map(
                stop ->
                    String.format(
                        Locale.ROOT,
                        "Most for the %s after %s: %s times.",
                        side,
                        Figures.count(stop.observations()),
                        RateBayes.times(stop.logBayesFactor())))
            .orElse("Never for the " + side + "."));
  }

  /** The alternative in words. */
  static String alternative(Hypothesis hypothesis) {
    String value = Figures.exactPercent(hypothesis.against());
    return switch (hypothesis.alternative()) {
      case TWO_SIDED -> "a rate other than " + value;
      case LESS -> "a rate below " + value;
      case GREATER -> "a rate above " + value;
    };
  }

  /** The null in words. */
  static String none(Hypothesis hypothesis) {
    return "a rate of " + Figures.exactPercent(hypothesis.against());
  }

  /** The alternative of a comparison in words. */
  static String alternative(CompareBayes bayes, String first) {
    return switch (bayes.alternative()) {
      case TWO_SIDED -> "different rates";
      case LESS -> "a lower rate of " + first;
      case GREATER -> "a higher rate of " + first;
    };
  }

  /** Two rates. */
  void write(CompareBayes bayes, CompareAnswer answer) {
    lines.heading("Bayesian view, prior " + bayes.prior() + " for each rate");
    lines.paragraph("  ", "  ", bayes.conclusion());
    lines.heading(
        "Posterior, credible intervals at "
            + Figures.exactPercent(answer.settings().level())
            + "; differences in points");
    TextTable table =
        new TextTable(
            Align.LEFT, Align.POINT, Align.POINT, Align.LEFT, Align.POINT, Align.LEFT, Align.POINT);
    table.header("", "mean", "median", "", "", "", "");
    for (CompareBayes.Posterior each : bayes.posteriors()) {
      for (Credible interval : each.credible()) {
        boolean first = interval.kind() == Credible.Kind.EQUAL_TAILED;
        table.row(
            first ? each.quantity().id().replace('-', ' ') : "",
            first ? value(each.quantity(), each.mean()) : "",
            first ? value(each.quantity(), each.median()) : "",
            interval.kind().id(),
            value(each.quantity(), interval.lower()),
            "to",
            value(each.quantity(), interval.upper()));
      }
    }
    lines.table(table);
    lines.paragraph(
        "  ",
        "  ",
        String.format(
            Locale.ROOT,
            "The probability that %s is higher than %s is %s.",
            answer.first().name(),
            answer.second().name(),
            probability(bayes.probabilityAbove())));
    inside(
        bayes.region(),
        bayes.probabilityInside(),
        Figures::exactPoints,
        "the difference, in points,");
    sensitivity(
        "With other priors, around one half and around the common rate observed",
        bayes.sensitivity());
  }

  private static String value(Quantity quantity, double value) {
    if (Double.isInfinite(value)) {
      return "none";
    }
    return quantity == Quantity.DIFFERENCE
        ? CompareText.pointsOf(value)
        : value == 0 ? "0" : Figures.significant(value, 4);
  }

  /** An association. */
  void write(CrossBayes bayes) {
    lines.heading("Bayesian view, prior parameter " + Figures.plain(bayes.prior()) + " a cell");
    lines.paragraph("  ", "  ", bayes.conclusion());
    lines.heading("How the counts were collected changes the number (--sampling)");
    TextTable table = new TextTable(Align.LEFT, Align.LEFT, Align.POINT, Align.LEFT);
    for (CrossBayes.UnderPlan each : bayes.plans()) {
      Double log = each.logBayesFactor();
      table.row(
          each.plan().id(),
          each.plan().words(),
          log == null ? "" : RateBayes.times(log),
          log == null
              ? "not made"
              : log < 0 ? "times for independence" : "times for an association");
    }
    lines.table(table);
    for (CrossBayes.UnderPlan each : bayes.plans()) {
      if (each.refused() != null) {
        lines.paragraph("  ", "    ", "not made: " + each.plan().id() + " " + each.refused() + ".");
      }
    }
  }

  /** A row a pair. */
  void write(CompareGroupsAnswer answer) {
    lines.heading(
        "Bayesian view: how many times likelier; the first higher; the difference at "
            + Figures.exactPercent(answer.settings().level())
            + ", in points");
    TextTable table =
        new TextTable(
            Align.LEFT, Align.POINT, Align.LEFT, Align.POINT, Align.POINT, Align.LEFT, Align.POINT);
    table.header("", "times", "if", "P(higher)", "equal-tailed", "", "");
    for (CompareAnswer pair : answer.pairs()) {
      CompareBayes bayes = pair.bayes();
      if (bayes != null) {
        Credible interval = bayes.posteriors().get(0).credible().get(0);
        table.row(
            pair.order(),
            RateBayes.times(bayes.logBayesFactor()),
            bayes.logBayesFactor() < 0
                ? "equal"
                : switch (bayes.alternative()) {
                  case TWO_SIDED -> "different";
                  case LESS -> "lower";
                  case GREATER -> "higher";
                },
            probability(bayes.probabilityAbove()),
            CompareText.pointsOf(interval.lower()),
            "to",
            CompareText.pointsOf(interval.upper()));
      }
    }
    lines.table(table);
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
            Locale.ROOT,
            "The probability that the rate is above %s is %s.",
            against,
            probability(bayes.probabilityAbove())));
    inside(bayes.region(), bayes.probabilityInside(), Figures::exactPercent, "it");
  }

  private void inside(
      BayesSettings.@Nullable Region region,
      @Nullable Double probability,
      DoubleFunction<String> written,
      String what) {
    if (region != null && probability != null) {
      lines.paragraph(
          "  ",
          "  ",
          String.format(
              Locale.ROOT,
              "The probability that %s is %s is %s.",
              what,
              region.low() == -1
                  ? "below " + written.apply(region.high())
                  : region.high() == 1
                      ? "above " + written.apply(region.low())
                      : "between "
                          + written.apply(region.low())
                          + " and "
                          + written.apply(region.high()),
              probability(probability)));
    }
  }

  private static String interval(Credible each) {
    return Figures.finePercent(each.lower()) + " to " + Figures.finePercent(each.upper());
  }

  static String probability(double value) {
    if (value > 0.9995) {
      return value < 1 ? "above 0.9995" : "1 to the last digit";
    }
    return value < 1e-300 ? "below 1e-300" : Figures.significant(value, 3);
  }

  private void sensitivity(String title, List<RateBayes.Sensitivity> priors) {
    lines.heading(title);
    TextTable table = new TextTable(Align.LEFT, Align.POINT, Align.LEFT);
    for (RateBayes.Sensitivity each : priors) {
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
