package dev.tavik.study.rate;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Block;
import dev.tavik.answer.Column;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Posterior;
import dev.tavik.answer.PosteriorSummary;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.bayes.BayesFactorPath;
import dev.tavik.bayes.BetaPosterior;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.Credible;
import dev.tavik.bayes.Evidence;
import dev.tavik.bayes.RateBayesFactor;
import dev.tavik.phrase.BayesFactorPhrases;
import dev.tavik.result.Alternative;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.result.Hypothesis;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.parts.BayesianDetail;
import dev.tavik.study.parts.PriorCurves;
import dev.tavik.study.parts.Priors;
import java.util.ArrayList;
import java.util.List;

/** The Bayesian view of one rate. */
final class RateBelief {
  private static final double[] EVEN = {0.5, 1, 2, 5, 20};
  private static final double[] AT_NULL = {2, 10, 50, 200};

  private final RateQuestion question;
  private final RateSettings settings;
  private final Hypothesis hypothesis;
  private final BayesSettings view;
  private final BayesianDetail extent;
  private final BetaPosterior whole;
  private final List<Finding> findings = new ArrayList<>();

  private RateBelief(RateQuestion question, BayesSettings view, BayesianDetail extent) {
    this.question = question;
    this.settings = question.settings();
    this.hypothesis = settings.hypothesis();
    this.view = view;
    this.extent = extent;
    this.whole = view.prior().posterior(question.only());
  }

  /**
   * Works out the view.
   *
   * @param question the question; no view is asked for where its settings have none
   * @param extent how much of it
   */
  static List<Finding> of(RateQuestion question, BayesianDetail extent) {
    BayesSettings view = question.settings().bayes();
    return view == null ? List.of() : new RateBelief(question, view, extent).findings();
  }

  private List<Finding> findings() {
    double log = RateBayesFactor.log(question.only(), hypothesis, view.prior());
    Posterior posterior =
        Posterior.of(
                "Bayesian view, prior " + view.prior(),
                Priors.fields(view.prior()),
                log,
                words(log, hypothesis))
            .between(alternative(hypothesis), none(hypothesis));
    findings.add(posterior);
    Sheet sheet =
        Sheet.read(
            "Posterior, credible intervals at " + Figures.exactPercent(settings.level()),
            Column.words(),
            Column.words(),
            Column.numbers(""),
            Column.words(),
            Column.numbers(""));
    findings.add(sheet);
    believe(whole, posterior, sheet);
    if (hypothesis.alternative() != Alternative.TWO_SIDED) {
      believe(whole.within(hypothesis.alternative(), hypothesis.against()), posterior, sheet);
    }
    chances(posterior);
    follow(posterior);
    Priors.sensitivity(
        posterior,
        findings,
        "With other priors, around one half and around the null value",
        extent == BayesianDetail.BRIEF
            ? List.of()
            : Priors.around(EVEN, hypothesis.against(), AT_NULL, BetaPrior.LEAST_PARAMETER).stream()
                .distinct()
                .toList(),
        this::logBayesFactor);
    if (extent == BayesianDetail.WHOLE) {
      findings.add(
          new PriorCurves(
                  question.label().isEmpty() ? "The rate" : question.label(),
                  view.prior(),
                  hypothesis.against(),
                  "the null value " + Figures.exactPercent(hypothesis.against()),
                  BetaPrior.LEAST_PARAMETER,
                  this::logBayesFactor)
              .finding());
    }
    return findings;
  }

  private double logBayesFactor(BetaPrior prior) {
    return RateBayesFactor.log(question.only(), hypothesis, prior);
  }

  private void believe(BetaPosterior posterior, Posterior into, Sheet sheet) {
    List<Credible> credible = new ArrayList<>(List.of(posterior.equalTailed(settings.level())));
    if (extent == BayesianDetail.WHOLE) {
      posterior.highestDensity(settings.level()).ifPresent(credible::add);
    }
    into.belief(
        new PosteriorSummary(
            Estimand.PROPORTION, "", posterior.mean(), posterior.median(), credible),
        posterior.truncated(),
        posterior.mode());
    String side = hypothesis.alternative() == Alternative.LESS ? "below " : "above ";
    sheet.row(
        posterior.truncated()
            ? side + Figures.exactPercent(hypothesis.against()) + " only"
            : "all values",
        "mean",
        Value.Share.FINE.of(posterior.mean()),
        "",
        "");
    sheet.row("", "median", Value.Share.FINE.of(posterior.median()), "", "");
    if (!Double.isNaN(posterior.mode())) {
      sheet.row("", "mode", Value.Share.FINE.of(posterior.mode()), "", "");
    }
    for (Credible each : credible) {
      sheet.row(
          "",
          each.kind().id(),
          Value.Share.FINE.of(each.lower()),
          "to",
          Value.Share.FINE.of(each.upper()));
    }
  }

  private void chances(Posterior posterior) {
    double above = whole.probabilityAbove(hypothesis.against());
    posterior.above(above);
    findings.add(
        Finding.sentence(
            say(
                "The probability that the rate is above %s is %s.",
                Figures.exactPercent(hypothesis.against()),
                Value.Share.PROBABILITY.of(above).text())));
    BayesSettings.Region region = view.region();
    if (region != null) {
      Priors.inside(
          posterior,
          findings,
          region,
          whole.inside(region.low(), region.high()),
          "it",
          Figures::exactPercent);
    }
  }

  private void follow(Posterior posterior) {
    var sequence = question.sequence();
    if (sequence == null) {
      return;
    }
    BayesFactorPath path = BayesFactorPath.of(sequence, hypothesis, view.prior());
    posterior.sequence(path.logs().boxed().toList());
    FollowedRate followed = FollowedRate.of(sequence, path);
    Sheet sheet =
        Sheet.read(
            "Followed through the file in its order",
            Column.counts("after"),
            Column.counts("successes"),
            Column.numbers("rate"),
            Column.numbers("times"),
            Column.words("likelier under"));
    for (FollowedRate.Stop stop : followed.stops()) {
      sheet.row(
          new Value.Count(stop.observations()),
          new Value.Count(stop.successes()),
          Value.Share.PLAIN.of((double) stop.successes() / stop.observations()),
          Priors.times(stop.logBayesFactor()),
          stop.logBayesFactor() < 0 ? "null" : "alternative");
    }
    findings.add(sheet);
    farthest(followed, true);
    farthest(followed, false);
  }

  private void farthest(FollowedRate followed, boolean forAlternative) {
    String side = forAlternative ? "alternative" : "null";
    findings.add(
        Finding.say(
            Block.paragraph(
                followed
                    .farthest(forAlternative)
                    .map(
                        stop ->
                            say(
                                "Most for the %s after %s: %s times.",
                                side,
                                Figures.count(stop.observations()),
                                Evidence.times(stop.logBayesFactor())))
                    .orElse("Never for the " + side + "."))));
  }

  private static String words(double log, Hypothesis hypothesis) {
    return BayesFactorPhrases.words(log, alternative(hypothesis), none(hypothesis));
  }

  static String alternative(Hypothesis hypothesis) {
    String value = Figures.exactPercent(hypothesis.against());
    return switch (hypothesis.alternative()) {
      case TWO_SIDED -> "a rate other than " + value;
      case LESS -> "a rate below " + value;
      case GREATER -> "a rate above " + value;
    };
  }

  static String none(Hypothesis hypothesis) {
    return "a rate of " + Figures.exactPercent(hypothesis.against());
  }
}
