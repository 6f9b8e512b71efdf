package dev.tavik.study.compare;

import static dev.tavik.result.Figures.say;

import dev.tavik.answer.Column;
import dev.tavik.answer.Finding;
import dev.tavik.answer.Posterior;
import dev.tavik.answer.PosteriorSummary;
import dev.tavik.answer.Sheet;
import dev.tavik.answer.Value;
import dev.tavik.bayes.BetaPrior;
import dev.tavik.bayes.ComparedRates;
import dev.tavik.bayes.Credible;
import dev.tavik.count.Tally;
import dev.tavik.phrase.BayesFactorPhrases;
import dev.tavik.result.Alternative;
import dev.tavik.result.ComparisonGoal;
import dev.tavik.result.Estimand;
import dev.tavik.result.Figures;
import dev.tavik.study.BayesSettings;
import dev.tavik.study.parts.BayesianDetail;
import dev.tavik.study.parts.PriorCurves;
import dev.tavik.study.parts.Priors;
import java.util.ArrayList;
import java.util.List;

/** The Bayesian view of two rates. */
final class CompareBelief {
  private static final double[] EVEN = {0.5, 1, 2, 5};
  private static final double[] AT_COMMON = {10, 50, 200};

  private final CompareQuestion question;
  private final CompareSettings settings;
  private final BayesSettings view;
  private final BayesianDetail extent;
  private final Alternative alternative;
  private final Tally first;
  private final Tally second;
  private final ComparedRates rates;
  private final List<Finding> findings = new ArrayList<>();

  private CompareBelief(CompareQuestion question, BayesSettings view, BayesianDetail extent) {
    this.question = question;
    this.settings = question.settings();
    this.view = view;
    this.extent = extent;
    this.alternative =
        settings.claim().goal() == ComparisonGoal.DIFFERENCE
            ? settings.hypothesis().alternative()
            : Alternative.TWO_SIDED;
    this.first = question.first().tally();
    this.second = question.second().tally();
    this.rates = ComparedRates.of(view.prior(), first, second);
  }

  /**
   * Works out the view.
   *
   * @param question the question; no view is asked for where its settings have none
   * @param extent how much of it
   */
  static List<Finding> of(CompareQuestion question, BayesianDetail extent) {
    BayesSettings view = question.settings().bayes();
    return view == null ? List.of() : new CompareBelief(question, view, extent).findings();
  }

  private List<Finding> findings() {
    double log = ComparedRates.logBayesFactor(first, second, alternative, view.prior());
    Posterior posterior =
        Posterior.of(
                "Bayesian view, prior " + view.prior() + " for each rate",
                Priors.fields(view.prior()).with("alternative", alternative.id()),
                log,
                BayesFactorPhrases.words(log, different(), same()))
            .between(different(), same());
    findings.add(posterior);
    believe(posterior);
    chances(posterior);
    Priors.sensitivity(
        posterior,
        findings,
        "With other priors, around one half and around the common rate observed",
        extent == BayesianDetail.BRIEF ? List.of() : priors(first, second),
        this::logBayesFactor);
    if (extent == BayesianDetail.WHOLE) {
      double common =
          (first.successes() + second.successes() + 1.0) / (first.trials() + second.trials() + 2.0);
      findings.add(
          new PriorCurves(
                  question.label().isEmpty() ? question.order() : question.label(),
                  view.prior(),
                  common,
                  "the common rate " + Figures.percent(common),
                  ComparedRates.LEAST_PARAMETER,
                  this::logBayesFactor)
              .finding());
    }
    return findings;
  }

  private double logBayesFactor(BetaPrior prior) {
    return ComparedRates.logBayesFactor(first, second, alternative, prior);
  }

  private void believe(Posterior posterior) {
    Sheet sheet =
        Sheet.read(
            say(
                "Posterior, credible intervals at %s; differences in points",
                Figures.exactPercent(settings.level())),
            Column.words(),
            Column.numbers("mean"),
            Column.numbers("median"),
            Column.words(),
            Column.numbers(""),
            Column.words(),
            Column.numbers(""));
    for (Estimand measure : ComparedRates.MEASURES) {
      if (extent == BayesianDetail.WHOLE || measure == ComparedRates.MEASURES.get(0)) {
        PosteriorSummary belief = belief(measure);
        posterior.belief(belief);
        rows(sheet, belief);
      }
    }
    findings.add(sheet);
  }

  private PosteriorSummary belief(Estimand measure) {
    Credible equalTailed = rates.equalTailed(measure, settings.level());
    return new PosteriorSummary(
        measure,
        "",
        rates.mean(measure),
        rates.median(measure),
        extent == BayesianDetail.BRIEF
            ? List.of(equalTailed)
            : List.of(equalTailed, rates.highestDensity(measure, settings.level())));
  }

  private static void rows(Sheet sheet, PosteriorSummary belief) {
    Estimand quantity = belief.quantity();
    for (Credible interval : belief.credible()) {
      boolean begins = interval.kind() == Credible.Kind.EQUAL_TAILED;
      sheet.row(
          begins ? quantity.id().replace('-', ' ') : "",
          begins ? figure(quantity, belief.mean()) : Value.none(),
          begins ? figure(quantity, belief.median()) : Value.none(),
          interval.kind().id(),
          figure(quantity, interval.lower()),
          "to",
          figure(quantity, interval.upper()));
    }
  }

  private static Value figure(Estimand quantity, double value) {
    return Double.isInfinite(value) ? Value.none("none") : Value.of(quantity, value);
  }

  private void chances(Posterior posterior) {
    double above = rates.above(Estimand.DIFFERENCE, 0);
    posterior.above(above);
    findings.add(
        Finding.sentence(
            say(
                "The probability that %s is higher than %s is %s.",
                question.first().name(),
                question.second().name(),
                Value.Share.PROBABILITY.of(above).text())));
    BayesSettings.Region region = settings.region();
    if (region != null) {
      Priors.inside(
          posterior,
          findings,
          region,
          rates.inside(Estimand.DIFFERENCE, region.low(), region.high()),
          "the difference, in points,",
          Figures::exactPoints);
    }
  }

  private static List<BetaPrior> priors(Tally first, Tally second) {
    double successes = (double) first.successes() + second.successes() + 1;
    double trials = (double) first.trials() + second.trials() + 2;
    double common = Double.parseDouble(Figures.significant(successes / trials, 2));
    return Priors.around(EVEN, common, AT_COMMON, ComparedRates.LEAST_PARAMETER);
  }

  private String different() {
    return switch (alternative) {
      case TWO_SIDED -> "different rates";
      case LESS -> "a lower rate of " + question.first().name();
      case GREATER -> "a higher rate of " + question.first().name();
    };
  }

  private String same() {
    return alternative == Alternative.TWO_SIDED
        ? "equal rates"
        : "the same rate as of " + question.second().name();
  }

  /** Says in one word which side the data favour. */
  static String favoured(Posterior posterior, Alternative alternative) {
    return posterior.favours().equals("neither")
        ? "neither"
        : posterior.logBayesFactor() < 0
            ? "equal"
            : switch (alternative) {
              case TWO_SIDED -> "different";
              case LESS -> "lower";
              case GREATER -> "higher";
            };
  }
}
